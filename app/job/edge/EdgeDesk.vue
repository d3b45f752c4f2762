<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import UndoTray from '../common/UndoTray.vue';
import { useDeskState } from '../artwork-state/desk-state.ts';
import JobArtBench from '../artwork/JobArtBench.vue';
import { usePrepareArt } from '../artwork/prepare-art.ts';
import { isTyping } from '../common/job-keys.ts';
import { useAllEdges } from './all/all-edges-state.ts';
import AllEdges from './all/AllEdges.vue';
import AllEdgesCards from './all/AllEdgesCards.vue';
import EdgeBench from './EdgeBench.vue';
import EdgeCards from './EdgeCards.vue';
import { useEdgeState } from './edge-state.ts';

const desk = useDeskState();
const edge = useEdgeState(desk);
const prepare = usePrepareArt(desk);
const words = texts.edge;
const seen = ref<'printed' | 'cut' | 'lost'>('printed');
const bench = ref<InstanceType<typeof EdgeBench> | null>(null);
const route = useRoute();
const router = useRouter();
const all = useAllEdges();
/** Whether one piece is on the desk or all are. */
const view = computed<'one' | 'all'>({
  get: () => (route.query.all !== undefined && all.pieces.value.length > 1 ? 'all' : 'one'),
  set: (to) => void router.replace({ query: to === 'all' ? { all: '' } : {} }),
});

function open(piece: string): void {
  desk.show(piece);
  view.value = 'one';
}
const legend = computed(() => [
  desk.store.job?.plan.cut ?? 'kiss',
  'bleed' as const,
  ...((desk.compiled.value?.creases.length ?? 0) > 0 ? (['fold'] as const) : []),
]);

function hear(event: KeyboardEvent): void {
  if (isTyping(event) || event.key !== 'Escape') return;
  if (edge.editing.value) edge.editing.value = false;
  else edge.hole.value = undefined;
}
addEventListener('keydown', hear);
onBeforeUnmount(() => removeEventListener('keydown', hear));
</script>

<template>
  <BenchLayout :cards="words.edge">
    <template #bench>
      <AllEdges v-if="view === 'all'" :all="all" @open="open" />
      <EdgeBench v-else ref="bench" :desk="desk" :edge="edge" :seen="seen" />
      <UndoTray />
      <div class="tray looks">
        <ChoiceRow
          v-if="all.pieces.value.length > 1"
          v-model="view"
          :label="texts.allEdges.seen"
          :choices="{ one: texts.allEdges.one, all: texts.allEdges.all }"
        />
        <ChoiceRow
          v-if="view === 'one'"
          v-model="seen"
          :label="words.looks"
          :choices="words.seen"
        />
        <p v-if="view === 'one' && seen === 'lost'" class="key">
          <i class="gone" />{{ words.lostKey }} <i class="bare" />{{ words.whiteKey }}
        </p>
      </div>
      <JobArtBench :prepare="prepare" />
    </template>
    <template v-if="view === 'one'" #foot>
      <BenchLegend :lines="legend" />
      <ZoomTray v-if="bench" :bench="bench.bench" :whole="words.wholePiece" />
    </template>
    <template #cards>
      <AllEdgesCards v-if="view === 'all'" :all="all" />
      <EdgeCards v-else :desk="desk" :edge="edge" />
    </template>
  </BenchLayout>
</template>

<style scoped>
.tray {
  position: absolute;
  top: 30px;
  border-radius: var(--r-tray);
  padding: 5px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.looks {
  left: 50%;
  border-radius: 14px;
  transform: translateX(-50%);
}
.key {
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  margin: 4px 0 0;
  font-size: 12.5px;
}
.key i {
  width: 12px;
  height: 12px;
  border-radius: 4px;
}
.gone {
  background: #f2a659;
}
.bare {
  margin-left: 8px;
  background: #b5432a;
}
</style>
