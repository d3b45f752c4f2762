<script setup lang="ts">
import { cutterSchema, type Cutter } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import LinkButton from '../../ui/LinkButton.vue';
import AddressField from '../AddressField.vue';
import { useStockRoom } from '../../session/stock-room-store.ts';

/** A cutter: where it is reached, what it can cut, how its knife trails. */
const props = defineProps<{ cutter: Cutter }>();
const words = texts.devices;
const room = useStockRoom();
const { length, number } = fieldsOf(cutterSchema);
const REACH = [length('width', words.widest), length('length', words.longest)];
const SENSOR = [
  length('smallestMark', words.smallest, { when: ({ smallestMark }) => smallestMark !== null }),
];
const KNIFE = [
  length('knifeOffset', words.offset, { step: 0.05 }),
  length('overcut', words.overcut, { step: 0.1 }),
];
const FORCES = [
  number('leastForce', `${words.force}, ${words.from}`),
  number('mostForce', words.to, { name: `${words.force}, ${words.to}` }),
];

function keep(changes: Partial<Cutter>): void {
  void room.keepCutter({ ...props.cutter, ...changes });
}

function rename(event: Event): void {
  const name = (event.target as HTMLInputElement).value.trim().slice(0, 80);
  if (name) keep({ name });
}
</script>

<template>
  <CardPanel :title="words.cutter" peeled>
    <input class="well name" :value="cutter.name" :aria-label="words.name" @change="rename" />
    <AddressField
      kind="cutter"
      :label="words.cutterAddress"
      :address="cutter.address"
      :example="words.cutterExample"
      :hint="words.cutterHint"
      @confirmed="keep({ address: $event })"
    />
    <FieldRows :fields="REACH" :of="cutter" @change="keep" />
    <ChoicesRow
      :label="words.sensor"
      :model-value="cutter.smallestMark ? 'yes' : 'no'"
      :choices="words.sensors"
      @update:model-value="keep({ smallestMark: $event === 'yes' ? 4 : null })"
    />
    <FieldRows :fields="SENSOR" :of="cutter" @change="keep" />
  </CardPanel>
  <CardPanel :title="words.knife">
    <FieldRows :fields="KNIFE" :of="cutter" @change="keep" />
    <p class="quiet">{{ words.knifeHint }}</p>
    <FieldRows :fields="FORCES" :of="cutter" @change="keep" />
  </CardPanel>
  <LinkButton @click="room.removeCutter(cutter)">{{ words.remove }}</LinkButton>
</template>

<style scoped>
.name {
  box-sizing: border-box;
  width: 100%;
  margin-bottom: 6px;
}
p {
  margin: 2px 0 6px;
  font-size: 12.5px;
}
</style>
