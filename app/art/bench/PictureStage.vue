<script setup lang="ts">
import { computed, ref } from 'vue';
import { texts } from '../../texts/index.ts';
import ChoiceRow from '../../ui/ChoiceRow.vue';

/** A picture on a ground of choice, as large as there is room; what lies over it is given in its pixels. */
const props = defineProps<{
  width: number;
  height: number;
  /** Whether something is drawn with the pointer, or what lies over the picture is pressed. */
  draws: boolean;
}>();
const emit = defineEmits<{
  press: [at: [number, number], event: PointerEvent];
  move: [at: [number, number], event: PointerEvent];
  release: [at: [number, number], event: PointerEvent];
}>();
const words = texts.art.bench;
const ground = ref<keyof typeof words.grounds>('checker');
const zoom = ref(1);
const over = ref<SVGSVGElement | null>(null);
const ratio = computed(() => props.width / props.height);

function place(event: PointerEvent): [number, number] {
  const box = over.value?.getBoundingClientRect();
  if (!box) return [0, 0];
  return [
    ((event.clientX - box.left) / box.width) * props.width,
    ((event.clientY - box.top) / box.height) * props.height,
  ];
}

function press(event: PointerEvent): void {
  if (event.button !== 0) return;
  if (props.draws) over.value?.setPointerCapture(event.pointerId);
  emit('press', place(event), event);
}

function wheel(event: WheelEvent): void {
  if (!event.ctrlKey && !event.metaKey) return;
  event.preventDefault();
  zoom.value = Math.min(8, Math.max(1, zoom.value * (event.deltaY < 0 ? 1.25 : 0.8)));
}
</script>

<template>
  <div class="stage">
    <div class="room" @wheel="wheel">
      <div
        class="picture"
        :class="ground"
        :style="{ '--ratio': ratio, '--zoom': zoom, aspectRatio: ratio }"
      >
        <slot />
        <svg
          ref="over"
          :viewBox="`0 0 ${width} ${height}`"
          :style="{ cursor: draws ? 'crosshair' : 'default' }"
          role="group"
          :aria-label="words.picture"
          @pointerdown="press"
          @pointermove="emit('move', place($event), $event)"
          @pointerup="emit('release', place($event), $event)"
        >
          <slot name="over" />
        </svg>
      </div>
    </div>
    <div class="foot">
      <ChoiceRow v-model="ground" :label="words.groundsLabel" :choices="words.grounds" />
      <span class="zoom">
        <button
          type="button"
          :aria-label="texts.ui.zoomOut"
          @click="zoom = Math.max(1, zoom / 1.5)"
        >
          –
        </button>
        <span>{{ Math.round(zoom * 100) }} %</span>
        <button type="button" :aria-label="texts.ui.zoomIn" @click="zoom = Math.min(8, zoom * 1.5)">
          +
        </button>
      </span>
    </div>
  </div>
</template>

<style scoped>
.stage {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
  min-height: 0;
  background: linear-gradient(150deg, var(--bench-from), var(--bench-to));
}
.room {
  flex: 1;
  min-height: 0;
  margin: 18px;
  overflow: auto;
  container-type: size;
}
.picture {
  position: relative;
  width: calc(min(100cqw, 100cqh * var(--ratio)) * var(--zoom));
  margin: auto;
  box-shadow: var(--shadow-paper);
}
.picture > :deep(canvas),
.picture > :deep(.vector),
svg {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
}
svg {
  touch-action: none;
}
.checker {
  background: repeating-conic-gradient(#e6dfe4 0 25%, #fbf9fa 0 50%) 0 0 / 22px 22px;
}
.white {
  background: #ffffff;
}
.kraft {
  background: #c9a87c;
}
.dark {
  background: #1d3b2c;
}
.foot {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 0 18px 14px;
}
.foot > :deep(*),
.zoom {
  background: var(--card);
}
.zoom {
  border-radius: var(--r-tray);
  padding: 3px 10px;
}
.zoom button {
  border: 0;
  padding: 4px 9px;
  background: none;
  color: var(--plum);
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}
</style>
