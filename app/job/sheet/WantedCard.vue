<script setup lang="ts">
import { computed } from 'vue';
import { madeOf } from '../../../core/sheet/index.ts';
import PieceThumbnail from '../../shelf/PieceThumbnail.vue';
import CardPanel from '../../ui/CardPanel.vue';
import NumberField from '../../ui/NumberField.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useJobStore } from '../store/job-store.ts';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const say = texts.sheet;
const total = computed(() => {
  const { settled: job } = store;
  return job ? job.pieces.reduce((sum, { id }) => sum + madeOf(job.plan, id), 0) : 0;
});
const spare = computed(() => store.settledLayout?.spare ?? 0);
/** What the last sheet could still take: what is wanted, or all pieces when nothing is. */
const fillers = computed(() => {
  const { pieces = [], plan } = store.settled ?? {};
  const wanted = pieces.filter(({ id }) => (plan?.wanted[id] ?? 0) > 0);
  return wanted.length ? wanted : pieces;
});
const MOST_FILLERS = 8;

/** Fills the last sheet with copies of a piece. */
function fill(piece: string): void {
  const { plan } = store.settled ?? {};
  if (!plan) return;
  // Spares of what is added would go over the sheet.
  const made = madeOf(plan, piece) + spare.value;
  const spares = plan.spares ?? 0;
  let count = plan.wanted[piece] ?? 0;
  while (madeOf({ wanted: { [piece]: count + 1 }, spares }, piece) <= made) count++;
  store.act({ name: 'want', args: { piece, count } });
}
</script>

<template>
  <CardPanel v-if="store.settled" :title="texts.sheet.wanted" :aside="String(total)" peeled>
    <label v-for="piece in store.settled.pieces" :key="piece.id" class="row">
      <PieceThumbnail :job="store.settled" :piece="piece.id" />
      <span class="name" :title="piece.name">{{ piece.name }}</span>
      <NumberField
        :label="texts.sheet.wantedOf(piece.name)"
        :model-value="store.settled.plan.wanted[piece.id] ?? 0"
        :min="0"
        :max="5000"
        @update:model-value="
          store.act({ name: 'want', args: { piece: piece.id, count: $event } }, `want:${piece.id}`)
        "
      />
    </label>
    <NumberRow
      :label="say.spares"
      :name="say.sparesLong"
      suffix="%"
      :model-value="store.settled.plan.spares ?? 0"
      :min="0"
      :max="100"
      @update:model-value="
        store.act({ name: 'change-plan', args: { changes: { spares: $event } } }, 'spares')
      "
    />
    <p v-if="spare > 0 && fillers.length === 1 && fillers[0]" class="spare">
      <button class="link" type="button" @click="fill(fillers[0].id)">
        {{ say.fill(spare) }}
      </button>
    </p>
    <div v-else-if="spare > 0" class="spare fillers" role="group" :aria-label="say.fillWith(spare)">
      <span>{{ say.fillWith(spare) }}</span>
      <button
        v-for="piece in fillers.slice(0, MOST_FILLERS)"
        :key="piece.id"
        type="button"
        :title="piece.name"
        :aria-label="say.fillWithOne(spare, piece.name)"
        @click="fill(piece.id)"
      >
        <PieceThumbnail :job="store.settled" :piece="piece.id" />
      </button>
    </div>
  </CardPanel>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 40px;
}
svg {
  flex: none;
  width: 30px;
  height: 30px;
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.spare {
  margin: 6px 0 0;
}
.fillers {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px;
}
.fillers span {
  flex-basis: 100%;
}
.fillers button {
  border: 1px solid var(--line);
  border-radius: 10px;
  padding: 3px;
  background: none;
  cursor: pointer;
}
.fillers button:hover {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
</style>
