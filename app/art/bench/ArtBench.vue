<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef, watch } from 'vue';
import {
  artSize,
  colorAt,
  makeVector,
  shapesOf,
  vectorArt,
  type Art,
  type ReadArt,
} from '../../../core/art/index.ts';
import type { PlacedArt } from '../../../core/prepare/index.ts';
import { keepInDrawer } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import { useMessages } from '../../ui/messages-store.ts';
import OverlayPanel from '../../ui/OverlayPanel.vue';
import PixelPicture from '../../ui/PixelPicture.vue';
import { useArtEditor } from './art-editor.ts';
import { thinned } from './thinned.ts';
import ClearCard from './ClearCard.vue';
import LightCard from './LightCard.vue';
import PictureStage from './PictureStage.vue';
import ShapesCard from './ShapesCard.vue';
import SplitCard from './SplitCard.vue';
import SubjectCard from './SubjectCard.vue';
import SubjectLines from './SubjectLines.vue';
import { useSubjectTool } from './subject-tool.ts';
import { useSplitEditor } from './split-editor.ts';

/**
 * Prepares a picture: its background, its light, its shapes, or the pieces that it falls into. Gives
 * the picture that was made, or the pieces of a page.
 */
const props = defineProps<{
  art: Art;
  /** Other art by its id, where the original of a made picture is found. */
  known: (id: string) => Art | undefined;
  inJob: boolean;
  /** What of it is opened first; of pictures of pixels their background unless given. */
  first?: 'subject';
}>();
const emit = defineEmits<{
  close: [];
  made: [read: ReadArt, original: Art];
  parts: [parts: readonly PlacedArt[]];
  pieces: [parts: readonly PlacedArt[]];
}>();
type Tool = keyof typeof texts.art.bench.tools;

const words = texts.art.bench;
const messages = useMessages();
const editor = useArtEditor();
const { original, pixels, vector, nodes, preview, source, busy, making } = editor;
const split = useSplitEditor(
  () => original.value,
  () => pixels.value.clear,
);
const subject = useSubjectTool(editor);
const tool = ref<Tool>('clear');
const brush = ref<'none' | 'erase' | 'restore'>('none');
const size = ref(14);
const cutting = ref(false);
const stroke = shallowRef<[number, number][]>([]);
const line = shallowRef<{ from: [number, number]; to: [number, number] }>();
const sources = { typeface: () => undefined, imageUrl: () => undefined };

const isVector = computed(() => original.value?.kind === 'vector');
const tools = computed(() => {
  const { clear, subject: free, light, split: splitting, parts } = words.tools;
  const offered: Partial<Record<Tool, string>> = isVector.value
    ? { parts, split: splitting }
    : { clear, subject: free, light, split: splitting };
  return offered as Readonly<Record<Tool, string>>;
});
const made = computed(() =>
  isVector.value && original.value
    ? makeVector(nodes.value, vector.value, artSize(original.value).width)
    : [],
);
const vectorSize = computed(() =>
  original.value ? artSize(original.value) : { width: 1, height: 1 },
);
/** What the stage counts in: pixels of the picture, or mm of a vector. */
const stage = computed(() => {
  if (tool.value === 'split' && split.split.value)
    return { width: split.split.value.width, height: split.split.value.height };
  if (isVector.value) return vectorSize.value;
  return { width: preview.value?.width ?? 1, height: preview.value?.height ?? 1 };
});
const shown = computed(() =>
  tool.value === 'split' ? (source.value ?? preview.value) : preview.value,
);
const px = computed(() => Math.max(stage.value.width, stage.value.height) / 700);

watch(
  () => props.art,
  (art) => {
    tool.value = art.kind === 'vector' ? 'parts' : (props.first ?? 'clear');
    void editor.open(art, props.known).catch(messages.sayError);
  },
  { immediate: true },
);
watch(tool, (next) => {
  if (next === 'split') void split.look();
});

function press(at: [number, number]): void {
  if (tool.value === 'subject') return subject.press(at);
  if (tool.value === 'clear' && brush.value !== 'none') stroke.value = [at];
  else if (tool.value === 'clear' && source.value) {
    const { scale, image } = source.value;
    editor.clearing({ color: colorAt(image, at[0] / scale, at[1] / scale) });
  } else if (tool.value === 'split' && cutting.value) line.value = { from: at, to: at };
}

function move(at: [number, number]): void {
  if (tool.value === 'subject') return subject.move(at);
  if (stroke.value.length) stroke.value = [...stroke.value, at];
  else if (line.value) line.value = { ...line.value, to: at };
}

function release(): void {
  if (tool.value === 'subject') return subject.release();
  if (stroke.value.length && brush.value !== 'none') {
    const radius = size.value * px.value;
    editor.addStroke({ mode: brush.value, radius, points: thinned(stroke.value) });
  }
  if (line.value) {
    const [from, to] = [line.value.from, line.value.to];
    const cut = { from: { x: from[0], y: from[1] }, to: { x: to[0], y: to[1] } };
    if (Math.hypot(to[0] - from[0], to[1] - from[1]) > 3)
      split.cuts.value = [...split.cuts.value, cut];
  }
  stroke.value = [];
  line.value = undefined;
}

async function use(): Promise<void> {
  const read = await editor.make();
  if (read && original.value) emit('made', read, original.value);
}

async function makeParts(asPieces: boolean): Promise<void> {
  const all = await split.make();
  if (all.length === 0) return;
  for (const { read } of all) await keepInDrawer(read, Date.now());
  if (asPieces) emit('pieces', all);
  else {
    messages.say(words.madePictures(all.length));
    emit('parts', all);
  }
}

/** Some shapes as a picture of their own. */
async function takeOut(shapes: readonly number[]): Promise<void> {
  if (!original.value) return;
  const others = shapesOf(nodes.value).flatMap((_, at) => (shapes.includes(at) ? [] : [at]));
  const { width } = vectorSize.value;
  const own = makeVector(nodes.value, { ...vector.value, hidden: others }, width);
  const { name, tags } = original.value;
  const read = vectorArt(own, vectorSize.value, { name: words.outOf(name).slice(0, 200), tags });
  await keepInDrawer(read, Date.now()).catch(messages.sayError);
  messages.say(words.tookOut(read.art.name));
}

const middle = (part: { left: number; right: number; top: number; bottom: number }) => ({
  x: (part.left + part.right) / 2,
  y: (part.top + part.bottom) / 2,
});
/** Steps on the bench are undone here, not those of the job behind it. */
function stepBack(event: KeyboardEvent): void {
  const { target } = event;
  const isTyped = target instanceof HTMLInputElement && /text|number|search/.test(target.type);
  const key = event.key.toLowerCase();
  if (!(event.ctrlKey || event.metaKey) || isTyped) return;
  if (key !== 'z' && key !== 'y') return;
  event.preventDefault();
  event.stopPropagation();
  if (key === 'y' || event.shiftKey) editor.redo();
  else editor.undo();
}
onMounted(() => addEventListener('keydown', stepBack, true));
onBeforeUnmount(() => {
  removeEventListener('keydown', stepBack, true);
  editor.stop();
});
</script>

<template>
  <OverlayPanel wide :title="original?.name ?? words.title" @close="emit('close')">
    <template #head>
      <ChoiceRow v-model="tool" :label="words.toolsLabel" :choices="tools" />
    </template>
    <div class="bench">
      <PictureStage
        :width="stage.width"
        :height="stage.height"
        :draws="tool === 'clear' || tool === 'subject' || cutting"
        @press="press"
        @move="move"
        @release="release"
      >
        <svg
          v-if="isVector"
          class="vector"
          :viewBox="`0 0 ${vectorSize.width} ${vectorSize.height}`"
        >
          <DrawnNodes :nodes="made" :sources="sources" :version="0" />
        </svg>
        <template v-else-if="shown">
          <PixelPicture
            v-if="tool === 'subject' && source"
            class="ghost"
            :image="source.image"
            :label="words.picture"
          />
          <PixelPicture :image="shown.image" :label="words.picture" />
        </template>
        <template #over>
          <polyline
            v-if="stroke.length"
            class="stroke"
            :class="brush"
            :points="stroke.map((at) => at.join()).join(' ')"
            :stroke-width="2 * size * px"
          />
          <SubjectLines v-if="tool === 'subject'" :tool="subject" />
          <template v-if="tool === 'split'">
            <g
              v-for="(part, at) in split.parts.value"
              :key="at"
              class="part"
              :class="{ chosen: split.chosen.value.includes(at), out: !part.kept }"
              role="button"
              tabindex="0"
              :aria-pressed="split.chosen.value.includes(at)"
              :aria-label="words.piece(at + 1)"
              @click="!cutting && split.choose(at)"
              @keydown.enter="split.choose(at)"
            >
              <path
                v-for="patch in part.patches"
                :key="patch"
                :d="split.split.value?.outlines[patch]"
              />
              <g :transform="`translate(${middle(part).x} ${middle(part).y}) scale(${px})`">
                <circle r="13" />
                <text y="5">{{ at + 1 }}</text>
              </g>
            </g>
            <path
              v-for="(cut, at) in split.cuts.value"
              :key="`cut${at}`"
              class="cut"
              :d="`M${cut.from.x} ${cut.from.y}L${cut.to.x} ${cut.to.y}`"
            />
            <path v-if="line" class="cut" :d="`M${line.from}L${line.to}`" />
          </template>
        </template>
      </PictureStage>
      <aside class="cards">
        <ClearCard
          v-if="tool === 'clear'"
          v-model:brush="brush"
          v-model:size="size"
          :editor="editor"
        />
        <SubjectCard
          v-else-if="tool === 'subject'"
          :tool="subject"
          :can-undo="editor.canUndo.value"
          @undo="editor.undo"
        />
        <LightCard v-else-if="tool === 'light'" :editor="editor" />
        <ShapesCard v-else-if="tool === 'parts'" :editor="editor" @out="takeOut" />
        <SplitCard
          v-else
          v-model:cutting="cutting"
          :editor="split"
          :in-job="inJob"
          @art="makeParts(false)"
          @pieces="makeParts(true)"
        />
        <p v-if="busy || making" class="quiet" role="status">{{ words.working }}</p>
      </aside>
    </div>
    <template v-if="tool !== 'split'" #foot>
      <v-btn variant="text" @click="emit('close')">{{ texts.cancel }}</v-btn>
      <v-btn color="primary" :loading="making" @click="use">{{ words.use }}</v-btn>
    </template>
  </OverlayPanel>
</template>

<style scoped>
.bench {
  display: flex;
  height: 100%;
}
.cards {
  display: flex;
  flex: none;
  flex-direction: column;
  gap: 12px;
  box-sizing: border-box;
  width: 290px;
  padding: 14px;
  overflow: auto;
}
.cards > :deep(*) {
  flex: none;
}
.ghost {
  opacity: 0.22;
}
.stroke {
  fill: none;
  stroke-linecap: round;
  stroke-linejoin: round;
}
.stroke.erase {
  stroke: #b5432a88;
}
.stroke.restore {
  stroke: #3f7f4f88;
}
.part {
  cursor: pointer;
  outline: none;
}
.part path {
  fill: #f2a65a26;
  stroke: #5d2a53;
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}
.part:hover path,
.part:focus-visible path {
  fill: #f2a65a55;
}
.part.chosen path {
  fill: #f2a65a66;
  stroke-width: 3px;
}
.part.out path {
  fill: #b5432a2e;
  stroke: #b5432a;
  stroke-dasharray: 4 4;
}
.part circle {
  fill: #5d2a53;
  stroke: #ffffff;
}
.part.out circle {
  fill: #b5432a;
}
.part text {
  fill: #ffffff;
  font-size: 14px;
  font-weight: 600;
  text-anchor: middle;
}
.cut {
  fill: none;
  stroke: #3b3a9c;
  stroke-width: 2px;
  vector-effect: non-scaling-stroke;
}
</style>
