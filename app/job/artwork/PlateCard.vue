<script setup lang="ts">
import { computed } from 'vue';
import type { Art } from '../../../core/art/index.ts';
import { elementSchema, type Fill, type Plate } from '../../../core/piece/index.ts';
import {
  edgeShapeSchema,
  plainShape,
  shapeSize,
  type BoxedKind,
} from '../../../core/shape/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../ui/fields.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ShapeChoice from '../../ui/ShapeChoice.vue';
import FillPicker from './fill/FillPicker.vue';
import StrokeRows from './StrokeRows.vue';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; element: Plate }>();
const plate = computed(() => props.element);
const { artwork } = texts;
const { shape } = schemaOf(elementSchema, 'plate');
const rim = fieldsOf(shape.rim.unwrap());
const RIM = [rim.length('inset', artwork.alongRim, { name: artwork.alongRimLong })];
const BAND = [rim.length('to', artwork.band, { name: artwork.bandLong, min: 0 })];
const CORNERS = [
  fieldsOf(schemaOf(edgeShapeSchema, 'rectangle')).length('radius', artwork.corners, {
    name: artwork.cornerRadius,
  }),
];
const FILLED = [
  fieldsOf(shape.fill.unwrap()).percent('opacity', artwork.fillOpacity, { min: 0.05 }),
];

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
  <CardPanel :title="artwork.plate" peeled>
    <template v-if="plate.rim">
      <FieldRows
        :fields="RIM"
        :of="plate.rim"
        @change="desk.change({ rim: { ...plate.rim, ...$event } }, 'rim')"
      />
      <FieldRows :fields="BAND" :of="plate.rim" @change="band($event.to ?? 0)" />
    </template>
    <ShapeChoice
      v-else
      :label="artwork.shapeLong"
      :model-value="plate.shape.kind"
      @update:model-value="reshape"
    />
    <FieldRows
      v-if="plate.shape.kind === 'rectangle' && !plate.rim"
      :fields="CORNERS"
      :of="plate.shape"
      @change="desk.change({ shape: { ...plate.shape, ...$event } }, 'radius')"
    />
    <p class="quiet">{{ artwork.fill }}</p>
    <FillPicker
      :label="artwork.fill"
      :none="artwork.noFill"
      :desk="desk"
      :model-value="plate.fill?.color ?? null"
      :tried="(color) => desk.tried(() => ({ fill: filled(color) }))"
      @update:model-value="fill"
    />
    <FieldRows
      v-if="plate.fill"
      :fields="FILLED"
      :of="plate.fill"
      @change="desk.change({ fill: { ...plate.fill, ...$event } }, 'fill-opacity')"
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
