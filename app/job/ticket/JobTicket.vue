<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRoute } from 'vue-router';
import { ownPieces, thingAlone, thingsOf } from '../../../core/job/index.ts';
import { copyCount } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import { dayOf } from '../../ui/dates.ts';
import { useSettings } from '../../ui/settings-store.ts';
import StateMark from '../../ui/StateMark.vue';
import { useShelf } from '../../session/shelf-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import { ticketLines } from '../../session/ticket-lines.ts';
import ThingTabs from './ThingTabs.vue';

const store = useJobStore();
const shelf = useShelf();
const settings = useSettings();
const route = useRoute();
onMounted(() => void shelf.refresh());

const lastRun = computed(() => {
  const run = store.committed && shelf.lastRun(store.committed.id, store.host);
  return run && `${dayOf(run.at)} · ${run.copies} copies`;
});
const openRun = computed(() => {
  const run = store.committed && shelf.openRun(store.committed.id, store.host);
  return run?.open && texts.ticket.underWay(run.open.done.length);
});
const lines = computed(() =>
  store.committed && store.layout
    ? ticketLines({
        job: store.committed,
        onSheets: store.onSheets ?? store.committed,
        layout: store.layout,
        findings: store.findings.list,
        looking: store.findings.looking,
        unit: settings.unit,
        lastRun: lastRun.value,
        openRun: openRun.value,
      })
    : [],
);
const toMend = computed(
  () => store.findings.list.filter(({ severity }) => severity !== 'note').length,
);
const copies = computed(
  () => store.layout?.sheets.reduce((sum, { placements }) => sum + placements.length, 0) ?? 0,
);
const summary = computed(() => {
  const sheets = store.layout?.sheets.length ?? 0;
  return texts.ticket.summary(copies.value, sheets, store.layout?.freePlaces ?? 0);
});
/** What is made of each thing of a set, and on what. */
const groups = computed(() => {
  const { whole } = store;
  if (!whole?.set) return [];
  return thingsOf(whole).map(({ id, name }) => {
    const job = thingAlone(whole, id);
    return {
      name,
      copies: ownPieces(job).reduce((sum, piece) => sum + copyCount(job, piece.id), 0),
      on: `${job.stock.name}, ${job.material.name.toLowerCase()}`,
    };
  });
});
const next = computed(() => {
  if (store.committed?.pieces.every(({ elements }) => elements.length === 0))
    return { label: texts.ticket.nextArtwork, desk: 'artwork' };
  return toMend.value
    ? { label: texts.ticket.nextFinding(toMend.value), desk: 'proof' }
    : { label: texts.ticket.nextRun, desk: 'run' };
});

function rename(event: Event): void {
  const field = event.target as HTMLInputElement;
  if (!store.act({ name: 'rename-job', args: { name: field.value } }))
    field.value = store.committed?.name ?? '';
  field.blur();
}
</script>

<template>
  <nav
    v-if="store.committed"
    class="ticket"
    :class="{ several: groups.length }"
    :aria-label="texts.ticket.jobTicket"
  >
    <header>
      <input
        class="name display"
        :value="store.committed.name"
        :aria-label="texts.ticket.jobName"
        maxlength="120"
        :title="store.committed.name"
        @change="rename"
        @keydown.enter="rename"
      />
    </header>
    <ThingTabs />
    <ol>
      <li v-for="line in lines" :key="line.id">
        <router-link
          :to="{ name: line.desk }"
          class="line"
          :class="{ here: route.name === line.desk && line.id !== 'thing' }"
          :data-line="line.id"
        >
          <span>
            <strong>{{ line.name }}</strong>
            <span class="fact" :title="line.fact">{{ line.fact }}</span>
          </span>
          <StateMark :state="line.state" />
        </router-link>
      </li>
    </ol>
    <footer>
      <p class="display large">{{ texts.ticket.perSheet(store.layout?.perSheet ?? 0) }}</p>
      <p class="quiet">{{ summary }}</p>
      <p v-if="groups.length" class="quiet groups">{{ texts.set.summary(groups) }}</p>
      <v-btn block color="primary" height="40" :to="{ name: next.desk }">{{ next.label }}</v-btn>
    </footer>
  </nav>
</template>

<style scoped>
.ticket {
  position: relative;
  z-index: 2;
  display: flex;
  flex: none;
  flex-direction: column;
  box-sizing: border-box;
  width: 246px;
  padding-right: 5px;
  background: var(--card);
  --holes: radial-gradient(circle at 100% 50%, transparent 4px, #000 4.5px) 100% 0 / 100% 14px;
  mask: var(--holes);
}
header {
  padding: 14px 12px 4px 8px;
}
.name {
  box-sizing: border-box;
  width: 100%;
  border: 1px solid transparent;
  border-radius: var(--r-field);
  padding: 2px 10px;
  background: none;
  color: var(--ink);
  font-size: 20px;
  text-overflow: ellipsis;
}
.name:hover {
  border-color: var(--field-line);
}
ol {
  flex: 1;
  min-height: 0;
  margin: 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}
.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  box-sizing: border-box;
  min-height: 54px;
  border-top: 1px dashed var(--line);
  border-left: 4px solid transparent;
  padding: 6px 18px 6px 14px;
  color: var(--ink);
  text-decoration: none;
}
.line:hover {
  background: var(--well);
}
.line:focus-visible {
  outline-offset: -3px;
}
.here {
  border-left-color: var(--apricot);
  background: var(--apricot-soft);
}
.line > span {
  min-width: 0;
}
.line strong,
.fact {
  display: block;
}
.fact {
  overflow: hidden;
  color: var(--ink-2);
  text-overflow: ellipsis;
  white-space: nowrap;
}
footer {
  border-top: 1px dashed var(--line);
  padding: 12px 18px 18px;
}
footer p {
  margin: 0 0 2px;
}
.large {
  color: var(--plum);
  font-size: 26px;
  line-height: 1.2;
}
footer .quiet {
  margin-bottom: 12px;
  font-size: 12.5px;
}
/* Tabs and what is made of each take their room from the lines. */
.several .line {
  min-height: 47px;
  padding-block: 3px;
}
.groups {
  margin-bottom: 10px;
}
@media (max-width: 1100px) {
  .ticket {
    width: 212px;
  }
}
@media (max-height: 760px) {
  .line {
    min-height: 46px;
    padding-block: 3px;
  }
}
</style>
