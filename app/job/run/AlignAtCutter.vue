<script setup lang="ts">
import { mdiChevronDown, mdiChevronLeft, mdiChevronRight, mdiChevronUp } from '@mdi/js';
import { computed, reactive, ref } from 'vue';
import type { Point } from '../../../core/geometry/index.ts';
import { moveProgram } from '../../../core/output/index.ts';
import type { Cutter } from '../../../core/stock/index.ts';
import { cutOn } from '../../session/bridge.ts';
import { texts } from '../../texts/index.ts';
import { findArrow } from '../../ui/arrow-keys.ts';
import { useMessages } from '../../ui/messages-store.ts';
import LinkButton from '../../ui/LinkButton.vue';

/** At the cutter: its pointer is moved onto each mark by small moves that are sent to it. */
const props = defineProps<{
  cutter: Cutter;
  /** Of the sheet, mm. */
  width: number;
  height: number;
  marks: readonly Point[];
}>();
const emit = defineEmits<{ done: [places: readonly Point[]]; close: [] }>();
const words = texts.run;
const messages = useMessages();
const NEEDED = 3;
const STEPS = [0.1, 1, 10] as const; // mm
const WAYS = {
  up: { x: 0, y: -1, icon: mdiChevronUp },
  left: { x: -1, y: 0, icon: mdiChevronLeft },
  right: { x: 1, y: 0, icon: mdiChevronRight },
  down: { x: 0, y: 1, icon: mdiChevronDown },
} as const;
const step = ref<number>(1);
const places = reactive<Point[]>(props.marks.slice(0, NEEDED).map(({ x, y }) => ({ x, y })));
const at = ref(0);
const place = computed(() => places[at.value] ?? { x: 0, y: 0 });
const last = computed(() => at.value === places.length - 1);
let moving: Promise<unknown> = Promise.resolve();

/** Sends the pointer, lifted, to where the mark is thought to be. */
function send(): void {
  const { width, height, cutter } = props;
  const program = moveProgram(place.value, { width, height }, { profile: cutter.profile });
  moving = moving.then(async () => {
    const done = await cutOn(cutter, { program }, () => undefined).done;
    if (!done.ok) messages.sayProblem(done.problem);
  }, messages.sayError);
}

function move(by: Point): void {
  places[at.value] = { x: place.value.x + by.x, y: place.value.y + by.y };
  send();
}

function key(event: KeyboardEvent): void {
  const by = findArrow(event.key, step.value);
  if (!by) return;
  event.preventDefault();
  move(by);
}

function next(): void {
  if (last.value) return emit('done', [...places]);
  // What the first marks are off by, the next ones very likely are too.
  const off = {
    x: place.value.x - (props.marks[at.value]?.x ?? 0),
    y: place.value.y - (props.marks[at.value]?.y ?? 0),
  };
  at.value++;
  const mark = props.marks[at.value];
  if (mark) places[at.value] = { x: mark.x + off.x, y: mark.y + off.y };
  send();
}

send();
</script>

<template>
  <div class="align" tabindex="0" :aria-label="words.atCutter" role="group" @keydown="key">
    <p>
      <strong>{{ words.pointerTo(at + 1, places.length) }}</strong>
      {{ words.pointerHint }}
    </p>
    <div class="pad">
      <button
        v-for="(way, name) in WAYS"
        :key="name"
        type="button"
        :style="{ gridArea: name }"
        :aria-label="words.moves[name]"
        @click="move({ x: way.x * step, y: way.y * step })"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="way.icon" /></svg>
      </button>
      <output>{{ `${place.x.toFixed(1)} · ${place.y.toFixed(1)}` }}</output>
    </div>
    <div class="steps" role="radiogroup" :aria-label="words.moveBy">
      <button
        v-for="one in STEPS"
        :key="one"
        type="button"
        role="radio"
        :aria-checked="one === step"
        @click="step = one"
      >
        {{ words.mm(one, one < 1 ? 1 : 0) }}
      </button>
    </div>
    <div class="ways">
      <v-btn color="primary" height="40" data-on-mark @click="next">{{
        last ? words.cutThere : words.onMark
      }}</v-btn>
      <LinkButton @click="emit('close')">{{ texts.cancel }}</LinkButton>
    </div>
  </div>
</template>

<style scoped>
.align {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.pad {
  display: grid;
  grid-template-areas: '. up .' 'left at right' '. down .';
  grid-template-columns: 44px 1fr 44px;
  gap: 6px;
  align-items: center;
  justify-items: center;
  max-width: 230px;
}
.pad button {
  width: 44px;
  height: 44px;
  border: 0;
  border-radius: 12px;
  background: var(--apricot-soft);
  color: var(--plum);
  font: inherit;
  cursor: pointer;
}

.pad path {
  fill: var(--plum);
}
output {
  grid-area: at;
}
.steps {
  display: flex;
  gap: 4px;
}
.steps button {
  border: 0;
  border-radius: 10px;
  padding: 6px 12px;
  background: var(--well);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.steps button[aria-checked='true'] {
  background: var(--apricot-soft);
  font-weight: 600;
}
.ways {
  display: flex;
  gap: 14px;
  align-items: center;
}
</style>
