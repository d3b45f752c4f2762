<script setup lang="ts">
import type { FoundDevice } from '../../../devices/protocol/index.ts';
import { texts } from '../../texts/index.ts';
import DoingBar from '../../ui/DoingBar.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { Addable, DeviceSearch } from './device-search.ts';

/** Devices that announce themselves: what they say, and a button that adds them. */
const { search } = defineProps<{ search: DeviceSearch }>();
const emit = defineEmits<{ open: [at: 'printers' | 'cutters', id: string]; 'by-hand': [] }>();
const words = texts.found;
const { busy, devices, doing, share } = search;

/** What a device says that it can. */
function facts({ kind, address, color, duplex, takesPdf }: FoundDevice): string {
  if (kind === 'cutter') return address.startsWith('tcp:') ? words.takesLines : words.onCable;
  return [
    color === undefined ? '' : color ? words.color : words.grey,
    duplex ? words.duplex : '',
    takesPdf === undefined ? '' : takesPdf ? words.pdf : words.noPdf,
  ]
    .filter(Boolean)
    .join(' · ');
}

async function add(device: Addable): Promise<void> {
  const id = await search.add(device);
  if (id !== undefined) emit('open', `${device.kind}s`, id);
}
</script>

<template>
  <section class="found" :aria-label="words.title">
    <DoingBar v-if="busy" :doing="doing" :share="share" :label="words.progress">
      <LinkButton @click="search.cancel">{{ texts.cancel }}</LinkButton>
    </DoingBar>
    <template v-else-if="devices">
      <header>
        <h2>{{ devices.length ? words.title : words.none }}</h2>
        <LinkButton @click="$emit('by-hand')">{{ words.byHand }}</LinkButton>
        <LinkButton @click="search.look">{{ words.again }}</LinkButton>
        <LinkButton @click="search.close">{{ words.close }}</LinkButton>
      </header>
      <p class="quiet">{{ devices.length ? words.asked : words.noneHint }}</p>
      <ul v-if="devices.length">
        <li
          v-for="device in devices"
          :key="`${device.name} ${device.address}`"
          :data-kind="device.kind"
        >
          <svg viewBox="0 0 64 52" aria-hidden="true">
            <template v-if="device.kind === 'printer'">
              <path class="paper" d="M19 4h26v18H19z" />
              <path class="body" d="M6 16h52v20H6z" />
              <path class="paper" d="M16 30h32v18H16z" />
              <path class="line" d="M22 36h20M22 41h13" />
            </template>
            <template v-else>
              <path class="paper" d="M14 6h36v40H14z" />
              <path class="body" d="M4 18h56v13H4z" />
              <path class="head" d="M28 14h10v20l-5 6-5-6z" />
            </template>
          </svg>
          <div class="says">
            <strong>{{ device.name }}</strong>
            <span v-if="device.place" class="quiet">{{ device.place }}</span>
            <span v-if="facts(device)" class="quiet">{{ facts(device) }}</span>
            <span class="quiet address">{{ device.address }}</span>
          </div>
          <span v-if="search.isAdded(device)" class="added">{{ words.added }}</span>
          <div v-else class="ways">
            <v-btn
              color="primary"
              variant="tonal"
              :aria-label="`${words.add}: ${device.name}`"
              @click="add(device)"
              >{{ words.add }}</v-btn
            >
            <LinkButton
              v-if="device.secure"
              :aria-label="`${words.addSecure}: ${device.name}`"
              @click="add({ ...device, address: device.secure })"
              >{{ words.addSecure }}</LinkButton
            >
          </div>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.found {
  margin: 0 0 18px;
  border-radius: var(--r-job);
  padding: 14px 20px;
  background: var(--card);
  box-shadow: var(--shadow);
}
header {
  display: flex;
  gap: 14px;
  align-items: baseline;
}
h2 {
  flex: 1;
  margin: 0;
  font-size: 15px;
}
p {
  margin: 2px 0 0;
  font-size: 12.5px;
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(340px, 1fr));
  gap: 4px 26px;
  max-height: 300px;
  margin: 8px 0 0;
  padding: 0;
  overflow: auto;
  list-style: none;
}
li {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 8px 0;
}
li svg {
  flex: none;
  width: 54px;
}
.says {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
  line-height: 1.35;
  overflow-wrap: anywhere;
}
.says .quiet {
  font-size: 12.5px;
}
.ways {
  display: flex;
  flex: none;
  flex-direction: column;
  gap: 2px;
  align-items: center;
}
.added {
  flex: none;
  color: var(--leaf-text);
  font-size: 12.5px;
}
.paper {
  fill: #fffdf9;
  stroke: #44203d;
}
.body {
  fill: #5d2a53;
}
.head {
  fill: #f2a65a;
  stroke: #44203d;
}
.line {
  fill: none;
  stroke: var(--apricot);
  stroke-width: 2;
}
</style>
