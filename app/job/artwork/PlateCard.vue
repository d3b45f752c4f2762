<script setup lang="ts">
import { computed } from 'vue';
import type { Plate } from '../../../core/piece/index.ts';
import { SHAPE_KINDS, shapeSize, type EdgeShape } from '../../../core/shape/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import ColorChips from '../../ui/ColorChips.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import type { DeskState } from './desk-state.ts';
import { PALETTE } from './palette.ts';

const props = defineProps<{ desk: DeskState; plate: Plate }>();
const NAMES = { circle: 'Round', ellipse: 'Oval', rectangle: 'Square' } as const;
const shapes = SHAPE_KINDS.map((value) => ({ value, name: NAMES[value] }));
const styles = [
  { value: 'solid', name: 'Solid' },
  { value: 'dashed', name: 'Dashed' },
  { value: 'dotted', name: 'Dotted' },
] as const;
const radius = computed(() =>
  props.plate.shape.kind === 'rectangle' ? props.plate.shape.radius : undefined,
);

function reshape(kind: EdgeShape['kind']): void {
  const { width, height } = shapeSize(props.plate.shape);
  const made: Record<EdgeShape['kind'], EdgeShape> = {
    circle: { kind: 'circle', diameter: Math.min(width, height) },
    ellipse: { kind: 'ellipse', width, height },
    rectangle: { kind: 'rectangle', width, height, radius: Math.min(width, height) / 6 },
  };
  props.desk.change({ shape: made[kind] });
}

function fill(color: string | null): void {
  props.desk.change({
    fill: color === null ? null : { color, opacity: props.plate.fill?.opacity ?? 1 },
  });
}

function line(color: string | null): void {
  props.desk.change({
    line: color === null ? null : { width: 0.5, style: 'solid', ...props.plate.line, color },
  });
}
</script>

<template>
  <CardPanel title="Plate" peeled>
    <FactRow label="Shape"
      ><ChoiceRow
        :model-value="plate.shape.kind"
        label="Shape of the plate"
        :choices="shapes"
        @update:model-value="reshape"
    /></FactRow>
    <FactRow v-if="radius !== undefined" label="Corners"
      ><LengthField
        label="Corner radius"
        :model-value="radius"
        :min="0"
        :max="500"
        @update:model-value="desk.change({ shape: { ...plate.shape, radius: $event } }, 'radius')"
    /></FactRow>
    <p class="quiet">Filled with</p>
    <ColorChips
      label="Fill"
      none="No fill"
      :model-value="plate.fill?.color ?? null"
      :colors="PALETTE"
      @update:model-value="fill"
    />
    <FactRow v-if="plate.fill" label="Lets through"
      ><NumberField
        label="Transparency"
        :model-value="Math.round((1 - plate.fill.opacity) * 100)"
        suffix="%"
        :min="0"
        :max="95"
        :step="5"
        @update:model-value="
          desk.change({ fill: { ...plate.fill, opacity: 1 - $event / 100 } }, 'opacity')
        "
    /></FactRow>
    <p class="quiet">Lined with</p>
    <ColorChips
      label="Line"
      none="No line"
      :model-value="plate.line?.color ?? null"
      :colors="PALETTE"
      @update:model-value="line"
    />
    <template v-if="plate.line">
      <FactRow label="Line"
        ><ChoiceRow
          :model-value="plate.line.style"
          label="Style of the line"
          :choices="styles"
          @update:model-value="desk.change({ line: { ...plate.line, style: $event } })"
      /></FactRow>
      <FactRow label="Thickness"
        ><LengthField
          label="Thickness of the line"
          unit="pt"
          :model-value="plate.line.width"
          :min="0.02"
          :max="50"
          :step="0.1"
          @update:model-value="desk.change({ line: { ...plate.line, width: $event } }, 'line')"
      /></FactRow>
    </template>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 8px 0 0;
}
</style>
