<script setup lang="ts">
import { computed } from 'vue';
import type { Art } from '../../../core/art/index.ts';
import type { Fill, Plate } from '../../../core/piece/index.ts';
import { plainShape, shapeSize, type BoxedKind } from '../../../core/shape/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ShapeChoice from '../../ui/ShapeChoice.vue';
import FillPicker from './fill/FillPicker.vue';
import StrokeRows from './StrokeRows.vue';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; element: Plate }>();
const plate = computed(() => props.element);
const radius = computed(() =>
  plate.value.shape.kind === 'rectangle' ? plate.value.shape.radius : undefined,
);

function reshape(kind: BoxedKind): void {
  const { width, height } = shapeSize(plate.value.shape);
  const radius = Math.min(width, height) / 6;
  props.desk.change({ shape: plainShape(kind, width, height, radius) });
}

const filled = (color: Fill | null): Plate['fill'] =>
  color === null ? null : { color, opacity: plate.value.fill?.opacity ?? 1 };

function fill(color: Fill | null, key?: string, art?: Art): void {
  props.desk.change({ fill: filled(color) }, key, art);
}

/** The space between two lines along the edge; no width is a line alone. */
function band(width: number): void {
  const { rim, line: edge, fill: inside } = plate.value;
  if (!rim) return;
  const { inset } = rim;
  props.desk.change(
    {
      rim: width >= 0.1 ? { inset, to: width } : { inset },
      ...(width >= 0.1 && !inside && edge ? { fill: { color: edge.color, opacity: 1 } } : {}),
      ...(width < 0.1 ? { fill: null } : {}),
    },
    'band',
  );
}
</script>

<template>
  <CardPanel :title="texts.artwork.plate" peeled>
    <template v-if="plate.rim">
      <LengthRow
        :label="texts.artwork.alongRim"
        :name="texts.artwork.alongRimLong"
        :model-value="plate.rim.inset"
        :min="-20"
        :max="200"
        @update:model-value="desk.change({ rim: { ...plate.rim, inset: $event } }, 'rim')"
      />
      <LengthRow
        :label="texts.artwork.band"
        :name="texts.artwork.bandLong"
        :model-value="plate.rim.to ?? 0"
        :min="0"
        :max="200"
        @update:model-value="band"
      />
    </template>
    <ShapeChoice
      v-else
      :label="texts.artwork.shapeLong"
      :model-value="plate.shape.kind"
      @update:model-value="reshape"
    />
    <LengthRow
      v-if="radius !== undefined && !plate.rim"
      :label="texts.artwork.corners"
      :name="texts.artwork.cornerRadius"
      :model-value="radius"
      :min="0"
      :max="500"
      @update:model-value="desk.change({ shape: { ...plate.shape, radius: $event } }, 'radius')"
    />
    <p class="quiet">{{ texts.artwork.fill }}</p>
    <FillPicker
      :label="texts.artwork.fill"
      :none="texts.artwork.noFill"
      :desk="desk"
      :model-value="plate.fill?.color ?? null"
      :tried="(color) => desk.tried(() => ({ fill: filled(color) }))"
      @update:model-value="fill"
    />
    <NumberRow
      v-if="plate.fill"
      :label="texts.artwork.fillOpacity"
      :model-value="Math.round(plate.fill.opacity * 100)"
      suffix="%"
      :min="5"
      :max="100"
      :step="5"
      @update:model-value="
        desk.change({ fill: { ...plate.fill, opacity: $event / 100 } }, 'opacity')
      "
    />
    <StrokeRows
      :line="plate.line"
      :colors="desk.colors.value"
      @change="(line, key) => desk.change({ line }, key)"
    />
  </CardPanel>
</template>

<style scoped>
p {
  margin: 8px 0 0;
}
</style>
