<script setup lang="ts">
import { computed } from 'vue';
import {
  boxOfRings,
  compose,
  findPath,
  flatten,
  type Affine,
} from '../../../core/geometry/index.ts';
import { asPrinted, compileJob, type Job } from '../../../core/job/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { trySize } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import { thingPicture } from '../size/pictures/index.ts';
import ThingLines from '../size/ThingLines.vue';
import { pageCompiler } from '../store/page-resources.ts';
import { isDrawnOn, labelPicture, wallOf } from './label-picture.ts';

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
  const found = copy.value?.piece.piece.variant?.thing ?? props.job.thing;
  return isDrawnOn(found) ? found : undefined;
});
const flat = computed(() => {
  const size = thing.value && trySize(thing.value);
  return size?.ok ? size.value : undefined;
});
/** The thing without the lines that measure it. */
const lines = computed(() =>
  thing.value && flat.value
    ? thingPicture(thing.value, flat.value).lines.filter(
        ({ look }) => look !== 'dimension' && look !== 'arrow',
      )
    : [],
);
const outline = computed(() => lines.value.find(({ look }) => look === 'label')?.d ?? '');
const box = computed(() => boxOfRings(flatten(findPath(outline.value) ?? [])));
const url = computed(() => {
  const around = box.value;
  if (!printed.value || !copy.value || !thing.value || !flat.value || !around) return '';
  const { map, piece } = copy.value;
  const { width, height } = piece;
  return labelPicture(
    props.peeled,
    { map: compose(props.lies, map), width, height, sheet: printed.value.drawing.width },
    wallOf(thing.value, flat.value),
    { width: around.right - around.left, height: around.bottom - around.top },
  );
});
</script>

<template>
  <div class="on-thing" role="img" :aria-label="words.onThing">
    <ThingLines v-if="box && url" :lines="lines">
      <clipPath id="on-thing"><path :d="outline" /></clipPath>
      <image
        :href="url"
        :x="box.left"
        :y="box.top"
        :width="box.right - box.left"
        :height="box.bottom - box.top"
        preserveAspectRatio="none"
        clip-path="url(#on-thing)"
      />
    </ThingLines>
    <p v-else class="quiet">{{ words.noThing }}</p>
  </div>
</template>

<style scoped>
.on-thing {
  align-self: center;
  width: min(100%, 620px);
}
.on-thing :deep(.label) {
  stroke: none;
}
</style>
