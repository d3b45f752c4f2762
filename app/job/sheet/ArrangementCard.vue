<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import NestRows from './NestRows.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useNesting } from './nesting.ts';
import { useJobStore } from '../../session/job-store.ts';
import {
  cutLength,
  leadPiece,
  mostPerSheet,
  planSchema,
  type CompiledSheet,
  type Plan,
} from '../../../core/sheet/index.ts';
import { materialSchema, type Material } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ sheet: number; shown: CompiledSheet | undefined }>();
const store = useJobStore();
const router = useRouter();
const nesting = useNesting(store);
const words = texts.sheet;
const { length, choices } = fieldsOf(planSchema);
const GAP = [
  length('gap', words.gapLong, {
    name: words.gap,
    when: ({ arrangement }) => arrangement !== 'spots',
  }),
];
const CUT = [choices('cut', words.cut, words.cuts, { name: words.cutLong })];
const CUT_BY = [
  fieldsOf(materialSchema).choices('tool', words.cutBy, texts.stock.material.tools, {
    name: words.cutByLong,
  }),
];
const TURNED = [
  choices('turnOver', words.turnOver, words.turnsOver, {
    name: words.turnOverLong,
    missing: 'long',
  }),
];
const plan = computed(() => store.committed?.plan);
/** Whether a label has another side: the sheet is turned over for it. */
const hasBacks = computed(() => store.committed?.pieces.some(({ behind }) => behind) ?? false);
const moved = computed(() => Object.keys(plan.value?.handPlaces ?? {}));
/** How many fit, and how many could: said of plain rectangles and circles, of which it is certain. */
const proof = computed(() => {
  const job = store.committed;
  const first = job && leadPiece(job);
  if (!job || !first) return undefined;
  const { edge } = first;
  const wanted = job.pieces.filter(({ id }) => (job.plan.wanted[id] ?? 0) > 0);
  const full = wanted.length === 1 && (store.committedLayout?.sheets.length ?? 0) > 1;
  if (job.plan.arrangement === 'nest' && !(full && edge.kind === 'circle')) return undefined;
  if (edge.kind !== 'circle' && (edge.kind !== 'rectangle' || edge.radius > 0)) return undefined;
  const count = store.committedLayout?.perSheet ?? 0;
  const round = edge.kind === 'circle';
  if (count === mostPerSheet(job, round ? 'none' : 'any')) return words.proved(count);
  const most = mostPerSheet(job);
  if (round) return words.atMost(count, most);
  return count === most ? words.provedStraight(count) : words.atMostStraight(count, most);
});

/** What neighbours without a gap save by cutting the line between them once. */
const shared = computed(() => {
  const { cuts = [], copies = [] } = props.shown ?? {};
  const sharing = new Set(cuts.filter((cut) => cut.copies.length > 1).flatMap((cut) => cut.copies));
  if (sharing.size === 0) return undefined;
  const own = copies.map(({ trim }) => ({ kind: 'kiss' as const, rings: trim, open: false }));
  const edges = cuts.filter(({ rings, kind, open }) =>
    open ? kind !== 'crease' : copies.some(({ trim }) => trim === rings),
  );
  const saved = (cutLength(own) - cutLength(edges)) / 1000;
  return words.sharedCuts(`${saved.toFixed(1)} m`);
});

/** The pieces that lie on the sheet, and whether one holds stickers: its outline is always cut through. */
const placed = computed(() => store.committedLayout?.sheets[props.sheet]?.placements ?? []);
const isStickers = computed(() =>
  placed.value.some(({ piece }) => (store.pieces.get(piece)?.kissCuts.length ?? 0) > 0),
);
const canBeStickers = computed(
  () => plan.value?.arrangement !== 'spots' && placed.value.length > 0 && !isStickers.value,
);

function cutBy(changes: Partial<Material>): void {
  const { committed: job } = store;
  if (job)
    store.act({ name: 'choose-material', args: { material: { ...job.material, ...changes } } });
}

function makeStickers(): void {
  const before = new Set(store.committed?.pieces.map(({ id }) => id));
  if (!store.act({ name: 'make-sticker-sheet', args: { sheet: props.sheet } })) return;
  const made = store.committed?.pieces.find(({ id }) => !before.has(id));
  if (made) void router.push({ name: 'artwork', query: { piece: made.id } });
}

function arrangeBy(arrangement: 'step' | 'best' | 'nest'): void {
  if (arrangement === 'nest' && !plan.value?.nested) void nesting.start();
  else change({ arrangement });
}

function change(changes: Partial<Plan>, key?: string): void {
  store.act({ name: 'change-plan', args: { changes } }, key);
}
</script>

<template>
  <CardPanel v-if="plan" :title="words.arrangement">
    <FactRow v-if="plan.arrangement === 'spots'" :label="words.how"
      ><span>{{ words.intoLabels }}</span></FactRow
    >
    <template v-else>
      <ChoicesRow
        :label="words.how"
        :name="words.arrangement"
        :model-value="nesting.running.value ? 'nest' : plan.arrangement"
        :choices="words.arrangements"
        @update:model-value="arrangeBy"
      />
      <NestRows v-if="nesting.running.value || plan.arrangement === 'nest'" :nesting="nesting" />
      <p v-if="proof" class="quiet">{{ proof }}</p>
      <p v-if="shared" class="quiet">{{ shared }}</p>
    </template>
    <FieldRows :fields="GAP" :of="plan" @change="change" />
    <FieldRows v-if="!isStickers" :fields="CUT" :of="plan" @change="change" />
    <FieldRows
      v-if="store.committed"
      :fields="CUT_BY"
      :of="store.committed.material"
      @change="cutBy"
    />
    <ChoicesRow
      :label="words.marks"
      :name="words.marksLong"
      :model-value="plan.marks.on ? 'on' : 'off'"
      :choices="words.marksOn"
      @update:model-value="change({ marks: { ...plan.marks, on: $event === 'on' } })"
    />
    <FieldRows v-if="hasBacks" :fields="TURNED" :of="plan" @change="change" />
    <LinkButton v-if="canBeStickers" @click="makeStickers">
      {{ words.makeStickers }}
    </LinkButton>
    <LinkButton
      v-if="moved.length"
      @click="store.act({ name: 'return-copies', args: { copies: moved } })"
    >
      {{ words.backAll(moved.length) }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 2px 0 6px;
  text-align: right;
}
</style>
