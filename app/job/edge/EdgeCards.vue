<script setup lang="ts">
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import SelectRow from '../../ui/SelectRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import BleedCard from './BleedCard.vue';
import type { EdgeState } from './edge-state.ts';
import HolesCard from './HolesCard.vue';
import OffsetCard from './OffsetCard.vue';
import PartsCard from './PartsCard.vue';
import PointsCard from './PointsCard.vue';
import ShapeCard from './ShapeCard.vue';
import { useTakeOutline } from './take-outline.ts';

/** How the edge of the piece on the desk is made. */
const props = defineProps<{ desk: DeskState; edge: EdgeState }>();
const takeOutline = useTakeOutline(props.edge);
const words = texts.edge;
const { preparing } = props.desk;
const prepare = (picture: string): void => void (preparing.value = picture);
const pieces = computed(() =>
  Object.fromEntries((props.desk.store.job?.pieces ?? []).map(({ id, name }) => [id, name])),
);
</script>

<template>
  <SelectRow
    v-if="Object.keys(pieces).length > 1 && desk.piece.value"
    :label="words.piece"
    :model-value="desk.piece.value.id"
    :choices="pieces"
    @update:model-value="desk.show"
  />
  <CardPanel v-if="edge.follows.value" :title="words.edge" peeled>
    <p class="quiet">{{ words.follows }}</p>
  </CardPanel>
  <PointsCard v-else-if="edge.editing.value" :edge="edge" />
  <template v-else-if="desk.piece.value">
    <ShapeCard :edge="edge" @clear="prepare($event)" />
    <OffsetCard :edge="edge" />
    <PartsCard :edge="edge" @file="takeOutline" />
    <HolesCard :edge="edge" />
  </template>
  <BleedCard :edge="edge" />
</template>
