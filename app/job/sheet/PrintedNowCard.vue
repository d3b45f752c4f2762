<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { changedSince } from '../../../core/job/index.ts';
import { copyCount, printedCopyIds } from '../../../core/sheet/index.ts';
import { useShelf } from '../../session/shelf-store.ts';
import { dayOf } from '../../ui/dates.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import { useMessages } from '../../ui/messages-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** Which copies are printed this time: all, what changed since the last run, or what was spoiled in it. */
const store = useJobStore();
const shelf = useShelf();
const messages = useMessages();
const say = texts.sheet.now;
onMounted(() => {
  if (!shelf.ready) void shelf.refresh().catch(messages.sayError);
});
const job = computed(() => store.committed);
const last = computed(() => job.value && shelf.lastRun(job.value.id, store.thing));
/** What was spoiled on these sheets, guests too; what lay on the sheets of others is printed there. */
const spoiled = computed(() => {
  const { value: run } = last;
  return run && run.guestOf === undefined
    ? [...(run.spoiled ?? []), ...(run.spoiledGuests ?? [])]
    : [];
});
const counts = computed(() => {
  const { value } = job;
  if (!value?.plan.printOnly) return undefined;
  const sum = (count: (piece: string) => number): number =>
    value.pieces.reduce((all, { id }) => all + count(id), 0);
  return {
    now: sum((piece) => printedCopyIds(value, piece).length),
    all: sum((piece) => copyCount(value, piece)),
  };
});

function print(copies: readonly string[] | undefined): void {
  store.act({ name: 'print-only', args: { copies } });
}

function printChanged(): void {
  const { value } = job;
  if (!value) return;
  const changed = changedSince(value, shelf.printedBefore(value.id, store.thing));
  if (changed.length) print(changed);
  else messages.say(say.nothingChanged);
}
</script>

<template>
  <CardPanel v-if="counts" :title="say.some(counts.now, counts.all)" tone="amber">
    <LinkButton @click="print(undefined)">{{ say.all }}</LinkButton>
  </CardPanel>
  <CardPanel v-else-if="last" :title="say.title" :aside="dayOf(last.at)">
    <LinkButton @click="printChanged">{{ say.changed }}</LinkButton>
    <LinkButton v-if="spoiled.length" @click="print(spoiled)">
      {{ say.spoiled(spoiled.length) }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
.link {
  display: block;
}
</style>
