<script setup lang="ts">
import {
  mdiBarcode,
  mdiCircleOutline,
  mdiDraw,
  mdiFormatText,
  mdiImageMultipleOutline,
  mdiImageOutline,
  mdiLeaf,
  mdiRectangleOutline,
  mdiVectorCircleVariant,
} from '@mdi/js';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import type { DeskState } from './desk-state.ts';
import { newCode, newPlate, newRing } from './new-elements.ts';

/** What can be added to the piece. */
const props = defineProps<{ desk: DeskState; ornaments: boolean }>();
defineEmits<{ picture: []; drawer: []; words: [bent: boolean]; ornaments: [] }>();
const { drawing } = props.desk;
</script>

<template>
  <div class="tools" role="toolbar" :aria-label="texts.artwork.addToThePiece">
    <IconButton
      named
      :icon="mdiImageOutline"
      :name="texts.artwork.picture"
      @click="$emit('picture')"
    />
    <IconButton
      named
      :icon="mdiImageMultipleOutline"
      :name="texts.artwork.drawer"
      @click="$emit('drawer')"
    />
    <IconButton
      named
      :icon="mdiFormatText"
      :name="texts.artwork.words"
      @click="$emit('words', false)"
    />
    <IconButton
      named
      :icon="mdiVectorCircleVariant"
      :name="texts.artwork.around"
      @click="$emit('words', true)"
    />
    <IconButton
      named
      :icon="mdiRectangleOutline"
      :name="texts.artwork.plate"
      @click="desk.addTo(newPlate)"
    />
    <IconButton
      named
      :icon="mdiCircleOutline"
      :name="texts.artwork.ring"
      @click="desk.addTo(newRing)"
    />
    <IconButton
      named
      :icon="mdiLeaf"
      :name="texts.ornaments.ornament"
      :pressed="ornaments"
      @click="$emit('ornaments')"
    />
    <IconButton
      named
      :icon="mdiDraw"
      :name="texts.ornaments.line"
      :pressed="drawing"
      @click="drawing = !drawing"
    />
    <IconButton
      named
      :icon="mdiBarcode"
      :name="texts.ornaments.code"
      @click="desk.addTo(newCode)"
    />
  </div>
</template>

<style scoped>
.tools {
  position: absolute;
  top: 30px;
  right: 14px;
  left: 126px;
  display: flex;
  width: fit-content;
  margin: 0 auto;
  border-radius: var(--r-tray);
  padding: 5px;
  background: var(--card);
  box-shadow: var(--shadow);
}
.tools :deep(.named) {
  min-width: 58px;
}
</style>
