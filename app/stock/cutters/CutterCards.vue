<script setup lang="ts">
import type { Cutter } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import AddressField from '../AddressField.vue';
import { useStockRoom } from '../../session/stock-room-store.ts';

/** A cutter: where it is reached, what it can cut, how its knife trails. */
const props = defineProps<{ cutter: Cutter }>();
const words = texts.devices;
const room = useStockRoom();

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
    <LengthRow
      :label="words.widest"
      :model-value="cutter.width"
      :min="20"
      :max="3000"
      @update:model-value="keep({ width: $event })"
    />
    <LengthRow
      :label="words.longest"
      :model-value="cutter.length"
      :min="20"
      :max="30000"
      @update:model-value="keep({ length: $event })"
    />
    <ChoicesRow
      :label="words.sensor"
      :model-value="cutter.smallestMark ? 'yes' : 'no'"
      :choices="words.sensors"
      @update:model-value="keep({ smallestMark: $event === 'yes' ? 4 : null })"
    />
    <LengthRow
      v-if="cutter.smallestMark"
      :label="words.smallest"
      :model-value="cutter.smallestMark"
      :min="1"
      :max="30"
      :step="0.5"
      @update:model-value="keep({ smallestMark: $event })"
    />
  </CardPanel>
  <CardPanel :title="words.knife">
    <LengthRow
      :label="words.offset"
      :model-value="cutter.knifeOffset"
      :min="0"
      :max="2"
      :step="0.05"
      @update:model-value="keep({ knifeOffset: $event })"
    />
    <LengthRow
      :label="words.overcut"
      :model-value="cutter.overcut"
      :min="0"
      :max="10"
      :step="0.1"
      @update:model-value="keep({ overcut: $event })"
    />
    <p class="quiet">{{ words.knifeHint }}</p>
    <NumberRow
      :label="`${words.force}, ${words.from}`"
      :model-value="cutter.leastForce"
      :min="0"
      :max="5000"
      @update:model-value="keep({ leastForce: $event })"
    />
    <NumberRow
      :label="words.to"
      :name="`${words.force}, ${words.to}`"
      :model-value="cutter.mostForce"
      :min="1"
      :max="5000"
      @update:model-value="keep({ mostForce: $event })"
    />
  </CardPanel>
  <button class="link" type="button" @click="room.removeCutter(cutter)">{{ words.remove }}</button>
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
