<script setup lang="ts">
import { computed, ref } from 'vue';
import type { LabelField, LabelSays } from '../../../../core/piece/index.ts';
import { isLong, mostLetters } from './label-says.ts';
import { texts } from '../../../texts/index.ts';
import AnotherField from './AnotherField.vue';
import FieldColumns from './FieldColumns.vue';

/** What a label says, a plain field for each; short ones stand beside each other. */
const props = defineProps<{
  asked: readonly LabelField[];
  says: LabelSays;
  /** The columns of the job’s list, any of which may fill a field. */
  columns: readonly string[];
}>();
const emit = defineEmits<{
  say: [field: LabelField, text: string];
  /** What was typed is whole. */
  done: [];
  add: [field: LabelField];
}>();
const say = texts.fields;
const SHORT: readonly LabelField[] = ['amount', 'best-before', 'batch', 'price'];
const active = ref<LabelField>();
const ways = (field: LabelField): string =>
  isLong(field) ? 'long' : SHORT.includes(field) ? 'short' : 'line';
const FIRST: readonly LabelField[] = ['name', 'line', 'maker'];
const ordered = computed(() => [
  ...[...FIRST, ...SHORT].filter((field) => props.asked.includes(field)),
  ...props.asked.filter((field) => !FIRST.includes(field) && !SHORT.includes(field)),
]);

function type(field: LabelField, event: Event): void {
  emit('say', field, (event.target as HTMLInputElement).value);
}

function fill(text: string): void {
  if (active.value) emit('say', active.value, text);
  emit('done');
}
</script>

<template>
  <div class="fields">
    <component
      :is="ways(field) === 'long' ? 'textarea' : 'input'"
      v-for="field in ordered"
      :key="field"
      class="well"
      :class="[ways(field), { active: active === field }]"
      rows="1"
      :maxlength="mostLetters(field)"
      spellcheck="true"
      :value="says[field] ?? ''"
      :aria-label="say.names[field]"
      :placeholder="say.names[field]"
      :title="say.names[field]"
      @focus="active = field"
      @input="type(field, $event)"
      @change="emit('done')"
    />
    <AnotherField :present="asked" class="another" @add="$emit('add', $event)" />
    <FieldColumns v-if="active" :columns="columns" :field="active" @fill="fill" />
  </div>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(12, 1fr);
  gap: 6px;
}
.well {
  grid-column: span 4;
  box-sizing: border-box;
  min-width: 0;
  height: 34px;
}
textarea {
  padding-top: 7px;
  padding-bottom: 5px;
}
.another {
  grid-column: span 4;
}
.short {
  grid-column: span 3;
}
.long {
  grid-column: span 6;
  resize: vertical;
}
.long.active {
  min-height: 74px;
}
</style>
