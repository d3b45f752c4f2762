<script setup lang="ts">
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** What a piece that follows another has of its own: all of it, or on the chosen elements. */
const props = defineProps<{ desk: DeskState }>();
const say = texts.variants;
const piece = computed(() => props.desk.committedPiece.value);
const variant = computed(() => piece.value?.variant);
const base = computed(() =>
  props.desk.store.committed?.pieces.find(({ id }) => id === variant.value?.base),
);
const changed = computed(() => Object.keys(variant.value?.overrides ?? {}));
/** The chosen elements that are not as on the base. */
const chosen = computed(() =>
  props.desk.committedSelection.value
    .map(({ id }) => id)
    .filter((id) => changed.value.includes(id)),
);
const fields = computed(() => {
  const keys = chosen.value.flatMap((id) => Object.keys(variant.value?.overrides[id] ?? {}));
  return [...new Set(keys.map((key) => say.fields[key] ?? say.other))].join(', ');
});
const colored = computed(
  () => Boolean(variant.value?.colors) || variant.value?.ground !== undefined,
);
const nothing = computed(() => props.desk.committedSelection.value.length === 0);

function again(elements: readonly string[], colors = false): void {
  if (piece.value)
    props.desk.store.act({
      name: 'follow-again',
      args: { piece: piece.value.id, elements, colors },
    });
}

function stop(): void {
  if (piece.value)
    props.desk.store.act({ name: 'stop-following', args: { piece: piece.value.id } });
}
</script>

<template>
  <CardPanel v-if="variant && base && (nothing || chosen.length)" :title="say.title">
    <template v-if="nothing">
      <p class="quiet">{{ say.follows(base.name) }}</p>
      <FactRow v-if="changed.length" :label="say.elements(changed.length)">
        <LinkButton @click="again(changed)">{{ say.again }}</LinkButton>
      </FactRow>
      <FactRow v-if="colored" :label="say.colors">
        <LinkButton @click="again([], true)">{{ say.again }}</LinkButton>
      </FactRow>
      <p>
        <LinkButton @click="desk.show(base.id)">
          {{ say.toBase(base.name) }}
        </LinkButton>
        <LinkButton v-if="!variant.thing" @click="stop">
          {{ say.stop }}
        </LinkButton>
      </p>
    </template>
    <FactRow v-else :label="fields">
      <LinkButton @click="again(chosen)">{{ say.again }}</LinkButton>
    </FactRow>
  </CardPanel>
</template>

<style scoped>
p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  margin: 2px 0 4px;
}
</style>
