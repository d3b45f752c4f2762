<script setup lang="ts">
import { computed } from 'vue';
import {
  lookOfThing,
  type CommandCall,
  type LookChanges,
  type OwnLook,
} from '../../../../core/job/index.ts';
import {
  COLOR_ROLES,
  FACE_ROLES,
  type ColorRole,
  type FaceRole,
} from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import ColorRow from '../../../ui/ColorRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { faceChoices } from './face-choices.ts';
import ShareButton from './ShareButton.vue';

/** What all labels of a set share, and what this one has for itself. */
const props = defineProps<{ desk: DeskState }>();
const { store } = props.desk;
const say = texts.set;
const thing = computed(() => store.shownThing);
const look = computed(() => store.whole && lookOfThing(store.whole, store.thing));
const own = computed(() => thing.value?.own);
const colors = computed(() => COLOR_ROLES.filter((role) => look.value?.colors[role]));
const faces = computed(() => FACE_ROLES.filter((role) => look.value?.faces[role]));
const isOwn = (role: ColorRole | FaceRole): boolean =>
  role in { ...own.value?.colors, ...own.value?.faces };

/** How much of the look this one has for itself. */
const owned = computed(() => Object.keys({ ...own.value?.colors, ...own.value?.faces }).length);
const shareAll = (): boolean =>
  store.act({ name: 'share-look', args: { thing: store.thing, role: undefined } });

const facesFor = (role: FaceRole): Readonly<Record<string, string>> =>
  Object.fromEntries(
    faceChoices(role, look.value?.faces[role], store.typefaces).map(({ id, name }) => [id, name]),
  );
const changesOf = (role: ColorRole | FaceRole, value: string): LookChanges => ({
  [COLOR_ROLES.some((one) => one === role) ? 'colors' : 'faces']: { [role]: value },
});
const ownCall = (role: ColorRole | FaceRole, value: string): CommandCall => ({
  name: 'own-look',
  args: { thing: store.thing, own: changesOf(role, value) as OwnLook },
});

/** Shared by all, unless this label has its own. */
const callFor = (role: ColorRole | FaceRole, value: string): CommandCall =>
  isOwn(role)
    ? ownCall(role, value)
    : { name: 'change-look', args: { changes: changesOf(role, value) } };

function toggle(role: ColorRole | FaceRole): void {
  const value = { ...look.value?.colors, ...look.value?.faces }[role];
  if (isOwn(role)) store.act({ name: 'share-look', args: { thing: store.thing, role } });
  else if (value !== undefined) store.act(ownCall(role, value));
}
</script>

<template>
  <CardPanel :title="say.look">
    <p class="quiet">{{ say.lookHint }}</p>
    <div v-for="role in colors" :key="role" class="row" :class="{ own: isOwn(role) }">
      <ColorRow
        :label="say.colors[role]"
        :model-value="look?.colors[role] ?? ''"
        @preview="store.preview(callFor(role, $event))"
        @update:model-value="store.act(callFor(role, $event))"
      />
      <ShareButton :own="isOwn(role)" :thing="thing?.name ?? ''" @toggle="toggle(role)" />
    </div>
    <div v-for="role in faces" :key="role" class="row" :class="{ own: isOwn(role) }">
      <SelectRow
        :label="say.faces[role]"
        :model-value="look?.faces[role] ?? ''"
        :choices="facesFor(role)"
        @update:model-value="store.act(callFor(role, $event))"
      />
      <ShareButton :own="isOwn(role)" :thing="thing?.name ?? ''" @toggle="toggle(role)" />
    </div>
    <LinkButton v-if="owned > 1" @click="shareAll">{{ say.shareAll }}</LinkButton>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
.row {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px;
  align-items: center;
  border-left: 3px solid transparent;
  margin-left: -9px;
  padding-left: 6px;
}
.own {
  border-left-color: var(--apricot);
}
/* A name is never broken for the sake of a long typeface. */
.row :deep(.row) {
  flex-wrap: nowrap;
}
.row :deep(.row > span) {
  white-space: nowrap;
}
.row :deep(select) {
  flex: none;
  width: 116px;
}
</style>
