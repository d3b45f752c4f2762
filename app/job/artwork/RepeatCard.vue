<script setup lang="ts">
import { computed } from 'vue';
import { elementSize, type PieceElement, type Repeat } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** How often an element is drawn: around a point, in a row, or mirrored. */
const props = defineProps<{ desk: DeskState; element: PieceElement }>();
const words = texts.ornaments;
type Kind = keyof typeof words.repeats;
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
    <template v-if="repeat && repeat.kind !== 'mirror'">
      <NumberRow
        :label="words.times"
        :model-value="repeat.times"
        :min="2"
        :max="120"
        @update:model-value="change({ times: Math.round($event) })"
      />
    </template>
    <template v-if="repeat?.kind === 'line'">
      <LengthRow
        v-for="(name, key) in { dx: words.stepAcross, dy: words.stepDown }"
        :key="key"
        :label="name"
        :model-value="repeat[key]"
        :min="-500"
        :max="500"
        :step="0.1"
        @update:model-value="change({ [key]: $event })"
      />
    </template>
    <template v-else-if="repeat">
      <CheckRow
        v-if="repeat.kind === 'around'"
        :label="words.turned"
        :model-value="repeat.turned"
        @update:model-value="change({ turned: $event })"
      />
      <ChoicesRow
        v-else
        :label="words.axes"
        :model-value="repeat.axes"
        :choices="words.axesNames"
        @update:model-value="change({ axes: $event })"
      />
      <LengthRow
        v-for="(name, key) in { x: words.centreAcross, y: words.centreDown }"
        :key="key"
        :label="name"
        :model-value="repeat[key]"
        :min="-1000"
        :max="1000"
        :step="0.1"
        @update:model-value="change({ [key]: $event })"
      />
    </template>
  </CardPanel>
</template>
