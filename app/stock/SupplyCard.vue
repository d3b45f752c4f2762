<script setup lang="ts">
import { computed } from 'vue';
import {
  labelCost,
  spotCount,
  supplySchema,
  type Material,
  type Supply,
} from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import FactRow from '../ui/FactRow.vue';
import FieldRows from '../ui/FieldRows.vue';
import { fieldsOf } from '../ui/fields.ts';
import { formatMoney } from '../ui/money.ts';
import { useSettings } from '../ui/settings-store.ts';
import MaterialFacts from './MaterialFacts.vue';
import PackRows from './PackRows.vue';
import LinkButton from '../ui/LinkButton.vue';
import { useStockRoom } from '../session/stock-room-store.ts';

/** What is on hand of a sheet: packs, loose ones, what they are made of and what they cost. */
const props = defineProps<{ supply: Supply }>();
const words = texts.stock.supply;
const { number } = fieldsOf(supplySchema);
const ON_HAND = [number('packs', words.packs), number('loose', words.loose)];
const room = useStockRoom();
const settings = useSettings();
const cost = computed(() => {
  const { stock, material } = props.supply;
  return stock.spots ? labelCost(material.pack, spotCount(stock.spots)) : undefined;
});

function change(changes: Partial<Supply>): void {
  void room.keepSupply({ ...props.supply, ...changes });
}

/** Another material; the price of the pack stays where the other has none. */
function makeOf(id: string): void {
  const material = room.materials.find((one) => one.id === id);
  if (material)
    change({ material: { ...material, pack: material.pack ?? props.supply.material.pack } });
}

function changePack(pack: Material['pack']): void {
  change({ material: { ...props.supply.material, pack } });
}
</script>

<template>
  <CardPanel :title="supply.stock.name" peeled>
    <FieldRows :fields="ON_HAND" :of="supply" @change="change" />
    <PackRows :pack="supply.material.pack" @change="changePack" />
    <FactRow v-if="cost !== undefined" :label="texts.stock.material.costs"
      ><strong>{{ formatMoney(cost, settings.currency) }}</strong></FactRow
    >
  </CardPanel>
  <CardPanel :title="words.material">
    <select
      class="well material"
      :aria-label="words.material"
      :value="supply.material.id"
      @change="makeOf(($event.target as HTMLSelectElement).value)"
    >
      <option v-for="one in room.materials" :key="one.id" :value="one.id">{{ one.name }}</option>
    </select>
    <MaterialFacts :material="supply.material" />
  </CardPanel>
  <LinkButton @click="room.removeSupply(supply)">{{ words.remove }}</LinkButton>
</template>

<style scoped>
.material {
  width: 100%;
}
</style>
