<script setup lang="ts">
import type { DrawingNode } from '../../core/drawing/index.ts';
import { translation, type Box } from '../../core/geometry/index.ts';
import type { PageSources } from './drawing-svg.ts';
import { useDrawnPicture } from './drawn-picture.ts';

/** Drawing nodes as one image, of what lies in a box; for what is only looked at. */
const props = defineProps<{
  nodes: readonly DrawingNode[];
  box: Box;
  sources: PageSources;
  version: number;
}>();
const url = useDrawnPicture(() => {
  void props.version;
  const { left, top, right, bottom } = props.box;
  const children = props.nodes;
  return {
    width: right - left,
    height: bottom - top,
    symbols: {},
    nodes: [{ kind: 'group', transform: translation(-left, -top), children }],
  };
}, props.sources);
</script>

<template>
  <image
    :href="url"
    :x="box.left"
    :y="box.top"
    :width="box.right - box.left"
    :height="box.bottom - box.top"
  />
</template>
