<script setup lang="ts">
import {
  mdiAutoFix,
  mdiBarcode,
  mdiCircleOutline,
  mdiDraw,
  mdiFormatText,
  mdiImageMultipleOutline,
  mdiImageOutline,
  mdiLeaf,
  mdiRectangleOutline,
  mdiTable,
  mdiVectorCircleVariant,
} from '@mdi/js';
import { texts } from '../../texts/index.ts';
import IconButton from '../../ui/IconButton.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { newCode, newPlate, newRing } from '../artwork-state/new-elements.ts';

/** What can be added to the piece. */
type Panel = 'ornaments' | 'start';
const props = defineProps<{ desk: DeskState; open: string | undefined }>();
defineEmits<{
  picture: [];
  drawer: [];
  words: [bent: boolean];
  list: [];
  panel: [panel: Panel];
}>();
const { drawing } = props.desk;
</script>

<template>
  <div class="tools bench-tray" role="toolbar" :aria-label="texts.artwork.addToThePiece">
    <IconButton
      named
      :icon="mdiAutoFix"
      :name="texts.start.tool"
      :pressed="open === 'start'"
      @click="$emit('panel', 'start')"
    />
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
      :pressed="open === 'ornaments'"
      @click="$emit('panel', 'ornaments')"
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
    <IconButton
      named
      :icon="mdiTable"
      :name="texts.list.tool"
      :pressed="open === 'list'"
      @click="$emit('list')"
    />
  </div>
</template>

<style scoped>
.tools {
  position: absolute;
  top: 30px;
  right: 14px;
  left: 156px;
  display: flex;
  width: fit-content;
  margin: 0 auto;
  padding: 5px;
}
.tools :deep(.named) {
  min-width: 46px;
  padding: 6px 4px;
  white-space: nowrap;
}
</style>
