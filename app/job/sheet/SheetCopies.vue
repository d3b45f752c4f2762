<script setup lang="ts">
import { mdiPin } from '@mdi/js';
import { computed, toRef, useId } from 'vue';
import { pathData } from '../../../core/drawing/index.ts';
import { linesPath, ringsPath } from '../../../core/geometry/index.ts';
import type { CompiledSheet, SheetCopy } from '../../../core/sheet/index.ts';
import { useCopyPictures } from './copy-pictures.ts';

/** The copies on a sheet: each piece drawn once, as a picture that its copies show. */
const props = defineProps<{ sheet: CompiledSheet; oneOffs: ReadonlySet<string> }>();
const emit = defineEmits<{ grip: [event: PointerEvent, copy: SheetCopy] }>();
const id = useId();
const pieces = computed(() => [...new Set(props.sheet.copies.map(({ piece }) => piece))]);
const creased = computed(() => pieces.value.filter(({ creases }) => creases.length > 0));
const kissed = computed(() => pieces.value.filter(({ kissCuts }) => kissCuts.length > 0));
/** Lines that neighbours share, and what is left of their edges beside them. */
const shared = computed(() =>
  props.sheet.cuts.filter(({ kind, open }) => open && kind !== 'crease'),
);
const whole = computed(
  () =>
    new Map(
      props.sheet.cuts
        .filter(({ open }) => !open)
        .map(({ rings, kind }) => [rings as unknown, kind]),
    ),
);
const pictures = useCopyPictures(toRef(props, 'sheet'));
const drawn = computed(() =>
  props.sheet.copies.map((copy) => {
    const { x, y, angle, copy: name } = copy.placement;
    return {
      name,
      transform: `translate(${x} ${y}) rotate(${angle})`,
      picture: pictures.find(copy),
      edge: `#${id}-${copy.piece.piece.id}`,
      kind: whole.value.get(copy.trim),
      pinned: copy.placement.pinned === true,
      own: props.oneOffs.has(name),
      corner: cornerOf(copy),
      kissCuts: copy.piece.kissCuts.length ? `#${id}-${copy.piece.piece.id}-kisses` : undefined,
      folds: copy.piece.creases.length ? `#${id}-${copy.piece.piece.id}-folds` : undefined,
    };
  }),
);
/** Where the mark of a one-off stands: in the outermost upper right of its piece. */
function cornerOf({ piece }: SheetCopy): { x: number; y: number } {
  const round = piece.piece.edge.kind === 'circle' || piece.piece.edge.kind === 'ellipse';
  const [x, y] = [piece.width / 2, piece.height / 2];
  return round ? { x: x * 0.64, y: -y * 0.64 } : { x: x - 3.4, y: 3.4 - y };
}

const byName = computed(
  () =>
    new Map(
      [...props.sheet.copies, ...props.sheet.empty].map((copy) => [
        copy.placement.copy as string,
        copy,
      ]),
    ),
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
      <path
        v-for="piece in pieces"
        :id="`${id}-${piece.piece.id}`"
        :key="piece.piece.id"
        :d="pathData(piece.trim)"
      />
      <path
        v-for="piece in kissed"
        :id="`${id}-${piece.piece.id}-kisses`"
        :key="piece.piece.id"
        :d="pathData(ringsPath(piece.kissCuts))"
      />
      <path
        v-for="piece in creased"
        :id="`${id}-${piece.piece.id}-folds`"
        :key="piece.piece.id"
        :d="pathData(linesPath(piece.creases))"
      />
    </defs>
    <g
      v-for="{
        name,
        transform,
        picture,
        edge,
        kind,
        kissCuts,
        folds,
        pinned,
        own,
        corner,
      } in drawn"
      :key="name"
      data-grip
      :data-copy="name"
      class="copy"
      :transform="transform"
    >
      <image
        v-if="picture"
        class="art"
        :href="picture.url"
        :x="-picture.rim"
        :y="-picture.rim"
        :width="2 * picture.rim"
        :height="2 * picture.rim"
      />
      <use :href="edge" class="cut" :class="kind" />
      <use v-if="kissCuts" :href="kissCuts" class="cut kiss inner" />
      <g v-if="pinned" class="pin">
        <circle r="3.4" />
        <path transform="scale(0.2) translate(-12 -12)" :d="mdiPin" />
      </g>
      <use v-if="folds" :href="folds" class="crease" />
      <rect
        v-if="own"
        class="own"
        :transform="`translate(${corner.x} ${corner.y}) rotate(45)`"
        x="-1.6"
        y="-1.6"
        width="3.2"
        height="3.2"
      />
    </g>
    <path
      v-for="{ placement, trim } in sheet.empty"
      :key="placement.copy"
      class="empty"
      data-grip
      :data-copy="placement.copy"
      :d="pathData(ringsPath(trim))"
    />
    <path
      v-for="({ rings, kind }, at) in shared"
      :key="`shared${at}`"
      class="cut inner"
      :class="kind"
      :d="pathData(linesPath(rings))"
    />
  </g>
</template>

<style scoped>
.copy {
  cursor: grab;
}
/* Only the edge is felt by the pointer: hundreds of drawings would be searched at each move. */
.art {
  pointer-events: none;
}
.cut {
  fill: transparent;
  stroke-width: 0.3;
}
.pin {
  pointer-events: none;
}
.pin circle {
  fill: #fffdf9;
  stroke: #5d2a53;
  stroke-width: 0.3;
}
.pin path {
  fill: #5d2a53;
}
.own {
  fill: var(--apricot);
  stroke: #5d2a53;
  stroke-width: 0.4;
  pointer-events: none;
}
.empty {
  fill: #8c7d8d18;
  stroke: #8c7d8d;
  stroke-width: 0.3;
  stroke-dasharray: 1.5 1.5;
  cursor: pointer;
}
.inner {
  pointer-events: none;
}
.kiss {
  stroke: var(--kiss);
  stroke-dasharray: 1.6 1;
}
.through {
  stroke: var(--through);
}
.crease {
  fill: none;
  stroke: var(--crease);
  stroke-width: 0.3;
  stroke-dasharray: 0.2 0.9;
  stroke-linecap: round;
  pointer-events: none;
}
</style>
