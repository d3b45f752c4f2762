<script setup lang="ts">
import type { StrokeStyle } from '../../../core/piece/index.ts';
import { texts } from '../../texts/index.ts';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import ColorChips from '../../ui/ColorChips.vue';
import LengthRow from '../../ui/LengthRow.vue';

/** How a line is drawn, or that there is none. */
const props = defineProps<{
  line: StrokeStyle | null;
  colors: readonly string[];
  withEnds?: boolean;
}>();
const emit = defineEmits<{ change: [line: StrokeStyle | null, key?: string] }>();

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
  <p class="quiet">{{ texts.artwork.linedWith }}</p>
  <ColorChips
    :label="texts.artwork.line"
    :none="texts.artwork.noLine"
    :model-value="line?.color ?? null"
    :colors="colors"
    @update:model-value="color"
  />
  <template v-if="line">
    <ChoicesRow
      :label="texts.artwork.line"
      :name="texts.artwork.lineStyle"
      :model-value="line.style"
      :choices="texts.artwork.lineStyles"
      @update:model-value="change({ style: $event })"
    />
    <LengthRow
      :label="texts.artwork.thickness"
      :name="texts.artwork.thicknessLong"
      unit="pt"
      :model-value="line.width"
      :min="0.02"
      :max="50"
      :step="0.1"
      @update:model-value="change({ width: $event }, 'line')"
    />
    <template v-if="withEnds">
      <ChoicesRow
        :label="texts.ornaments.caps"
        :model-value="line.cap ?? 'butt'"
        :choices="texts.ornaments.capNames"
        @update:model-value="change({ cap: $event })"
      />
      <ChoicesRow
        :label="texts.ornaments.joins"
        :model-value="line.join ?? 'miter'"
        :choices="texts.ornaments.joinNames"
        @update:model-value="change({ join: $event })"
      />
    </template>
  </template>
</template>

<style scoped>
p {
  margin: 8px 0 0;
}
</style>
