<script setup lang="ts">
import { strokeSchema, type StrokeStyle } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import ColorChips from '../../ui/ColorChips.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';

/** How a line is drawn, or that there is none. */
const props = defineProps<{
  line: StrokeStyle | null;
  colors: readonly string[];
  withEnds?: boolean;
}>();
const emit = defineEmits<{ change: [line: StrokeStyle | null, key?: string] }>();
const { artwork, ornaments } = texts;
const { choices, length } = fieldsOf(strokeSchema);
const STROKE = [
  choices('style', artwork.line, artwork.lineStyles, { name: artwork.lineStyle }),
  length('width', artwork.thickness, { name: artwork.thicknessLong, unit: 'pt', step: 0.1 }),
];
const ENDS = [
  choices('cap', ornaments.caps, ornaments.capNames, { missing: 'butt' }),
  choices('join', ornaments.joins, ornaments.joinNames, { missing: 'miter' }),
];

function color(value: string | null): void {
  emit(
    'change',
    value === null ? null : { width: 0.5, style: 'solid', ...props.line, color: value },
  );
}

function change(changes: Partial<StrokeStyle>, key?: string): void {
  if (props.line) emit('change', { ...props.line, ...changes }, key);
}
</script>

<template>
  <p class="quiet">{{ artwork.linedWith }}</p>
  <ColorChips
    :label="artwork.line"
    :none="artwork.noLine"
    :model-value="line?.color ?? null"
    :colors="colors"
    @update:model-value="color"
  />
  <template v-if="line">
    <FieldRows :fields="STROKE" :of="line" @change="change" />
    <FieldRows v-if="withEnds" :fields="ENDS" :of="line" @change="change" />
  </template>
</template>

<style scoped>
p {
  margin: 8px 0 0;
}
</style>
