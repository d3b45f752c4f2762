<script setup lang="ts">
import { computed, onBeforeUnmount, shallowRef, watch } from 'vue';
import { tryCommand } from '../../../core/job/index.ts';
import type { Words } from '../../../core/piece/index.ts';
import type { Legibility } from '../../../core/proof/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { proofCalls } from '../../calls/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ShownWays, { type ShownWay } from './ShownWays.vue';

/** How well the chosen words can be read where they stand, and what would help. */
const props = defineProps<{ desk: DeskState; words: Words }>();
const settings = useSettings();
const say = texts.readable;
const QUIET = 250; // ms without a change before it is measured
const MOST = 21;

const found = shallowRef<Legibility>();
const looking = shallowRef(false);
let timer: ReturnType<typeof setTimeout> | undefined;
let asked = 0;

async function measure(): Promise<void> {
  const { store, committedPiece } = props.desk;
  if (!store.committed || !committedPiece.value) return;
  const own = ++asked;
  const args = { job: store.committed, piece: committedPiece.value.id, element: props.words.id };
  const answer = await proofCalls.call('legibility', args).answer.catch(() => undefined);
  if (own !== asked) return;
  found.value = answer;
  looking.value = false;
}

watch(
  () => [props.desk.store.committed, props.words.id],
  ([, id], before) => {
    if (id !== before?.[1]) found.value = undefined;
    looking.value = true;
    clearTimeout(timer);
    timer = setTimeout(() => void measure(), QUIET);
  },
  { immediate: true },
);
onBeforeUnmount(() => {
  clearTimeout(timer);
  asked++;
});

/** Along the bar by the logarithm, as contrast is seen. */
const share = (ratio: number): number => (100 * Math.log(ratio)) / Math.log(MOST);
const good = computed(() => found.value && found.value.ratio >= found.value.wanted - 0.05);
/** The ways on the job that was measured: while one types they stay as they are. */
const ways = shallowRef<readonly ShownWay[]>([]);
watch(found, (measured) => {
  const { committed } = props.desk.store;
  ways.value = (measured?.ways ?? []).flatMap(({ code, call, ratio }) => {
    const job = committed && tryCommand(committed, call);
    const note = say.ratio(ratio.toFixed(1));
    return job ? [{ key: code, call, job, name: say.ways[code], note }] : [];
  });
});
</script>

<template>
  <CardPanel :title="say.title" :aside="looking && !found ? say.looking : say.atSize">
    <template v-if="found">
      <div
        class="bar"
        role="img"
        :aria-label="say.fact(found.ratio.toFixed(1), found.wanted)"
        :class="{ good }"
      >
        <span class="reach" :style="{ width: `${share(found.ratio)}%` }" />
        <span class="mark" :style="{ left: `${share(found.wanted)}%` }" />
      </div>
      <p class="facts">
        <span :style="{ marginLeft: `calc(${share(found.wanted)}% - 34px)` }">{{
          say.needed(found.wanted)
        }}</span>
        <strong :class="{ good }">{{ say.ratio(found.ratio.toFixed(1)) }}</strong>
      </p>
      <FactRow :label="say.size">{{ say.points(found.size.toFixed(1)) }}</FactRow>
      <FactRow :label="say.toEdge">{{ formatLength(found.toEdge, settings.unit) }}</FactRow>
      <template v-if="ways.length">
        <p class="quiet">{{ say.waysHint }}</p>
        <ShownWays :desk="desk" :ways="ways" @use="desk.store.act($event)" />
      </template>
    </template>
    <div v-else class="waiting" />
  </CardPanel>
</template>

<style scoped>
/* As high as what is measured, so that nothing below it moves when it comes. */
.waiting {
  height: 88px;
}
.bar {
  position: relative;
  height: 10px;
  border-radius: 5px;
  background: var(--line);
}
.reach {
  display: block;
  height: 100%;
  border-radius: 5px;
  background: var(--amber);
}
.good .reach {
  background: var(--leaf);
}
.mark {
  position: absolute;
  top: -3px;
  width: 2px;
  height: 16px;
  background: var(--ink);
}
.facts {
  display: flex;
  justify-content: space-between;
  margin: 4px 0;
  color: var(--ink-2);
  font-size: 12.5px;
}
strong {
  color: var(--amber-text);
}
strong.good {
  color: var(--leaf-text);
}
p {
  margin: 6px 0 4px;
}
</style>
