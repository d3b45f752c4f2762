<script setup lang="ts">
import { onMounted, ref } from 'vue';
import type { Art } from '../../core/art/index.ts';
import { texts } from '../texts/index.ts';
import ChoiceRow from '../ui/ChoiceRow.vue';
import { useMessages } from '../ui/messages-store.ts';
import OverlayPanel from '../ui/OverlayPanel.vue';
import LinkButton from '../ui/LinkButton.vue';
import { PICTURE_FILES } from '../ui/picture-files.ts';
import { chooseFiles } from '../storage/index.ts';
import ArtGrid from './ArtGrid.vue';
import { useDrawer } from './drawer-store.ts';
import type { ReadyMade } from './ready-made.ts';
import FindArt from './FindArt.vue';
import ReadyGrid from './ReadyGrid.vue';
import { useTray } from './tray-store.ts';

/** Chooses a picture from the drawer, from those that ship, or from a file. */
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

const tray = useTray();

/** The first picture of files is chosen; the tray keeps them all in the drawer. */
async function take(files: Iterable<File>): Promise<void> {
  await tray.take(files, {
    piece: ([first]) => {
      if (first) emit('choose', first.art);
    },
  });
}

function drop(event: DragEvent): void {
  const files = event.dataTransfer?.files;
  if (!files?.length) return;
  event.preventDefault();
  event.stopPropagation();
  void take(files).catch(messages.sayError);
}

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
      <LinkButton @click="chooseFiles(PICTURE_FILES).then(take).catch(messages.sayError)">
        {{ words.fromComputer }}
      </LinkButton>
      <ChoiceRow v-model="part" :label="words.partsLabel" :choices="words.parts" />
    </template>
    <FindArt v-model="typed" class="typed" :part="part" />
    <div class="room" @dragover.prevent @drop="drop">
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
