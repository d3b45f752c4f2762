<script setup lang="ts">
import { texts } from '../../texts/index.ts';
import LinkButton from '../../ui/LinkButton.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** What to do next on the bench, where it is not plain: with a tool in hand, or nothing on the piece. */
const props = defineProps<{ desk: DeskState }>();
const { committedPiece, drawing, measuring, panel } = props.desk;
</script>

<template>
  <p v-if="drawing" class="hint bench-tray">{{ texts.ornaments.lineHint }}</p>
  <p v-else-if="measuring" class="hint bench-tray">{{ texts.exact.measureHint }}</p>
  <p v-else-if="committedPiece?.elements.length === 0 && panel !== 'start'" class="hint bench-tray">
    {{ texts.artwork.empty }}
    <LinkButton @click="panel = 'start'">{{ texts.start.title }}</LinkButton>
  </p>
</template>

<style scoped>
.hint {
  position: absolute;
  bottom: 96px;
  left: 50%;
  margin: 0;
  padding: 8px 20px;
  transform: translateX(-50%);
}
</style>
