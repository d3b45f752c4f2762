<script setup lang="ts">
import { computed, ref } from 'vue';
import { artSize, type Art } from '../../../core/art/index.ts';
import { pathData } from '../../../core/drawing/index.ts';
import { pictureSize, type Picture } from '../../../core/piece/index.ts';
import { plainShape, resizedShape, shapePath, type BoxedKind } from '../../../core/shape/index.ts';
import ArtPicture from '../../art/ArtPicture.vue';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import { findArrow } from '../../ui/arrow-keys.ts';
import NumberRow from '../../ui/NumberRow.vue';
import ShapeChoice from '../../ui/ShapeChoice.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** The whole picture with its frame over it: the frame is moved, and what it shows follows. */
const props = defineProps<{ desk: DeskState; picture: Picture; art: Art }>();
const words = texts.art.crop;
const box = ref<HTMLElement | null>(null);
const crops = computed(() => props.picture.fit === 'cover');
const whole = computed(() => pictureSize(props.picture, props.art));
const view = computed(() => props.picture.view ?? { x: 0, y: 0, zoom: 1 });
/** The frame in the picture's own mm, as the picture comes out on the piece. */
const frame = computed(() => {
  const { width, height, frame: shape } = props.picture;
  const path = shapePath(
    resizedShape(shape ?? { kind: 'rectangle', width, height, radius: 0 }, width, height),
  );
  const [x, y] = [
    whole.value.width / 2 - view.value.x * width,
    whole.value.height / 2 - view.value.y * height,
  ];
  return { data: pathData(path), x, y };
});
const own = computed(() => artSize(props.art));

/** A view that leaves no place of the frame without picture. */
function limited(x: number, y: number, zoom: number): NonNullable<Picture['view']> {
  const size = pictureSize({ ...props.picture, view: { x, y, zoom } }, props.art);
  const most = (side: number, room: number): number => Math.max(0, (side / room - 1) / 2);
  const [mx, my] = [most(size.width, props.picture.width), most(size.height, props.picture.height)];
  return { x: Math.min(mx, Math.max(-mx, x)), y: Math.min(my, Math.max(-my, y)), zoom };
}

function shape(kind: BoxedKind): void {
  const { width, height } = props.picture;
  const made = plainShape(kind, width, height);
  const side = Math.min(width, height);
  props.desk.change({
    fit: 'cover',
    frame: made,
    ...(kind === 'circle' ? { width: side, height: side } : {}),
  });
}

function give(x: number, y: number, zoom: number): void {
  props.desk.change({ fit: 'cover', view: limited(x, y, zoom) }, 'crop');
}

let held: { x: number; y: number; view: NonNullable<Picture['view']> } | undefined;

function press(event: PointerEvent): void {
  (event.currentTarget as Element).setPointerCapture(event.pointerId);
  held = { x: event.clientX, y: event.clientY, view: view.value };
}

function drag(event: PointerEvent): void {
  const room = box.value?.getBoundingClientRect();
  if (!held || !room) return;
  const scale = whole.value.width / room.width;
  const { width, height } = props.picture;
  give(
    held.view.x - ((event.clientX - held.x) * scale) / width,
    held.view.y - ((event.clientY - held.y) * scale) / height,
    view.value.zoom,
  );
}

function key(event: KeyboardEvent): void {
  const step = findArrow(event.key, event.shiftKey ? 0.1 : 0.02);
  if (!step) return;
  event.preventDefault();
  event.stopPropagation();
  give(view.value.x - step.x, view.value.y - step.y, view.value.zoom);
}

function showWhole(): void {
  props.desk.change({ fit: 'contain', frame: undefined, view: undefined });
}
</script>

<template>
  <CardPanel :title="words.title">
    <ShapeChoice
      :model-value="crops ? (picture.frame?.kind ?? 'rectangle') : undefined"
      :label="words.frame"
      @update:model-value="shape"
    />
    <template v-if="crops">
      <div
        ref="box"
        class="picture"
        :style="{ aspectRatio: own.width / own.height }"
        role="application"
        :aria-label="words.picture"
        tabindex="0"
        @pointerdown="press"
        @pointermove="drag"
        @pointerup="held = undefined"
        @keydown="key"
      >
        <ArtPicture :art="art" />
        <svg :viewBox="`0 0 ${whole.width} ${whole.height}`">
          <path
            class="shade"
            fill-rule="evenodd"
            :transform="`translate(${frame.x} ${frame.y})`"
            :d="`M-4000 -4000H4000V4000H-4000Z${frame.data}`"
          />
          <path class="frame" :transform="`translate(${frame.x} ${frame.y})`" :d="frame.data" />
        </svg>
      </div>
      <p class="quiet">{{ words.hint }}</p>
      <NumberRow
        :label="words.zoom"
        :model-value="Math.round(view.zoom * 100)"
        suffix="%"
        :min="100"
        :max="1000"
        :step="10"
        @update:model-value="give(view.x, view.y, $event / 100)"
      />
      <LinkButton @click="showWhole">{{ words.whole }}</LinkButton>
    </template>
  </CardPanel>
</template>

<style scoped>
.picture {
  position: relative;
  max-height: 240px;
  margin: 10px auto 4px;
  overflow: hidden;
  cursor: grab;
  touch-action: none;
}
.picture:focus-visible {
  outline: 2px solid var(--plum);
}
.picture svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
.shade {
  fill: #2a1b2e99;
}
.frame {
  fill: none;
  stroke: #ffffff;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
p {
  margin: 0;
}
</style>
