<script setup lang="ts">
import { ref, shallowRef, watch } from 'vue';
import type { CablePort } from '../../../devices/protocol/index.ts';
import { cutterSchema, type Cutter, type CutProfile } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import LinkButton from '../../ui/LinkButton.vue';
import { cablePorts, confirmDevice, helloCutter } from '../../session/bridge.ts';
import { useMessages } from '../../ui/messages-store.ts';
import AddressField from '../AddressField.vue';
import CutterProfile from './CutterProfile.vue';
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

const messages = useMessages();
const ports = shallowRef<readonly CablePort[]>();
const asking = ref(false);
watch(
  () => props.cutter.id,
  () => (ports.value = undefined),
);

async function findPorts(): Promise<void> {
  asking.value = true;
  ports.value = await cablePorts().finally(() => (asking.value = false));
}

async function use({ address }: CablePort): Promise<void> {
  const done = await confirmDevice('cutter', address);
  if (!done.ok) return messages.sayProblem(done.problem);
  keep({ address: done.value });
  ports.value = undefined;
  messages.say(words.confirm(done.value));
}

async function sayHello(): Promise<void> {
  asking.value = true;
  const told = await helloCutter(props.cutter).finally(() => (asking.value = false));
  if (!told.ok) return messages.sayProblem(told.problem);
  const { identity, position = '' } = told.value;
  messages.say(identity ? words.says(identity, position) : words.silent);
}

function speak(profile: CutProfile | undefined): void {
  const { profile: before, ...others } = props.cutter;
  void before; // replaced, or left out
  void room.keepCutter({ ...others, ...(profile ? { profile } : {}) });
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
    <div class="ways">
      <LinkButton :disabled="asking" @click="findPorts">{{ words.findPorts }}</LinkButton>
      <LinkButton
        v-if="cutter.address && cutter.profile?.language !== 'gcode'"
        :disabled="asking"
        @click="sayHello"
        >{{ words.hello }}</LinkButton
      >
    </div>
    <p v-if="ports?.length === 0" class="quiet">{{ words.noPorts }}</p>
    <ul v-else-if="ports" class="ports" :aria-label="words.ports">
      <li v-for="port in ports" :key="port.address">
        <LinkButton @click="use(port)">{{ port.name }}</LinkButton>
        <span class="quiet">{{ port.address }}</span>
      </li>
    </ul>
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
  <CutterProfile
    :profile="cutter.profile"
    :name="cutter.name"
    :serial="cutter.address.startsWith('serial:')"
    @change="speak"
  />
  <LinkButton @click="room.removeCutter(cutter)">{{ words.remove }}</LinkButton>
</template>

<style scoped>
.name {
  box-sizing: border-box;
  width: 100%;
  margin-bottom: 6px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
}
.ports {
  margin: 2px 0 6px;
  padding: 0;
  list-style: none;
}
.ports .quiet {
  font-size: 12.5px;
  overflow-wrap: anywhere;
}
p {
  margin: 2px 0 6px;
  font-size: 12.5px;
}
</style>
