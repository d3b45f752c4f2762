<script setup lang="ts">
import type { PrinterSupply } from '../../../devices/protocol/index.ts';
import { texts } from '../../texts/index.ts';

/** What a printer has left of its inks and the like, as it says. */
defineProps<{ supplies: readonly PrinterSupply[] }>();
const words = texts.devices.supplies;
const left = ({ level, state }: PrinterSupply): string =>
  level === undefined ? words.unknown : state === 'out' ? words.out : `${level} %`;
</script>

<template>
  <ul class="supplies" :aria-label="words.title">
    <li v-for="(supply, at) in supplies" :key="at" :class="supply.state">
      <span class="name">{{ supply.name }}</span>
      <span class="bar" aria-hidden="true"
        ><span
          :style="{ width: `${supply.level ?? 0}%`, background: supply.color ?? 'var(--plum)' }"
        ></span
      ></span>
      <span class="left">{{ left(supply) }}</span>
    </li>
  </ul>
</template>

<style scoped>
.supplies {
  display: grid;
  grid-template-columns: minmax(0, auto) minmax(50px, 1fr) auto;
  gap: 3px 10px;
  margin: 4px 0 8px;
  padding: 0;
  font-size: 12.5px;
  list-style: none;
}
li {
  display: contents;
}
.name {
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.bar {
  align-self: center;
  border: 1px solid var(--line);
  border-radius: 4px;
  height: 8px;
  background: #ece3e8;
  overflow: hidden;
}
.bar span {
  display: block;
  height: 100%;
}
.left {
  text-align: right;
}
.low .left,
.out .left {
  color: var(--amber-text);
  font-weight: 600;
}
.out .left {
  color: var(--brick-text);
}
</style>
