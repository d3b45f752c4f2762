<script setup lang="ts">
import type { DrawingNode } from '../../core/drawing/index.ts';
import type { Box } from '../../core/geometry/index.ts';
import type { PageSources } from './drawing-svg.ts';
import { drawnBox, useDrawnPicture } from './drawn-picture.ts';
import { rectOf } from './rect-of.ts';

/** Drawing nodes as one image, of what lies in a box; for what is only looked at. */
const props = defineProps<{
  nodes: readonly DrawingNode[];
  box: Box;
  sources: PageSources;
  version: number;
  /** How many pixels a side its pictures need at most. */
  most: number;
}>();
const url = useDrawnPicture(
  () => {
    void props.version;
    return drawnBox(props.nodes, props.box);
  },
  props.sources,
  props.most,
);
</script>

<template>
  <image :href="url" v-bind="rectOf(box)" />
</template>
