<script setup lang="ts">
import { computed } from 'vue';
import FindingCard from '../common/FindingCard.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ColorsCard from './colors/ColorsCard.vue';
import { ELEMENT_CARDS, SEVERAL_AT_ONCE } from './element-cards.ts';
import FieldsCard from './fields/FieldsCard.vue';
import LookCard from './set/LookCard.vue';
import ManyCard from './ManyCard.vue';
import PieceCard from './PieceCard.vue';
import PlaceCard from './PlaceCard.vue';
import ReadableCard from './ReadableCard.vue';
import RepeatCard from './RepeatCard.vue';
import HouseCard from './start/HouseCard.vue';
import VariantCard from './VariantCard.vue';
import MovedLettersCard from './words/MovedLettersCard.vue';
import ReplaceCard from './words/ReplaceCard.vue';

/** What can be said about the selection, or about the piece where nothing is selected. */
const props = defineProps<{ desk: DeskState }>();
const { committedSelection: selection, committedOnly: only, alike, settingHouseStyle } = props.desk;

/** The element whose own cards are shown: the one that is selected, or the first of several alike. */
const element = computed(() =>
  alike.value && SEVERAL_AT_ONCE.has(alike.value.kind) ? alike.value : only.value,
);
const words = computed(() => (only.value?.kind === 'words' ? only.value : undefined));
/** What a label says is looked for first; where it says nothing in fields they are an offer. */
const saysFields = computed(() =>
  props.desk.committedPiece.value?.elements.some(({ field }) => field !== undefined),
);
const findings = computed(() =>
  props.desk.store.findings.list.filter(
    ({ code, where }) =>
      // How well the chosen words are read has a card of its own.
      !(code === 'low-contrast' && only.value?.id === where.element) &&
      where.piece === props.desk.committedPiece.value?.id &&
      where.sheet === undefined &&
      (!only.value || where.element === only.value.id),
  ),
);
</script>

<template>
  <VariantCard :desk="desk" />
  <template v-if="element">
    <component
      :is="card"
      v-for="(card, at) in ELEMENT_CARDS[element.kind]"
      :key="`${element.kind}-${at}`"
      :desk="desk"
      :element="element"
    />
  </template>
  <ManyCard
    v-if="selection.length > 1"
    :desk="desk"
    @duplicate="desk.duplicate"
    @delete="desk.remove"
  />
  <FindingCard
    v-for="finding in findings"
    :key="finding.code + finding.where.element"
    :finding="finding"
  />
  <!-- Measured in its own time: what it grows by must not move a finding from under a press. -->
  <template v-if="words">
    <ReadableCard :desk="desk" :words="words" />
    <MovedLettersCard :desk="desk" :words="words" />
  </template>
  <PlaceCard
    v-if="only"
    :desk="desk"
    :committed="only"
    @duplicate="desk.duplicate"
    @delete="desk.remove"
  />
  <RepeatCard v-if="only && only.kind !== 'words'" :desk="desk" :element="only" />
  <template v-if="selection.length === 0">
    <LookCard v-if="desk.store.whole?.set" :desk="desk" />
    <FieldsCard v-if="saysFields" :desk="desk" />
    <PieceCard :desk="desk" />
    <FieldsCard v-if="!saysFields" :desk="desk" />
    <ColorsCard :desk="desk" />
    <ReplaceCard :desk="desk" />
    <HouseCard :desk="desk" @open="settingHouseStyle = true" />
  </template>
</template>
