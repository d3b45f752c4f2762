<script setup lang="ts">
import { pathData } from '../../../core/drawing/index.ts';
import { markPath } from '../../../core/register/index.ts';
import type { CompiledSheet } from '../../../core/sheet/index.ts';

/** What is printed on a sheet beside its copies: crop marks and registration marks. */
defineProps<{ sheet: CompiledSheet }>();
</script>

<template>
  <line v-for="(mark, at) in sheet.crops" :key="`crop${at}`" v-bind="mark" class="crop" />
  <path
    v-for="(mark, at) in sheet.marks"
    :key="`mark${at}`"
    class="dot"
    :d="pathData(markPath(mark))"
  />
</template>

<style scoped>
.crop {
  stroke: #111;
  stroke-width: 0.1px;
  pointer-events: none;
}
.dot {
  fill: #111;
  pointer-events: none;
}
</style>
