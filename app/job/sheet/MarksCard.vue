<script setup lang="ts">
import { computed } from 'vue';
import { boxWithin } from '../../../core/geometry/index.ts';
import { markBox } from '../../../core/register/index.ts';
import {
  marksSchema,
  printable,
  sheetMarks,
  usableShare,
  type Marks,
} from '../../../core/stock/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';
import { useMarkGains } from './mark-gains.ts';

/** The registration marks: their form and place, the room they take, and what other sizes would bring. */
const store = useJobStore();
const settings = useSettings();
const words = texts.sheet;
const { length } = fieldsOf(marksSchema);
const LENGTHS = [
  length('size', words.markSize),
  length('inset', words.inset, { name: words.insetLong }),
  length('insetEnds', words.insetEnds),
  length('quiet', words.quiet),
];
const marks = computed(() => store.job?.plan.marks);
const gains = useMarkGains(
  computed(() => store.job),
  useMessages().sayError,
);
const markNumber = computed(() => String(marks.value?.number ?? 4) as '3' | '4' | '6');
const unprinted = computed(() => {
  if (!store.job || !marks.value?.on) return false;
  const room = printable(store.job.stock);
  return sheetMarks(store.job.stock, marks.value).some((mark) => !boxWithin(markBox(mark), room));
});
const usable = computed(() =>
  store.job && marks.value ? usableShare(store.job.stock, marks.value) : 0,
);

function change(changes: Partial<Marks>, key?: string): void {
  if (!marks.value) return;
  const next = { ...marks.value, ...changes };
  store.act({ name: 'change-plan', args: { changes: { marks: next } } }, key && `mark ${key}`);
}

/** Bars are thinner than dots and have to be longer to be found. */
function restyle(style: Marks['style']): void {
  const now = marks.value;
  if (!now || now.style === style) return;
  const size = style === 'dot' ? Math.min(now.size, 5) : Math.max(now.size, 8);
  change({ style, size });
}
</script>

<template>
  <CardPanel v-if="marks?.on" :title="words.marksLong">
    <ChoicesRow
      :label="words.markStyle"
      :model-value="marks.style"
      :choices="words.markStyles"
      @update:model-value="restyle"
    />
    <ChoicesRow
      :label="words.markNumber"
      :model-value="markNumber"
      :choices="words.markNumbers"
      @update:model-value="change({ number: Number($event) as Marks['number'] })"
    />
    <FieldRows :fields="LENGTHS" :of="marks" @change="change" />
    <p v-if="unprinted" class="why">{{ words.markOff }}</p>
    <p v-else class="quiet">{{ words.usable(words.percent(usable)) }}</p>
    <table>
      <caption>
        {{
          words.gains
        }}
      </caption>
      <thead>
        <tr>
          <th scope="col">{{ words.gainSize }}</th>
          <th scope="col">{{ words.gainCopies }}</th>
          <th scope="col">{{ words.gainFound }}</th>
          <th scope="col">{{ words.gainOff }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="gain in gains" :key="gain.size" :class="{ now: gain.size === marks.size }">
          <th scope="row">
            <LinkButton @click="change({ size: gain.size })">
              {{ formatLength(gain.size, settings.unit) }}
            </LinkButton>
          </th>
          <td>{{ gain.perSheet }}</td>
          <td>
            {{ gain.trials ? words.percent(gain.trials.found / gain.trials.tries) : '…' }}
          </td>
          <td>
            {{ gain.trials?.found ? gain.trials.error.toFixed(2) : words.none }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="quiet">{{ words.gainsHint }}</p>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 6px 0 0;
  font-size: 12.5px;
}
.why {
  color: var(--amber-text);
}
table {
  width: 100%;
  margin-top: 10px;
  border-collapse: collapse;
}
caption {
  padding-bottom: 4px;
  font-weight: 600;
  text-align: left;
}
th,
td {
  padding: 2px 4px;
  text-align: right;
}
th:first-child {
  text-align: left;
}
thead th {
  color: var(--ink-2);
  font-weight: 500;
}
.now {
  background: var(--apricot-soft);
}
</style>
