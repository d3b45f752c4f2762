<script setup lang="ts">
import { computed, ref } from 'vue';
import { LABEL_FIELDS, type LabelField, type LabelSays } from '../../../../core/piece/index.ts';
import { isLong } from './label-says.ts';
import { texts } from '../../../texts/index.ts';
import LinkButton from '../../../ui/LinkButton.vue';

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
const first = computed(() => ['name', 'line', 'maker'] as const);
const ordered = computed(() => [
  ...first.value.filter((field) => props.asked.includes(field)),
  ...SHORT.filter((field) => props.asked.includes(field)),
  ...props.asked.filter(
    (field) => !SHORT.includes(field) && !first.value.some((one) => one === field),
  ),
]);
const others = computed(() => LABEL_FIELDS.filter((field) => !props.asked.includes(field)));

function type(field: LabelField, event: Event): void {
  emit('say', field, (event.target as HTMLInputElement).value);
}

function fromColumn(field: LabelField, column: string): void {
  emit('say', field, `{${column}}`);
  emit('done');
}

function add(event: Event): void {
  const select = event.target as HTMLSelectElement;
  emit('add', select.value as LabelField);
  select.value = '';
}
</script>

<template>
  <div class="fields">
    <component
      :is="ways(field) === 'long' ? 'textarea' : 'input'"
      v-for="field in ordered"
      :key="field"
      class="well"
      :class="ways(field)"
      rows="1"
      maxlength="5000"
      spellcheck="true"
      :value="says[field] ?? ''"
      :aria-label="say.names[field]"
      :placeholder="say.names[field]"
      :title="say.names[field]"
      @focus="active = field"
      @input="type(field, $event)"
      @change="emit('done')"
    />
    <select v-if="others.length" class="well" :aria-label="say.more" @change="add">
      <option value="">{{ say.more }}</option>
      <option v-for="field in others" :key="field" :value="field">{{ say.names[field] }}</option>
    </select>
    <p v-if="columns.length && active" class="columns quiet">
      {{ say.fromColumn }}
      <LinkButton
        v-for="column in columns"
        :key="column"
        :aria-label="say.column(column, say.names[active])"
        @click="fromColumn(active, column)"
      >
        {{ column }}
      </LinkButton>
    </p>
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
.short {
  grid-column: span 3;
}
.long {
  grid-column: span 6;
  resize: vertical;
}
.long:focus {
  min-height: 74px;
}
.columns {
  display: flex;
  flex-wrap: wrap;
  grid-column: 1 / -1;
  gap: 0 12px;
  margin: 0;
}
</style>
