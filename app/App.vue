<script setup lang="ts">
import { computed, watchEffect } from 'vue';
import { useRoute } from 'vue-router';
import { useTheme } from 'vuetify';
import { useDropAnywhere } from './shell/drop-anywhere.ts';
import MessageBar from './ui/MessageBar.vue';
import TopBar from './shell/TopBar.vue';
import { useSettings } from './ui/settings-store.ts';

useDropAnywhere();
const settings = useSettings();
const vuetifyTheme = useTheme();
watchEffect(() => {
  vuetifyTheme.change(settings.theme);
  document.documentElement.dataset.theme = settings.theme;
});
const route = useRoute();
const inJob = computed(() => route.path.startsWith('/job/'));
const here = computed(() =>
  inJob.value
    ? undefined
    : route.path.startsWith('/stock')
      ? 'stock-room'
      : route.path.startsWith('/art')
        ? 'art-drawer'
        : route.path.startsWith('/ledger')
          ? 'ledger'
          : 'shelf',
);
</script>

<template>
  <v-app>
    <TopBar :in-job="inJob" :here="here" />
    <main class="place"><router-view /></main>
    <MessageBar />
  </v-app>
</template>

<style scoped>
.place {
  flex: 1;
  min-height: 0;
}
</style>
