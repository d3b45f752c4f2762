<script setup lang="ts">
import { computed } from 'vue';
import type { Art } from '../../../../core/art/index.ts';
import type { Fill, Line, StrokeStyle } from '../../../../core/piece/index.ts';
import { isSmooth, removeNode, splitAfter, turnNode } from '../../../../core/shape/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import CheckRow from '../../../ui/CheckRow.vue';
import ChoicesRow from '../../../ui/ChoicesRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import FillPicker from '../fill/FillPicker.vue';
import StrokeRows from '../StrokeRows.vue';
import { recentred } from './line-nodes.ts';

/** A line of one's own: how it is drawn, what fills it, and its points. */
const props = defineProps<{ desk: DeskState; element: Line }>();
const line = computed(() => props.element);
const words = texts.ornaments;
const points = texts.edge;
const node = computed(() => {
  const place = props.desk.point.value;
  return place && line.value.nodes[place.node];
});

function fill(value: Fill | null, key?: string, art?: Art): void {
  props.desk.change({ fill: value }, key, art);
}

function give(rings: Line['nodes'][]): void {
  const [nodes] = rings;
  if (nodes) props.desk.change(recentred(line.value, nodes));
}

const stroke = (line: StrokeStyle | null, key?: string): void => props.desk.change({ line }, key);
</script>

<template>
  <CardPanel :title="words.drawn" peeled>
    <StrokeRows :line="line.line" :colors="desk.colors.value" with-ends @change="stroke" />
    <CheckRow
      :label="words.closed"
      :model-value="line.closed"
      @update:model-value="desk.change({ closed: $event })"
    />
    <FillPicker
      v-if="line.closed"
      :label="texts.artwork.fill"
      :none="texts.artwork.noFill"
      :desk="desk"
      :model-value="line.fill"
      :tried="(value) => desk.tried(() => ({ fill: value }))"
      @update:model-value="fill"
    />
    <template v-if="node && desk.point.value">
      <ChoicesRow
        :label="words.points"
        :name="points.editPoints"
        :model-value="isSmooth(node) ? 'smooth' : 'corner'"
        :choices="{ corner: points.corner, smooth: points.smoothPoint }"
        @update:model-value="give(turnNode([line.nodes], desk.point.value, $event === 'smooth'))"
      />
      <p>
        <LinkButton @click="give(splitAfter([line.nodes], desk.point.value))">
          {{ points.addPoint }}
        </LinkButton>
        <LinkButton
          v-if="line.nodes.length > 3"
          @click="give(removeNode([line.nodes], desk.point.value))"
        >
          {{ points.removePoint }}
        </LinkButton>
      </p>
    </template>
  </CardPanel>
</template>

<style scoped>
p {
  display: flex;
  justify-content: space-between;
  margin: 6px 0 0;
}
</style>
