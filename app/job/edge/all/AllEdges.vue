<script setup lang="ts">
import { onMounted } from 'vue';
import { loadRouteLocation, useRouter } from 'vue-router';
import { waitsForNest } from '../../../../core/sheet/index.ts';
import { nestCalls } from '../../../calls/index.ts';
import { texts } from '../../../texts/index.ts';
import { useGradually } from '../../../ui/gradually.ts';
import LinkButton from '../../../ui/LinkButton.vue';
import type { AllEdgesState } from './all-edges-state.ts';
import EdgeTile from './EdgeTile.vue';

/** Every piece small, with its edge and what the proof says of it; some can be chosen. */
const props = defineProps<{ all: AllEdgesState }>();
defineEmits<{ open: [piece: string] }>();
const say = texts.allEdges;
const { pieces, chosen, picked, showsBefore, busy } = props.all;
const shown = useGradually(() => pieces.value, 2);
const router = useRouter();

// Laying out comes next: the Sheet desk and the workers that nest are made ready.
onMounted(() => {
  void loadRouteLocation(router.resolve({ name: 'sheet' })).catch(() => undefined);
  const { plan } = props.all.store.committed ?? {};
  if (plan && waitsForNest(plan)) for (const host of nestCalls) host.prepare();
});
</script>

<template>
  <section class="all" :aria-label="say.bench">
    <header>
      <h2>{{ say.chosen(chosen.length, pieces.length) }}</h2>
      <span class="quiet hint">{{ busy ? say.working : say.hint }}</span>
      <label class="before"
        ><input v-model="showsBefore" type="checkbox" /> {{ say.wasBefore }}</label
      >
      <LinkButton @click="picked = new Set(pieces.map(({ id }) => id))">
        {{ say.chooseAll }}
      </LinkButton>
      <LinkButton :disabled="picked.size === 0" @click="picked = new Set()">
        {{ say.chooseNone }}
      </LinkButton>
    </header>
    <ul>
      <EdgeTile
        v-for="piece in shown"
        :key="piece.id"
        :all="all"
        :piece="piece"
        @open="$emit('open', piece.id)"
      />
    </ul>
  </section>
</template>

<style scoped>
.all {
  box-sizing: border-box;
  height: 100%;
  padding: 84px 24px 24px;
  overflow: auto;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
  margin-bottom: 12px;
}
h2 {
  font-size: 15px;
}
.hint {
  flex: 1;
}
.before {
  display: flex;
  gap: 6px;
  align-items: center;
}
.before input {
  accent-color: var(--plum);
}
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(168px, 1fr));
  gap: 12px;
  margin: 0;
  padding: 0;
  list-style: none;
}
</style>
