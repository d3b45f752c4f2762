<script setup lang="ts">
import type { Faults } from '../../../core/run/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';

/** What goes wrong in the next rehearsal. */
const faults = defineModel<Faults>({ required: true });
const words = texts.run;
const ON = {
  clipped: 8,
  offset: 3,
  inkSpread: 0.25,
  missed: 2,
  turned: true,
  dull: true,
  lost: true,
} as const satisfies Faults;
type Fault = keyof typeof ON;
const names = Object.keys(ON) as Fault[];

function set(name: Fault, on: boolean): void {
  const { [name]: before, ...others } = faults.value;
  void before; // replaced, or left out
  faults.value = on ? { ...others, [name]: ON[name] } : others;
}
</script>

<template>
  <CardPanel :title="words.wrong">
    <CheckRow
      v-for="name in names"
      :key="name"
      :label="words.faults[name]"
      :model-value="Boolean(faults[name])"
      @update:model-value="set(name, $event)"
    />
  </CardPanel>
</template>
