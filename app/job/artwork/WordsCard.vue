<script setup lang="ts">
import { mdiFormatBold, mdiFormatItalic } from '@mdi/js';
import { computed, nextTick, ref, watch } from 'vue';
import type { Words } from '../../../core/piece/index.ts';
import {
  faceOf,
  findFace,
  movedNudges,
  type FaceStyle,
  type LetterCase,
} from '../../../core/type/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import IconButton from '../../ui/IconButton.vue';
import NumberRow from '../../ui/NumberRow.vue';
import SelectRow from '../../ui/SelectRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { texts } from '../../texts/index.ts';
import WordsPathRows from './words/WordsPathRows.vue';

/** What words say and how they are set; of several texts the first is shown and all are changed. */
const props = defineProps<{ desk: DeskState; element: Words }>();
const words = computed(() => props.element);
const { listOpen, panel } = props.desk;
const field = ref<HTMLTextAreaElement | null>(null);
const columns = computed(() => props.desk.store.committed?.list?.columns ?? []);
const several = computed(() => props.desk.elements.value.length > 1);
const set = computed(
  () =>
    props.desk.compiled.value?.elements.find(({ element }) => element.id === words.value.id)
      ?.compiled.words,
);
const came = computed(() => set.value?.size ?? words.value.size);
const wraps = computed(() => words.value.fit === 'wrap' || words.value.fit === 'wrap-shrink');
const lines = computed(() => wraps.value || words.value.text.includes('\n'));
const face = computed(() => findFace(words.value.typeface, props.desk.store.typefaces));
const style = computed<FaceStyle>(() => face.value?.style ?? 'regular');
const cuts = computed(() => face.value?.family.faces ?? {});
const bold = computed(() => style.value.startsWith('bold'));
const italic = computed(() => style.value.endsWith('italic'));

function cut(isBold: boolean, isItalic: boolean): void {
  const wanted: FaceStyle = isBold
    ? isItalic
      ? 'bold-italic'
      : 'bold'
    : isItalic
      ? 'italic'
      : 'regular';
  if (face.value) props.desk.change({ typeface: faceOf(face.value.family, wanted) });
}

function type(event: Event): void {
  const text = (event.target as HTMLTextAreaElement).value;
  const { nudges, text: before } = words.value;
  const moved = nudges ? { nudges: [...movedNudges(nudges, before, text)] } : {};
  props.desk.change({ text, ...moved }, 'type');
}

/** Puts a placeholder where the caret is, or at the end. */
function insert(placeholder: string): void {
  const { text } = words.value;
  const at = field.value?.selectionEnd ?? text.length;
  props.desk.change({ text: `${text.slice(0, at)}${placeholder}${text.slice(at)}` });
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
  <CardPanel
    :title="several ? texts.words.several(desk.elements.value.length) : texts.artwork.words"
    peeled
  >
    <p v-if="several" class="quiet">{{ texts.words.severalHint }}</p>
    <textarea
      v-else
      ref="field"
      class="well text"
      :value="words.text"
      rows="2"
      spellcheck="true"
      :aria-label="texts.artwork.theWords"
      maxlength="5000"
      @input="type"
      @keydown.esc="field?.blur()"
    />
    <p v-if="!several" class="fill">
      <button
        v-for="(name, filled) in texts.words.placeholders"
        :key="filled"
        class="link"
        type="button"
        :title="filled"
        @click="insert(filled)"
      >
        {{ name }}
      </button>
      <button
        v-for="column in columns"
        :key="column"
        class="link"
        type="button"
        :title="`{${column}}`"
        @click="insert(`{${column}}`)"
      >
        {{ column }}
      </button>
      <button class="link" type="button" @click="listOpen = true">
        {{ texts.list.open }}
      </button>
    </p>
    <div class="typeface">
      <button
        class="well face"
        type="button"
        :aria-label="texts.words.chooseFace"
        @click="panel = 'faces'"
      >
        {{ face?.family.name ?? words.typeface }}
      </button>
      <span class="cuts">
        <IconButton
          :icon="mdiFormatBold"
          :name="cuts.bold || bold ? texts.words.bold : texts.words.noCut"
          :pressed="bold"
          :disabled="!cuts.bold"
          @click="cut(!bold, italic)"
        />
        <IconButton
          :icon="mdiFormatItalic"
          :name="cuts.italic || italic ? texts.words.italic : texts.words.noCut"
          :pressed="italic"
          :disabled="!cuts.italic"
          @click="cut(bold, !italic)"
        />
      </span>
    </div>
    <NumberRow
      :label="texts.artwork.size"
      :name="texts.artwork.sizeLong"
      :model-value="words.size"
      suffix="pt"
      :digits="1"
      :min="0.5"
      :max="1000"
      :step="0.5"
      @update:model-value="desk.change({ size: $event }, 'size')"
    />
    <p v-if="Math.abs(came - words.size) > 0.05" class="came">
      {{ texts.artwork.came(came.toFixed(1)) }}
    </p>
    <NumberRow
      :label="texts.artwork.spacing"
      :name="texts.artwork.letterSpacing"
      :model-value="words.tracking"
      suffix="%"
      :min="-50"
      :max="200"
      @update:model-value="desk.change({ tracking: $event }, 'tracking')"
    />
    <NumberRow
      v-if="lines"
      :label="texts.artwork.lineSpacing"
      :model-value="words.leading"
      suffix="em"
      :digits="2"
      :min="0.5"
      :max="5"
      :step="0.05"
      @update:model-value="desk.change({ leading: $event }, 'leading')"
    />
    <ChoicesRow
      :label="texts.words.case"
      :name="texts.words.caseLong"
      :model-value="words.case ?? 'typed'"
      :choices="texts.words.cases"
      @update:model-value="desk.change({ case: $event as LetterCase })"
    />
    <SelectRow
      :label="texts.words.tooLong"
      :name="texts.artwork.tooLongHint"
      :model-value="words.fit"
      :choices="texts.words.fits"
      @update:model-value="fit"
    />
    <NumberRow
      v-if="words.fit === 'shrink' || words.fit === 'wrap-shrink'"
      :label="texts.artwork.downTo"
      :name="texts.artwork.least"
      :model-value="words.least"
      suffix="pt"
      :digits="1"
      :min="1"
      :max="1000"
      :step="0.5"
      @update:model-value="desk.change({ least: $event }, 'least')"
    />
    <CheckRow
      v-if="wraps"
      :label="texts.words.balanced"
      :model-value="words.balanced ?? false"
      @update:model-value="desk.change({ balanced: $event })"
    />
    <CheckRow
      v-if="words.path.kind === 'straight'"
      :label="texts.words.list"
      :model-value="words.list !== undefined"
      @update:model-value="setList"
    />
    <template v-if="words.list">
      <FactRow as="label" :label="texts.words.heading">
        <input
          class="well heading"
          :value="words.list.heading"
          :placeholder="texts.words.noHeading"
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
      <SelectRow
        :label="texts.words.between"
        :model-value="words.list.between"
        :choices="texts.words.betweens"
        @update:model-value="desk.change({ list: { ...words.list, between: $event } })"
      />
    </template>
    <template v-if="words.path.kind !== 'circle'">
      <ChoicesRow
        :label="texts.artwork.align"
        :name="texts.artwork.alignment"
        :model-value="words.align"
        :choices="texts.artwork.aligns"
        @update:model-value="desk.change({ align: $event })"
      />
      <ChoicesRow
        v-if="lines"
        :label="texts.words.settle"
        :model-value="words.settle ?? 'middle'"
        :choices="texts.words.settles"
        @update:model-value="desk.change({ settle: $event })"
      />
    </template>
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
.typeface {
  display: flex;
  align-items: center;
  gap: 6px;
  margin-bottom: 4px;
}
.face {
  flex: 1;
  min-width: 0;
  min-height: 32px;
  overflow: hidden;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.cuts {
  display: flex;
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
