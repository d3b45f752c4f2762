<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../core/drawing/index.ts';
import { shapePath } from '../../core/shape/index.ts';
import { spotPlaces, supplySheets, type Supply } from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import { useStockRoom } from '../session/stock-room-store.ts';

/** The started sheets of a supply; a click on a label says that it is gone, or there after all. */
const props = defineProps<{ supply: Supply }>();
const words = texts.stock.supply;
const room = useStockRoom();
const places = computed(() =>
  props.supply.stock.spots ? spotPlaces(props.supply.stock.spots) : [],
);
const outline = computed(() =>
  props.supply.stock.spots ? pathData(shapePath(props.supply.stock.spots.shape)) : '',
);

/** Whether a label is gone, the other way round; with Shift, it and all before it are gone. */
function flip(sheet: number, spot: number, upTo = false): void {
  const used = props.supply.started[sheet]?.used ?? [];
  const all = Array.from({ length: spot + 1 }, (_, at) => at);
  const next = used.includes(spot) ? used.filter((one) => one !== spot) : [...used, spot];
  void room.useSpots(props.supply, sheet, upTo ? [...used, ...all] : next);
}
</script>

<template>
  <section>
    <h2>{{ words.startedTitle }}</h2>
    <p class="quiet">{{ words.startedHint }}</p>
    <div class="sheets">
      <figure v-for="(sheet, at) in supply.started" :key="at">
        <svg :viewBox="`0 0 ${supply.stock.width} ${supply.stock.height}`">
          <rect
            class="paper"
            :width="supply.stock.width"
            :height="supply.stock.height"
            :fill="supply.material.color"
          />
          <path
            v-for="({ x, y, angle }, spot) in places"
            :key="spot"
            class="spot"
            role="button"
            tabindex="0"
            :class="{ gone: sheet.used.includes(spot) }"
            :d="outline"
            :transform="`translate(${x} ${y}) rotate(${angle})`"
            :aria-label="words.spot(spot + 1, sheet.used.includes(spot))"
            @click="flip(at, spot, $event.shiftKey)"
            @keydown.enter.prevent="flip(at, spot)"
            @keydown.space.prevent="flip(at, spot)"
          />
        </svg>
        <figcaption>{{ words.spotsGone(sheet.used.length, places.length) }}</figcaption>
      </figure>
      <button
        class="start"
        type="button"
        :disabled="supplySheets(supply) === 0"
        @click="flip(supply.started.length, 0)"
      >
        {{ words.start }}
      </button>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: 14.5px;
}
p {
  margin: 2px 0 12px;
}
.sheets {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
}
figure {
  margin: 0;
  text-align: center;
}
svg {
  height: 300px;
  overflow: visible;
}
.paper {
  filter: drop-shadow(0 3px 6px #44203d33);
}
.spot {
  fill: #fbe3c8;
  stroke: #8c7d8d;
  cursor: pointer;
}
.spot:not(.gone):hover {
  fill: var(--apricot);
}
.spot:focus {
  outline: none;
}
.spot:focus-visible {
  stroke: var(--plum);
  stroke-width: 2.5px;
}
.gone {
  fill: #ffffff66;
  stroke-dasharray: 3 3;
}
figcaption {
  margin-top: 6px;
  color: var(--ink-2);
}
.start {
  width: 160px;
  height: 300px;
  border: 2px dashed var(--field-line);
  border-radius: var(--r-card);
  background: none;
  color: var(--plum);
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}
.start:hover:not(:disabled) {
  background: var(--apricot-soft);
}
.start:disabled {
  opacity: 0.5;
  cursor: default;
}
</style>
