<script setup lang="ts">
import { onMounted, ref, watch } from 'vue';
import type { RgbaImage } from '../../core/raster/index.ts';
import { paint } from './canvas.ts';

/** Pixels on a canvas. */
const props = defineProps<{ image: RgbaImage; label: string }>();
const canvas = ref<HTMLCanvasElement | null>(null);

function show(): void {
  if (canvas.value) paint(canvas.value, props.image);
}
onMounted(show);
watch(() => props.image, show);
</script>

<template>
  <canvas ref="canvas" role="img" :aria-label="label" />
</template>
