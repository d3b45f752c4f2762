<script setup lang="ts">
import { computed } from 'vue';
import type { Words } from '../../../../core/piece/index.ts';
import {
  formIn,
  formsOf,
  withForm,
  type Form,
  type TextRange,
} from '../../../../core/type/index.ts';
import { pageSources, resourceVersion } from '../../../session/page-resources.ts';
import { texts } from '../../../texts/index.ts';
import LinkButton from '../../../ui/LinkButton.vue';
import SidePanel from '../../../ui/SidePanel.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import SampleButton from './SampleButton.vue';

/** What the marked letters, or all of them, could be instead in their typeface, as pictures. */
const props = defineProps<{ desk: DeskState; words: Words }>();
const emit = defineEmits<{ close: [] }>();
const say = texts.typefaces;
const MOST = 200; // letters that forms are looked for in
const SAMPLE = 18; // letters

const range = computed<TextRange>(() => {
  const { start, end } = props.desk.marked.value;
  const isTyped = props.desk.typing.value === props.words.id;
  return isTyped && start < end ? { start, end } : { start: 0, end: props.words.text.length };
});
const letters = computed(() => props.words.text.slice(range.value.start, range.value.end));
const typeface = computed(() => {
  void resourceVersion.value;
  return pageSources.typeface(props.words.typeface);
});

/** Each form with the first word of the letters that it changes. */
const forms = computed(() => {
  const { value: face } = typeface;
  if (!face) return [];
  const names = face.features();
  const parts = [...new Set([...letters.value.split(/\s+/), letters.value])].filter(Boolean);
  return formsOf(face.shape, [...names.keys()], letters.value.slice(0, MOST)).map((form) => {
    const changes = (part: string): boolean =>
      formsOf(face.shape, [form.tag], part).some(({ value }) => value === form.value);
    return {
      form,
      name: say.formName(form, names.get(form.tag)),
      text: (parts.find(changes) ?? letters.value).slice(0, SAMPLE),
    };
  });
});

const isOn = ({ tag, value }: Form): boolean =>
  formIn(props.words.features, range.value, tag) === value;

function choose(form: Form): void {
  const value = isOn(form) ? undefined : form.value;
  const features = withForm(props.words.features, range.value, { tag: form.tag, value });
  props.desk.change({ features: features.length ? features : undefined });
}
</script>

<template>
  <SidePanel :title="say.forms" @close="emit('close')">
    <template #head>
      <p class="quiet">{{ say.formsOf(letters.replace(/\s+/g, ' ').slice(0, 40)) }}</p>
      <p v-if="range.end - range.start === words.text.length" class="quiet">{{ say.formsHint }}</p>
    </template>
    <p v-if="forms.length === 0" class="quiet">{{ say.noForms }}</p>
    <SampleButton
      v-for="{ form, name, text } in forms"
      :key="`${form.tag}${form.value}`"
      :face="words.typeface"
      :text="text"
      :form="form"
      :name="name"
      :pressed="isOn(form)"
      @click="choose(form)"
    />
    <template v-if="words.features?.length" #foot>
      <LinkButton @click="desk.change({ features: undefined })">{{ say.usualForms }}</LinkButton>
    </template>
  </SidePanel>
</template>

<style scoped>
p {
  margin: 0 0 4px;
}
</style>
