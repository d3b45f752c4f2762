<script setup lang="ts">
import { mdiArrowDown } from '@mdi/js';
import { computed } from 'vue';
import type { Art } from '../../../../core/art/index.ts';
import {
  elementTitle,
  type Combined,
  type Fill,
  type Meeting,
} from '../../../../core/piece/index.ts';
import { titleText } from '../../../../messages/index.ts';
import { texts } from '../../../texts/index.ts';
import IconButton from '../../../ui/IconButton.vue';
import CardPanel from '../../../ui/CardPanel.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import FillPicker from '../fill/FillPicker.vue';
import StrokeRows from '../StrokeRows.vue';

/** A shape put together from others: its parts, what fills it, and its line. */
const props = defineProps<{ desk: DeskState; element: Combined }>();
const combined = computed(() => props.element);
const say = texts.combined;
/** The uppermost first, as in the stack. */
const parts = computed(() =>
  combined.value.parts
    .map((part, at) => ({
      ...part,
      at,
      title: titleText(elementTitle(part.element, (id) => props.desk.store.job?.art[id])),
    }))
    .reverse(),
);

function changePart(at: number, change: Partial<Combined['parts'][number]>, key?: string): void {
  const changed = combined.value.parts.map((part, index) =>
    index === at ? { ...part, ...change } : part,
  );
  props.desk.change({ parts: changed }, key);
}

/** Changes places with the part beneath; the lowest is what the others are added to or cut from. */
function lower(at: number): void {
  const hows = combined.value.parts.map(({ how }) => how);
  const elements = combined.value.parts.map(({ element }) => element);
  elements.splice(at - 1, 0, ...elements.splice(at, 1));
  props.desk.change({ parts: elements.map((element, index) => ({ how: hows[index], element })) });
}

function type(at: number, text: string): void {
  const part = combined.value.parts[at]?.element;
  if (part?.kind !== 'words') return;
  const { nudges, ...rest } = part;
  void nudges;
  changePart(at, { element: { ...rest, text } }, `part-text-${at}`);
}

function takeApart(): void {
  const piece = props.desk.piece.value?.id;
  if (piece !== undefined)
    props.desk.addBy({ name: 'take-apart', args: { piece, element: combined.value.id } });
}

function fill(value: Fill | null, key?: string, art?: Art): void {
  props.desk.change({ fill: value }, key, art);
}
</script>

<template>
  <CardPanel :title="say.title" peeled>
    <ul>
      <li v-for="part in parts" :key="part.at">
        <input
          v-if="part.element.kind === 'words'"
          class="well"
          :value="part.element.text"
          :aria-label="say.text"
          maxlength="5000"
          spellcheck="true"
          @input="type(part.at, ($event.target as HTMLInputElement).value)"
        />
        <span v-else>{{ part.title }}</span>
        <select
          v-if="part.at > 0"
          class="well"
          :value="part.how"
          :aria-label="say.how(part.title)"
          @change="
            changePart(part.at, { how: ($event.target as HTMLSelectElement).value as Meeting })
          "
        >
          <option v-for="(name, how) in say.hows" :key="how" :value="how">{{ name }}</option>
        </select>
        <span v-else class="quiet">{{ say.first }}</span>
        <IconButton
          v-if="part.at > 0"
          :icon="mdiArrowDown"
          :name="say.lower(part.title)"
          @click="lower(part.at)"
        />
      </li>
    </ul>
    <FillPicker
      :label="texts.artwork.fill"
      :none="texts.artwork.noFill"
      :desk="desk"
      :model-value="combined.fill"
      :tried="(value) => desk.tried(() => ({ fill: value }))"
      @update:model-value="fill"
    />
    <StrokeRows
      :line="combined.line"
      :colors="desk.colors.value"
      @change="(line, key) => desk.change({ line }, key)"
    />
    <p>
      <LinkButton @click="takeApart">{{ say.takeApart }}</LinkButton>
    </p>
  </CardPanel>
</template>

<style scoped>
ul {
  margin: 0 0 8px;
  padding: 0;
  list-style: none;
}
li {
  display: grid;
  grid-template-columns: 1fr 108px 32px;
  gap: 6px;
  align-items: center;
  margin-bottom: 4px;
}
li > * {
  min-width: 0;
}
p {
  margin: 8px 0 0;
}
</style>
