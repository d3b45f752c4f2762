<script setup lang="ts">
import { computed, reactive } from 'vue';
import { fileStem } from '../../core/output/index.ts';
import type { Stock } from '../../core/stock/index.ts';
import { texts } from '../texts/index.ts';
import CardPanel from '../ui/CardPanel.vue';
import ChoicesRow from '../ui/ChoicesRow.vue';
import LengthRow from '../ui/LengthRow.vue';
import { useSettings } from '../ui/settings-store.ts';
import LinkButton from '../ui/LinkButton.vue';
import { sheetSize } from './stock-words.ts';

/** A plain sheet, or a roll and how much of it one print takes, of one's own size. */
const emit = defineEmits<{ keep: [stock: Stock] }>();
const words = texts.stock.plainSheet;
const settings = useSettings();
const sheet = reactive({ form: 'sheet' as 'sheet' | 'roll', width: 200, height: 200, margin: 5 });
const made = computed((): Stock => {
  const { form, width, height, margin } = sheet;
  const name = words.name(sheetSize(sheet, settings.unit), form);
  const margins: Stock['margins'] = [margin, margin, margin, margin];
  return { id: `own-${fileStem(name)}`, name, form, width, height, margins, spots: null };
});
</script>

<template>
  <CardPanel :title="words.title">
    <ChoicesRow v-model="sheet.form" :label="words.form" :choices="words.forms" />
    <LengthRow v-model="sheet.width" :label="words.width" :min="20" :max="2000" />
    <LengthRow v-model="sheet.height" :label="words.height" :min="20" :max="2000" />
    <LengthRow
      v-model="sheet.margin"
      :label="words.margin"
      :min="0"
      :max="Math.min(sheet.width, sheet.height) / 2 - 5"
    />
    <LinkButton @click="emit('keep', made)">{{ words.keep }}</LinkButton>
  </CardPanel>
</template>
