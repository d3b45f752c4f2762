<script setup lang="ts">
import { computed } from 'vue';
import type { Loading, PaperSide } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';

/** How a sheet lies in a tray, from above: what is seen of it, and which end goes in first. */
const props = defineProps<{
  loading: Loading;
  side: PaperSide;
  /** The size of what is drawn in the slot, mm: the sheet that is seen. */
  size?: { readonly width: number; readonly height: number };
}>();
const words = texts.feeding;
const seen = computed((): keyof typeof words.seen => {
  if (props.loading.printed === 'up') return 'to-print';
  return props.side === 'back' ? 'printed' : 'behind';
});
const ends = computed(() => {
  const { first } = props.loading;
  return first && { in: words[first], out: first === 'top' ? words.bottom : words.top };
});
/** Where the sheet is in the drawing: beneath the printer, as large as the tray allows. */
const box = computed(() => {
  const { width, height } = props.size ?? { width: 210, height: 297 };
  const scale = Math.min(112 / width, 150 / height);
  return { x: 110 - (width * scale) / 2, y: 62, width: width * scale, height: height * scale };
});
/** Whether what is seen stands on its head. */
const turned = computed(
  () => (seen.value === 'printed' ? props.loading.first : props.loading.page) === 'bottom',
);
const says = computed(() =>
  [
    words.lies[props.side][props.loading.printed],
    props.loading.first && words.first[props.loading.first],
  ]
    .filter(Boolean)
    .join(', '),
);
</script>

<template>
  <figure class="load" :data-load="`${loading.printed} ${loading.first ?? ''}`.trim()">
    <svg viewBox="0 0 220 236" role="img" :aria-label="words.picture">
      <path class="tray" d="M40 92h140v126a8 8 0 0 1-8 8H48a8 8 0 0 1-8-8z" />
      <g :class="seen">
        <rect class="sheet" v-bind="box" />
        <path
          v-if="seen === 'behind'"
          class="fold"
          :d="`M${box.x + box.width} ${box.y + box.height - 20}v20h-20z`"
        />
        <svg
          v-else-if="size"
          v-bind="box"
          class="labels"
          :viewBox="`0 0 ${size.width} ${size.height}`"
        >
          <g :transform="turned ? `rotate(180 ${size.width / 2} ${size.height / 2})` : undefined">
            <slot />
          </g>
        </svg>
      </g>
      <path class="printer" d="M22 20h176a8 8 0 0 1 8 8v50H14V28a8 8 0 0 1 8-8z" />
      <path class="slot" d="M40 70h140" />
      <path class="way" d="M28 176v-62m-9 10 9-10 9 10" />
      <template v-if="ends">
        <text class="end" x="110" y="98" text-anchor="middle">{{ ends.in }}</text>
        <text class="end" x="110" :y="box.y + box.height - 6" text-anchor="middle">
          {{ ends.out }}
        </text>
      </template>
      <text class="seen-side" x="110" y="153" text-anchor="middle">{{ words.seen[seen] }}</text>
    </svg>
    <figcaption>{{ `${says}.` }}</figcaption>
  </figure>
</template>

<style scoped>
.load {
  width: 100%;
  max-width: 300px;
  margin: 0;
}
svg {
  display: block;
  width: 100%;
}
.printer {
  fill: #5d2a53;
  stroke: var(--line);
}
.slot {
  fill: none;
  stroke: var(--apricot);
  stroke-width: 4;
}
.tray {
  fill: var(--well);
  stroke: var(--line);
}
.sheet {
  fill: #fffdf9;
  stroke: #44203d;
}
.behind .sheet {
  fill: #e6d9c4;
}
.fold {
  fill: #fffdf9;
  stroke: #44203d;
}
.to-print .labels {
  opacity: 0.4;
}
.way {
  fill: none;
  stroke: var(--apricot);
  stroke-width: 4;
}
.end {
  fill: #44203d;
  font-weight: 700;
  font-size: 13px;
  paint-order: stroke;
  stroke: #fffdf9;
  stroke-width: 3px;
}
.behind ~ .end,
.behind ~ .seen-side {
  stroke: #e6d9c4;
}
.seen-side {
  fill: #44203d;
  font-size: 12px;
  paint-order: stroke;
  stroke: #fffdf9;
  stroke-width: 3px;
}
figcaption {
  margin-top: 6px;
  line-height: 1.4;
}
</style>
