<script setup lang="ts">
import { computed, ref } from 'vue';
import { textsOf } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** Finds words in all pieces of the job and puts others in their place. */
const props = defineProps<{ desk: DeskState }>();
const say = texts.words;
const find = ref('');
const by = ref('');

const all = computed(() =>
  props.desk.store.own.flatMap(({ elements }) =>
    elements.flatMap((one) => (one.kind === 'code' ? [] : textsOf(one))),
  ),
);
const count = computed(() => {
  const sought = find.value.toLowerCase();
  return sought === '' ? 0 : all.value.filter((text) => text.toLowerCase().includes(sought)).length;
});

function replace(): void {
  props.desk.store.act({ name: 'replace-words', args: { find: find.value, by: by.value } });
}
</script>

<template>
  <CardPanel v-if="all.length" :title="say.replace" :aside="find ? say.found(count) : ''">
    <form @submit.prevent="replace">
      <input v-model="find" class="well" :aria-label="say.find" :placeholder="say.find" />
      <input v-model="by" class="well" :aria-label="say.by" :placeholder="say.by" />
      <LinkButton type="submit" :disabled="count === 0">{{ say.replaceAll }}</LinkButton>
    </form>
  </CardPanel>
</template>

<style scoped>
form {
  display: grid;
  gap: 6px;
}
.link {
  justify-self: start;
}
.link:disabled {
  opacity: 0.45;
  cursor: default;
}
</style>
