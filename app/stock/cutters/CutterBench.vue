<script setup lang="ts">
import type { Cutter } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import EmptyState from '../../ui/EmptyState.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** The cutters of the workshop. */
defineProps<{ cutters: readonly Cutter[]; open: Cutter | undefined }>();
defineEmits<{ open: [id: string]; add: []; look: [] }>();
const words = texts.devices;
const size = ({ width, length }: Cutter): string => `${width} × ${length} mm`;
</script>

<template>
  <EmptyState
    v-if="cutters.length === 0"
    :says="words.empty"
    :action="texts.found.look"
    @act="$emit('look')"
  >
    <LinkButton @click="$emit('add')">{{ words.add }}</LinkButton>
  </EmptyState>
  <div v-else class="list" role="radiogroup" :aria-label="texts.stock.parts.cutters">
    <button
      v-for="one in cutters"
      :key="one.id"
      type="button"
      role="radio"
      class="cutter"
      :aria-checked="one.id === open?.id"
      @click="$emit('open', one.id)"
    >
      <svg viewBox="0 0 120 76" aria-hidden="true">
        <path class="carrier" d="M24 10h72v56H24z" />
        <path class="body" d="M6 26h108v18H6z" />
        <path class="rail" d="M12 35h96" />
        <path class="head" d="M62 20h16v30l-8 9-8-9z" />
        <path v-if="one.smallestMark" class="eye" d="M64 31a6 6 0 0 0 12 0a6 6 0 0 0-12 0z" />
      </svg>
      <strong>{{ one.name }}</strong>
      <span class="quiet">{{ size(one) }}</span>
      <span class="quiet">{{ one.address || words.byFile }}</span>
    </button>
    <div class="more">
      <LinkButton @click="$emit('look')">{{ texts.found.look }}</LinkButton>
      <LinkButton @click="$emit('add')">{{ words.add }}</LinkButton>
    </div>
  </div>
</template>

<style scoped>
.list {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(200px, 1fr));
  gap: 16px;
  align-items: start;
}
.cutter {
  display: flex;
  flex-direction: column;
  gap: 3px;
  align-items: center;
  border: 2px solid transparent;
  border-radius: var(--r-job);
  padding: 14px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  line-height: 1.35;
  text-align: center;
  overflow-wrap: anywhere;
  cursor: pointer;
  box-shadow: var(--shadow);
}
.cutter:hover {
  border-color: var(--apricot-soft);
}
.cutter[aria-checked='true'] {
  border-color: var(--apricot);
}
.cutter svg {
  width: 130px;
}
.carrier {
  fill: var(--release, #efe6d6);
  stroke: var(--line);
}
.body {
  fill: var(--plum);
}
.rail {
  stroke: var(--apricot);
  stroke-width: 2;
}
.head {
  fill: var(--card);
  stroke: var(--plum);
  stroke-width: 2;
}
.eye {
  fill: var(--apricot);
}
.more {
  display: flex;
  flex-direction: column;
  gap: 6px;
  align-items: start;
  align-self: center;
}
</style>
