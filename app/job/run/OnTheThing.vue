<script setup lang="ts">
import { computed, ref } from 'vue';
import { compose, type Affine } from '../../../core/geometry/index.ts';
import { asPrinted, compileJob, type Job } from '../../../core/job/index.ts';
import { thingOf } from '../../../core/piece/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { trySize } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import { sidesOf } from '../../ui/seen-sides.ts';
import { usedPicture, type SeenFrom } from '../../ui/thing-pictures/index.ts';
import LabelFaces from '../../ui/thing-pictures/LabelFaces.vue';
import ThingLines from '../../ui/thing-pictures/ThingLines.vue';
import { pageCompiler } from '../../session/page-resources.ts';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import { peeledLabel } from './peeled-label.ts';

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
const seen = ref<SeenFrom>('front');
const sides = computed(() => (thing.value ? sidesOf(thing.value) : {}));
const lines = computed(() =>
  thing.value && flat.value
    ? usedPicture(thing.value, flat.value, seen.value).filter(({ look }) => look !== 'fold')
    : [],
);
const isSeen = computed(() => lines.value.some(({ look }) => look === 'label'));
const picture = computed(() => {
  if (!printed.value || !copy.value) return undefined;
  const { map, piece } = copy.value;
  const { width, height } = piece;
  const { width: sheet } = printed.value.drawing;
  return peeledLabel(props.peeled, { map: compose(props.lies, map), width, height, sheet });
});
</script>

<template>
  <div class="on-thing" role="img" :aria-label="words.onThing">
    <ThingLines v-if="isSeen && thing && flat && picture" :lines="lines">
      <LabelFaces :thing="thing" :flat="flat" :seen="seen" :lines="lines" :picture="picture" />
    </ThingLines>
    <p v-else class="quiet">{{ seen === 'front' ? words.noThing : words.nothingBehind }}</p>
    <ChoiceRow
      v-if="Object.keys(sides).length > 1"
      v-model="seen"
      class="seen"
      :label="texts.size.seenLong"
      :choices="sides"
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
