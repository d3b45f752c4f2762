<script setup lang="ts">
import { computed } from 'vue';
import { frontsOf, ownPieces, thingAlone, thingsOf } from '../../../core/job/index.ts';
import { isByRow, copyCount } from '../../../core/sheet/index.ts';
import type { Piece } from '../../../core/piece/index.ts';
import PieceThumbnail from '../../session/PieceThumbnail.vue';
import CardPanel from '../../ui/CardPanel.vue';
import NumberField from '../../ui/NumberField.vue';
import NumberRow from '../../ui/NumberRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const say = texts.sheet;
const total = computed(() => {
  const { committed: job } = store;
  return job ? job.pieces.reduce((sum, { id }) => sum + copyCount(job, id), 0) : 0;
});
/** Other sides are printed with their fronts. */
const fronts = computed(() =>
  store.committed
    ? frontsOf(store.committed).sort((a, b) => Number(isForeign(a)) - Number(isForeign(b)))
    : [],
);
/** Whether a piece is a guest from another job. */
const isForeign = ({ guest }: Piece): boolean => guest?.job !== undefined;
const free = computed(() => store.committedLayout?.freePlaces ?? 0);
/** What a piece is called here: the only one of a thing of a set as that is. */
const nameOf = ({ name, guest }: Piece): string =>
  (!guest && store.own.length === 1 && store.whole?.set && store.shownThing?.name) || name;
/** What the last sheet could still take: what is wanted, or all pieces when nothing is. */
const fillers = computed(() => {
  const { committed: job } = store;
  if (!job) return [];
  const counted = fronts.value.filter(({ id }) => !isByRow(job, id));
  const wanted = counted.filter(({ id }) => (job.plan.wanted[id] ?? 0) > 0);
  return wanted.length ? wanted : counted;
});
const MOST_FILLERS = 8;

/** How many of the whole set are wanted: what was said, or what is wanted of each thing where that is one number. */
const ofSet = computed(() => {
  if (!store.whole?.set) return 0;
  const { whole } = store;
  const { count } = store.whole.set;
  const counts = new Set(
    thingsOf(whole).flatMap(({ id }) => {
      const job = thingAlone(whole, id);
      const { wanted, copiesPerRow } = job.plan;
      return frontsOf({ pieces: ownPieces(job) }).map(
        (one) => copiesPerRow?.[one.id] ?? wanted[one.id],
      );
    }),
  );
  const [only] = counts;
  return count ?? (counts.size === 1 ? (only ?? 0) : 0);
});

/** Has the rows of the list say how many copies of a piece there are, or not. */
function byRow(piece: string): void {
  const { committed: job } = store;
  if (job)
    store.act({ name: 'want-rows', args: { piece, each: isByRow(job, piece) ? undefined : 1 } });
}

function rowsLink(piece: Piece): string {
  const { committed: job } = store;
  if (!job) return '';
  const { id } = piece;
  const of = job.pieces.length > 1 ? nameOf(piece) : '';
  return isByRow(job, id) ? say.countCopies(of) : say.oneARow(of);
}

/** Fills the last sheet with copies of a piece. */
function fill(piece: string): void {
  const { committed: job } = store;
  if (!job) return;
  // Spares of what is added would go over the sheet.
  const made = copyCount(job, piece) + free.value;
  const { plan } = job;
  let count = plan.wanted[piece] ?? 0;
  while (copyCount({ plan: { ...plan, wanted: { [piece]: count + 1 } } }, piece) <= made) count++;
  store.act({ name: 'want', args: { piece, count } });
}
</script>

<template>
  <CardPanel v-if="store.committed" :title="texts.sheet.wanted" :aside="String(total)" peeled>
    <NumberRow
      v-if="store.whole?.set"
      :label="texts.set.count"
      :name="texts.set.countLong"
      :model-value="ofSet"
      :min="0"
      :max="5000"
      @update:model-value="store.act({ name: 'want-sets', args: { count: $event } }, 'want-sets')"
    />
    <label v-for="piece in fronts" :key="piece.id" class="row">
      <PieceThumbnail :job="store.committed" :piece="piece.id" />
      <span class="name" :title="nameOf(piece)">{{ nameOf(piece) }}</span>
      <template v-if="isByRow(store.committed, piece.id)">
        <span class="quiet">{{ say.eachRow }}</span>
        <NumberField
          :label="say.eachRowOf(nameOf(piece))"
          :model-value="store.committed.plan.copiesPerRow?.[piece.id] ?? 1"
          :min="1"
          :max="500"
          @update:model-value="
            store.act(
              { name: 'want-rows', args: { piece: piece.id, each: $event } },
              `each:${piece.id}`,
            )
          "
        />
      </template>
      <NumberField
        v-else
        :label="texts.sheet.wantedOf(nameOf(piece))"
        :model-value="store.committed.plan.wanted[piece.id] ?? 0"
        :min="0"
        :max="5000"
        @update:model-value="
          store.act({ name: 'want', args: { piece: piece.id, count: $event } }, `want:${piece.id}`)
        "
      />
    </label>
    <p v-if="store.committed.list" class="lists">
      <template v-for="piece in fronts.filter((one) => !isForeign(one))" :key="piece.id">
        <LinkButton @click="byRow(piece.id)">
          {{ rowsLink(piece) }}
        </LinkButton>
      </template>
      <router-link class="link" :to="{ name: 'artwork', query: { list: 'open' } }">{{
        texts.list.openIt
      }}</router-link>
    </p>
    <NumberRow
      :label="say.spares"
      :name="say.sparesLong"
      suffix="%"
      :model-value="store.committed.plan.spares ?? 0"
      :min="0"
      :max="100"
      @update:model-value="
        store.act({ name: 'change-plan', args: { changes: { spares: $event } } }, 'spares')
      "
    />
    <p v-if="free > 0 && fillers.length === 1 && fillers[0]" class="free">
      <LinkButton @click="fill(fillers[0].id)">
        {{ say.fill(free) }}
      </LinkButton>
    </p>
    <div
      v-else-if="free > 0 && fillers.length"
      class="free fillers"
      role="group"
      :aria-label="say.fillWith(free)"
    >
      <span>{{ say.fillWith(free) }}</span>
      <button
        v-for="piece in fillers.slice(0, MOST_FILLERS)"
        :key="piece.id"
        type="button"
        :title="nameOf(piece)"
        :aria-label="say.fillWithOne(free, nameOf(piece))"
        @click="fill(piece.id)"
      >
        <PieceThumbnail :job="store.committed" :piece="piece.id" />
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
.lists {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 16px;
  margin: 4px 0;
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
.free {
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
