<script setup lang="ts">
import { texts } from '../texts/index.ts';
import { useDrawer } from './drawer-store.ts';

/** Where a picture is looked for: among one's own, or among those that ship. */
defineProps<{ part: keyof typeof texts.art.parts }>();
const typed = defineModel<string>({ required: true });
const drawer = useDrawer();
const words = texts.art;
</script>

<template>
  <input
    v-if="part === 'own'"
    v-model="drawer.typed"
    class="well"
    type="search"
    :placeholder="words.find"
    :aria-label="words.find"
  />
  <input
    v-else
    v-model="typed"
    class="well"
    type="search"
    :placeholder="words.findReady"
    :aria-label="words.findReady"
  />
</template>
