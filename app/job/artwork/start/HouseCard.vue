<script setup lang="ts">
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { newPicture, newSmallPrint } from '../../artwork-state/new-elements.ts';
import { useHouseStyle } from '../../../session/house-style-store.ts';

/** What the workshop’s style offers this piece. */
const props = defineProps<{ desk: DeskState }>();
defineEmits<{ open: [] }>();
const words = texts.start;
const house = useHouseStyle();
void house.load();

function addSmallPrint(): void {
  props.desk.addTo((piece) =>
    newSmallPrint(piece, house.style.smallPrint, house.style.faces?.text),
  );
}

function addMark(): void {
  const { mark } = house.style;
  const piece = props.desk.piece.value;
  if (mark && piece) props.desk.add(newPicture(piece, mark), { art: mark });
}
</script>

<template>
  <CardPanel :title="words.house">
    <button v-if="house.style.smallPrint" class="link" type="button" @click="addSmallPrint">
      {{ words.addSmall }}
    </button>
    <button v-if="house.style.mark" class="link" type="button" @click="addMark">
      {{ words.addMark }}
    </button>
    <button class="link" type="button" @click="$emit('open')">{{ words.changeHouse }}</button>
  </CardPanel>
</template>

<style scoped>
.link {
  display: block;
}
</style>
