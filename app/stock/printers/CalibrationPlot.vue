<script setup lang="ts">
import { computed } from 'vue';
import { apply, type Affine } from '../../../core/geometry/index.ts';
import {
  calibrationCrosses,
  farthest,
  ruledCrosses,
  type CalibratedSheet,
} from '../../../core/register/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { CROSS_NAMES } from '../../session/printer-facts.ts';
import { texts } from '../../texts/index.ts';
import PixelPicture from '../../ui/PixelPicture.vue';

/** A sheet with its crosses, and an arrow from each to where the printer puts it, drawn longer than it is. */
const props = defineProps<{
  sheet: CalibratedSheet;
  map: Affine | undefined;
  picture: RgbaImage | undefined;
}>();
const words = texts.printers;
const LONGEST = 34; // mm on the sheet, of the longest arrow
const TIMES = [200, 100, 50, 20, 10, 5, 2, 1];
const LEAST = 3; // mm: shorter arrows are all head
const crosses = computed(() => calibrationCrosses(props.sheet));
const times = computed(() => {
  const far = props.map ? farthest(props.map, props.sheet) : 0;
  return TIMES.find((one) => one * far <= LONGEST) ?? 1;
});
const arrows = computed(() =>
  crosses.value.map((from) => {
    const to = props.map ? apply(props.map, from) : from;
    const [x, y] = [(to.x - from.x) * times.value, (to.y - from.y) * times.value];
    return { from, to: { x: from.x + x, y: from.y + y }, length: Math.hypot(x, y) };
  }),
);
const arm = 4; // mm
</script>

<template>
  <figure>
    <div class="sheet" :style="{ aspectRatio: sheet.width / sheet.height }">
      <PixelPicture v-if="picture" class="photo" :image="picture" :label="words.picture" />
      <svg :viewBox="`0 0 ${sheet.width} ${sheet.height}`" role="img" :aria-label="words.plot">
        <defs>
          <marker
            id="head"
            viewBox="0 0 8 8"
            refX="7"
            refY="4"
            markerWidth="3.4"
            markerHeight="3.4"
            orient="auto"
          >
            <path d="M0 0.6L8 4L0 7.4Z" class="head" />
          </marker>
        </defs>
        <path
          v-for="({ x, y }, at) in crosses"
          :key="`cross-${at}`"
          class="cross"
          :d="`M${x - arm} ${y}H${x + arm}M${x} ${y - arm}V${y + arm}`"
        />
        <text
          v-for="({ x, y }, at) in ruledCrosses(sheet)"
          :key="`name-${at}`"
          class="letter"
          :x="x + (x < sheet.width / 2 ? 7 : -7)"
          :y="y + (y < sheet.height / 2 ? 8.6 : -5.4)"
        >
          {{ picture ? '' : CROSS_NAMES[at] }}
        </text>
        <template v-for="({ from, to, length }, at) in arrows" :key="`arrow-${at}`">
          <path
            v-if="length > LEAST"
            class="arrow"
            marker-end="url(#head)"
            :d="`M${from.x} ${from.y}L${to.x} ${to.y}`"
          />
        </template>
      </svg>
    </div>
    <figcaption class="quiet">{{ map ? words.scale(times) : words.notYet }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  display: flex;
  flex-direction: column;
  gap: 8px;
  align-items: center;
  height: 100%;
  margin: 0;
}
.sheet {
  position: relative;
  flex: 1;
  min-height: 0;
  max-width: 100%;
  background: #ffffff;
  box-shadow: var(--shadow-paper);
}
.photo,
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.photo {
  opacity: 0.75;
}
.cross {
  fill: none;
  stroke: #b9a9b4;
  stroke-width: 0.6px;
}
.letter {
  fill: #8b7a88;
  font-size: 5px;
  text-anchor: middle;
}
.arrow {
  fill: none;
  stroke: #b5473c;
  stroke-width: 0.9px;
}
.head {
  fill: #b5473c;
}
figcaption {
  border-radius: var(--r-tray);
  padding: 3px 14px;
  background: var(--card);
  font-size: 12.5px;
}
</style>
