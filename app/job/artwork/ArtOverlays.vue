<script setup lang="ts">
import type { Art } from '../../../core/art/index.ts';
import DrawerPicker from '../../art/DrawerPicker.vue';
import TakeTray from '../../art/TakeTray.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import JobArtBench from './JobArtBench.vue';
import type { ArtPreparation } from './prepare-art.ts';

/** Where pictures come from and are prepared: the tray, the drawer and the art bench, over the desk. */
const props = defineProps<{ desk: DeskState; prepare: ArtPreparation }>();

const { picking } = props.desk;

function stopPicking(): void {
  picking.value = undefined;
}

function choose(art: Art): void {
  const take = picking.value;
  stopPicking();
  take?.(art);
}
</script>

<template>
  <DrawerPicker v-if="picking" @close="stopPicking" @choose="choose" />
  <TakeTray />
  <JobArtBench :prepare="prepare" />
</template>
