<script setup lang="ts">
import { computed, ref } from 'vue';
import { canBeOpen } from '../../../../core/job/index.ts';
import { elementTitle } from '../../../../core/piece/index.ts';
import { titleText } from '../../../../messages/index.ts';
import PieceThumbnail from '../../../session/PieceThumbnail.vue';
import { texts } from '../../../texts/index.ts';
import CheckRow from '../../../ui/CheckRow.vue';
import OverlayPanel from '../../../ui/OverlayPanel.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import { useOwnDesigns } from '../../../session/own-designs.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** Keeps the piece on the desk as a starting design, or gives it away as one. */
const props = defineProps<{ desk: DeskState }>();
const emit = defineEmits<{ close: [] }>();
const designs = useOwnDesigns();
const say = texts.start;
const piece = computed(() => props.desk.committedPiece.value);
const name = ref(piece.value?.name ?? '');
const choices = computed(() => (piece.value?.elements ?? []).filter(canBeOpen));
/** The elements that stay as they are. */
const fixed = ref<readonly string[]>([]);

function turn(id: string): void {
  fixed.value = fixed.value.includes(id)
    ? fixed.value.filter((one) => one !== id)
    : [...fixed.value, id];
}

async function done(how: 'keep' | 'give'): Promise<void> {
  const job = props.desk.store.committed;
  if (!job || !piece.value) return;
  const open = choices.value.map(({ id }) => id).filter((id) => !fixed.value.includes(id));
  if (await designs[how](job, piece.value, name.value, open)) emit('close');
}
</script>

<template>
  <OverlayPanel :title="say.keepTitle" @close="emit('close')">
    <div v-if="piece && desk.store.committed" class="two">
      <PieceThumbnail :job="desk.store.committed" :piece="piece.id" />
      <div>
        <label>
          <span class="quiet">{{ say.keepName }}</span>
          <input v-model="name" class="well" maxlength="120" />
        </label>
        <p class="quiet">{{ choices.length ? say.openHint : say.nothingOpen }}</p>
        <div class="open">
          <CheckRow
            v-for="one in choices"
            :key="one.id"
            :label="titleText(elementTitle(one, (id) => desk.store.committed?.art[id]))"
            :model-value="!fixed.includes(one.id)"
            @update:model-value="turn(one.id)"
          />
        </div>
      </div>
    </div>
    <template #foot>
      <LinkButton @click="done('give')">{{ say.giveDesign }}</LinkButton>
      <v-btn color="primary" height="38" @click="done('keep')">{{ say.keepDesign }}</v-btn>
    </template>
  </OverlayPanel>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 190px 1fr;
  gap: 22px;
  align-items: start;
}
.two > svg {
  width: 190px;
  max-height: 220px;
}
label {
  display: grid;
  gap: 4px;
}
p {
  margin: 12px 0 4px;
}
.open {
  max-height: 220px;
  overflow-y: auto;
}
</style>
