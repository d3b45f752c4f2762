<script setup lang="ts">
import { problemLine } from '../../messages/index.ts';
import type { UnreadJob } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useShelf } from '../session/shelf-store.ts';
import LinkButton from '../ui/LinkButton.vue';

/** A job that cannot be opened: why, and what can be done with it. */
defineProps<{ job: UnreadJob }>();
const shelf = useShelf();
</script>

<template>
  <article class="unread">
    <h3 class="display" :title="job.name">{{ job.name }}</h3>
    <p>
      <strong>{{ texts.shelf.cannotOpen }}</strong> {{ problemLine(job.problem) }}
    </p>
    <p class="acts">
      <LinkButton @click="shelf.saveAsIs(job)">
        {{ texts.shelf.saveAsIs }}
      </LinkButton>
      <LinkButton @click="shelf.remove(job)">
        {{ texts.shelf.delete }}
      </LinkButton>
    </p>
  </article>
</template>

<style scoped>
.unread {
  display: flex;
  flex-direction: column;
  border: 1px dashed var(--amber);
  border-radius: var(--r-job);
  padding: 18px 20px;
  background: var(--card);
}
h3 {
  margin: 0 0 8px;
  overflow: hidden;
  font-size: 17px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
p {
  margin: 0 0 10px;
  font-size: 13.5px;
}
.acts {
  display: flex;
  gap: 18px;
  margin: auto 0 0;
}
</style>
