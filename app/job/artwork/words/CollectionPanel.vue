<script setup lang="ts">
import { onBeforeUnmount, ref } from 'vue';
import { texts } from '../../../texts/index.ts';
import CheckRow from '../../../ui/CheckRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import OverlayPanel from '../../../ui/OverlayPanel.vue';
import type { AskedCollection } from '../../../session/own-typefaces.ts';

/** Asks which typefaces of a collection are wanted; closing it takes none. */
const props = defineProps<{ asked: AskedCollection }>();
const say = texts.typefaces;
const chosen = ref<readonly number[]>([]);

function choose(number: number, isChosen: boolean): void {
  const others = chosen.value.filter((one) => one !== number);
  chosen.value = isChosen ? [...others, number].sort((one, other) => one - other) : others;
}

onBeforeUnmount(() => props.asked.answer([]));
</script>

<template>
  <OverlayPanel :title="say.collection(asked.name)" @close="asked.answer([])">
    <p class="quiet">
      {{ say.collectionHint }}
      <LinkButton @click="chosen = asked.faces.map(({ number }) => number)">
        {{ say.takeAll }}
      </LinkButton>
      <LinkButton v-if="chosen.length" @click="chosen = []">{{ say.takeNone }}</LinkButton>
    </p>
    <CheckRow
      v-for="one in asked.faces"
      :key="one.number"
      :label="`${one.family} · ${say.cutName(one)}`"
      :model-value="chosen.includes(one.number)"
      @update:model-value="choose(one.number, $event)"
    />
    <template #foot>
      <v-btn color="primary" :disabled="!chosen.length" @click="asked.answer(chosen)">{{
        say.take(chosen.length)
      }}</v-btn>
    </template>
  </OverlayPanel>
</template>

<style scoped>
p {
  display: flex;
  align-items: baseline;
  gap: 12px;
  margin: 0 0 8px;
}
</style>
