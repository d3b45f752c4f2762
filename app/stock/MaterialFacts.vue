<script setup lang="ts">
import type { Material } from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import FactRow from '../ui/FactRow.vue';

/** What has to be known of a material before it is printed on. */
defineProps<{ material: Material }>();
const words = texts.stock.material;
</script>

<template>
  <p class="facts">
    {{ words.kinds[material.kind] }},
    {{ material.drying > 0 ? words.dries(material.drying) : words.dry }}
    <template v-if="material.needsWhite">, {{ words.needs }}</template>
    <template v-if="material.mirrored">, {{ words.isMirrored }}</template>
  </p>
  <FactRow :label="words.ink"
    ><span>{{ words.inks[material.ink] }}</span></FactRow
  >
  <FactRow :label="words.dialogPaper"
    ><span>{{ material.print.paper }}</span></FactRow
  >
  <FactRow :label="words.dialogQuality"
    ><span>{{ material.print.quality }}</span></FactRow
  >
</template>

<style scoped>
.facts {
  margin: 6px 0;
  color: var(--ink-2);
}
</style>
