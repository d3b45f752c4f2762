<script setup lang="ts" generic="O extends Offered">
import type { Offered, OfferGroup } from './offered.ts';
import StockOffer from './StockOffer.vue';

/** Groups of sheets to choose from, each under its heading. */
defineProps<{
  groups: readonly OfferGroup<O>[];
  chosen: string | undefined;
}>();
defineEmits<{ choose: [offer: O] }>();
</script>

<template>
  <section v-for="group in groups" :key="group.title">
    <h2>{{ group.title }}</h2>
    <div class="offers" role="radiogroup" :aria-label="group.title">
      <StockOffer
        v-for="offer in group.offers"
        :key="offer.supply?.id ?? offer.stock.id"
        :stock="offer.stock"
        :note="offer.note"
        :fact="offer.fact"
        :used="offer.supply?.started[0]?.used"
        :color="offer.supply?.material.color"
        :chosen="chosen === offer.stock.id || chosen === offer.supply?.id"
        :faded="offer.perSheet === 0"
        @choose="$emit('choose', offer)"
      />
    </div>
  </section>
</template>

<style scoped>
h2 {
  margin: 0 0 10px;
  font-size: 14.5px;
}
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(160px, 1fr));
  gap: 16px;
  margin-bottom: 24px;
}
</style>
