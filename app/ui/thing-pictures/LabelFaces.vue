<script setup lang="ts">
import { computed, useId } from 'vue';
import { boxAbout, boxOfRings, findPath, flatten } from '../../../core/geometry/index.ts';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import type { Canvas } from '../canvas.ts';
import { rectOf } from '../rect-of.ts';
import type { SeenFrom, ThingLine } from './picture.ts';
import { aroundWall, turnedWall, wallOf } from './wall.ts';

/** The picture of a flat label on all of its thing that is seen; it goes into the slot of the thing’s lines. */
const props = defineProps<{
  thing: MeasuredThing;
  flat: FlatSize;
  seen: SeenFrom;
  lines: readonly ThingLine[];
  /** The whole label. */
  picture: Canvas;
}>();
const FINE = 3; // px for each unit of the drawing
const id = useId();

/** Where a wall is covered: it has one picture, though the label may show at both sides of it. */
const wallBox = computed(() =>
  boxOfRings(
    props.lines.flatMap(({ look, d, lies }) =>
      look === 'label' && !lies ? flatten(findPath(d) ?? []) : [],
    ),
  ),
);
const faces = computed(() =>
  props.lines.flatMap(({ look, d, lies }) => {
    if (look !== 'label') return [];
    const box = lies
      ? boxAbout({ x: 0, y: 0 }, props.flat.width, props.flat.height)
      : wallBox.value;
    return box ? [{ d, lies, box }] : [];
  }),
);
const url = computed(() => {
  const wall = wallOf(props.thing, props.flat);
  const room = wallBox.value;
  if (!wall || !room) return props.picture.canvas.toDataURL();
  const size = { width: (room.right - room.left) * FINE, height: (room.bottom - room.top) * FINE };
  const seen = props.seen === 'back' ? turnedWall(wall) : wall;
  return aroundWall(props.picture, seen, size).canvas.toDataURL();
});
</script>

<template>
  <g v-for="({ d, lies, box }, at) in faces" :key="at" :clip-path="`url(#${id}-${at})`">
    <clipPath :id="`${id}-${at}`"><path :d="d" /></clipPath>
    <image
      :href="url"
      v-bind="rectOf(box)"
      :transform="lies && `matrix(${lies.join(' ')})`"
      preserveAspectRatio="none"
    />
  </g>
</template>
