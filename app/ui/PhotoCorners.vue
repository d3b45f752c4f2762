<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import type { Point } from '../../core/geometry/index.ts';
import type { PictureWithCorners, SheetCorners } from '../../core/register/index.ts';
import { texts } from '../texts/index.ts';
import { findArrow } from './arrow-keys.ts';
import PixelPicture from './PixelPicture.vue';
import LinkButton from './LinkButton.vue';

/** The picture as it was taken, with a dot to put on each corner of the sheet. */
const { photo } = defineProps<{
  photo: PictureWithCorners;
  /** What is looked for once the corners are right. */
  doneLabel: string;
}>();
const emit = defineEmits<{ done: [corners: SheetCorners] }>();
const words = texts.stock.read;
/** As shares of the picture; replaced whole, since a worker takes no proxies. */
const corners = shallowRef<readonly Point[]>(photo.corners);
const put = (at: number, to: Point): void => {
  corners.value = corners.value.map((one, index) => (index === at ? to : one));
};
const frame = ref<HTMLElement | null>(null);

function drag(event: PointerEvent, at: number): void {
  const box = frame.value?.getBoundingClientRect();
  if (!box || !(event.target as Element).hasPointerCapture(event.pointerId)) return;
  put(at, {
    x: Math.min(1, Math.max(0, (event.clientX - box.left) / box.width)),
    y: Math.min(1, Math.max(0, (event.clientY - box.top) / box.height)),
  });
}

function key(event: KeyboardEvent, at: number): void {
  const step = findArrow(event.key, (event.shiftKey ? 10 : 1) / photo.picture.width);
  const corner = corners.value[at];
  if (!step || !corner) return;
  event.preventDefault();
  put(at, { x: corner.x + step.x, y: corner.y + step.y });
}

/** The sheet's top is another side of the picture. */
function turn(): void {
  const [first, ...others] = corners.value;
  if (first) corners.value = [...others, first];
}

function grip(event: PointerEvent): void {
  (event.target as Element).setPointerCapture(event.pointerId);
}
</script>

<template>
  <div class="setting">
    <div
      ref="frame"
      class="frame"
      :style="{ '--ratio': photo.picture.width / photo.picture.height }"
    >
      <PixelPicture class="photo" :image="photo.picture" :label="words.picture" />
      <svg class="photo" viewBox="0 0 1 1" preserveAspectRatio="none" aria-hidden="true">
        <polygon :points="corners.map(({ x, y }) => `${x},${y}`).join(' ')" />
      </svg>
      <button
        v-for="({ x, y }, at) in corners"
        :key="at"
        type="button"
        class="dot"
        :aria-label="words.corner(at)"
        :style="{ left: `${x * 100}%`, top: `${y * 100}%` }"
        @pointerdown.prevent="grip"
        @pointermove="drag($event, at)"
        @keydown="key($event, at)"
      >
        {{ at + 1 }}
      </button>
    </div>
    <div class="ways">
      <LinkButton @click="turn">{{ words.turn }}</LinkButton>
      <v-btn color="primary" height="36" @click="emit('done', corners as SheetCorners)">{{
        doneLabel
      }}</v-btn>
    </div>
  </div>
</template>

<style scoped>
.setting {
  display: flex;
  flex-direction: column;
  gap: 12px;
  align-items: center;
  height: calc(100% - 62px);
  max-width: 100%;
}
.frame {
  position: relative;
  width: min(100%, (100vh - 230px) * var(--ratio));
  aspect-ratio: var(--ratio);
  box-shadow: var(--shadow-paper);
}
.photo {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
polygon {
  fill: none;
  stroke: var(--apricot);
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
.dot {
  position: absolute;
  width: 26px;
  height: 26px;
  border: 2px solid var(--on-plum);
  border-radius: 50%;
  padding: 0;
  background: #5d2a53cc;
  color: #fffdf9;
  font: inherit;
  font-weight: 600;
  transform: translate(-50%, -50%);
  cursor: move;
  touch-action: none;
}
.ways {
  display: flex;
  gap: 14px;
  align-items: center;
}
</style>
