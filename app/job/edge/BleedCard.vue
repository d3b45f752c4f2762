<script setup lang="ts">
import { computed, ref } from 'vue';
import { artSize } from '../../../core/art/index.ts';
import { pictureSize, pieceSchema } from '../../../core/piece/index.ts';
import { artCalls } from '../../calls/index.ts';
import { keepArt } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { EdgeState } from './edge-state.ts';

/** The bleed: how far the ground and the pictures print beyond the edge. */
const props = defineProps<{ edge: EdgeState }>();
const messages = useMessages();
const words = texts.edge;
const { piece, pictures, store } = props.edge;
const { length } = fieldsOf(pieceSchema);
const AROUND = [
  length('bleed', words.bleedLong, { name: words.bleed }),
  length('safe', words.safe, { name: words.safeInset }),
];
const growing = ref(false);
const grown = computed(
  () => pictures.value.length > 0 && pictures.value.every(({ spread }) => spread !== undefined),
);
const SPARE = 0.5; // mm beyond the bleed, so that its rim is inside

function changeAll(changes: { bleed?: number; safe?: number }): void {
  for (const one of store.job?.pieces ?? [])
    store.act(
      { name: 'change-piece', args: { piece: one.id, changes } },
      `edge:${Object.keys(changes).join()}`,
    );
}

async function grow(): Promise<void> {
  const one = piece.value;
  if (!one) return;
  if (grown.value) {
    const changes = Object.fromEntries(pictures.value.map(({ id }) => [id, { spread: undefined }]));
    store.act({ name: 'change-elements', args: { piece: one.id, changes, doing: 'shrink' } });
    return;
  }
  growing.value = true;
  try {
    for (const picture of pictures.value) {
      const art = store.job?.art[picture.art];
      if (!art) continue;
      const scale = artSize(art).width / pictureSize(picture, art).width;
      const by = (one.bleed + SPARE + Math.max(0, one.build?.offset ?? 0)) * scale;
      const made = await artCalls.call('makeArt', { art, recipe: { kind: 'spread', by } }).answer;
      if (!made.ok) return messages.sayProblem(made.problem);
      await keepArt(made.value.art.id, made.value.bytes, Date.now());
      const changes = { [picture.id]: { spread: made.value.art.id } };
      const call = {
        name: 'change-elements' as const,
        args: { piece: one.id, changes, doing: 'grow', art: made.value.art },
      };
      if (!store.act(call)) return;
    }
  } catch (error) {
    messages.sayError(error);
  } finally {
    growing.value = false;
  }
}
</script>

<template>
  <CardPanel v-if="piece" :title="words.bleedTitle">
    <FieldRows :fields="AROUND" :of="piece" @change="changeAll" />
    <CheckRow
      v-if="pictures.length"
      :model-value="grown"
      :label="growing ? words.growing : words.grow"
      :disabled="growing"
      @update:model-value="grow"
    />
    <p class="quiet">{{ pictures.length ? words.growHint : words.bleedHint }}</p>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 4px 0 0;
}
</style>
