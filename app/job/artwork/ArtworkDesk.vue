<script setup lang="ts">
import {
  mdiBarcode,
  mdiCircleOutline,
  mdiDraw,
  mdiFormatText,
  mdiImageMultipleOutline,
  mdiImageOutline,
  mdiLeaf,
  mdiRectangleOutline,
  mdiVectorCircleVariant,
} from '@mdi/js';
import { computed, nextTick, onBeforeUnmount, ref } from 'vue';
import type { Art } from '../../../core/art/index.ts';
import type { Point } from '../../../core/geometry/index.ts';
import type { Piece, PieceElement } from '../../../core/piece/index.ts';
import DrawerPicker from '../../art/DrawerPicker.vue';
import { PICTURE_FILES } from '../../art/picture-files.ts';
import TakeTray from '../../art/TakeTray.vue';
import { chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import BenchLegend from '../../ui/BenchLegend.vue';
import CardPanel from '../../ui/CardPanel.vue';
import IconButton from '../../ui/IconButton.vue';
import ZoomTray from '../../ui/ZoomTray.vue';
import FindingCard from '../FindingCard.vue';
import UndoTray from '../UndoTray.vue';
import { findNudge, isTyping } from '../job-keys.ts';
import CodeCard from './CodeCard.vue';
import { useDeskState } from './desk-state.ts';
import ElementStack from './ElementStack.vue';
import JobArtBench from './JobArtBench.vue';
import LineCard from './lines/LineCard.vue';
import { newCode, newOrnament, newPlate, newRing, newWords, ornamentInks } from './new-elements.ts';
import OrnamentCard from './ornaments/OrnamentCard.vue';
import OrnamentPanel from './ornaments/OrnamentPanel.vue';
import PictureCard from './PictureCard.vue';
import PieceBench from './PieceBench.vue';
import PieceCard from './PieceCard.vue';
import PlaceCard from './PlaceCard.vue';
import PlateCard from './PlateCard.vue';
import { usePrepareArt } from './prepare-art.ts';
import RepeatCard from './RepeatCard.vue';
import { useTakeFiles } from './take-files.ts';
import LettersCard from './words/LettersCard.vue';
import MovedLettersCard from './words/MovedLettersCard.vue';
import TypefacePanel from './words/TypefacePanel.vue';
import WordsCard from './WordsCard.vue';

const NO_INKS: [string, string] = ['#2a1b2e', '#c77f3a'];
const desk = useDeskState();
const legend = computed(() => [
  desk.store.job?.plan.cut ?? 'kiss',
  'bleed' as const,
  ...(desk.folds.value.length ? (['fold'] as const) : []),
]);
const { take, put, paste } = useTakeFiles(desk);
const prepare = usePrepareArt(desk);
const picking = computed({
  get: () => desk.picking.value !== undefined,
  set: (on) => (desk.picking.value = on ? (art) => put(art) : undefined),
});
const panel = ref<'faces' | 'ornaments'>();
const pieceBench = ref<InstanceType<typeof PieceBench> | null>(null);
const over = ref(false);
const findings = computed(() =>
  desk.store.findings.list.filter(
    ({ where }) =>
      where.piece === desk.piece.value?.id &&
      where.sheet === undefined &&
      (!desk.only.value || where.element === desk.only.value.id),
  ),
);

/** The words that are selected, when nothing else is. */
const chosenWords = computed(() => {
  const found = desk.elements.value.filter((one) => one.kind === 'words');
  return found.length === desk.elements.value.length ? found : [];
});
const inks = computed(() =>
  desk.piece.value ? ornamentInks(desk.piece.value, desk.colors.value) : NO_INKS,
);

async function addWords(bent: boolean): Promise<void> {
  if (!desk.piece.value) return;
  desk.add(newWords(desk.piece.value, bent));
  await editWords();
}

async function editWords(): Promise<void> {
  await nextTick();
  if (desk.only.value?.kind === 'words') await pieceBench.value?.type(desk.only.value.id);
}

function addTo(make: (piece: Piece) => PieceElement): void {
  if (desk.piece.value) desk.add(make(desk.piece.value));
}

async function addPicture(): Promise<void> {
  await take(await chooseFiles(PICTURE_FILES, true));
}

function choose(art: Art): void {
  const take = desk.picking.value;
  desk.picking.value = undefined;
  take?.(art);
}

function drop(event: DragEvent): void {
  over.value = false;
  const files = [...(event.dataTransfer?.files ?? [])];
  const onto = (event.target as Element).closest('[data-element]')?.getAttribute('data-element');
  const picture = desk.piece.value?.elements.find(
    ({ id, kind }) => id === onto && kind === 'picture',
  );
  if (files.length) void take(files, picture?.id);
  const kept = event.dataTransfer?.getData('application/x-little-peel-art');
  const art = kept ? prepare.known(kept) : undefined;
  if (art) put(art, picture?.id);
}

function nudge({ x, y }: Point): void {
  const { piece, elements, store, selected } = desk;
  const moving = elements.value.filter(({ locked }) => !locked);
  if (!piece.value || moving.length === 0) return;
  const changes = Object.fromEntries(moving.map((one) => [one.id, { x: one.x + x, y: one.y + y }]));
  store.act(
    { name: 'change-elements', args: { piece: piece.value.id, changes, doing: 'nudge' } },
    `nudge:${selected.value.join()}`,
  );
}

function duplicate(): void {
  if (!desk.piece.value) return;
  const before = new Set(desk.piece.value.elements.map(({ id }) => id));
  const args = { piece: desk.piece.value.id, elements: desk.selected.value };
  if (desk.store.act({ name: 'duplicate-elements', args }))
    desk.selected.value = desk.piece.value.elements.flatMap(({ id }) =>
      before.has(id) ? [] : [id],
    );
}

function cycle(back: boolean): void {
  const ids = desk.piece.value?.elements.map(({ id }) => id) ?? [];
  const at = ids.indexOf(desk.selected.value[0] ?? '');
  const next = ids[(at + (back ? -1 : 1) + ids.length) % ids.length];
  if (next) desk.select(next);
}

function hear(event: KeyboardEvent): void {
  if (isTyping(event)) return;
  const { piece, store, selected } = desk;
  const move = findNudge(event);
  if (move && selected.value.length) nudge(move);
  else if (
    (event.key === 'Delete' || event.key === 'Backspace') &&
    piece.value &&
    selected.value.length
  ) {
    store.act({
      name: 'delete-elements',
      args: { piece: piece.value.id, elements: selected.value },
    });
  } else if (
    event.key.toLowerCase() === 'd' &&
    (event.ctrlKey || event.metaKey) &&
    piece.value &&
    selected.value.length
  ) {
    duplicate();
  } else if (desk.drawing.value && (event.key === 'Enter' || event.key === 'Escape')) {
    if (event.key === 'Enter') pieceBench.value?.lines.end();
    else pieceBench.value?.lines.giveUp();
  } else if (event.key === 'Escape') selected.value = [];
  else if (event.key === 'Enter' && desk.only.value?.kind === 'words') void editWords();
  else if (event.key === '+' || event.key === '=') pieceBench.value?.bench.zoomBy(1.25);
  else if (event.key === '-') pieceBench.value?.bench.zoomBy(0.8);
  else if (event.key === '0') pieceBench.value?.bench.fit();
  else if (event.key === '[' || event.key === ']') cycle(event.key === '[');
  else return;
  event.preventDefault();
}

function hearPaste(event: ClipboardEvent): void {
  if (!(event.target as Element).closest?.('input, textarea, select')) paste(event);
}

addEventListener('keydown', hear);
addEventListener('paste', hearPaste);
onBeforeUnmount(() => {
  removeEventListener('keydown', hear);
  removeEventListener('paste', hearPaste);
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
        @drop.prevent="drop"
      >
        <PieceBench ref="pieceBench" :desk="desk" />
        <UndoTray />
        <div class="tray tools" role="toolbar" :aria-label="texts.artwork.addToThePiece">
          <IconButton
            named
            :icon="mdiImageOutline"
            :name="texts.artwork.picture"
            @click="addPicture"
          />
          <IconButton
            named
            :icon="mdiImageMultipleOutline"
            :name="texts.artwork.drawer"
            @click="picking = true"
          />
          <IconButton
            named
            :icon="mdiFormatText"
            :name="texts.artwork.words"
            @click="addWords(false)"
          />
          <IconButton
            named
            :icon="mdiVectorCircleVariant"
            :name="texts.artwork.around"
            @click="addWords(true)"
          />
          <IconButton
            named
            :icon="mdiRectangleOutline"
            :name="texts.artwork.plate"
            @click="addTo(newPlate)"
          />
          <IconButton
            named
            :icon="mdiCircleOutline"
            :name="texts.artwork.ring"
            @click="addTo(newRing)"
          />
          <IconButton
            named
            :icon="mdiLeaf"
            :name="texts.ornaments.ornament"
            :pressed="panel === 'ornaments'"
            @click="panel = panel === 'ornaments' ? undefined : 'ornaments'"
          />
          <IconButton
            named
            :icon="mdiDraw"
            :name="texts.ornaments.line"
            :pressed="desk.drawing.value"
            @click="desk.drawing.value = !desk.drawing.value"
          />
          <IconButton
            named
            :icon="mdiBarcode"
            :name="texts.ornaments.code"
            @click="addTo(newCode)"
          />
        </div>
        <p v-if="desk.drawing.value" class="empty">{{ texts.ornaments.lineHint }}</p>
        <p v-else-if="desk.piece.value?.elements.length === 0" class="empty">
          {{ texts.artwork.empty }}
        </p>
        <TypefacePanel
          v-if="panel === 'faces' && chosenWords[0]"
          :model-value="chosenWords[0].typeface"
          :text="chosenWords[0].text"
          @update:model-value="desk.change({ typeface: $event })"
          @close="panel = undefined"
        />
        <OrnamentPanel
          v-if="panel === 'ornaments'"
          :inks="inks"
          @ornament="(name) => addTo((piece) => newOrnament(piece, name, inks))"
          @shape="(kind) => addTo((piece) => newPlate(piece, kind))"
          @close="panel = undefined"
        />
      </div>
      <TakeTray />
      <DrawerPicker v-if="picking" @close="picking = false" @choose="choose" />
      <JobArtBench :prepare="prepare" />
    </template>
    <template #foot>
      <BenchLegend :lines="legend" />
      <ElementStack :desk="desk" />
      <ZoomTray v-if="pieceBench" :bench="pieceBench.bench" :whole="texts.artwork.wholePiece" />
    </template>
    <template #cards>
      <template v-if="chosenWords[0]">
        <WordsCard :desk="desk" :words="chosenWords[0]" @faces="panel = 'faces'" />
        <LettersCard :desk="desk" :words="chosenWords[0]" />
        <MovedLettersCard v-if="chosenWords.length === 1" :desk="desk" :words="chosenWords[0]" />
      </template>
      <PictureCard
        v-else-if="desk.only.value?.kind === 'picture'"
        :desk="desk"
        :picture="desk.only.value"
        @replace="take($event, desk.only.value?.id)"
        @prepare="prepare.open"
      />
      <PlateCard
        v-else-if="desk.only.value?.kind === 'plate'"
        :desk="desk"
        :plate="desk.only.value"
      />
      <OrnamentCard
        v-else-if="desk.only.value?.kind === 'ornament'"
        :desk="desk"
        :ornament="desk.only.value"
      />
      <LineCard v-else-if="desk.only.value?.kind === 'line'" :desk="desk" :line="desk.only.value" />
      <CodeCard v-else-if="desk.only.value?.kind === 'code'" :desk="desk" :code="desk.only.value" />
      <CardPanel
        v-else-if="desk.elements.value.length > 1"
        :title="`${desk.elements.value.length} elements`"
        peeled
        ><p class="quiet">{{ texts.artwork.many }}</p></CardPanel
      >
      <FindingCard
        v-for="finding in findings"
        :key="finding.code + finding.where.element"
        :finding="finding"
      />
      <PlaceCard v-if="desk.only.value" :desk="desk" :element="desk.only.value" />
      <RepeatCard
        v-if="desk.only.value && desk.only.value.kind !== 'words'"
        :desk="desk"
        :element="desk.only.value"
      />
      <PieceCard v-if="desk.elements.value.length === 0" :desk="desk" />
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
.tray {
  position: absolute;
  top: 30px;
  display: flex;
  border-radius: var(--r-tray);
  padding: 5px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.tools {
  right: 14px;
  left: 126px;
  width: fit-content;
  margin: 0 auto;
}
.tools :deep(.named) {
  min-width: 58px;
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
