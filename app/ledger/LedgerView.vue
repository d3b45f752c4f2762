<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, onMounted, ref, watch } from 'vue';
import { byPack, costPerGood, goodOf, ledgerCsv, type RunRecord } from '../../core/run/index.ts';
import { loadFor } from '../session/page-resources.ts';
import PieceThumbnail from '../session/PieceThumbnail.vue';
import { useShelf } from '../session/shelf-store.ts';
import EmptyState from '../ui/EmptyState.vue';
import { useStockRoom } from '../session/stock-room-store.ts';
import { download, forgetRun, keepRun } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import ChoiceRow from '../ui/ChoiceRow.vue';
import { dayOf } from '../ui/dates.ts';
import { useMessages } from '../ui/messages-store.ts';
import { formatMoney } from '../ui/money.ts';
import { useSettings } from '../ui/settings-store.ts';
import LedgerChart from './LedgerChart.vue';
import LinkButton from '../ui/LinkButton.vue';
import { handFacts, packName, runsFor, spoilageOverTime, sums, type Span } from './ledger-facts.ts';

/** Every run: what came out good, what it took, what a label cost. */
const words = texts.ledger;
const shelf = useShelf();
const room = useStockRoom();
const settings = useSettings();
const messages = useMessages();
const typed = ref('');
const span = ref<Span>('all');
const now = Date.now();
onMounted(() => {
  void room.start();
  void shelf.start().catch(messages.sayError);
});

const finished = computed(() => runsFor(shelf.runs, { typed: '', span: 'all', now }));
const jobOf = (run: RunRecord) => shelf.jobs.find(({ job }) => job.id === run.job)?.job;
const runs = computed(() => runsFor(shelf.runs, { typed: typed.value, span: span.value, now }));
watch(
  () => runs.value.flatMap((run) => jobOf(run) ?? []),
  (jobs) => {
    for (const job of new Set(jobs)) void loadFor(job).catch(messages.sayError);
  },
);
const sum = computed(() => sums(runs.value));
const money = (amount: number | undefined): string =>
  amount === undefined ? words.unknown : formatMoney(amount, settings.currency);
const spoiled = computed(() => spoilageOverTime(runs.value));
const onHand = computed(() => handFacts(room.room.supplies, finished.value, now));
const packs = computed(() => byPack(runs.value));
const costs = computed(() =>
  packs.value.flatMap((pack) =>
    pack.cost === undefined ? [] : [{ pack: packName(pack, packs.value, money), cost: pack.cost }],
  ),
);
const cheapest = computed(() => Math.min(...costs.value.map(({ cost }) => cost)));
const took = ({ seconds }: RunRecord): string =>
  seconds === undefined
    ? words.unknown
    : seconds < 60
      ? words.underMinute
      : words.minutes(Math.round(seconds / 60));

function save(): void {
  const csv = new TextEncoder().encode(`\u{feff}${ledgerCsv(runs.value)}`);
  download('ledger.csv', csv, 'text/csv');
}

async function forget(run: RunRecord): Promise<void> {
  await forgetRun(run.id);
  await shelf.readRuns();
  const back = (): void => void keepRun(run).then(shelf.readRuns).catch(messages.sayError);
  messages.say(words.forgotten, { label: texts.undo, run: back });
}
</script>

<template>
  <main class="ledger">
    <h1 class="visually-hidden">{{ words.title }}</h1>
    <EmptyState
      v-if="shelf.ready && finished.length === 0"
      :says="words.empty"
      :action="words.toShelf"
      @act="$router.push('/')"
    />
    <template v-else-if="shelf.ready">
      <div class="find">
        <input
          v-model="typed"
          class="well"
          type="search"
          :placeholder="words.filter"
          :aria-label="words.filter"
        />
        <ChoiceRow v-model="span" :label="words.since" :choices="words.times" />
        <LinkButton :disabled="runs.length === 0" @click="save">
          {{ words.csv }}
        </LinkButton>
      </div>
      <dl class="sums">
        <div>
          <dt>{{ words.good }}</dt>
          <dd class="display" data-good>{{ sum.good }}</dd>
        </div>
        <div>
          <dt>{{ words.spoiled }}</dt>
          <dd class="display">{{ sum.spoiled }}</dd>
        </div>
        <div>
          <dt>{{ words.sheets }}</dt>
          <dd class="display">{{ sum.sheets }}</dd>
        </div>
        <div>
          <dt>{{ words.cost }}</dt>
          <dd class="display">{{ money(costPerGood(runs)) }}</dd>
        </div>
      </dl>
      <div v-if="runs.length" class="charts">
        <LedgerChart
          v-if="costs.length"
          :title="words.byStock"
          kind="bar"
          :names="costs.map(({ pack }) => pack)"
          :values="costs.map(({ cost }) => cost)"
          :say="money"
        />
        <LedgerChart
          v-if="spoiled.length > 1"
          :title="words.overTime"
          kind="line"
          :names="spoiled.map(({ day }) => day)"
          :values="spoiled.map(({ percent }) => percent)"
          :say="(value: number) => `${Math.round(value * 10) / 10} %`"
        />
        <section v-if="onHand.length" class="hand">
          <h2>{{ words.onHand }}</h2>
          <p v-for="one in onHand" :key="one.id">
            <span>{{ one.stock }}</span>
            <strong>{{ words.sheetsLeft(one.sheets) }}</strong>
            <span class="quiet">{{
              one.days === undefined ? words.noTelling : words.lasts(one.days)
            }}</span>
          </p>
        </section>
      </div>
      <p v-else class="quiet">{{ words.none }}</p>
      <table v-if="packs.length > 1" data-packs>
        <caption>
          {{
            words.compare
          }}
        </caption>
        <thead>
          <tr>
            <th>{{ words.stock }}</th>
            <th>{{ words.sheetCosts }}</th>
            <th>{{ words.sheets }}</th>
            <th>{{ words.good }}</th>
            <th>{{ words.spoiled }}</th>
            <th>{{ words.costs }}</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="one in packs"
            :key="`${one.stock}/${one.material}/${one.sheetPrice}`"
            :class="{ cheapest: one.cost === cheapest && costs.length > 1 }"
          >
            <td>
              {{ one.stock }} <span class="quiet">{{ one.material }}</span>
            </td>
            <td>{{ money(one.sheetPrice) }}</td>
            <td>{{ one.sheets }}</td>
            <td>{{ one.good }}</td>
            <td>{{ one.spoiled }}</td>
            <td>
              {{ money(one.cost) }}
              <span v-if="one.cost === cheapest && costs.length > 1">{{ words.cheapest }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <table v-if="runs.length">
        <caption>
          {{
            words.runs(runs.length)
          }}
        </caption>
        <thead>
          <tr>
            <th></th>
            <th>{{ words.job }}</th>
            <th>{{ words.day }}</th>
            <th>{{ words.stock }}</th>
            <th>{{ words.sheets }}</th>
            <th>{{ words.good }}</th>
            <th>{{ words.spoiled }}</th>
            <th>{{ words.took }}</th>
            <th>{{ words.costs }}</th>
            <th></th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="run in runs" :key="run.id" data-run>
            <td class="picture">
              <img v-if="run.picture" :src="run.picture" alt="" />
              <PieceThumbnail
                v-else-if="jobOf(run)?.pieces[0]"
                :job="jobOf(run)!"
                :piece="jobOf(run)?.pieces[0]?.id ?? ''"
              />
            </td>
            <td>
              <router-link v-if="jobOf(run)" class="link" :to="`/job/${run.job}/run`">{{
                run.jobName ?? jobOf(run)?.name
              }}</router-link>
              <span v-else>{{ run.jobName ?? words.unknown }}</span>
            </td>
            <td>{{ dayOf(run.at) }}</td>
            <td>
              {{ run.stock }} <span class="quiet">{{ run.material }}</span>
            </td>
            <td v-if="run.guestOf === undefined">{{ run.sheets }}</td>
            <td v-else class="quiet" :title="words.guestOfLong(run.guestOf)">
              {{ words.guestOf }}
            </td>
            <td>{{ goodOf(run) }}</td>
            <td>{{ run.copies - goodOf(run) }}</td>
            <td>{{ took(run) }}</td>
            <td>{{ money(costPerGood([run])) }}</td>
            <td>
              <button
                class="out"
                type="button"
                :aria-label="words.forget(run.jobName ?? '')"
                @click="forget(run)"
              >
                <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiClose" /></svg>
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </template>
  </main>
</template>

<style scoped>
.ledger {
  box-sizing: border-box;
  height: 100%;
  padding: 22px 30px 40px;
  overflow: auto;
}
.find {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  align-items: center;
}
.find input {
  width: 240px;
}
.sums {
  display: flex;
  flex-wrap: wrap;
  gap: 14px;
  margin: 18px 0;
}
.sums div {
  flex: 1 1 160px;
  border-radius: var(--r-card);
  padding: 12px 18px;
  background: var(--card);
  box-shadow: var(--shadow);
}
dt {
  color: var(--ink-2);
}
dd {
  margin: 0;
  font-size: 28px;
}
.charts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 14px;
}
.hand {
  border-radius: var(--r-card);
  padding: 14px 16px;
  background: var(--card);
  box-shadow: var(--shadow);
}
h2 {
  margin-bottom: 6px;
  font-size: 14px;
}
.hand p {
  display: grid;
  grid-template-columns: 1fr auto;
  margin: 6px 0;
}
.hand .quiet {
  grid-column: 1 / -1;
  font-size: 12.5px;
}
table {
  width: 100%;
  margin-top: 22px;
  border-collapse: collapse;
  border-radius: var(--r-card);
  background: var(--card);
  box-shadow: var(--shadow);
}
caption {
  padding: 0 2px 8px;
  font-weight: 600;
  text-align: left;
}
th {
  padding: 10px 12px;
  color: var(--ink-2);
  font-weight: 500;
  text-align: left;
}
td {
  border-top: 1px solid var(--line);
  padding: 8px 12px;
}
.picture {
  width: 46px;
}
.picture svg {
  display: block;
  width: 44px;
  max-height: 44px;
}
.picture img {
  display: block;
  max-width: 44px;
  max-height: 56px;
  margin: auto;
  border-radius: 3px;
  box-shadow: 0 0 0 1px var(--line);
}
.out {
  width: 28px;
  height: 28px;
  border: 0;
  border-radius: 50%;
  padding: 5px;
  background: none;
  cursor: pointer;
}
.out:hover {
  background: var(--apricot-soft);
}
.out path {
  fill: var(--ink-2);
}
.cheapest td {
  font-weight: 600;
}
.cheapest td:last-child span {
  color: var(--leaf);
}
</style>
