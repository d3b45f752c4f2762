<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, shallowRef } from 'vue';
import { withStop, type SimulatedFaults } from '../../core/run/index.ts';
import {
  simulatedDevicePicture,
  simulatedDevicesState,
  startSimulatedDevices,
} from '../session/bridge.ts';
import type { SimulatedDevicesState } from '../../devices/protocol/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import CheckRow from '../ui/CheckRow.vue';
import FactRow from '../ui/FactRow.vue';
import { useMessages } from '../ui/messages-store.ts';
import SelectRow from '../ui/SelectRow.vue';
import { useStockRoom } from '../session/stock-room-store.ts';

/** The simulated printer and cutter: started, made to fail, and looked at. */
const words = texts.devices;
const room = useStockRoom();
const messages = useMessages();
const devices = shallowRef<SimulatedDevicesState>();
const pictures = shallowRef<readonly { says: string; url: string }[]>([]);
const asking = ref(false);
const CLIPPED = 8; // mm
const RUNS = 0.25; // mm
const SHOWN = 3;

const runs = computed(() => devices.value?.printer && devices.value.cutter);
const known = computed(() =>
  room.room.printers.some(({ address }) => address === devices.value?.printer?.address),
);
const faults = computed((): SimulatedFaults => devices.value?.faults ?? {});
const stop = computed({
  get: () => faults.value.stop ?? 'none',
  set: (name) => void apply(withStop(faults.value, name)),
});

async function apply(next: SimulatedFaults): Promise<void> {
  asking.value = true;
  try {
    devices.value = await startSimulatedDevices(next);
  } catch (error) {
    messages.sayError(error);
  } finally {
    asking.value = false;
  }
}

async function look(): Promise<void> {
  devices.value = await simulatedDevicesState();
  const { printer, cutter } = devices.value;
  const wanted = [
    ...(printer?.jobs.slice(0, SHOWN).map(({ id, name }) => ({
      says: words.printed(name),
      path: `prints/${id}/0`,
    })) ?? []),
    ...(cutter?.cuts.slice(0, SHOWN).map(({ torn }, at) => ({
      says: words.cutLines(torn),
      path: `cuts/${at}`,
    })) ?? []),
  ];
  const found = await Promise.all(
    wanted.map(async ({ says, path }) => ({
      says,
      url: (await simulatedDevicePicture(path)) ?? '',
    })),
  );
  release();
  pictures.value = found.filter(({ url }) => url);
}

function release(): void {
  for (const { url } of pictures.value) URL.revokeObjectURL(url);
}

async function add(): Promise<void> {
  const { value } = devices;
  if (value?.printer && value.cutter)
    await room.addSimulated(value.printer.address, value.cutter.address);
}

onMounted(() => void look().catch(messages.sayError));
onBeforeUnmount(release);
</script>

<template>
  <CardPanel :title="words.simulated">
    <p class="quiet">{{ words.simulatedHint }}</p>
    <v-btn v-if="!runs" color="primary" variant="tonal" :disabled="asking" @click="apply({})">{{
      words.start
    }}</v-btn>
    <template v-else>
      <FactRow :label="words.simulatedPrinter"
        ><span class="address">{{ devices?.printer?.address }}</span></FactRow
      >
      <FactRow :label="words.simulatedCutter"
        ><span class="address">{{ devices?.cutter?.address }}</span></FactRow
      >
      <v-btn v-if="!known" color="primary" variant="tonal" @click="add">{{ words.use }}</v-btn>
      <h3>{{ words.faults }}</h3>
      <SelectRow v-model="stop" :label="words.stop" :choices="words.stops" />
      <CheckRow
        :label="words.clipped"
        :model-value="Boolean(faults.clipped)"
        @update:model-value="apply({ ...faults, clipped: $event ? CLIPPED : 0 })"
      />
      <CheckRow
        :label="words.inkSpread"
        :model-value="Boolean(faults.inkSpread)"
        @update:model-value="apply({ ...faults, inkSpread: $event ? RUNS : 0 })"
      />
      <CheckRow
        :label="words.lost"
        :model-value="Boolean(faults.lost)"
        @update:model-value="apply({ ...faults, lost: $event })"
      />
      <h3>{{ words.did }}</h3>
      <p v-if="pictures.length === 0" class="quiet">{{ words.nothingYet }}</p>
      <div class="pictures">
        <figure v-for="{ says, url } in pictures" :key="url">
          <img :src="url" :alt="says" />
          <figcaption class="quiet">{{ says }}</figcaption>
        </figure>
      </div>
    </template>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
h3 {
  margin: 10px 0 2px;
  font-size: 13.5px;
}
.address {
  font-size: 12.5px;
  overflow-wrap: anywhere;
}
.pictures {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 8px;
}
figure {
  margin: 0;
}
img {
  width: 100%;
  border: 1px solid var(--line);
  border-radius: 3px;
  background: #fff;
}
figcaption {
  font-size: 11.5px;
  overflow-wrap: anywhere;
}
</style>
