<script setup lang="ts">
import { computed, toRef } from 'vue';
import type { CompiledSheet } from '../../../core/sheet/index.ts';
import { useCopyPictures } from '../sheet/copy-pictures.ts';

/** The labels of a sheet as they are printed. */
const props = defineProps<{ sheet: CompiledSheet }>();
const pictures = useCopyPictures(toRef(props, 'sheet'));
const labels = computed(() =>
  props.sheet.copies.map((copy) => {
    const { x, y, angle, copy: name } = copy.placement;
    const transform = `translate(${x} ${y}) rotate(${angle})`;
    return { name, transform, picture: pictures.find(copy) };
  }),
);
</script>

<template>
  <g v-for="{ name, transform, picture } in labels" :key="name">
    <image
      v-if="picture"
      :href="picture.url"
      :x="-picture.rim"
      :y="-picture.rim"
      :width="2 * picture.rim"
      :height="2 * picture.rim"
      :transform="transform"
    />
  </g>
</template>
