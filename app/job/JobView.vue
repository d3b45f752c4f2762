<script setup lang="ts">
import { onBeforeUnmount, watch } from 'vue';
import { useRoute } from 'vue-router';
import { texts } from '../texts/index.ts';
import { useJobStore } from '../session/job-store.ts';
import { useJobKeys } from './common/job-keys.ts';
import { isOfSheets } from './common/desks-of-sheets.ts';
import JobTicket from './ticket/JobTicket.vue';
import LinkButton from '../ui/LinkButton.vue';

const props = defineProps<{ id: string }>();
const store = useJobStore();
const route = useRoute();
/** A thing that lies on the sheets of another is laid out, proved and run with it. */
watch(
  () => [route.name, store.thing, store.host] as const,
  ([desk, thing, host]) => {
    if (isOfSheets(desk) && host !== thing) store.showThing(host);
  },
  { flush: 'sync' },
);
watch(
  () => props.id,
  (id) => void store.open(id),
  { immediate: true },
);
const flush = (): void => void store.flush();
addEventListener('pagehide', flush);
onBeforeUnmount(() => {
  removeEventListener('pagehide', flush);
  store.close();
});
useJobKeys(store);
</script>

<template>
  <div v-if="store.state === 'missing'" class="missing">
    <p>{{ texts.missing.what }}</p>
    <v-btn color="primary" to="/">{{ texts.missing.remedy }}</v-btn>
  </div>
  <div v-else-if="store.committed" class="job">
    <JobTicket />
    <div class="middle">
      <p v-if="store.keepState === 'reading'" class="reading" role="status">
        {{ texts.lock.reader }}
        <LinkButton @click="store.takeOver">{{ texts.lock.take }}</LinkButton>
      </p>
      <div class="desk">
        <router-view v-slot="{ Component }">
          <!-- Another thing of a set has its desks to itself. -->
          <component :is="Component" :key="store.thing" />
        </router-view>
      </div>
    </div>
  </div>
</template>

<style scoped>
.job {
  display: flex;
  height: 100%;
  background: var(--paper);
}
.middle {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
}
.desk {
  flex: 1;
  min-height: 0;
}
.reading {
  margin: 0;
  border-bottom: 1px solid var(--amber);
  padding: 6px 18px;
  background: var(--amber-soft);
}
.missing {
  padding: 80px;
  text-align: center;
}
</style>
