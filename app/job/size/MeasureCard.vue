<script setup lang="ts">
import { computed } from 'vue';
import type { MeasuredThing } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { isAsked, MEASURES } from './measures.ts';
import { measureHint, measureName } from './measure-names.ts';

/** Everything that is measured of a thing, one row each. */
const props = defineProps<{ thing: MeasuredThing }>();
const emit = defineEmits<{ measure: [key: string, value: number | string] }>();
const rows = computed(() =>
  MEASURES[props.thing.kind]
    .filter(({ key }) => isAsked(props.thing, key))
    .map((measure) => ({
      ...measure,
      name: measureName(props.thing, measure.key),
      value: (props.thing as unknown as Record<string, unknown>)[measure.key],
      choices: texts.size.choices[`${props.thing.kind} ${measure.key}`] ?? {},
    })),
);
</script>

<template>
  <CardPanel :title="texts.size.things[thing.kind]" peeled>
    <slot />
    <template v-for="row in rows" :key="row.key">
      <ChoicesRow
        v-if="row.as === 'choice'"
        :label="row.name"
        :model-value="String(row.value)"
        :choices="row.choices"
        @update:model-value="emit('measure', row.key, $event)"
      />
      <LengthRow
        v-else-if="row.as === 'length'"
        :label="row.name"
        :model-value="Number(row.value)"
        :min="row.min"
        :max="row.max"
        @update:model-value="emit('measure', row.key, $event)"
      />
      <NumberRow
        v-else
        :label="row.name"
        :model-value="Number(row.value)"
        :suffix="row.as === 'degrees' ? '°' : undefined"
        :step="row.as === 'degrees' ? 15 : 1"
        :min="row.min"
        :max="row.max"
        @update:model-value="emit('measure', row.key, $event)"
      />
    </template>
    <p class="hint">{{ measureHint(thing) }}</p>
  </CardPanel>
</template>

<style scoped>
.hint {
  margin: 8px 0 0;
  color: var(--ink-2);
}
</style>
