<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { boxOfRings, grown, ringsPath } from '../../../core/geometry/index.ts';
import { arcPoint } from '../../../core/shape/index.ts';
import { isReadable, zoneRoom, type Zone } from '../../../core/things/index.ts';
import { zoneText } from '../../../messages/index.ts';
import { texts } from '../../texts/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** What the parts of the label will be on its thing: named at its side, where a press looks closely at one. */
const props = defineProps<{ desk: DeskState; bench: BenchControls; px: number }>();

const LETTER = 6.4; // px across, of a name
const BESIDE = 9; // px between the bleed and a name
const AROUND = 6; // mm around a zone that is looked at

interface NamedZone {
  readonly zone: Zone;
  readonly name: string;
  readonly path: string;
  /** Whether its words would be hidden. */
  readonly isHidden: boolean;
  readonly place: string;
  readonly anchor: 'start' | 'middle' | 'end';
}

/** Zones above each other are named at their left, others above. */
const isColumn = computed(() => {
  const tops = props.desk.zones.value.map(({ rings }) => boxOfRings(rings)?.top ?? 0);
  return props.desk.edge.value?.kind !== 'arc' && Math.max(...tops) - Math.min(...tops) > 1;
});

const named = computed(() =>
  props.desk.zones.value.map((zone, at, all): NamedZone => {
    const name = zoneText(zone.name);
    const length = (isColumn.value ? downOf(zone) : acrossOf(zone)) / props.px;
    const isTight = length < name.length * LETTER;
    const anchor = !isTight
      ? 'middle'
      : at === 0
        ? 'end'
        : at === all.length - 1
          ? 'start'
          : 'middle';
    return {
      zone,
      name,
      path: pathData(ringsPath(zone.rings)),
      isHidden: !isReadable(zone),
      place: placeOf(zone, { middle: 0, start: -0.5, end: 0.5 }[anchor]),
      anchor,
    };
  }),
);

const boxOf = (zone: Zone) => boxOfRings(zone.rings) ?? { left: 0, top: 0, right: 0, bottom: 0 };
const downOf = (zone: Zone): number => boxOf(zone).bottom - boxOf(zone).top;
function acrossOf(zone: Zone): number {
  const { value: edge } = props.desk.edge;
  const { left, right } = boxOf(zone);
  return edge && zone.span ? zoneRoom(zone, edge).width : right - left;
}

/** @param share of its length from its middle, at which its name stands */
function placeOf(zone: Zone, share: number): string {
  const { value: edge } = props.desk.edge;
  const out = (props.desk.piece.value?.bleed ?? 0) + BESIDE * props.px;
  if (edge?.kind === 'arc' && zone.span) {
    const { from, to } = zone.span;
    const along = (from + to) / 2 + (to - from) * share;
    const at = arcPoint(edge, along, edge.wide === 'top' ? -out : edge.slant + out);
    return `translate(${at.x} ${at.y}) rotate(${edge.wide === 'top' ? along : -along})`;
  }
  const { left, top, right, bottom } = boxOf(zone);
  const [x, y] = [(left + right) / 2, (top + bottom) / 2];
  return isColumn.value
    ? `translate(${left - out} ${y - (bottom - top) * share}) rotate(-90)`
    : `translate(${x + (right - left) * share} ${top - out})`;
}

/** Where a press on a name counts: between its letters, too. */
function pressed({ name, anchor }: NamedZone): Record<'x' | 'y' | 'width' | 'height', number> {
  const width = name.length * LETTER + 16;
  const x = anchor === 'middle' ? -width / 2 : anchor === 'end' ? 8 - width : -8;
  return { x, y: -12, width, height: 24 };
}

function look(zone: Zone): void {
  if (props.desk.lookAtZone(zone)) props.bench.showBox(grown(boxOf(zone), AROUND));
  else props.bench.fit();
}
</script>

<template>
  <g class="zones">
    <g v-for="(one, at) in named" :key="at" :class="{ hidden: one.isHidden }">
      <path class="room" :d="one.path" />
      <path class="room on-dark" :d="one.path" />
      <g
        class="name"
        :class="{ chosen: one.zone === desk.zone.value }"
        :transform="one.place"
        role="button"
        tabindex="0"
        data-grip
        :aria-label="texts.artwork.lookAtZone(one.name)"
        :aria-pressed="one.zone === desk.zone.value"
        @pointerdown.stop
        @click="look(one.zone)"
        @keydown.enter.prevent="look(one.zone)"
        @keydown.space.prevent="look(one.zone)"
      >
        <title>{{ texts.artwork.lookAtZone(one.name) }}</title>
        <g :transform="`scale(${px})`">
          <rect class="around" v-bind="pressed(one)" />
          <text :text-anchor="one.anchor" dominant-baseline="middle">{{ one.name }}</text>
        </g>
      </g>
    </g>
  </g>
</template>

<style scoped>
.room {
  fill: none;
  stroke: #5d2a53;
  stroke-opacity: 0.3;
  stroke-width: 1px;
  stroke-dasharray: 1 4;
  stroke-linecap: round;
  vector-effect: non-scaling-stroke;
  pointer-events: none;
}
.room.on-dark {
  stroke: #fffdf9;
  stroke-dashoffset: 2.5;
}
.hidden .room {
  fill: #5d2a53;
  fill-opacity: 0.09;
}
.hidden .room.on-dark {
  fill: #fffdf9;
}
.name {
  cursor: zoom-in;
  outline: none;
}
.around {
  fill: transparent;
}
.name text {
  fill: #6d5a69;
  font-size: 12px;
  font-weight: 600;
  letter-spacing: 0.02em;
}
.name:hover text,
.name:focus-visible text,
.name.chosen text {
  fill: #5d2a53;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.name.chosen {
  cursor: zoom-out;
}
</style>
