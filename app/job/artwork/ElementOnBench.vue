<script setup lang="ts">
import { computed } from 'vue';
import { elementTitle, type PlacedElement } from '../../../core/piece/index.ts';
import { titleText } from '../../../messages/index.ts';
import { isHeavy } from '../../ui/drawing-svg.ts';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { pageSources, resourceVersion } from '../../session/page-resources.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import type { ElementGestures } from './gestures.ts';
import type { Typing } from './words/typing.ts';

/** One element as it is drawn on the bench; drawn anew only when it is another. */
const props = defineProps<{
  placed: PlacedElement;
  desk: DeskState;
  gestures: ElementGestures;
  typing: Typing;
}>();
const element = computed(() => props.placed.element);
const maps = computed(() => props.placed.maps.map((map) => `matrix(${map.join()})`));
const box = computed(() => {
  const { width, height } = props.placed.compiled;
  return { x: -width / 2, y: -height / 2, width, height };
});
const title = computed(() =>
  titleText(elementTitle(element.value, (id) => props.desk.store.committed?.art[id])),
);
/** What is a frame with gaps in it can be taken hold of anywhere in it. */
const whole = computed(
  () =>
    element.value.kind === 'picture' ||
    (element.value.kind === 'words' && element.value.path.kind === 'straight'),
);
const heavy = computed(() => isHeavy(props.placed.compiled.nodes));
const typed = computed(() => props.desk.typing.value === element.value.id);

function press(event: PointerEvent): void {
  if (typed.value) props.typing.press(event);
  else props.gestures.startMove(event, element.value.id);
}

/** A double click types words where they stand, and takes one element out of its group. */
function open(event: MouseEvent): void {
  const { id, kind, locked, group } = element.value;
  if (kind === 'words' && !locked) void props.typing.begin(id, event);
  else if (group) props.desk.select(id, false, true);
}
</script>

<template>
  <g
    data-grip
    :data-element="element.id"
    :data-place="placed.maps[0]?.join(' ')"
    class="element"
    :class="{ locked: element.locked, typed }"
    :opacity="element.opacity"
    @pointerdown.stop="press"
    @dblclick="open"
  >
    <title>{{ title }}</title>
    <g v-for="(map, at) in maps" :key="at" :transform="map" :class="{ heavy }">
      <DrawnNodes
        :nodes="placed.compiled.nodes"
        :sources="pageSources"
        :version="resourceVersion"
      />
      <template v-if="at === 0">
        <rect v-if="whole" class="hit" v-bind="box" />
        <rect v-if="placed.compiled.needs.length" class="missing" v-bind="box" />
      </template>
    </g>
  </g>
</template>

<style scoped>
.element {
  cursor: move;
}
.locked {
  cursor: default;
}
.typed {
  cursor: text;
}
/* Painted once, and moved as it is. */
.heavy {
  will-change: transform;
}
.hit {
  fill: transparent;
}
.missing {
  fill: #8a7a8f33;
  stroke: #b5432a;
  stroke-width: 1px;
  vector-effect: non-scaling-stroke;
  stroke-dasharray: 3 3;
}
</style>
