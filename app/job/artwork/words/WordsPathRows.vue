<script setup lang="ts">
import { computed } from 'vue';
import type { Words } from '../../../../core/piece/index.ts';
import type { WordsPath } from '../../../../core/type/index.ts';
import { texts } from '../../../texts/index.ts';
import CheckRow from '../../../ui/CheckRow.vue';
import ChoicesRow from '../../../ui/ChoicesRow.vue';
import LengthRow from '../../../ui/LengthRow.vue';
import NumberRow from '../../../ui/NumberRow.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** The line that words follow. */
const props = defineProps<{ desk: DeskState; words: Words }>();
const say = texts.words;
type Run = keyof typeof say.runs;

const path = computed(() => props.words.path);
const run = computed<Run>(() =>
  path.value.kind === 'circle' ? path.value.side : (path.value.kind as Run),
);
const onBand = computed(() => props.desk.piece.value?.edge.kind === 'arc');

function turn(to: Run): void {
  if (to === run.value) return;
  const piece = props.desk.compiled.value;
  const { width = 40, height = 40 } = piece ?? {};
  // Words that leave their circle stand where they were read.
  const from = path.value;
  const left =
    from.kind === 'circle'
      ? { x: 0, y: Math.round(height * (from.side === 'outside' ? -2 : 2)) / 10 }
      : {};
  if (to === 'straight') return props.desk.change({ path: { kind: 'straight' }, ...left });
  if (to === 'arc') return props.desk.change({ ...left, path: firstArc(width) });
  if (to === 'wave') {
    const long = Math.round(props.words.width * 6) / 10;
    return props.desk.change({
      ...left,
      path: { kind: 'wave', height: Math.round(long) / 10, length: Math.max(4, long), start: 0 },
    });
  }
  const least = Math.min(width, height) / 2 - (piece?.piece.safe ?? 2);
  const letter = props.words.size * 0.3;
  const bent: WordsPath = {
    kind: 'circle',
    radius: Math.max(3, least - (to === 'outside' ? letter : 0.4)),
    side: to,
    angle: to === 'outside' ? 0 : 180,
    reach: 180,
  };
  props.desk.change({ path: bent, x: 0, y: 0 });
}

const firstArc = (width: number): WordsPath => ({
  kind: 'arc',
  radius: Math.round(width * 0.8),
  bow: 'up',
  ...(onBand.value ? { edge: true } : {}),
});

const bent = (changes: Partial<WordsPath>): void =>
  props.desk.change({ path: { ...path.value, ...changes } }, `bend-${Object.keys(changes).join()}`);
</script>

<template>
  <SelectRow
    :label="texts.artwork.path"
    :name="texts.artwork.pathLong"
    :model-value="run"
    :choices="say.runs"
    @update:model-value="turn"
  />
  <template v-if="path.kind === 'circle'">
    <LengthRow
      :label="texts.artwork.radius"
      :name="texts.artwork.radiusLong"
      :model-value="path.radius"
      :min="1"
      :max="1000"
      @update:model-value="bent({ radius: $event })"
    />
    <NumberRow
      :label="texts.artwork.middleAt"
      :name="texts.artwork.middleLong"
      :model-value="path.angle"
      suffix="°"
      :digits="1"
      @update:model-value="bent({ angle: $event })"
    />
    <NumberRow
      :label="say.reach"
      :name="say.reachLong"
      :model-value="path.reach"
      suffix="°"
      :min="5"
      :max="360"
      :step="5"
      @update:model-value="bent({ reach: $event })"
    />
  </template>
  <template v-else-if="path.kind === 'arc'">
    <CheckRow
      v-if="onBand"
      :label="say.followEdge"
      :model-value="path.edge ?? false"
      @update:model-value="bent({ edge: $event })"
    />
    <template v-if="!path.edge || !onBand">
      <ChoicesRow
        :label="say.bow"
        :model-value="path.bow"
        :choices="say.bows"
        @update:model-value="bent({ bow: $event })"
      />
      <LengthRow
        :label="texts.artwork.radius"
        :name="texts.artwork.radiusLong"
        :model-value="path.radius"
        :min="1"
        :max="5000"
        @update:model-value="bent({ radius: $event })"
      />
    </template>
  </template>
  <template v-else-if="path.kind === 'wave'">
    <LengthRow
      :label="say.waveHeight"
      :model-value="path.height"
      :min="0"
      :max="100"
      :step="0.1"
      @update:model-value="bent({ height: $event })"
    />
    <LengthRow
      :label="say.waveLength"
      :model-value="path.length"
      :min="2"
      :max="1000"
      @update:model-value="bent({ length: $event })"
    />
    <NumberRow
      :label="say.waveStart"
      :model-value="Math.round(path.start * 100)"
      suffix="%"
      :min="0"
      :max="100"
      :step="5"
      @update:model-value="bent({ start: $event / 100 })"
    />
  </template>
</template>
