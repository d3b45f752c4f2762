<script setup lang="ts">
import { computed } from 'vue';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import type { Canvas } from '../../ui/canvas.ts';
import LengthField from '../../ui/LengthField.vue';
import { MEASURES } from './measures.ts';
import { measureName } from './measure-names.ts';
import { FRAME, thingPicture, type SeenFrom } from '../../ui/thing-pictures/index.ts';
import LabelFaces from '../../ui/thing-pictures/LabelFaces.vue';
import ThingLines from '../../ui/thing-pictures/ThingLines.vue';

/** The thing with its dimension lines; the measures are fields. */
const props = defineProps<{
  thing: MeasuredThing;
  flat: FlatSize;
  seen: SeenFrom;
  /** The label with its artwork, where it has any. */
  label: Canvas | undefined;
}>();
defineEmits<{ measure: [key: string, value: number] }>();
const picture = computed(() => thingPicture(props.thing, props.flat, props.seen));
const fields = computed(() =>
  picture.value.fields.flatMap(({ key, x, y }) => {
    const measure = MEASURES[props.thing.kind].find((one) => one.key === key);
    const value = (props.thing as unknown as Record<string, unknown>)[key];
    if (!measure || typeof value !== 'number') return [];
    const place = { left: `${(x / FRAME.width) * 100}%`, top: `${(y / FRAME.height) * 100}%` };
    return [{ ...measure, value, place, name: texts.size.measure(measureName(props.thing, key)) }];
  }),
);
</script>

<template>
  <div class="thing">
    <ThingLines :lines="picture.lines">
      <LabelFaces
        v-if="label"
        :thing="thing"
        :flat="flat"
        :seen="seen"
        :lines="picture.lines"
        :picture="label"
      />
    </ThingLines>
    <LengthField
      v-for="field in fields"
      :key="field.key"
      class="field"
      :style="field.place"
      :label="field.name"
      :model-value="field.value"
      :min="field.min"
      :max="field.max"
      @update:model-value="$emit('measure', field.key, $event)"
    />
  </div>
</template>

<style scoped>
.thing {
  position: relative;
  width: 100%;
  max-width: 420px;
}
.field {
  position: absolute;
  font-weight: 600;
  transform: translate(-50%, -50%);
}
.field :deep(input) {
  background: var(--card);
  text-align: center;
  box-shadow: var(--shadow);
}
.field :deep([role='alert']) {
  width: 220px;
  border-radius: var(--r-field);
  padding: 4px 10px;
  background: var(--card);
  font-weight: 400;
}
</style>
