<script setup lang="ts">
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import LinkButton from '../../../ui/LinkButton.vue';
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
  if (mark && piece) props.desk.addNew(newPicture(piece, mark), { art: mark });
}
</script>

<template>
  <CardPanel :title="words.house">
    <LinkButton v-if="house.style.smallPrint" @click="addSmallPrint">
      {{ words.addSmall }}
    </LinkButton>
    <LinkButton v-if="house.style.mark" @click="addMark">
      {{ words.addMark }}
    </LinkButton>
    <LinkButton @click="$emit('open')">{{ words.changeHouse }}</LinkButton>
  </CardPanel>
</template>

<style scoped>
.link {
  display: block;
}
</style>
