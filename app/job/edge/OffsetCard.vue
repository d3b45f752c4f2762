<script setup lang="ts">
import { computed } from 'vue';
import { buildEdge, edgeBuildSchema, type EdgeBuild } from '../../../core/shape/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import type { EdgeState } from './edge-state.ts';

/** How far the edge keeps from its shapes, and what becomes of corners, holes and separate parts. */
const props = defineProps<{ edge: EdgeState }>();
const settings = useSettings();
const words = texts.edge;
const { length, number, choices } = fieldsOf(edgeBuildSchema);
const OFFSET = [
  length('offset', words.outwards),
  choices('corners', words.corners, words.cornerStyles),
  choices('holes', words.holes, words.holeChoices),
  number('smallHole', words.smallHole, {
    ...{ suffix: 'mm²', step: 5 },
    when: ({ holes }) => holes === 'fill-small',
  }),
];
const JOIN = [
  choices('join', words.join, words.joins),
  length('bridge', words.bridge, { when: ({ join }) => join === 'bridge' }),
];
const SMOOTH = [
  length('innerRadius', words.innerRadius, { name: words.innerLong, step: 0.25 }),
  length('smooth', words.smooth, { name: words.smoothLong, step: 0.25 }),
];
const DOING: Readonly<Partial<Record<keyof EdgeBuild, string>>> = {
  offset: 'offset the edge',
  corners: 'change the corners',
  holes: 'change the holes',
  smallHole: 'change the holes',
  join: 'join the parts',
  bridge: 'join the parts',
  innerRadius: 'round inner corners',
  smooth: 'smooth the edge',
};
const { build, facts } = props.edge;
const apart = computed(() => build.value.join !== 'apart' || facts.value.parts > 1);
const joinedBy = computed(() => {
  if (build.value.join !== 'offset') return undefined;
  const built = buildEdge(build.value);
  return built.ok ? built.value.joinedBy : undefined;
});
function change(changes: Partial<EdgeBuild>, key?: string): void {
  const [what] = Object.keys(changes) as (keyof EdgeBuild)[];
  props.edge.change(changes, what && DOING[what], key);
}

const free = computed(() => build.value.parts.some(({ shape }) => shape.kind === 'outline'));
</script>

<template>
  <CardPanel
    :title="words.offset"
    v-bind="facts.nodes === undefined ? {} : { aside: words.nodes(facts.nodes) }"
  >
    <FieldRows :fields="OFFSET" :of="build" @change="change" />
    <template v-if="apart">
      <p v-if="facts.parts > 1" class="look" role="status">{{ words.separate(facts.parts) }}</p>
      <FieldRows :fields="JOIN" :of="build" @change="change" />
      <p v-if="joinedBy !== undefined" class="quiet">
        {{ words.joinedBy(formatLength(joinedBy, settings.unit)) }}
      </p>
    </template>
    <FieldRows v-if="free" :fields="SMOOTH" :of="build" @change="change" />
    <LinkButton @click="edge.startEditing">{{ words.editPoints }}</LinkButton>
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
