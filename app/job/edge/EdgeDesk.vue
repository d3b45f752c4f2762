<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import SelectRow from '../../ui/SelectRow.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import UndoTray from '../common/UndoTray.vue';
import { useDeskState } from '../artwork-state/desk-state.ts';
import JobArtBench from '../artwork/JobArtBench.vue';
import { usePrepareArt } from '../artwork/prepare-art.ts';
import { isTyping } from '../common/job-keys.ts';
import BleedCard from './BleedCard.vue';
import EdgeBench from './EdgeBench.vue';
import { useEdgeState } from './edge-state.ts';
import HolesCard from './HolesCard.vue';
import OffsetCard from './OffsetCard.vue';
import PartsCard from './PartsCard.vue';
import PointsCard from './PointsCard.vue';
import ShapeCard from './ShapeCard.vue';
import { useTakeOutline } from './take-outline.ts';

const desk = useDeskState();
const edge = useEdgeState(desk);
const prepare = usePrepareArt(desk);
const takeOutline = useTakeOutline(edge);
const words = texts.edge;
const seen = ref<'printed' | 'cut' | 'lost'>('printed');
const bench = ref<InstanceType<typeof EdgeBench> | null>(null);
const pieces = computed(() =>
  Object.fromEntries((desk.store.job?.pieces ?? []).map(({ id, name }) => [id, name])),
);
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
      <EdgeBench ref="bench" :desk="desk" :edge="edge" :seen="seen" />
      <UndoTray />
      <div class="tray looks">
        <ChoiceRow v-model="seen" :label="words.looks" :choices="words.seen" />
        <p v-if="seen === 'lost'" class="key">
          <i class="gone" />{{ words.lostKey }} <i class="bare" />{{ words.whiteKey }}
        </p>
      </div>
      <JobArtBench :prepare="prepare" />
    </template>
    <template #foot>
      <BenchLegend :lines="legend" />
      <ZoomTray v-if="bench" :bench="bench.bench" :whole="words.wholePiece" />
    </template>
    <template #cards>
      <SelectRow
        v-if="Object.keys(pieces).length > 1 && desk.piece.value"
        :label="words.piece"
        :model-value="desk.piece.value.id"
        :choices="pieces"
        @update:model-value="desk.show"
      />
      <CardPanel v-if="edge.follows.value" :title="words.edge" peeled>
        <p class="quiet">{{ words.follows }}</p>
      </CardPanel>
      <PointsCard v-else-if="edge.editing.value" :edge="edge" />
      <template v-else-if="desk.piece.value">
        <ShapeCard :edge="edge" @clear="desk.preparing.value = $event" />
        <OffsetCard :edge="edge" />
        <PartsCard :edge="edge" @file="takeOutline" />
        <HolesCard :edge="edge" />
      </template>
      <BleedCard :edge="edge" />
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
