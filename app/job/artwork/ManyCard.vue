<script setup lang="ts">
import {
  mdiContentDuplicate,
  mdiDeleteOutline,
  mdiEyeOffOutline,
  mdiGroup,
  mdiLockOutline,
  mdiUngroup,
} from '@mdi/js';
import { computed } from 'vue';
import { freeId } from '../../../core/base/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import IconButton from '../../ui/IconButton.vue';
import AlignElements from './AlignElements.vue';
import CombineRow from './combined/CombineRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** What can be done with several elements together. */
const props = defineProps<{ desk: DeskState }>();
defineEmits<{ duplicate: []; delete: [] }>();
const words = texts.exact;
const group = computed(() => {
  const groups = new Set(props.desk.elements.value.map((one) => one.group));
  return groups.size === 1 ? [...groups][0] : undefined;
});

function join(): void {
  const taken = props.desk.piece.value?.elements.flatMap((one) => one.group ?? []) ?? [];
  const made = freeId('group', taken);
  props.desk.changeEach(() => ({ group: made }), { doing: 'group' });
}

function part(): void {
  props.desk.changeEach(() => ({ group: undefined }), { doing: 'ungroup' });
}
</script>

<template>
  <CardPanel :title="words.several(desk.elements.value.length)" peeled>
    <p class="quiet">{{ words.many }} {{ words.alignHint }}</p>
    <AlignElements :desk="desk" />
    <CombineRow :desk="desk" />
    <div class="buttons">
      <IconButton
        :icon="group ? mdiUngroup : mdiGroup"
        :name="group ? words.ungroup : words.group"
        @click="group ? part() : join()"
      />
      <IconButton
        :icon="mdiLockOutline"
        :name="texts.artwork.lock"
        @click="desk.change({ locked: true })"
      />
      <IconButton
        :icon="mdiEyeOffOutline"
        :name="words.hide"
        @click="desk.change({ hidden: true })"
      />
      <IconButton
        :icon="mdiContentDuplicate"
        :name="texts.artwork.duplicate"
        @click="$emit('duplicate')"
      />
      <IconButton :icon="mdiDeleteOutline" :name="texts.artwork.delete" @click="$emit('delete')" />
    </div>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  margin: 2px -6px -6px;
}
</style>
