<script setup lang="ts">
import { computed, nextTick, onBeforeUnmount, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { Art } from '../../../core/art/index.ts';
import { edgeCut } from '../../../core/sheet/index.ts';
import { seenBoxOf } from '../../../core/piece/index.ts';
import DrawerPicker from '../../art/DrawerPicker.vue';
import { PICTURE_FILES } from '../../art/picture-files.ts';
import TakeTray from '../../art/TakeTray.vue';
import { chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import FindingCard from '../FindingCard.vue';
import UndoTray from '../UndoTray.vue';
import ListDrawer from '../list/ListDrawer.vue';
import ScopeTray from '../list/ScopeTray.vue';
import { useClipboard } from './clipboard.ts';
import CodeCard from './CodeCard.vue';
import CombinedCard from './combined/CombinedCard.vue';
import ColorsCard from './colors/ColorsCard.vue';
import HouseCard from './start/HouseCard.vue';
import HouseStylePanel from './start/HouseStylePanel.vue';
import StartPanel from './start/StartPanel.vue';
import { useDeskKeys } from './desk-keys.ts';
import { useDeskState } from './desk-state.ts';
import ExactTray from './ExactTray.vue';
import ElementStack from './ElementStack.vue';
import JobArtBench from './JobArtBench.vue';
import LineCard from './lines/LineCard.vue';
import { newOrnament, newPlate, newWords, ornamentInks } from './new-elements.ts';
import OrnamentCard from './ornaments/OrnamentCard.vue';
import OrnamentPanel from './ornaments/OrnamentPanel.vue';
import ManyCard from './ManyCard.vue';
import PictureCard from './PictureCard.vue';
import PieceBench from './PieceBench.vue';
import PieceCard from './PieceCard.vue';
import PlaceCard from './PlaceCard.vue';
import PlateCard from './PlateCard.vue';
import { usePrepareArt } from './prepare-art.ts';
import ReadableCard from './ReadableCard.vue';
import RepeatCard from './RepeatCard.vue';
import { placeOf } from '../../drops/file-place.ts';
import { useHandedFiles } from '../../drops/handed-files.ts';
import { useTakeFiles } from './take-files.ts';
import SeenAsPanel from './SeenAsPanel.vue';
import StickerCard from './stickers/StickerCard.vue';
import StickerGrid from './stickers/StickerGrid.vue';
import ToolTray from './ToolTray.vue';
import LettersCard from './words/LettersCard.vue';
import ReplaceCard from './words/ReplaceCard.vue';
import MovedLettersCard from './words/MovedLettersCard.vue';
import TypefacePanel from './words/TypefacePanel.vue';
import VariantCard from './VariantCard.vue';
import WordsCard from './WordsCard.vue';

const NO_INKS: [string, string] = ['#2a1b2e', '#c77f3a'];
const desk = useDeskState();
const route = useRoute();
const cuts = computed(() => {
  const [piece, plan] = [desk.committedCompiled.value, desk.store.committed?.plan];
  if (!piece || !plan) return ['kiss' as const];
  return [...new Set([...(piece.kissCuts.length ? ['kiss' as const] : []), edgeCut(piece, plan)])];
});
const legend = computed(() => [
  ...cuts.value,
  'bleed' as const,
  ...(desk.committedCompiled.value?.creases.length ? (['fold'] as const) : []),
]);
const { take, put, paste } = useTakeFiles(desk);
const prepare = usePrepareArt(desk);
const clipboard = useClipboard(desk);
const panel = ref<'faces' | 'ornaments' | 'start' | 'seen'>();
const handed = useHandedFiles();
const listOpen = ref(route.query.list === 'open');
handed.takeAt('artwork', (files) => void take(files));
// Also where the drawer was closed since: a list waits to be taken in.
watch(
  () => handed.waiting?.place,
  (place) => {
    if (place === 'list') listOpen.value = true;
  },
);
const house = ref(false);
const pieceBench = ref<InstanceType<typeof PieceBench> | null>(null);
const over = ref(false);
const findings = computed(() =>
  desk.store.findings.list.filter(
    ({ code, where }) =>
      // How well the chosen words are read has a card of its own.
      !(code === 'low-contrast' && desk.committedOnly.value?.id === where.element) &&
      where.piece === desk.committedPiece.value?.id &&
      where.sheet === undefined &&
      (!desk.committedOnly.value || where.element === desk.committedOnly.value.id),
  ),
);

/** The words that are selected, when nothing else is. */
const chosenWords = computed(() => {
  const found = desk.committedSelection.value.filter((one) => one.kind === 'words');
  return found.length === desk.committedSelection.value.length ? found : [];
});
/** The box of what is chosen, to be looked at closely. */
const seen = computed(() =>
  seenBoxOf(
    (desk.committedCompiled.value?.elements ?? []).filter(({ element }) =>
      desk.selected.value.includes(element.id),
    ),
  ),
);
const inks = computed(() =>
  desk.committedPiece.value ? ornamentInks(desk.committedPiece.value, desk.colors.value) : NO_INKS,
);

async function addWords(bent: boolean): Promise<void> {
  if (!desk.piece.value) return;
  desk.add(newWords(desk.piece.value, bent));
  await editWords();
}

async function editWords(): Promise<void> {
  await nextTick();
  if (desk.committedOnly.value?.kind === 'words')
    await pieceBench.value?.type(desk.committedOnly.value.id);
}

async function addPicture(): Promise<void> {
  await take(await chooseFiles(PICTURE_FILES, true));
}

function stopPicking(): void {
  desk.picking.value = undefined;
}

function choose(art: Art): void {
  const take = desk.picking.value;
  desk.picking.value = undefined;
  take?.(art);
}

function drop(event: DragEvent): void {
  over.value = false;
  const files = [...(event.dataTransfer?.files ?? [])];
  // What is not for the piece goes on to where it belongs.
  if (files[0] && placeOf(files[0]) !== 'artwork') return;
  event.preventDefault();
  const onto = (event.target as Element).closest('[data-element]')?.getAttribute('data-element');
  const picture = desk.piece.value?.elements.find(
    ({ id, kind }) => id === onto && kind === 'picture',
  );
  if (files.length) void take(files, picture?.id);
  const kept = event.dataTransfer?.getData('application/x-little-peel-art');
  const art = kept ? prepare.known(kept) : undefined;
  if (art) put(art, picture?.id);
}

useDeskKeys(desk, {
  type: () => void editWords(),
  bench: () => pieceBench.value ?? undefined,
});

/** A copy that is named in the address is changed alone, until this desk is left. */
watch(
  () => route.query.copy,
  (copy) => desk.store.showCopy(copy ? String(copy) : undefined),
  { immediate: true },
);
onBeforeUnmount(() => desk.store.showCopy(undefined));

const inField = (event: Event): boolean =>
  Boolean((event.target as Element).closest?.('input, textarea, select'));

function hearPaste(event: ClipboardEvent): void {
  if (!inField(event) && !clipboard.paste(event)) paste(event);
}

function hearCopy(event: ClipboardEvent): void {
  if (inField(event) || !clipboard.copy(event)) return;
  event.preventDefault();
  if (event.type === 'cut') desk.remove();
}

addEventListener('paste', hearPaste);
addEventListener('copy', hearCopy);
addEventListener('cut', hearCopy);
onBeforeUnmount(() => {
  removeEventListener('paste', hearPaste);
  removeEventListener('copy', hearCopy);
  removeEventListener('cut', hearCopy);
});
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
        <ExactTray
          :desk="desk"
          :seeing="panel === 'seen'"
          @see="panel = panel === 'seen' ? undefined : 'seen'"
        />
        <ScopeTray :desk="desk" />
        <SeenAsPanel v-if="panel === 'seen'" :desk="desk" @close="panel = undefined" />
        <ToolTray
          :desk="desk"
          :open="listOpen ? 'list' : panel"
          @picture="addPicture"
          @drawer="desk.pickArt((art) => put(art))"
          @words="addWords"
          @list="listOpen = !listOpen"
          @panel="panel = panel === $event ? undefined : $event"
        />
        <p v-if="desk.drawing.value" class="empty">{{ texts.ornaments.lineHint }}</p>
        <p v-else-if="desk.measuring.value" class="empty">{{ texts.exact.measureHint }}</p>
        <p
          v-else-if="desk.committedPiece.value?.elements.length === 0 && panel !== 'start'"
          class="empty"
        >
          {{ texts.artwork.empty }}
          <button class="link" type="button" @click="panel = 'start'">
            {{ texts.start.title }}
          </button>
        </p>
        <TypefacePanel
          v-if="panel === 'faces' && chosenWords[0]"
          :model-value="chosenWords[0].typeface"
          :text="chosenWords[0].text"
          @update:model-value="desk.change({ typeface: $event })"
          @close="panel = undefined"
        />
        <StartPanel
          v-if="panel === 'start'"
          :key="desk.committedPiece.value?.id ?? ''"
          :desk="desk"
          @close="panel = undefined"
          @house="house = true"
        />
        <OrnamentPanel
          v-if="panel === 'ornaments'"
          :inks="inks"
          @ornament="(name) => desk.addTo((piece) => newOrnament(piece, name, inks))"
          @shape="(kind) => desk.addTo((piece) => newPlate(piece, kind))"
          @close="panel = undefined"
        >
          <StickerGrid :desk="desk" />
        </OrnamentPanel>
      </div>
      <HouseStylePanel v-if="house" :desk="desk" @close="house = false" />
      <TakeTray />
      <DrawerPicker v-if="desk.picking.value" @close="stopPicking" @choose="choose" />
      <JobArtBench :prepare="prepare" />
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
      <VariantCard :desk="desk" />
      <template v-if="chosenWords[0]">
        <WordsCard
          :desk="desk"
          :words="chosenWords[0]"
          @faces="panel = 'faces'"
          @list="listOpen = true"
        />
        <LettersCard :desk="desk" :words="chosenWords[0]" />
      </template>
      <PictureCard
        v-else-if="desk.committedOnly.value?.kind === 'picture'"
        :desk="desk"
        :picture="desk.committedOnly.value"
        @replace="take($event, desk.committedOnly.value?.id)"
        @prepare="prepare.open"
      />
      <PlateCard
        v-else-if="desk.committedOnly.value?.kind === 'plate'"
        :desk="desk"
        :plate="desk.committedOnly.value"
      />
      <StickerCard
        v-else-if="desk.committedOnly.value?.kind === 'piece'"
        :desk="desk"
        :part="desk.committedOnly.value"
      />
      <OrnamentCard
        v-else-if="desk.committedOnly.value?.kind === 'ornament'"
        :desk="desk"
        :ornament="desk.committedOnly.value"
      />
      <LineCard
        v-else-if="desk.committedOnly.value?.kind === 'line'"
        :desk="desk"
        :line="desk.committedOnly.value"
      />
      <CombinedCard
        v-else-if="desk.committedOnly.value?.kind === 'combined'"
        :desk="desk"
        :combined="desk.committedOnly.value"
      />
      <CodeCard
        v-else-if="desk.committedOnly.value?.kind === 'code'"
        :desk="desk"
        :code="desk.committedOnly.value"
      />
      <ManyCard
        v-if="desk.committedSelection.value.length > 1"
        :desk="desk"
        @duplicate="desk.duplicate"
        @delete="desk.remove"
      />
      <FindingCard
        v-for="finding in findings"
        :key="finding.code + finding.where.element"
        :finding="finding"
      />
      <!-- Measured in its own time: what it grows by must not move a finding from under a press. -->
      <template v-if="chosenWords.length === 1 && chosenWords[0]">
        <ReadableCard :desk="desk" :words="chosenWords[0]" />
        <MovedLettersCard :desk="desk" :words="chosenWords[0]" />
      </template>
      <PlaceCard
        v-if="desk.committedOnly.value"
        :desk="desk"
        :committed="desk.committedOnly.value"
        @duplicate="desk.duplicate"
        @delete="desk.remove"
      />
      <RepeatCard
        v-if="desk.committedOnly.value && desk.committedOnly.value.kind !== 'words'"
        :desk="desk"
        :element="desk.committedOnly.value"
      />
      <template v-if="desk.committedSelection.value.length === 0">
        <PieceCard :desk="desk" />
        <ColorsCard :desk="desk" />
        <ReplaceCard :desk="desk" />
        <HouseCard :desk="desk" @open="house = true" />
      </template>
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
.empty {
  position: absolute;
  bottom: 96px;
  left: 50%;
  margin: 0;
  border-radius: var(--r-tray);
  padding: 8px 20px;
  background: var(--card);
  box-shadow: var(--shadow);
  transform: translateX(-50%);
}
</style>
