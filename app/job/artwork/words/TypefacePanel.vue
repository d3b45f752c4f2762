<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import {
  CHARACTERS,
  faceOf,
  FAMILIES,
  TYPEFACES,
  type Character,
  type Family,
} from '../../../../core/type/index.ts';
import { texts } from '../../../texts/index.ts';
import { useMessages } from '../../../ui/messages-store.ts';
import SidePanel from '../../../ui/SidePanel.vue';
import { loadFaces } from '../../store/page-resources.ts';
import FaceSample from './FaceSample.vue';

/** Every family in itself, with the words that it is chosen for. */
const props = defineProps<{ modelValue: string; text: string }>();
const emit = defineEmits<{ 'update:modelValue': [face: string]; close: [] }>();
const words = texts.words;
const character = ref<Character | 'all'>('all');
const SAMPLE = 22; // characters

const style = computed(
  () => TYPEFACES.find(({ id }) => id === props.modelValue)?.style ?? 'regular',
);
const families = computed(() =>
  FAMILIES.filter((one) => character.value === 'all' || one.character === character.value),
);
const text = computed(() => {
  const plain = props.text.replace(/\s+/g, ' ').trim();
  return plain ? plain.slice(0, SAMPLE) : words.yourWords;
});
const present = CHARACTERS.filter((one) => FAMILIES.some((family) => family.character === one));
const isChosen = (family: Family): boolean =>
  Object.values(family.faces).includes(props.modelValue);

onMounted(() => {
  void loadFaces(FAMILIES.map((family) => faceOf(family, style.value))).catch(
    useMessages().sayError,
  );
});
</script>

<template>
  <SidePanel :title="words.typefaces" @close="emit('close')">
    <template #head>
      <div class="characters" role="radiogroup" :aria-label="words.typefaces">
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
    <button
      v-for="family in families"
      :key="family.name"
      type="button"
      class="family"
      :aria-pressed="isChosen(family)"
      :aria-label="family.name"
      @click="emit('update:modelValue', faceOf(family, style))"
    >
      <FaceSample v-slot="{ missing }" :face="faceOf(family, style)" :text="text">
        <small class="lacks">{{ words.lacks(missing) }}</small>
      </FaceSample>
      <small>{{ family.name }}</small>
    </button>
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
.family {
  display: block;
  box-sizing: border-box;
  width: 100%;
  border: 1.5px solid transparent;
  border-radius: 12px;
  padding: 5px 8px;
  background: none;
  color: var(--ink);
  font: inherit;
  text-align: left;
  cursor: pointer;
}
.family:hover {
  background: var(--apricot-soft);
}
.family[aria-pressed='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
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
