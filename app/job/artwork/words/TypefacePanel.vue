<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { computed, ref, watch } from 'vue';
import {
  CHARACTERS,
  FAMILIES,
  findFace,
  hasManyCuts,
  nearestFace,
  ownFamilies,
  REGULAR,
  type Character,
  type Family,
  type OwnTypeface,
} from '../../../../core/type/index.ts';
import { texts } from '../../../texts/index.ts';
import { useMessages } from '../../../ui/messages-store.ts';
import { chooseFiles } from '../../../storage/index.ts';
import { showsInstalled } from '../../../session/installed-typefaces.ts';
import IconButton from '../../../ui/IconButton.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import SidePanel from '../../../ui/SidePanel.vue';
import { useJobStore } from '../../../session/job-store.ts';
import { isTypefaceFile, TYPEFACE_FILES, useOwnTypefaces } from '../../../session/own-typefaces.ts';
import { loadFaces } from '../../../session/page-resources.ts';
import InstalledPanel from './InstalledPanel.vue';
import SampleButton from './SampleButton.vue';

/** Every family in itself, with the words that it is chosen for. */
const props = defineProps<{ modelValue: string; text: string }>();
const emit = defineEmits<{ 'update:modelValue': [face: string]; close: [] }>();
const words = texts.typefaces;
const character = ref<Character | 'all'>('all');
const SAMPLE = 22; // characters

const store = useJobStore();
const cut = computed(() => findFace(props.modelValue, store.typefaces) ?? REGULAR);
const own = useOwnTypefaces();
const every = computed(() => [...ownFamilies(store.typefaces), ...FAMILIES]);
const families = computed(() =>
  every.value.filter((one) => character.value === 'all' || one.character === character.value),
);
const text = computed(() => {
  const plain = props.text.replace(/\s+/g, ' ').trim();
  return plain ? plain.slice(0, SAMPLE) : words.yourWords;
});
const present = computed(() =>
  CHARACTERS.filter((one) => every.value.some((family) => family.character === one)),
);
const chosen = computed(() => findFace(props.modelValue, store.typefaces)?.family);
const isChosen = ({ name, character }: Family): boolean =>
  chosen.value?.name === name && chosen.value.character === character;
const installedOpen = ref(false);
const labelOf = (family: Family): string =>
  [
    family.name,
    ...(family.character === 'own' ? [words.ownWord] : []),
    ...(hasManyCuts(family) ? [words.cuts(family.cuts.length)] : []),
  ].join(' · ');

watch(
  every,
  (list) =>
    void loadFaces(list.map((family) => nearestFace(family, cut.value))).catch(
      useMessages().sayError,
    ),
  { immediate: true },
);

/** What the workshop knows of a typeface of its own. */
const ofWorkshop = (family: Family): OwnTypeface | undefined =>
  own.list.find((one) => family.character === 'own' && one.family === family.name);

async function add(files: readonly File[]): Promise<void> {
  const [first] = files.length ? await own.add(files) : [];
  const family = every.value.find(
    ({ name, character: kind }) => kind === 'own' && name === first?.family,
  );
  if (family) emit('update:modelValue', nearestFace(family, cut.value));
}
</script>

<template>
  <SidePanel
    :title="words.title"
    takes-files
    @close="emit('close')"
    @files="(files) => add(files.filter(isTypefaceFile))"
  >
    <template #head>
      <div class="characters" role="radiogroup" :aria-label="words.title">
        <button
          v-for="one in ['all', ...present] as const"
          :key="one"
          type="button"
          role="radio"
          :aria-checked="one === character"
          @click="character = one"
        >
          {{ one === 'all' ? words.all : words.characters[one] }}
        </button>
      </div>
    </template>
    <div v-for="family in families" :key="family.name + family.character" class="row">
      <SampleButton
        v-slot="{ missing }"
        :face="nearestFace(family, cut)"
        :text="text"
        :name="family.name"
        :label="labelOf(family)"
        :pressed="isChosen(family)"
        @click="emit('update:modelValue', nearestFace(family, cut))"
      >
        <small class="lacks">{{ words.lacks(missing) }}</small>
      </SampleButton>
      <IconButton
        v-if="ofWorkshop(family)"
        :icon="mdiClose"
        :name="words.remove(family.name)"
        @click="own.remove(family.name)"
      />
      <small v-if="isChosen(family) && ofWorkshop(family)?.outlinesOnly" class="outlines">{{
        words.outlinesOnly
      }}</small>
      <SelectRow
        v-if="isChosen(family) && ofWorkshop(family)"
        class="licence"
        :label="texts.art.licence"
        :model-value="ofWorkshop(family)?.licence ?? 'unknown'"
        :choices="texts.art.licences"
        @update:model-value="own.note(family.name, $event === 'unknown' ? undefined : $event)"
      />
    </div>
    <template #foot>
      <button
        class="add"
        type="button"
        :disabled="own.adding"
        @click="chooseFiles(TYPEFACE_FILES, true).then(add)"
      >
        {{ own.adding ? words.adding : words.add }}
        <small>{{ words.addHint }}</small>
      </button>
      <LinkButton v-if="showsInstalled()" :disabled="own.adding" @click="installedOpen = true">
        {{ words.installed }}
      </LinkButton>
      <InstalledPanel v-if="installedOpen" @add="add" @close="installedOpen = false" />
    </template>
  </SidePanel>
</template>

<style scoped>
.characters {
  display: flex;
  flex-wrap: wrap;
  gap: 3px;
}
.characters button {
  min-height: 26px;
  border: 1px solid var(--line);
  border-radius: 999px;
  padding: 0 9px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 12.5px;
  cursor: pointer;
}
.characters button[aria-checked='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
  font-weight: 600;
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
}
.outlines {
  padding: 0 10px;
}
.licence {
  flex: 1 0 100%;
  padding-left: 10px;
}
.add {
  display: flex;
  flex-direction: column;
  box-sizing: border-box;
  width: 100%;
  border: 1.5px dashed var(--field-line);
  border-radius: 12px;
  padding: 8px 12px;
  background: var(--card);
  color: var(--plum);
  font: inherit;
  font-weight: 600;
  text-align: left;
  cursor: pointer;
}
.add:hover,
.over .add {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
.add small {
  font-weight: 400;
}
small {
  color: var(--ink-2);
  font-size: 12px;
}
.lacks {
  flex: none;
  max-width: 45%;
  color: var(--amber-text);
}
</style>
