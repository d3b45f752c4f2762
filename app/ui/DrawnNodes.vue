<script setup lang="ts">
import { computed, useId } from 'vue';
import type { DrawingNode } from '../../core/drawing/index.ts';
import { pageSvg, type PageSources } from './drawing-svg.ts';

/** Drawing nodes as SVG; written anew only when they are other nodes. */
const props = defineProps<{
  nodes: readonly DrawingNode[];
  sources: PageSources;
  version: number;
}>();
const id = useId();
const markup = computed(() => {
  void props.version;
  const { defs, body } = pageSvg(props.nodes, props.sources, `${id}-`);
  return defs ? `<defs>${defs}</defs>${body}` : body;
});
</script>

<template>
  <!-- Markup of our own writer, made from numbers, checked colours and escaped words. -->
  <!-- eslint-disable-next-line vue/no-v-html, vue/no-v-text-v-html-on-component -->
  <g v-html="markup" />
</template>
