<script setup lang="ts">
import { computed } from 'vue';
import { elementMap } from '../../../core/piece/index.ts';
import type { NodePlace } from '../../../core/shape/index.ts';
import NodeHandles from '../common/NodeHandles.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import type { useElementGestures } from './gestures.ts';
import type { useLineGestures } from './lines/line-gestures.ts';
import SelectionFrame from './SelectionFrame.vue';

/** Frames and handles of what is selected. */
const props = defineProps<{
  desk: DeskState;
  gestures: ReturnType<typeof useElementGestures>;
  lines: ReturnType<typeof useLineGestures>;
  /** The length of a pixel, mm. */
  px: number;
}>();
const { point } = props.desk;
/** The drawn line whose points can be moved. */
const bent = computed(() => {
  const one = props.desk.only.value;
  return one?.kind === 'line' && !one.locked ? one : undefined;
});

function choosePoint(place: NodePlace): void {
  point.value = place;
}
</script>

<template>
  <SelectionFrame
    v-for="element in desk.elements.value"
    :key="element.id"
    :element="element"
    :px="px"
    :grips="desk.only.value !== undefined && !element.locked"
    @turn="gestures.startTurn($event, element)"
    @resize="(event, corner) => gestures.startResize(event, element, corner)"
  />
  <NodeHandles
    v-if="bent"
    :rings="[bent.nodes]"
    :map="elementMap(bent)"
    :px="px"
    :point="point"
    @choose="choosePoint"
    @press="(event, place, side) => bent && lines.startNode(event, bent, place, side)"
  />
</template>
