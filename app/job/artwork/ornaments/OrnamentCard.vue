<script setup lang="ts">
import { computed } from 'vue';
import { ornamentOf } from '../../../../core/art/index.ts';
import { elementSchema, type Ornament } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../../ui/fields.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import ColorSlots from '../fill/ColorSlots.vue';

const props = defineProps<{ desk: DeskState; element: Ornament }>();
const ornament = computed(() => props.element);
const words = texts.ornaments;
const kind = computed(() => ornamentOf(ornament.value.ornament));
const { number, length } = fieldsOf(schemaOf(elementSchema, 'ornament'));
const fields = computed(() => {
  const { count } = kind.value;
  return [
    ...(count ? [number('count', words.count, { min: count.least, max: count.most })] : []),
    length('weight', words.weight, { unit: 'pt', step: 0.1 }),
  ];
});
const slots = computed(() => [
  { key: '0', label: words.ink, color: ornament.value.inks[0] },
  ...(kind.value.twoInks ? [{ key: '1', label: words.second, color: ornament.value.inks[1] }] : []),
]);

function recolor(key: string, color: string | null): void {
  const [one, two] = ornament.value.inks;
  if (color) props.desk.change({ inks: key === '0' ? [color, two] : [one, color] });
}
</script>

<template>
  <CardPanel :title="words.names[ornament.ornament]" peeled>
    <FieldRows :fields="fields" :of="ornament" @change="desk.change" />
    <ColorSlots :slots="slots" :label="words.ink" :colors="desk.colors.value" @change="recolor" />
  </CardPanel>
</template>
