<script setup lang="ts">
import { computed } from 'vue';
import { LABEL_FIELDS, type LabelField } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';

/** Offers the fields that are not there yet. */
const props = defineProps<{ present: readonly LabelField[] }>();
const emit = defineEmits<{ add: [field: LabelField] }>();
const say = texts.fields;
const others = computed(() => LABEL_FIELDS.filter((field) => !props.present.includes(field)));

function add(event: Event): void {
  const select = event.target as HTMLSelectElement;
  emit('add', select.value as LabelField);
  select.value = '';
}
</script>

<template>
  <select v-if="others.length" class="well" :aria-label="say.more" @change="add">
    <option value="">{{ say.more }}</option>
    <option v-for="field in others" :key="field" :value="field">{{ say.names[field] }}</option>
  </select>
</template>
