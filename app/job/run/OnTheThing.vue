<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  boxAbout,
  boxOfRings,
  compose,
  findPath,
  flatten,
  type Affine,
} from '../../../core/geometry/index.ts';
import { asPrinted, compileJob, type Job } from '../../../core/job/index.ts';
import { thingOf } from '../../../core/piece/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { trySize } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import { rectOf } from '../../ui/rect-of.ts';
import { canTurn, usedPicture } from '../../ui/thing-pictures/index.ts';
import ThingLines from '../../ui/thing-pictures/ThingLines.vue';
import { pageCompiler } from '../../session/page-resources.ts';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import { labelPicture, turnedWall, wallOf } from './label-picture.ts';

/** A peeled label as it came out, on the thing that it is for. */
const props = defineProps<{
  job: Job;
  sheet: number;
  peeled: RgbaImage;
  /** From mm of the sheet to mm of the picture, as the marks told it. */
  lies: Affine;
}>();
const words = texts.run;
const printed = computed(() => asPrinted(compileJob(props.job, pageCompiler)).sheets[props.sheet]);
/** The first label of the sheet. */
const copy = computed(() => printed.value?.copies.find(({ out }) => !out));
const thing = computed(() => {
  const found = copy.value ? thingOf(copy.value.piece.piece, props.job.thing) : props.job.thing;
  return found.kind === 'label-sheet' ? undefined : found;
});
const flat = computed(() => {
  const size = thing.value && trySize(thing.value);
  return size?.ok ? size.value : undefined;
});
const seen = ref<'front' | 'back'>('front');
const turned = computed(() => seen.value === 'back');
const lines = computed(() =>
  thing.value && flat.value ? usedPicture(thing.value, flat.value, turned.value) : [],
);
/** What is seen of the label: its outline, and where its picture lies. */
const faces = computed(() =>
  lines.value.flatMap(({ look, d, lies }) => {
    const size = copy.value?.piece;
    if (look !== 'label' || !size) return [];
    const box = lies ? boxAbout({ x: 0, y: 0 }, size.width, size.height) : wallBox.value;
    return box ? [{ d, lies, box }] : [];
  }),
);
/** What of a wall is seen has one picture, though the label may show at both sides of it. */
const wallBox = computed(() =>
  boxOfRings(
    lines.value.flatMap(({ look, d, lies }) =>
      look === 'label' && !lies ? flatten(findPath(d) ?? []) : [],
    ),
  ),
);
const wall = computed(() => {
  const found = thing.value && flat.value && wallOf(thing.value, flat.value);
  return found && turned.value ? turnedWall(found) : found;
});
const url = computed(() => {
  const around = faces.value[0]?.box;
  if (!printed.value || !copy.value || !thing.value || !flat.value || !around) return '';
  const { map, piece } = copy.value;
  const { width, height } = piece;
  return labelPicture(
    props.peeled,
    { map: compose(props.lies, map), width, height, sheet: printed.value.drawing.width },
    wall.value,
    { width: around.right - around.left, height: around.bottom - around.top },
  );
});
</script>

<template>
  <div class="on-thing" role="img" :aria-label="words.onThing">
    <ThingLines v-if="url" :lines="lines">
      <g v-for="({ d, lies: to, box }, at) in faces" :key="at" :clip-path="`url(#on-thing-${at})`">
        <clipPath :id="`on-thing-${at}`"><path :d="d" /></clipPath>
        <image
          :href="url"
          v-bind="rectOf(box)"
          :transform="to && `matrix(${to.join(' ')})`"
          preserveAspectRatio="none"
        />
      </g>
    </ThingLines>
    <p v-else class="quiet">{{ turned ? words.nothingBehind : words.noThing }}</p>
    <ChoiceRow
      v-if="thing && canTurn(thing)"
      v-model="seen"
      class="seen"
      :label="texts.size.seenLong"
      :choices="texts.size.seen"
    />
  </div>
</template>

<style scoped>
.on-thing {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: center;
  align-self: center;
  width: min(100%, 620px);
}
.on-thing > :deep(svg) {
  width: 100%;
}
.on-thing :deep(.label) {
  stroke: none;
}
</style>
