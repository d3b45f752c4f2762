<script setup lang="ts">
import { onMounted, ref } from 'vue';
import type { Art } from '../../core/art/index.ts';
import { texts } from '../texts/index.ts';
import ChoiceRow from '../ui/ChoiceRow.vue';
import { useMessages } from '../ui/messages-store.ts';
import OverlayPanel from '../ui/OverlayPanel.vue';
import ArtGrid from './ArtGrid.vue';
import { useDrawer } from './drawer-store.ts';
import type { ReadyMade } from './ready-made.ts';
import FindArt from './FindArt.vue';
import ReadyGrid from './ReadyGrid.vue';

/** Chooses a picture from the drawer, or from those that ship. */
const emit = defineEmits<{ close: []; choose: [art: Art] }>();
const drawer = useDrawer();
const messages = useMessages();
const words = texts.art;
const part = ref<keyof typeof words.parts>('own');
const typed = ref('');
/** While a picture is dragged out, the panel gets out of the way. */
const dragging = ref(false);

onMounted(async () => {
  await drawer.refresh().catch(messages.sayError);
  if (drawer.all.length === 0) part.value = 'ready';
});

async function ready(picture: ReadyMade): Promise<void> {
  const read = await drawer.takeReadyMade(picture);
  if (read) emit('choose', read.art);
}
</script>

<template>
  <OverlayPanel
    :title="words.choose"
    :away="dragging"
    @close="emit('close')"
    @dragend="emit('close')"
  >
    <template #head>
      <ChoiceRow v-model="part" :label="words.partsLabel" :choices="words.parts" />
    </template>
    <FindArt v-model="typed" class="typed" :part="part" />
    <div class="room">
      <ArtGrid
        v-if="part === 'own'"
        :found="drawer.found"
        :label="words.drawer"
        @drag="dragging = true"
        @choose="emit('choose', $event.art)"
      />
      <ReadyGrid v-else :typed="typed" @choose="ready" />
    </div>
  </OverlayPanel>
</template>

<style scoped>
.typed {
  width: 100%;
  margin-bottom: 12px;
}
.room {
  min-height: 380px;
}
</style>
