<script setup lang="ts">
import { computed, ref } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { shapePath } from '../../../core/shape/index.ts';
import { spotPlaces } from '../../../core/stock/index.ts';
import { problemLine } from '../../../messages/index.ts';
import { texts } from '../../texts/index.ts';
import { findArrow } from '../../ui/arrow-keys.ts';
import PixelPicture from '../../ui/PixelPicture.vue';
import PhotoCorners from '../../ui/PhotoCorners.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { TemplateEditor } from './template-editor.ts';

/** The sheet that is described: its labels, over the picture in which they were found. */
const { editor } = defineProps<{ editor: TemplateEditor }>();
const words = texts.stock;
const { stock, photo, found, chosen, wrong, busy, isWhole, settingCorners } = editor;
const svg = ref<SVGSVGElement | null>(null);
const over = ref(false);
const outline = computed(() =>
  stock.value?.spots ? pathData(shapePath(stock.value.spots.shape)) : '',
);
const labels = computed(() => (stock.value?.spots ? spotPlaces(stock.value.spots) : []));

const onSheet = ({ clientX, clientY }: PointerEvent): { x: number; y: number } => {
  const matrix = svg.value?.getScreenCTM()?.inverse();
  const at = new DOMPoint(clientX, clientY).matrixTransform(matrix);
  return { x: at.x, y: at.y };
};
let held: { x: number; y: number; label: { x: number; y: number } } | undefined;

function press(event: PointerEvent, at: number): void {
  if (!found.value) return;
  chosen.value = at;
  const label = labels.value[at];
  if (label) held = { ...onSheet(event), label };
  (event.target as Element).setPointerCapture(event.pointerId);
}

/** The label goes where the hand lets it go. */
function release(event: PointerEvent, at: number): void {
  if (!held) return;
  const to = onSheet(event);
  const [dx, dy] = [to.x - held.x, to.y - held.y];
  if (Math.hypot(dx, dy) > 0.3) editor.move(at, { x: held.label.x + dx, y: held.label.y + dy });
  held = undefined;
}

function key(event: KeyboardEvent, at: number): void {
  const label = labels.value[at];
  const step = findArrow(event.key, event.shiftKey ? 1 : 0.1);
  if (!found.value || !label) return;
  if (event.key === 'Delete' || event.key === 'Backspace') editor.remove(at);
  else if (step) editor.move(at, { x: label.x + step.x, y: label.y + step.y });
  else return;
  event.preventDefault();
}

function drop(event: DragEvent): void {
  over.value = false;
  void editor.take([...(event.dataTransfer?.files ?? [])]);
}
</script>

<template>
  <div
    class="measured"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="drop"
  >
    <PhotoCorners
      v-if="settingCorners && photo"
      :photo="photo"
      :done-label="words.read.cornersDone"
      @done="editor.look"
    />
    <div v-else-if="stock" class="sheet" :style="{ aspectRatio: stock.width / stock.height }">
      <PixelPicture v-if="photo" class="photo" :image="photo.flat" :label="words.read.flat" />
      <svg ref="svg" :viewBox="`0 0 ${stock.width} ${stock.height}`">
        <g
          v-for="({ x, y, angle }, at) in labels"
          :key="at"
          :transform="`translate(${x} ${y}) rotate(${angle})`"
        >
          <path
            class="label"
            :class="{ chosen: chosen === at, held: found }"
            :d="outline"
            :tabindex="found ? 0 : undefined"
            :role="found ? 'button' : undefined"
            :aria-label="words.read.label(at + 1)"
            @focus="found && (chosen = at)"
            @pointerdown="press($event, at)"
            @pointerup="release($event, at)"
            @keydown="key($event, at)"
          />
        </g>
      </svg>
    </div>
    <div
      v-else-if="photo"
      class="sheet"
      :style="{ aspectRatio: photo.flat.width / photo.flat.height }"
    >
      <PixelPicture class="photo" :image="photo.flat" :label="words.read.flat" />
    </div>
    <p v-if="busy" class="say" role="status">
      {{ words.read.looking }}
      <LinkButton @click="editor.cancel">{{ texts.cancel }}</LinkButton>
    </p>
    <p v-else-if="wrong" class="say wrong" role="alert">{{ problemLine(wrong) }}</p>
    <p v-else class="say quiet">
      {{
        settingCorners
          ? words.read.cornersHint
          : found
            ? isWhole
              ? words.read.whole
              : `${words.read.found(labels.length)}. ${words.read.check}`
            : words.own.hint
      }}
    </p>
  </div>
</template>

<style scoped>
.measured {
  display: flex;
  flex-direction: column;
  gap: 18px;
  align-items: center;
  justify-content: center;
  box-sizing: border-box;
  height: 100%;
  padding: 26px;
}
.over {
  box-shadow: inset 0 0 0 3px var(--apricot);
}
.sheet {
  position: relative;
  height: calc(100% - 62px);
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
.label {
  fill: #f2a65a33;
  stroke: var(--plum-deep);
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}
:root[data-theme='dark'] .label {
  stroke: #44203d;
}
.held {
  cursor: grab;
}
.held:hover {
  fill: #f2a65a66;
}
.label:focus {
  outline: none;
}
.label:focus-visible {
  stroke: var(--plum);
  stroke-width: 3px;
}
.chosen {
  fill: #f2a65a88;
  stroke-width: 2.4px;
}
.say {
  max-width: 560px;
  margin: 0;
  border-radius: var(--r-card);
  padding: 8px 18px;
  background: var(--card);
  text-align: center;
}
.wrong {
  color: var(--brick-text);
}
</style>
