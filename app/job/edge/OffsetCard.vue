<script setup lang="ts">
import { computed } from 'vue';
import { buildEdge } from '../../../core/shape/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import type { EdgeState } from './edge-state.ts';

/** How far the edge keeps from its shapes, and what becomes of corners, holes and separate parts. */
const props = defineProps<{ edge: EdgeState }>();
const settings = useSettings();
const words = texts.edge;
const { build, facts } = props.edge;
const apart = computed(() => build.value.join !== 'apart' || facts.value.parts > 1);
const joinedBy = computed(() => {
  if (build.value.join !== 'offset') return undefined;
  const built = buildEdge(build.value);
  return built.ok ? built.value.joinedBy : undefined;
});
const free = computed(() => build.value.parts.some(({ shape }) => shape.kind === 'outline'));
</script>

<template>
  <CardPanel
    :title="words.offset"
    v-bind="facts.nodes === undefined ? {} : { aside: words.nodes(facts.nodes) }"
  >
    <LengthRow
      :label="words.outwards"
      :model-value="build.offset"
      :min="-50"
      :max="50"
      @update:model-value="edge.change({ offset: $event }, 'offset the edge', 'offset')"
    />
    <ChoicesRow
      :label="words.corners"
      :model-value="build.corners"
      :choices="words.cornerStyles"
      @update:model-value="edge.change({ corners: $event }, 'change the corners')"
    />
    <ChoicesRow
      :label="words.holes"
      :model-value="build.holes"
      :choices="words.holeChoices"
      @update:model-value="edge.change({ holes: $event }, 'change the holes')"
    />
    <NumberRow
      v-if="build.holes === 'fill-small'"
      :label="words.smallHole"
      :model-value="build.smallHole"
      suffix="mm²"
      :min="0"
      :max="10000"
      :step="5"
      @update:model-value="edge.change({ smallHole: $event }, 'change the holes', 'small')"
    />
    <template v-if="apart">
      <p v-if="facts.parts > 1" class="look" role="status">{{ words.separate(facts.parts) }}</p>
      <ChoicesRow
        :label="words.join"
        :model-value="build.join"
        :choices="words.joins"
        @update:model-value="edge.change({ join: $event }, 'join the parts')"
      />
      <LengthRow
        v-if="build.join === 'bridge'"
        :label="words.bridge"
        :model-value="build.bridge"
        :min="0.3"
        :max="50"
        @update:model-value="edge.change({ bridge: $event }, 'join the parts', 'bridge')"
      />
      <p v-if="joinedBy !== undefined" class="quiet">
        {{ words.joinedBy(formatLength(joinedBy, settings.unit)) }}
      </p>
    </template>
    <template v-if="free">
      <LengthRow
        :label="words.innerRadius"
        :name="words.innerLong"
        :model-value="build.innerRadius"
        :min="0"
        :max="20"
        :step="0.25"
        @update:model-value="edge.change({ innerRadius: $event }, 'round inner corners', 'inner')"
      />
      <LengthRow
        :label="words.smooth"
        :name="words.smoothLong"
        :model-value="build.smooth"
        :min="0"
        :max="20"
        :step="0.25"
        @update:model-value="edge.change({ smooth: $event }, 'smooth the edge', 'smooth')"
      />
    </template>
    <button class="link" type="button" @click="edge.startEditing">{{ words.editPoints }}</button>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 4px 0;
}
.look {
  border-radius: var(--r-field);
  padding: 4px 10px;
  background: var(--amber-soft);
  color: var(--amber-text);
}
</style>
