<script setup lang="ts">
import { computed } from 'vue';
import { lookOfThing, type CommandCall } from '../../../../core/job/index.ts';
import {
  COLOR_ROLES,
  FACE_ROLES,
  type ColorRole,
  type FaceRole,
} from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import FactRow from '../../../ui/FactRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { faceChoices } from './face-choices.ts';
import ShareButton from './ShareButton.vue';

/** What all labels of a set share, and what this one has for itself. */
const props = defineProps<{ desk: DeskState }>();
const { store } = props.desk;
const say = texts.set;
const thing = computed(() => store.things.find(({ id }) => id === store.thing));
const look = computed(() => store.whole && lookOfThing(store.whole, store.thing));
const own = computed(() => thing.value?.own);
const colors = computed(() => COLOR_ROLES.filter((role) => look.value?.colors[role]));
const faces = computed(() => FACE_ROLES.filter((role) => look.value?.faces[role]));
const isOwn = (role: ColorRole | FaceRole): boolean =>
  role in { ...own.value?.colors, ...own.value?.faces };

/** Shared by all, unless this label has its own. */
function callFor(role: ColorRole | FaceRole, value: string): CommandCall {
  const part = COLOR_ROLES.some((one) => one === role) ? 'colors' : 'faces';
  const changes = { [part]: { [role]: value } };
  return isOwn(role)
    ? { name: 'own-look', args: { thing: store.thing, own: changes } }
    : { name: 'change-look', args: { changes } };
}

function toggle(role: ColorRole | FaceRole): void {
  if (isOwn(role)) {
    store.act({ name: 'share-look', args: { thing: store.thing, role } });
    return;
  }
  const value = { ...look.value?.colors, ...look.value?.faces }[role];
  if (value === undefined) return;
  const part = COLOR_ROLES.some((one) => one === role) ? 'colors' : 'faces';
  const mine = { [part]: { [role]: value } };
  store.act({ name: 'own-look', args: { thing: store.thing, own: mine } });
}

const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <CardPanel :title="say.look">
    <p class="quiet">{{ say.lookHint }}</p>
    <div v-for="role in colors" :key="role" class="row" :class="{ own: isOwn(role) }">
      <FactRow as="label" :label="say.colors[role]">
        <input
          type="color"
          :value="look?.colors[role]"
          :aria-label="say.colors[role]"
          @input="store.preview(callFor(role, valueOf($event)))"
          @change="store.act(callFor(role, valueOf($event)))"
        />
      </FactRow>
      <ShareButton :own="isOwn(role)" :thing="thing?.name ?? ''" @toggle="toggle(role)" />
    </div>
    <div v-for="role in faces" :key="role" class="row" :class="{ own: isOwn(role) }">
      <FactRow as="label" :label="say.faces[role]">
        <select
          class="well"
          :aria-label="say.faces[role]"
          :value="look?.faces[role]"
          @change="store.act(callFor(role, valueOf($event)))"
        >
          <option
            v-for="one in faceChoices(role, look?.faces[role], store.typefaces)"
            :key="one.id"
            :value="one.id"
          >
            {{ one.name }}
          </option>
        </select>
      </FactRow>
      <ShareButton :own="isOwn(role)" :thing="thing?.name ?? ''" @toggle="toggle(role)" />
    </div>
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
input {
  width: 44px;
  height: 28px;
  border: 1px solid var(--field-line);
  border-radius: var(--r-field);
  padding: 2px;
  background: var(--well);
  cursor: pointer;
}
/* A name is never broken for the sake of a long typeface. */
.row :deep(.row) {
  flex-wrap: nowrap;
}
.row :deep(.row > span) {
  white-space: nowrap;
}
select {
  flex: none;
  width: 116px;
}
</style>
