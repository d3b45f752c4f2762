<script setup lang="ts">
import { computed } from 'vue';
import {
  elementSize,
  repeatSchema,
  type PieceElement,
  type Repeat,
} from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../ui/fields.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** How often an element is drawn: around a point, in a row, or mirrored. */
const props = defineProps<{ desk: DeskState; element: PieceElement }>();
const words = texts.ornaments;
type Kind = keyof typeof words.repeats;
const around = fieldsOf(schemaOf(repeatSchema, 'around'));
const line = fieldsOf(schemaOf(repeatSchema, 'line'));
const mirror = fieldsOf(schemaOf(repeatSchema, 'mirror'));
const STEP = { min: -500, max: 500, step: 0.1 };
const CENTRE = { min: -1000, max: 1000, step: 0.1 };
const AROUND = [
  around.number('times', words.times),
  around.check('turned', words.turned),
  around.length('x', words.centreAcross, CENTRE),
  around.length('y', words.centreDown, CENTRE),
];
const LINE = [
  line.number('times', words.times),
  line.length('dx', words.stepAcross, STEP),
  line.length('dy', words.stepDown, STEP),
];
const MIRROR = [
  mirror.choices('axes', words.axes, words.axesNames),
  mirror.length('x', words.centreAcross, CENTRE),
  mirror.length('y', words.centreDown, CENTRE),
];
const repeat = computed(() => props.element.repeat);

function first(kind: Kind): Repeat | undefined {
  const { width } = elementSize(props.element);
  switch (kind) {
    case 'none':
      return undefined;
    case 'around':
      return { kind, times: 6, x: 0, y: 0, turned: true };
    case 'line':
      return { kind, times: 3, dx: Math.round(width * 12) / 10, dy: 0 };
    case 'mirror':
      return { kind, axes: 'across', x: 0, y: 0 };
  }
}

function turn(kind: Kind): void {
  if (kind === (repeat.value?.kind ?? 'none')) return;
  const { x, y } = props.element;
  // Around the middle of the piece nothing is seen of an element that stands there.
  const away = kind === 'around' && Math.hypot(x, y) < 1 ? radius() : undefined;
  props.desk.change({ repeat: first(kind), ...(away === undefined ? {} : { y: -away }) });
}

const radius = (): number =>
  Math.min(props.desk.compiled.value?.width ?? 40, props.desk.compiled.value?.height ?? 40) * 0.3;

function change(changes: Partial<Repeat>): void {
  props.desk.change(
    { repeat: { ...repeat.value, ...changes } },
    `repeat-${Object.keys(changes).join()}`,
  );
}
</script>

<template>
  <CardPanel :title="words.repeat">
    <ChoicesRow
      :label="''"
      :name="words.repeat"
      :model-value="repeat?.kind ?? 'none'"
      :choices="words.repeats"
      @update:model-value="turn"
    />
    <FieldRows v-if="repeat?.kind === 'around'" :fields="AROUND" :of="repeat" @change="change" />
    <FieldRows v-else-if="repeat?.kind === 'line'" :fields="LINE" :of="repeat" @change="change" />
    <FieldRows v-else-if="repeat" :fields="MIRROR" :of="repeat" @change="change" />
  </CardPanel>
</template>
