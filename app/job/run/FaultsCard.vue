<script setup lang="ts">
import { computed } from 'vue';
import { withStop, type SimulatedFaults } from '../../../core/run/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import SelectRow from '../../ui/SelectRow.vue';

/** What goes wrong in the next rehearsal. */
const faults = defineModel<SimulatedFaults>({ required: true });
const words = texts.run;
const ON = {
  clipped: 8,
  offset: 3,
  turn: 1.5,
  scale: 0.02,
  inkSpread: 0.25,
  load: 12,
  missed: 2,
  turned: true,
  dull: true,
  weak: true,
  lost: true,
} as const satisfies SimulatedFaults;
type Fault = keyof typeof ON;
const names = Object.keys(ON) as Fault[];

function set(name: Fault, on: boolean): void {
  const { [name]: before, ...others } = faults.value;
  void before; // replaced, or left out
  faults.value = on ? { ...others, [name]: ON[name] } : others;
}

/** What keeps the printer from printing at all. */
const stop = computed({
  get: () => faults.value.stop ?? 'none',
  set: (name) => (faults.value = withStop(faults.value, name)),
});
</script>

<template>
  <CardPanel :title="words.wrong">
    <SelectRow v-model="stop" :label="texts.devices.stop" :choices="texts.devices.stops" />
    <CheckRow
      v-for="name in names"
      :key="name"
      :label="words.faults[name]"
      :model-value="Boolean(faults[name])"
      @update:model-value="set(name, $event)"
    />
  </CardPanel>
</template>
