<script setup lang="ts">
import { computed } from 'vue';
import type { Words } from '../../../../core/piece/index.ts';
import { wordsPathSchema, type WordsPath } from '../../../../core/type/index.ts';
import { texts } from '../../../texts/index.ts';
import CheckRow from '../../../ui/CheckRow.vue';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../../ui/fields.ts';
import SelectRow from '../../../ui/SelectRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** The line that words follow. */
const props = defineProps<{ desk: DeskState; words: Words }>();
const { artwork, words: say } = texts;
const circle = fieldsOf(schemaOf(wordsPathSchema, 'circle'));
const arc = fieldsOf(schemaOf(wordsPathSchema, 'arc'));
const wave = fieldsOf(schemaOf(wordsPathSchema, 'wave'));
const CIRCLE = [
  circle.length('radius', artwork.radius, { name: artwork.radiusLong, min: 1 }),
  circle.angle('angle', artwork.middleAt, { name: artwork.middleLong }),
  circle.number('reach', say.reach, { name: say.reachLong, suffix: '°', step: 5 }),
];
const ARC = [
  arc.choices('bow', say.bow, say.bows),
  arc.length('radius', artwork.radius, { name: artwork.radiusLong }),
];
const WAVE = [
  wave.length('height', say.waveHeight, { step: 0.1 }),
  wave.length('length', say.waveLength),
  wave.percent('start', say.waveStart),
];
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
    :label="artwork.path"
    :name="artwork.pathLong"
    :model-value="run"
    :choices="say.runs"
    @update:model-value="turn"
  />
  <FieldRows v-if="path.kind === 'circle'" :fields="CIRCLE" :of="path" @change="bent" />
  <template v-else-if="path.kind === 'arc'">
    <CheckRow
      v-if="onBand"
      :label="say.followEdge"
      :model-value="path.edge ?? false"
      @update:model-value="bent({ edge: $event })"
    />
    <FieldRows v-if="!path.edge || !onBand" :fields="ARC" :of="path" @change="bent" />
  </template>
  <FieldRows v-else-if="path.kind === 'wave'" :fields="WAVE" :of="path" @change="bent" />
</template>
