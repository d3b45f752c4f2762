<script setup lang="ts">
import type { LabelField } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import LinkButton from '../../../ui/LinkButton.vue';

/** The columns of the job’s list, one of which may fill a field. */
defineProps<{ columns: readonly string[]; field: LabelField }>();
defineEmits<{ fill: [text: string] }>();
const say = texts.fields;
</script>

<template>
  <p v-if="columns.length" class="columns quiet">
    {{ say.fromColumn }}
    <LinkButton
      v-for="column in columns"
      :key="column"
      :aria-label="say.column(column, say.names[field])"
      @click="$emit('fill', `{${column}}`)"
    >
      {{ column }}
    </LinkButton>
  </p>
</template>

<style scoped>
.columns {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 0 12px;
  margin: 0;
}
</style>
