<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { elementSchema, type Words } from '../../../core/piece/index.ts';
import { textChanges } from '../../../core/type/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import FactRow from '../../ui/FactRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../ui/fields.ts';
import SelectRow from '../../ui/SelectRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { texts } from '../../texts/index.ts';
import TypefaceRows from './words/TypefaceRows.vue';
import WordsPathRows from './words/WordsPathRows.vue';

/** What words say and how they are set; of several texts the first is shown and all are changed. */
const props = defineProps<{ desk: DeskState; element: Words }>();
const words = computed(() => props.element);
const { listOpen, typing } = props.desk;
const field = ref<HTMLTextAreaElement | null>(null);
const columns = computed(() => props.desk.store.committed?.list?.columns ?? []);
const several = computed(() => props.desk.elements.value.length > 1);
const set = computed(
  () =>
    props.desk.compiled.value?.elements.find(({ element }) => element.id === words.value.id)
      ?.compiled.words,
);
const came = computed(() => set.value?.size ?? words.value.size);

const { artwork, words: say } = texts;
const wraps = ({ fit }: Words): boolean => fit === 'wrap' || fit === 'wrap-shrink';
const shrinks = ({ fit }: Words): boolean => fit === 'shrink' || fit === 'wrap-shrink';
const hasLines = (of: Words): boolean => wraps(of) || of.text.includes('\n');
const isCircle = ({ path }: Words): boolean => path.kind === 'circle';
const { number, choices, check } = fieldsOf(schemaOf(elementSchema, 'words'));
const POINTS = { suffix: 'pt', digits: 1, step: 0.5 };
const SIZE = [number('size', artwork.size, { name: artwork.sizeLong, ...POINTS })];
const SPACING = [
  number('tracking', artwork.spacing, { name: artwork.letterSpacing, suffix: '%' }),
  number('leading', artwork.lineSpacing, {
    ...{ suffix: 'em', digits: 2, step: 0.05 },
    when: hasLines,
  }),
  choices('case', say.case, say.cases, { name: say.caseLong, missing: 'typed' }),
];
const FITTING = [
  number('least', artwork.downTo, { name: artwork.least, ...POINTS, min: 1, when: shrinks }),
  check('balanced', say.balanced, { when: wraps }),
];
const STANDING = [
  choices('align', artwork.align, artwork.aligns, {
    name: artwork.alignment,
    when: (of) => !isCircle(of),
  }),
  choices('settle', say.settle, say.settles, {
    missing: 'middle',
    when: (of) => !isCircle(of) && hasLines(of),
  }),
];
/** Words are typed in one place at a time. */
function typeHere(): void {
  props.desk.store.commit();
  typing.value = undefined;
}

function type(event: Event): void {
  const text = (event.target as HTMLTextAreaElement).value;
  props.desk.change(textChanges(words.value, text), 'type');
}

/** Puts a placeholder where the caret is, or at the end. */
function insert(placeholder: string): void {
  const { text } = words.value;
  const at = field.value?.selectionEnd ?? text.length;
  const longer = `${text.slice(0, at)}${placeholder}${text.slice(at)}`;
  props.desk.change(textChanges(words.value, longer));
}

/** Words wrap in a room; a room of one line is made higher for them. */
function fit(value: Words['fit']): void {
  const { leading, size } = words.value;
  const three = Math.round(size * leading * 3 * 3.528) / 10;
  const higher = value.startsWith('wrap') && words.value.height < three * 0.6;
  props.desk.change({ fit: value, ...(higher ? { height: three, balanced: true } : {}) });
}

/** Small print: each line is an item, and all of it is set as large as its room takes. */
function setList(on: boolean): void {
  const { size, least } = words.value;
  props.desk.change(
    on
      ? {
          list: { heading: '', between: ', ' },
          ...{ fit: 'wrap-shrink', align: 'left', balanced: false, commit: 'top' },
          size: Math.min(size, 9),
          least: Math.min(least, 6),
        }
      : { list: undefined },
  );
}

watch(props.desk.cardTyping, async () => {
  await nextTick();
  field.value?.focus();
  field.value?.select();
});
</script>

<template>
  <CardPanel :title="several ? say.several(desk.elements.value.length) : artwork.words" peeled>
    <p v-if="several" class="quiet">{{ say.severalHint }}</p>
    <textarea
      v-else
      ref="field"
      class="well text"
      :value="words.text"
      rows="2"
      spellcheck="true"
      :aria-label="artwork.theWords"
      maxlength="5000"
      @focus="typeHere"
      @input="type"
      @keydown.esc="field?.blur()"
    />
    <p v-if="!several" class="fill">
      <LinkButton
        v-for="(name, filled) in say.placeholders"
        :key="filled"
        :title="filled"
        @click="insert(filled)"
      >
        {{ name }}
      </LinkButton>
      <LinkButton
        v-for="column in columns"
        :key="column"
        :title="`{${column}}`"
        @click="insert(`{${column}}`)"
      >
        {{ column }}
      </LinkButton>
      <LinkButton @click="listOpen = true">
        {{ texts.list.open }}
      </LinkButton>
    </p>
    <TypefaceRows :desk="desk" :words="words" />
    <FieldRows :fields="SIZE" :of="words" @change="desk.change" />
    <p v-if="Math.abs(came - words.size) > 0.05" class="came">
      {{ artwork.came(came.toFixed(1)) }}
    </p>
    <FieldRows :fields="SPACING" :of="words" @change="desk.change" />
    <SelectRow
      :label="say.tooLong"
      :name="artwork.tooLongHint"
      :model-value="words.fit"
      :choices="say.fits"
      @update:model-value="fit"
    />
    <FieldRows :fields="FITTING" :of="words" @change="desk.change" />
    <CheckRow
      v-if="words.path.kind === 'straight'"
      :label="say.list"
      :model-value="words.list !== undefined"
      @update:model-value="setList"
    />
    <template v-if="words.list">
      <FactRow as="label" :label="say.heading">
        <input
          class="well heading"
          :value="words.list.heading"
          :placeholder="say.noHeading"
          maxlength="80"
          spellcheck="true"
          @input="
            desk.change(
              { list: { ...words.list, heading: ($event.target as HTMLInputElement).value } },
              'heading',
            )
          "
        />
      </FactRow>
      <CheckRow
        v-if="words.list.heading"
        :label="say.runsIn"
        :model-value="words.list.runsIn ?? false"
        @update:model-value="desk.change({ list: { ...words.list, runsIn: $event } })"
      />
      <SelectRow
        :label="say.between"
        :model-value="words.list.between"
        :choices="say.betweens"
        @update:model-value="desk.change({ list: { ...words.list, between: $event } })"
      />
    </template>
    <FieldRows :fields="STANDING" :of="words" @change="desk.change" />
    <WordsPathRows :desk="desk" :words="words" />
  </CardPanel>
</template>

<style scoped>
.text {
  box-sizing: border-box;
  width: 100%;
  margin-bottom: 6px;
  font-family: var(--display);
  font-size: 17px;
  resize: vertical;
}
.heading {
  width: 140px;
}
p {
  margin: 0 0 6px;
}
.fill {
  display: flex;
  flex-wrap: wrap;
  gap: 0 12px;
}
.fill .link {
  padding: 0 2px;
  font-size: 12.5px;
}
.came {
  margin: 2px 0 4px;
  color: var(--ink-2);
  font-size: 12.5px;
  text-align: right;
}
</style>
