<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import type { RgbaImage } from '../../core/raster/index.ts';

/** Pixels on a canvas. */
const props = defineProps<{ image: RgbaImage; label: string }>();
const canvas = ref<HTMLCanvasElement | null>(null);

function paint(): void {
  const context = canvas.value?.getContext('2d');
  if (!canvas.value || !context) return;
  const { width, height, data } = props.image;
  canvas.value.width = width;
  canvas.value.height = height;
  context.putImageData(new ImageData(new Uint8ClampedArray(data), width, height), 0, 0);
}
onMounted(paint);
watch(() => props.image, paint);
</script>

<template>
  <canvas ref="canvas" role="img" :aria-label="label" />
</template>
