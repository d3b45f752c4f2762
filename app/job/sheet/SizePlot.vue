<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { scaledAlike, scaleThatFits, type SizeStep } from '../../../core/job/index.ts';
import { pieceSize } from '../../../core/piece/index.ts';
import { leadPiece } from '../../../core/sheet/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import NumberRow from '../../ui/NumberRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useMessages } from '../../ui/messages-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** How many copies a sheet takes at other sizes of the piece, and the step to such a size. */
const props = defineProps<{ sizes: readonly SizeStep[] }>();
const store = useJobStore();
const settings = useSettings();
const messages = useMessages();
const say = texts.sheet;
const [WIDE, HIGH] = [232, 64];

const piece = computed(() => store.committed && leadPiece(store.committed));
const now = computed(() => props.sizes.find(({ scale }) => Math.abs(scale - 1) < 1e-6));
/** The size that is looked at: its scale. */
const looked = ref<number>();
/** How many were asked for, where that led to the size. */
const exact = ref<number>();
// A size that is looked at stays while sizes are compared anew, as long as the piece has its own.
watch(
  () => piece.value && Object.values(pieceSize(piece.value)).join(),
  () => {
    looked.value = undefined;
    exact.value = undefined;
  },
);

const most = computed(() => Math.max(1, ...props.sizes.map(({ copies }) => copies)));
const x = (scale: number): number => {
  const [first, last] = [
    props.sizes[0]?.scale ?? 0,
    props.sizes[props.sizes.length - 1]?.scale ?? 1,
  ];
  return ((scale - first) / (last - first)) * WIDE;
};
const y = (copies: number): number => HIGH - 3 - (copies / most.value) * (HIGH - 10);
const line = computed(() =>
  props.sizes
    .map(({ scale, copies }, at) => (at === 0 ? `M0 ${y(copies)}` : `H${x(scale)}V${y(copies)}`))
    .join(''),
);
const shown = computed(() => {
  const scale = looked.value ?? 1;
  const step = [...props.sizes].reverse().find((one) => one.scale <= scale + 1e-6);
  return { scale, copies: exact.value ?? step?.copies ?? 0 };
});
const length = (scale: number): string => {
  const { width, height } = piece.value ? pieceSize(piece.value) : { width: 0, height: 0 };
  const sides = width === height ? [width] : [width, height];
  return sides.map((side) => formatLength(side * scale, settings.unit)).join(' × ');
};

function look(at: number): void {
  exact.value = undefined;
  looked.value = props.sizes[at]?.scale;
}

/** Looks at the largest size at which so many fit. */
function fit(count: number): void {
  const scale = store.committed && scaleThatFits(store.committed, count);
  if (scale === undefined) return messages.say(say.neverFits(count));
  exact.value = count;
  looked.value = scale;
}

function use(): void {
  if (store.committed && looked.value !== undefined)
    store.act(scaledAlike(store.committed, looked.value));
}
</script>

<template>
  <figure>
    <figcaption>{{ say.bySize }}</figcaption>
    <div class="plot">
      <svg
        :viewBox="`0 0 ${WIDE} ${HIGH}`"
        preserveAspectRatio="none"
        role="img"
        :aria-label="say.bySizeLong(most)"
      >
        <path class="line" :d="line" />
        <path class="now" :d="`M${x(1)} 0V${HIGH}`" />
        <path v-if="looked !== undefined" class="looked" :d="`M${x(looked)} 0V${HIGH}`" />
      </svg>
      <input
        type="range"
        min="0"
        :max="sizes.length - 1"
        :value="sizes.findIndex(({ scale }) => scale >= shown.scale - 1e-6)"
        :aria-label="say.lookAtSize"
        :aria-valuetext="say.atSize(length(shown.scale), shown.copies)"
        @input="look(Number(($event.target as HTMLInputElement).value))"
      />
    </div>
    <p class="ends quiet">
      <span>{{ length(sizes[0]?.scale ?? 1) }}</span>
      <span>{{ length(sizes[sizes.length - 1]?.scale ?? 1) }}</span>
    </p>
    <p aria-live="polite">
      {{
        looked === undefined
          ? say.nowAtSize(length(1), now?.copies ?? 0)
          : say.atSize(length(shown.scale), shown.copies)
      }}
      <LinkButton v-if="looked !== undefined" @click="use">
        {{ say.useSize }}
      </LinkButton>
    </p>
    <NumberRow
      :label="say.fitOn"
      :name="say.fitOnLong"
      :model-value="shown.copies"
      :min="1"
      :max="2000"
      @update:model-value="fit"
    />
  </figure>
</template>

<style scoped>
figure {
  margin: 12px 0 0;
}
figcaption {
  padding-bottom: 4px;
  font-weight: 600;
}
.plot {
  position: relative;
  border-bottom: 1px solid var(--line);
}
svg {
  display: block;
  width: 100%;
  height: 64px;
}
path {
  fill: none;
  vector-effect: non-scaling-stroke;
}
.line {
  stroke: var(--plum);
  stroke-width: 2px;
}
.now {
  stroke: var(--ink-2);
  stroke-dasharray: 3 3;
}
.looked {
  stroke: var(--apricot);
  stroke-width: 3px;
}
/* The whole plot is the slider. */
input {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  opacity: 0;
  cursor: col-resize;
}
.plot:focus-within {
  outline: 2px solid var(--plum);
  outline-offset: 2px;
}
p {
  margin: 6px 0;
}
.ends {
  display: flex;
  justify-content: space-between;
  margin: 2px 0 0;
  font-size: 12px;
}
</style>
