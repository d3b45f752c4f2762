<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { texts } from '../texts/index.ts';
import { useMessages, type Message } from './messages-store.ts';

const messages = useMessages();
const open = computed({
  get: () => messages.shown !== undefined,
  set: (value) => {
    if (!value) messages.shown = undefined;
  },
});

/** What is shown, also while the bar fades away. */
const last = shallowRef<Message>();
/** How often one took the place of another: each has a bar, and so its time, to itself. */
const replaced = ref(0);
watch(
  () => messages.shown,
  (now, before) => {
    last.value = now ?? last.value;
    if (now && before) replaced.value++;
  },
  { immediate: true },
);

function run(): void {
  const action = messages.shown?.action;
  messages.shown = undefined;
  action?.run();
}
</script>

<template>
  <v-snackbar
    :key="replaced"
    v-model="open"
    location="bottom"
    color="#44203d"
    :timeout="messages.shown?.kind === 'problem' ? 14000 : 7000"
  >
    <span role="status" :data-kind="last?.kind">{{ last?.text }}</span>
    <template #actions>
      <v-btn v-if="last?.action" color="#f2a65a" variant="text" @click="run">{{
        last.action.label
      }}</v-btn>
      <v-btn color="#fffdf9" variant="text" @click="open = false">{{ texts.close }}</v-btn>
    </template>
  </v-snackbar>
</template>
