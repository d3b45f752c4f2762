<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { groupsOf, guestsOf, outdatedSources, thingsOf } from '../../../core/job/index.ts';
import { isSame } from '../../../core/base/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import BringGuests from './BringGuests.vue';

/** What else lies on these sheets: other things of the set, and labels of other jobs. */
const store = useJobStore();
const shelf = useShelf();
const say = texts.guests;
const bringing = ref(false);

/** Other things of the set on the same stock and material, and whether they lie on these sheets. */
const others = computed(() => {
  const { whole, committed: job } = store;
  if (!whole?.set || !job || job.stock.spots) return [];
  const groups = groupsOf(whole);
  const here = groups.find(({ id }) => id === store.thing);
  const names = new Map(thingsOf(whole).map(({ id, name }) => [id, name]));
  const mine = here?.things.slice(1) ?? [];
  const alike = groups.filter(
    (one) => one !== here && isSame([one.job.stock, one.job.material], [job.stock, job.material]),
  );
  return [
    ...mine.map((id) => ({ id, name: names.get(id) ?? '', isHere: true })),
    ...alike.map(({ id, name }) => ({ id, name, isHere: false })),
  ];
});
const guests = computed(() =>
  store.committed ? guestsOf(store.committed).filter(({ guest }) => guest?.job) : [],
);
/** Their jobs may have been changed in another tab. */
onMounted(() => guests.value.length > 0 && void shelf.refresh());
/** The jobs whose labels are others now than they are here. */
const outdated = computed(() =>
  store.committed
    ? outdatedSources(
        store.committed,
        shelf.jobs.map(({ job }) => job),
      )
    : [],
);

function share(thing: string, isHere: boolean): void {
  const on = isHere ? undefined : store.thing;
  store.act({ name: 'share-sheets', args: { thing, on } });
}

const update = (source: (typeof outdated.value)[number]): boolean =>
  store.act({ name: 'update-guests', args: { source } });
</script>

<template>
  <CardPanel :title="say.title" :aside="guests.length ? String(guests.length) : ''">
    <CheckRow
      v-for="{ id, name, isHere } in others"
      :key="id"
      :model-value="isHere"
      :label="say.share(name)"
      @update:model-value="share(id, isHere)"
    />
    <ul v-if="guests.length">
      <li v-for="piece in guests" :key="piece.id">
        <span class="name" :title="piece.name">{{ piece.name }}</span>
        <LinkButton
          :aria-label="say.takeOffOne(piece.name)"
          @click="store.act({ name: 'delete-piece', args: { piece: piece.id } })"
        >
          {{ say.takeOff }}
        </LinkButton>
      </li>
    </ul>
    <p v-for="source in outdated" :key="source.id" class="changed" role="status">
      {{ say.changed(source.name) }}
      <LinkButton @click="update(source)">{{ say.update }}</LinkButton>
    </p>
    <p v-if="!guests.length" class="quiet">{{ say.hint }}</p>
    <LinkButton @click="bringing = true">{{ say.bring }}</LinkButton>
    <BringGuests v-if="bringing" @close="bringing = false" />
  </CardPanel>
</template>

<style scoped>
ul {
  max-height: 190px;
  margin: 0 0 4px;
  padding: 0;
  overflow: auto;
  list-style: none;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: var(--row);
}
.name {
  flex: 1;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
p {
  margin: 2px 0 6px;
}
.changed {
  border-radius: var(--r-field);
  padding: 6px 10px;
  background: var(--amber-soft);
}
</style>
