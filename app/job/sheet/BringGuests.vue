<script setup lang="ts">
import { computed, onMounted, reactive, ref, shallowRef } from 'vue';
import {
  asOfRow,
  frontsOf,
  ownPieces,
  thingAlone,
  thingsOf,
  type Job,
} from '../../../core/job/index.ts';
import { rowsOn } from '../../../core/piece/index.ts';
import PieceThumbnail from '../../session/PieceThumbnail.vue';
import { loadFor } from '../../session/page-resources.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import NumberField from '../../ui/NumberField.vue';
import OverlayPanel from '../../ui/OverlayPanel.vue';
import JobChips from '../common/JobChips.vue';

/** Labels of another job for the room that is left on these sheets. */
const emit = defineEmits<{ close: [] }>();
const store = useJobStore();
const shelf = useShelf();
const messages = useMessages();
const say = texts.guests;
const MOST_SHOWN = 60;
onMounted(() => void shelf.refresh());

/** A label that can be brought: a piece, or a piece as a row of the list fills it. */
interface Offer {
  readonly key: string;
  readonly job: Job;
  readonly thing: string | undefined;
  readonly piece: string;
  readonly row: string | undefined;
  readonly name: string;
}

const source = shallowRef<Job>();
const sought = ref('');
const counts = reactive(new Map<string, number>());
const jobs = computed(() =>
  shelf.jobs.flatMap(({ job }) => (job.id === store.whole?.id ? [] : job)),
);

function offersOf(job: Job, thing: string | undefined, called: string): Offer[] {
  const fronts = frontsOf({ pieces: ownPieces(job) });
  return fronts.flatMap((piece): Offer[] => {
    const name = fronts.length > 1 ? piece.name : called || piece.name;
    const one = { job, thing, piece: piece.id };
    const key = `${thing ?? ''} ${piece.id}`;
    if (!job.list) return [{ ...one, key, row: undefined, name }];
    return rowsOn(job.list).map((row) => ({
      ...one,
      key: `${key} ${row.key}`,
      row: row.key,
      name: asOfRow(name, row),
    }));
  });
}

const offers = computed((): Offer[] => {
  const { value: job } = source;
  if (!job) return [];
  if (!job.set) return offersOf(job, undefined, '');
  return thingsOf(job).flatMap(({ id, name }) => offersOf(thingAlone(job, id), id, name));
});
const found = computed(() => {
  const words = sought.value.trim().toLowerCase();
  return offers.value.filter(({ name }) => name.toLowerCase().includes(words));
});
const total = computed(() => [...counts.values()].reduce((sum, count) => sum + count, 0));
const free = computed(() => store.committedLayout?.freePlaces ?? 0);

async function choose(job: Job): Promise<void> {
  counts.clear();
  sought.value = '';
  await loadFor(job).catch(messages.sayError);
  source.value = job;
}

function bring(): void {
  const { value: from } = source;
  const picked = offers.value.filter(({ key }) => (counts.get(key) ?? 0) > 0);
  if (!from || picked.length === 0) return;
  for (const thing of new Set(picked.map((one) => one.thing))) {
    const picks = picked
      .filter((one) => one.thing === thing)
      .map(({ key, piece, row }) => ({ piece, row, count: counts.get(key) ?? 0 }));
    if (!store.act({ name: 'bring-guests', args: { source: from, thing, picks } })) return;
  }
  messages.say(say.brought(total.value, from.name), { label: texts.undo, run: store.undo });
  emit('close');
}
</script>

<template>
  <OverlayPanel :title="say.bring" @close="emit('close')">
    <p class="quiet">{{ free > 0 ? say.free(free) : say.hint }}</p>
    <p v-if="jobs.length === 0" class="quiet">{{ say.noJobs }}</p>
    <JobChips :jobs="jobs" :chosen="source?.id" @choose="choose" />
    <template v-if="source">
      <h3>{{ say.whichOf(source.name) }}</h3>
      <input
        v-if="offers.length > 12"
        v-model="sought"
        class="well find"
        type="search"
        :placeholder="say.find"
        :aria-label="say.find"
      />
      <div class="offers">
        <label v-for="one in found.slice(0, MOST_SHOWN)" :key="one.key">
          <PieceThumbnail :job="one.job" :piece="one.piece" :row="one.row" />
          <span class="name" :title="one.name">{{ one.name }}</span>
          <NumberField
            :label="say.countOf(one.name)"
            :model-value="counts.get(one.key) ?? 0"
            :min="0"
            :max="5000"
            @update:model-value="counts.set(one.key, $event)"
          />
        </label>
      </div>
      <p v-if="found.length === 0" class="quiet">{{ say.noneFound }}</p>
      <p v-if="found.length > MOST_SHOWN" class="quiet">
        {{ say.more(found.length - MOST_SHOWN) }}
      </p>
      <v-btn color="primary" :disabled="total === 0" @click="bring">{{ say.doBring(total) }}</v-btn>
    </template>
  </OverlayPanel>
</template>

<style scoped>
p {
  margin: 0 0 10px;
}
h3 {
  margin: 18px 0 8px;
  font-size: 14px;
}
.find {
  width: 260px;
  margin-bottom: 8px;
}
.offers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 2px 18px;
  max-height: 340px;
  margin-bottom: 12px;
  overflow: auto;
}
label {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
svg {
  flex: none;
  width: 40px;
  height: 40px;
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
