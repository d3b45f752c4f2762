<script setup lang="ts">
import { computed } from 'vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { newOrnament, newPlate, ornamentInks } from '../artwork-state/new-elements.ts';
import { useOwnTypefaces } from '../../session/own-typefaces.ts';
import OrnamentPanel from './ornaments/OrnamentPanel.vue';
import SeenAsPanel from './SeenAsPanel.vue';
import StartPanel from './start/StartPanel.vue';
import StickerGrid from './stickers/StickerGrid.vue';
import CollectionPanel from './words/CollectionPanel.vue';
import FormsPanel from './words/FormsPanel.vue';
import TypefacePanel from './words/TypefacePanel.vue';

/** The panel that lies over the bench, if one is open. */
const props = defineProps<{ desk: DeskState }>();
const own = useOwnTypefaces();
const { alike, panel, settingHouseStyle } = props.desk;
const NO_INKS: [string, string] = ['#2a1b2e', '#c77f3a'];

/** The words that are selected, when nothing else is. */
const words = computed(() => (alike.value?.kind === 'words' ? alike.value : undefined));
const inks = computed(() => {
  const { value: piece } = props.desk.committedPiece;
  return piece ? ornamentInks(piece, props.desk.colors.value) : NO_INKS;
});

function close(): void {
  panel.value = undefined;
}
</script>

<template>
  <SeenAsPanel v-if="panel === 'seen'" :desk="desk" @close="close" />
  <CollectionPanel v-if="own.asked" :key="own.asked.name" :asked="own.asked" />
  <TypefacePanel
    v-if="panel === 'faces' && words"
    :model-value="words.typeface"
    :text="words.text"
    @update:model-value="desk.change({ typeface: $event })"
    @close="close"
  />
  <FormsPanel v-if="panel === 'forms' && words" :desk="desk" :words="words" @close="close" />
  <StartPanel
    v-if="panel === 'start'"
    :key="desk.committedPiece.value?.id ?? ''"
    :desk="desk"
    @close="close"
    @house="settingHouseStyle = true"
  />
  <OrnamentPanel
    v-if="panel === 'ornaments'"
    :inks="inks"
    @ornament="(name) => desk.addTo((piece) => newOrnament(piece, name, inks))"
    @shape="(kind) => desk.addTo((piece) => newPlate(piece, kind))"
    @close="close"
  >
    <StickerGrid :desk="desk" />
  </OrnamentPanel>
</template>
