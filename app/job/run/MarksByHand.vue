<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import type { RgbaImage } from '../../../core/raster/index.ts';
import { texts } from '../../texts/index.ts';
import { findArrow } from '../../ui/arrow-keys.ts';
import PixelPicture from '../../ui/PixelPicture.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** The loaded sheet as the sensor sees it, with a cross to put on each of its first marks. */
const props = defineProps<{
  image: RgbaImage;
  /** Of the sheet, mm. */
  width: number;
  marks: readonly Point[];
}>();
const emit = defineEmits<{ done: [places: readonly Point[]]; close: [] }>();
const words = texts.run;
const places = shallowRef<readonly Point[]>(props.marks.slice(0, 4).map(({ x, y }) => ({ x, y })));
const held = ref(0);
const frame = ref<HTMLElement | null>(null);
const perMm = computed(() => props.image.width / props.width);
const height = computed(() => props.image.height / perMm.value);
const LENS = 24; // mm across what the magnifier shows
const share = ({ x, y }: Point): Record<string, string> => ({
  left: `${(x / props.width) * 100}%`,
  top: `${(y / height.value) * 100}%`,
});
const lens = computed(() => {
  const { x = 0, y = 0 } = places.value[held.value] ?? {};
  return {
    width: `${(props.width / LENS) * 100}%`,
    left: `${50 - (x / LENS) * 100}%`,
    top: `${50 - (y / LENS) * 100}%`,
  };
});

function put(at: number, to: Point): void {
  places.value = places.value.map((one, index) => (index === at ? to : one));
}

function grip(event: PointerEvent, at: number): void {
  held.value = at;
  (event.target as Element).setPointerCapture(event.pointerId);
}

function drag(event: PointerEvent, at: number): void {
  const box = frame.value?.getBoundingClientRect();
  if (!box || !(event.target as Element).hasPointerCapture(event.pointerId)) return;
  put(at, {
    x: ((event.clientX - box.left) / box.width) * props.width,
    y: ((event.clientY - box.top) / box.height) * height.value,
  });
}

function key(event: KeyboardEvent, at: number): void {
  const step = findArrow(event.key, event.shiftKey ? 1 : 0.1);
  const place = places.value[at];
  if (!step || !place) return;
  event.preventDefault();
  put(at, { x: place.x + step.x, y: place.y + step.y });
}
</script>

<template>
  <div class="hand">
    <div ref="frame" class="frame" :style="{ '--ratio': image.width / image.height }">
      <PixelPicture class="picture" :image="image" :label="words.seenSheet" />
      <button
        v-for="(place, at) in places"
        :key="at"
        type="button"
        class="cross"
        :class="{ held: at === held }"
        :aria-label="words.markByHand(at + 1)"
        :style="share(place)"
        @focus="held = at"
        @pointerdown="grip($event, at)"
        @pointermove="drag($event, at)"
        @keydown="key($event, at)"
      >
        <i>{{ at + 1 }}</i>
      </button>
    </div>
    <div class="beside">
      <p>{{ words.handHint }}</p>
      <div class="lens">
        <div class="seen" :style="lens"><PixelPicture :image="image" :label="words.lens" /></div>
        <svg viewBox="0 0 24 24" aria-hidden="true"><path d="M12 5v14M5 12h14" /></svg>
      </div>
      <v-btn color="primary" height="40" @click="emit('done', places)">{{ words.cutThere }}</v-btn>
      <LinkButton @click="emit('close')">{{ texts.cancel }}</LinkButton>
    </div>
  </div>
</template>

<style scoped>
.hand {
  display: flex;
  gap: 24px;
  justify-content: center;
  box-sizing: border-box;
  height: 100%;
  padding: 66px 24px 24px;
}
.frame {
  position: relative;
  flex: none;
  align-self: center;
  width: min(100% - 250px, (100vh - 150px) * var(--ratio));
  aspect-ratio: var(--ratio);
  box-shadow: var(--shadow-paper);
}
.picture {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.cross {
  position: absolute;
  width: 34px;
  height: 34px;
  border: 2px solid #5d2a53;
  border-radius: 50%;
  padding: 0;
  background: none;
  transform: translate(-50%, -50%);
  cursor: move;
  touch-action: none;
  box-sizing: border-box;
}
i {
  position: absolute;
  top: -11px;
  right: -13px;
  width: 19px;
  border-radius: 50%;
  background: #5d2a53;
  color: #fffdf9;
  font-size: 12px;
  font-style: normal;
  font-weight: 700;
  line-height: 19px;
}
.held {
  border-color: #f2a65a;
  box-shadow: 0 0 0 2px #5d2a53;
}
.beside {
  display: flex;
  flex: 0 0 220px;
  flex-direction: column;
  gap: 12px;
  align-items: flex-start;
  align-self: center;
  border-radius: var(--r-job);
  padding: 18px 20px;
  background: var(--card);
  box-shadow: var(--shadow);
}
p {
  margin: 0;
}
.lens {
  position: relative;
  width: 180px;
  height: 180px;
  border: 3px solid var(--plum);
  border-radius: 50%;
  overflow: hidden;
}
.seen {
  position: absolute;
}
.seen :deep(canvas) {
  display: block;
  width: 100%;
}
.lens svg {
  position: absolute;
  inset: 0;
}
.lens path {
  stroke: #b4432f;
  stroke-width: 0.25;
}
</style>
