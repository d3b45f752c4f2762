<script setup lang="ts">
import { computed } from 'vue';
import { labelCost } from '../../../core/stock/index.ts';
import MaterialFacts from '../../stock/MaterialFacts.vue';
import MaterialSwatch from '../../stock/MaterialSwatch.vue';
import { changedSince, useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { formatMoney } from '../../ui/money.ts';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** What the job's sheets are made of. */
const store = useJobStore();
const room = useStockRoom();
const settings = useSettings();
const material = computed(() => store.job?.material);
/** The material as the Stock room has it now, when that is another than the job's copy. */
const changed = computed(() => {
  const copy = material.value;
  // What a pack costs may be that of the one on hand.
  const unpriced = room.room.materials.map((one) => ({ ...one, pack: null }));
  const now = changedSince(unpriced, copy && { ...copy, pack: null });
  return now && { ...now, pack: copy?.pack ?? null };
});
const cost = computed(() =>
  material.value && store.layout
    ? labelCost(material.value.pack, store.layout.perSheet)
    : undefined,
);
</script>

<template>
  <CardPanel v-if="material" :title="material.name" :aside="texts.stock.material.title">
    <div class="swatches" role="radiogroup" :aria-label="texts.stock.material.title">
      <button
        v-for="one in room.materials"
        :key="one.id"
        type="button"
        role="radio"
        :aria-checked="one.id === material.id"
        :aria-label="one.name"
        :title="one.name"
        @click="store.act({ name: 'choose-material', args: { material: one } })"
      >
        <MaterialSwatch :material="one" />
      </button>
    </div>
    <MaterialFacts :material="material" />
    <FactRow v-if="cost !== undefined" :label="texts.stock.material.costs"
      ><strong>{{ formatMoney(cost, settings.currency) }}</strong></FactRow
    >
    <p v-if="changed" class="changed">
      {{ texts.stock.changedMaterial }}
      <LinkButton @click="store.act({ name: 'choose-material', args: { material: changed } })">
        {{ texts.stock.takeOver }}
      </LinkButton>
    </p>
    <router-link
      class="link"
      :to="{ name: 'stock-room', params: { part: 'materials' }, query: { open: material.id } }"
      >{{ texts.stock.material.change }}</router-link
    >
  </CardPanel>
</template>

<style scoped>
.swatches {
  display: grid;
  grid-template-columns: repeat(7, 1fr);
  gap: 5px;
}
.swatches button {
  border: 2px solid transparent;
  border-radius: 50%;
  padding: 1px;
  background: none;
  cursor: pointer;
}
.swatches button[aria-checked='true'] {
  border-color: var(--plum);
}
.swatches button:hover {
  border-color: var(--apricot);
}
.changed {
  margin: 6px 0 0;
}
a {
  display: inline-block;
  text-decoration: none;
}
</style>
