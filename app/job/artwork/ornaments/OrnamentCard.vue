<script setup lang="ts">
import { computed } from 'vue';
import { ornamentOf } from '../../../../core/art/index.ts';
import type { Ornament } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import LengthRow from '../../../ui/LengthRow.vue';
import NumberRow from '../../../ui/NumberRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import ColorSlots from '../fill/ColorSlots.vue';

const props = defineProps<{ desk: DeskState; element: Ornament }>();
const ornament = computed(() => props.element);
const words = texts.ornaments;
const kind = computed(() => ornamentOf(ornament.value.ornament));
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
    <NumberRow
      v-if="kind.count"
      :label="words.count"
      :model-value="ornament.count"
      :min="kind.count.least"
      :max="kind.count.most"
      @update:model-value="desk.change({ count: Math.round($event) }, 'count')"
    />
    <LengthRow
      :label="words.weight"
      unit="pt"
      :model-value="ornament.weight"
      :min="0.05"
      :max="20"
      :step="0.1"
      @update:model-value="desk.change({ weight: $event }, 'weight')"
    />
    <ColorSlots :slots="slots" :label="words.ink" :colors="desk.colors.value" @change="recolor" />
  </CardPanel>
</template>
