<script setup lang="ts">
import { computed } from 'vue';
import { PLAIN_SHEETS, type Stock } from '../../../core/stock/index.ts';
import { useStockRoom } from '../../session/stock-room-store.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import SelectRow from '../../ui/SelectRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useJobStore } from '../../session/job-store.ts';

/** One of several sheets: what it lies on, and its place in the order. */
const props = defineProps<{ sheet: number }>();
const emit = defineEmits<{ follow: [sheet: number] }>();
const store = useJobStore();
const room = useStockRoom();
void room.start();
const say = texts.sheet;
const count = computed(() => store.committedLayout?.sheets.length ?? 0);
const stocks = computed((): Stock[] => {
  const own = store.committedLayout?.sheets[props.sheet]?.stock;
  const all = [
    ...(store.committed ? [store.committed.stock] : []),
    ...(own ? [own] : []),
    ...room.room.supplies.map(({ stock }) => stock).filter(({ spots }) => !spots),
    ...PLAIN_SHEETS,
  ];
  return all.filter(({ id }, at) => all.findIndex((one) => one.id === id) === at);
});
const choices = computed(() => Object.fromEntries(stocks.value.map(({ id, name }) => [id, name])));

function lay(id: string): void {
  const stock = stocks.value.find((one) => one.id === id);
  const usual = id === store.committed?.stock.id;
  store.act({
    name: 'change-sheet-stock',
    args: { sheet: props.sheet, stock: usual ? undefined : stock },
  });
}

function move(by: number): void {
  const to = props.sheet + by;
  if (store.act({ name: 'move-sheet', args: { from: props.sheet, to } })) emit('follow', to);
}
</script>

<template>
  <CardPanel :title="say.thisSheet(sheet + 1, count)">
    <SelectRow
      :label="say.liesOn"
      :model-value="store.committedLayout?.sheets[sheet]?.stock.id ?? ''"
      :choices="choices"
      @update:model-value="lay"
    />
    <p>
      <LinkButton :disabled="sheet === 0" @click="move(-1)">
        {{ say.earlier }}
      </LinkButton>
      <LinkButton :disabled="sheet >= count - 1" @click="move(1)">
        {{ say.later }}
      </LinkButton>
    </p>
  </CardPanel>
</template>

<style scoped>
p {
  display: flex;
  gap: 16px;
  margin: 4px 0 0;
}
</style>
