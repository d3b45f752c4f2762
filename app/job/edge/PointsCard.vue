<script setup lang="ts">
import { computed } from 'vue';
import { isSmooth, removeNode, splitAfter, turnNode } from '../../../core/shape/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { EdgeState } from './edge-state.ts';

/** What can be done with the chosen node of a free outline. */
const props = defineProps<{ edge: EdgeState }>();
const words = texts.edge;
const { parts, point, editing, store } = props.edge;
const rings = computed(() => {
  const [part] = parts.value;
  return part?.shape.kind === 'outline' ? part.shape.rings : [];
});
const node = computed(() => point.value && rings.value[point.value.ring]?.[point.value.node]);
const turns = { corner: words.corner, smooth: words.smoothPoint };

function give(next: typeof rings.value): void {
  const call = props.edge.nodesCommand(next);
  if (call) store.act(call);
}
</script>

<template>
  <CardPanel :title="words.editPoints" peeled>
    <p class="quiet">{{ words.pointsHint }}</p>
    <template v-if="node && point">
      <ChoiceRow
        :label="words.editPoints"
        :model-value="isSmooth(node) ? 'smooth' : 'corner'"
        :choices="turns"
        @update:model-value="give(turnNode(rings, point, $event === 'smooth'))"
      />
      <p class="more">
        <LinkButton @click="give(splitAfter(rings, point))">
          {{ words.addPoint }}
        </LinkButton>
        <LinkButton @click="give(removeNode(rings, point))">
          {{ words.removePoint }}
        </LinkButton>
      </p>
    </template>
    <LinkButton @click="editing = false">{{ words.done }}</LinkButton>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
.more {
  display: flex;
  justify-content: space-between;
  margin: 6px 0 0;
}
</style>
