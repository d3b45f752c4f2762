<script setup lang="ts">
import { computed } from 'vue';
import type { Words } from '../../../../core/piece/index.ts';
import { nudgeSchema, withNudge, type Nudge } from '../../../../core/type/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf } from '../../../ui/fields.ts';
import LinkButton from '../../../ui/LinkButton.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { lettersOf } from './typing.ts';

/** The letters that are marked while words are typed, moved by numbers. */
const props = defineProps<{ desk: DeskState; words: Words }>();
const say = texts.words;
const { number } = fieldsOf(nudgeSchema);
const named = (label: string): string => `${say.moved}: ${label}`;
const NUDGE = [
  number('x', say.nudgeAcross, { name: named(say.nudgeAcross), suffix: '%' }),
  number('y', say.nudgeDown, { name: named(say.nudgeDown), suffix: '%' }),
  number('turn', say.nudgeTurn, { name: named(say.nudgeTurn), suffix: '°' }),
];
const letters = computed(() =>
  props.desk.typing.value === props.words.id ? lettersOf(props.desk, props.words.text) : [],
);
const first = computed<Nudge>(() => {
  const at = letters.value[0] ?? 0;
  return props.words.nudges?.find((one) => one.at === at) ?? { at, x: 0, y: 0, turn: 0 };
});

function move(changes: Partial<Omit<Nudge, 'at'>>): void {
  const nudges = withNudge(props.words.nudges ?? [], letters.value, changes);
  props.desk.change({ nudges: nudges.length ? nudges : undefined }, 'letters');
}
</script>

<template>
  <CardPanel v-if="letters.length || words.nudges?.length" :title="say.moved">
    <template v-if="letters.length">
      <p class="quiet">{{ say.letters(letters.map((at) => words.text[at]).join('')) }}</p>
      <FieldRows :fields="NUDGE" :of="first" @change="move" />
    </template>
    <p v-else class="quiet">{{ say.movedHint }}</p>
    <LinkButton v-if="words.nudges?.length" @click="desk.change({ nudges: undefined })">
      {{ say.reset }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 4px;
}
</style>
