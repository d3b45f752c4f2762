<script setup lang="ts">
import { computed } from 'vue';
import type { Plate } from '../../../core/piece/index.ts';
import { plainShape, shapeSize, type PlainShape } from '../../../core/shape/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import ColorChips from '../../ui/ColorChips.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { DeskState } from './desk-state.ts';
import { PALETTE } from './palette.ts';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; plate: Plate }>();
const radius = computed(() =>
  props.plate.shape.kind === 'rectangle' ? props.plate.shape.radius : undefined,
);

function reshape(kind: PlainShape['kind']): void {
  const { width, height } = shapeSize(props.plate.shape);
  const radius = Math.min(width, height) / 6;
  props.desk.change({ shape: plainShape(kind, width, height, radius) });
}

function fill(color: string | null): void {
  props.desk.change({
    fill: color === null ? null : { color, opacity: props.plate.fill?.opacity ?? 1 },
  });
}

/** The space between two lines along the edge; no width is a line alone. */
function band(width: number): void {
  const { rim, line: edge, fill: inside } = props.plate;
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

function line(color: string | null): void {
  props.desk.change({
    line: color === null ? null : { width: 0.5, style: 'solid', ...props.plate.line, color },
  });
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
    <ChoicesRow
      v-else
      :label="texts.artwork.shape"
      :name="texts.artwork.shapeLong"
      :model-value="plate.shape.kind as PlainShape['kind']"
      :choices="texts.artwork.shapes"
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
    <p class="quiet">{{ texts.artwork.filledWith }}</p>
    <ColorChips
      :label="texts.artwork.fill"
      :none="texts.artwork.noFill"
      :model-value="plate.fill?.color ?? null"
      :colors="PALETTE"
      @update:model-value="fill"
    />
    <NumberRow
      v-if="plate.fill"
      :label="texts.artwork.letsThrough"
      :name="texts.artwork.transparency"
      :model-value="Math.round((1 - plate.fill.opacity) * 100)"
      suffix="%"
      :min="0"
      :max="95"
      :step="5"
      @update:model-value="
        desk.change({ fill: { ...plate.fill, opacity: 1 - $event / 100 } }, 'opacity')
      "
    />
    <p class="quiet">{{ texts.artwork.linedWith }}</p>
    <ColorChips
      :label="texts.artwork.line"
      :none="texts.artwork.noLine"
      :model-value="plate.line?.color ?? null"
      :colors="PALETTE"
      @update:model-value="line"
    />
    <template v-if="plate.line">
      <ChoicesRow
        :label="texts.artwork.line"
        :name="texts.artwork.lineStyle"
        :model-value="plate.line.style"
        :choices="texts.artwork.lineStyles"
        @update:model-value="desk.change({ line: { ...plate.line, style: $event } })"
      />
      <LengthRow
        :label="texts.artwork.thickness"
        :name="texts.artwork.thicknessLong"
        unit="pt"
        :model-value="plate.line.width"
        :min="0.02"
        :max="50"
        :step="0.1"
        @update:model-value="desk.change({ line: { ...plate.line, width: $event } }, 'line')"
      />
    </template>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 8px 0 0;
}
</style>
