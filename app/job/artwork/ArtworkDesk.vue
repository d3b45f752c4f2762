<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { seenBoxOf } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import UndoTray from '../common/UndoTray.vue';
import ListDrawer from '../list/ListDrawer.vue';
import ScopeTray from '../list/ScopeTray.vue';
import { useDeskState } from '../artwork-state/desk-state.ts';
import ArtOverlays from './ArtOverlays.vue';
import ArtworkCards from './ArtworkCards.vue';
import BenchHint from './BenchHint.vue';
import { useClipboard } from './clipboard.ts';
import { useDeskKeys } from './desk-keys.ts';
import DeskPanels from './DeskPanels.vue';
import ElementStack from './ElementStack.vue';
import ExactTray from './ExactTray.vue';
import { useLegend } from './legend.ts';
import PieceBench from './PieceBench.vue';
import { usePrepareArt } from './prepare-art.ts';
import HouseStylePanel from './start/HouseStylePanel.vue';
import { useTakeFiles } from './take-files.ts';
import ToolTray from './ToolTray.vue';

const desk = useDeskState();
const route = useRoute();
const legend = useLegend(desk);
const files = useTakeFiles(desk);
const prepare = usePrepareArt(desk);
const { panel, listOpen } = desk;
listOpen.value = route.query.list === 'open';
files.takeHanded();
useClipboard(desk, files.paste);
const pieceBench = ref<InstanceType<typeof PieceBench> | null>(null);
const over = ref(false);

/** The box of what is chosen, to be looked at closely. */
const seen = computed(() =>
  seenBoxOf(
    (desk.committedCompiled.value?.elements ?? []).filter(({ element }) =>
      desk.selected.value.includes(element.id),
    ),
  ),
);

async function addWords(bent: boolean): Promise<void> {
  desk.addWords(bent);
  await editWords();
}

async function editWords(): Promise<void> {
  await nextTick();
  if (desk.committedOnly.value?.kind === 'words')
    await pieceBench.value?.type(desk.committedOnly.value.id);
}

function drop(event: DragEvent): void {
  over.value = false;
  files.drop(event, prepare.known);
}

useDeskKeys(desk, {
  type: () => void editWords(),
  bench: () => pieceBench.value ?? undefined,
});

/** Designs need the height that the list would take. */
watch(panel, (now) => {
  if (now === 'start') listOpen.value = false;
});

/** A copy that is named in the address is changed alone, until this desk is left. */
watch(
  () => route.query.copy,
  (copy) => desk.store.showCopy(copy ? String(copy) : undefined),
  { immediate: true },
);
onBeforeUnmount(() => desk.store.showCopy(undefined));
</script>

<template>
  <BenchLayout :cards="texts.artwork.selection">
    <template #bench>
      <div
        class="whole"
        :class="{ over }"
        @dragover.prevent="over = true"
        @dragleave.self="over = false"
        @drop="drop"
      >
        <PieceBench ref="pieceBench" :desk="desk" />
        <UndoTray />
        <ExactTray :desk="desk" :seeing="panel === 'seen'" @see="desk.toggle('seen')" />
        <ScopeTray :desk="desk" />
        <ToolTray
          :desk="desk"
          :open="listOpen ? 'list' : panel"
          @picture="files.choosePictures()"
          @drawer="desk.pickArt((art) => files.put(art))"
          @words="addWords"
          @list="listOpen = !listOpen"
          @panel="desk.toggle"
        />
        <BenchHint :desk="desk" />
        <DeskPanels :desk="desk" />
      </div>
      <HouseStylePanel
        v-if="desk.settingHouseStyle.value"
        :desk="desk"
        @close="desk.settingHouseStyle.value = false"
      />
      <ArtOverlays :desk="desk" :prepare="prepare" />
    </template>
    <template #below>
      <ListDrawer v-if="listOpen" :desk="desk" @close="listOpen = false" />
    </template>
    <template #foot>
      <BenchLegend :lines="legend" />
      <ElementStack :desk="desk" />
      <ZoomTray v-if="pieceBench" :bench="pieceBench.bench" :whole="texts.artwork.wholePiece">
        <button v-if="seen" type="button" @click="seen && pieceBench?.bench.showBox(seen)">
          {{ texts.exact.toSelection }}
        </button>
      </ZoomTray>
    </template>
    <template #cards>
      <ArtworkCards :desk="desk" />
    </template>
  </BenchLayout>
</template>

<style scoped>
.whole {
  position: relative;
  height: 100%;
}
.over {
  outline: 3px dashed var(--apricot);
  outline-offset: -10px;
}
</style>
