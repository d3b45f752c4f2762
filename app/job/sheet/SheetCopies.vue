<script setup lang="ts">
import { computed, useId } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { findPrintClip, type CompiledSheet, type SheetCopy } from '../../../core/sheet/index.ts';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { pageSources, resourceVersion } from '../store/page-resources.ts';

/** The copies on a sheet: each piece drawn once and used for its copies. */
const props = defineProps<{
  sheet: CompiledSheet;
  selected: string | undefined;
  hidden: string | undefined;
}>();
const emit = defineEmits<{ grip: [event: PointerEvent, copy: SheetCopy] }>();
const id = useId();
const pieces = computed(() => [...new Set(props.sheet.copies.map(({ piece }) => piece))]);
const kind = computed(() => props.sheet.cuts[0]?.kind ?? 'kiss');
const drawn = computed(() =>
  props.sheet.copies.map((copy, index) => {
    const { x, y, angle, copy: name } = copy.placement;
    const clip = findPrintClip(copy, props.sheet.zones);
    return {
      copy,
      name,
      index,
      transform: `translate(${x} ${y}) rotate(${angle})`,
      symbol: `${id}-${copy.piece.piece.id}`,
      clip: clip && pathData(clip),
    };
  }),
);
const byName = computed(
  () => new Map(props.sheet.copies.map((copy) => [copy.placement.copy as string, copy])),
);

function press(event: PointerEvent): void {
  const name = (event.target as Element).closest('[data-copy]')?.getAttribute('data-copy');
  const copy = name ? byName.value.get(name) : undefined;
  if (!copy) return;
  event.stopPropagation();
  emit('grip', event, copy);
}
</script>

<template>
  <g @pointerdown="press">
    <defs>
      <g v-for="piece in pieces" :id="`${id}-${piece.piece.id}`" :key="piece.piece.id"
        ><DrawnNodes :nodes="piece.nodes" :sources="pageSources" :version="resourceVersion"
      /></g>
      <path
        v-for="piece in pieces"
        :id="`${id}-cut-${piece.piece.id}`"
        :key="`cut${piece.piece.id}`"
        :d="pathData(piece.trim)"
      />
      <template v-for="{ clip, index } in drawn" :key="index"
        ><clipPath v-if="clip" :id="`${id}-clip-${index}`"><path :d="clip" /></clipPath
      ></template>
    </defs>
    <g
      v-for="{ name, transform, symbol, clip, index } in drawn"
      :key="name"
      data-grip
      :data-copy="name"
      class="copy"
      :class="{ hidden: hidden === name }"
      :transform="transform"
    >
      <use
        class="art"
        :href="`#${symbol}`"
        :clip-path="clip ? `url(#${id}-clip-${index})` : undefined"
      />
      <use
        :href="`#${symbol.replace(id, `${id}-cut`)}`"
        class="cut"
        :class="[kind, { chosen: selected === name }]"
      />
    </g>
  </g>
</template>

<style scoped>
.copy {
  cursor: grab;
}
.hidden {
  visibility: hidden;
}
/* Only the edge is felt by the pointer: hundreds of drawings would be searched at each move. */
.art {
  pointer-events: none;
}
.cut {
  fill: transparent;
  stroke-width: 0.3;
}
.kiss {
  stroke: var(--kiss);
  stroke-dasharray: 1.6 1;
}
.through {
  stroke: var(--through);
}
.chosen {
  stroke: #5d2a53;
  stroke-width: 0.7;
  stroke-dasharray: none;
}
</style>
