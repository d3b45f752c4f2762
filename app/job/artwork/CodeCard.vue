<script setup lang="ts">
import { computed } from 'vue';
import { SMALLEST_MODULE, tryEncode, type Symbology } from '../../../core/code/index.ts';
import { findCodeLayout, type Code } from '../../../core/piece/index.ts';
import { problemLine } from '../../../messages/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import ColorSlots from './fill/ColorSlots.vue';

/** What a code says and how it looks, with what scanners need. */
const props = defineProps<{ desk: DeskState; element: Code }>();
const code = computed(() => props.element);
const words = texts.ornaments;
/** What it says on the copy that is shown: the row of a list may fill it. */
const made = computed(() => {
  const shown = props.desk.compiled.value?.elements.find(({ element }) => element === code.value);
  return shown?.compiled.code?.made ?? tryEncode(code.value.symbology, code.value.text);
});
const trouble = computed(() => (made.value.ok ? undefined : made.value.problem));
const layout = computed(() => findCodeLayout(code.value, made.value));
const isQr = computed(() => code.value.symbology === 'qr');
const slots = computed(() => [
  { key: 'color', label: words.ink, color: code.value.color },
  { key: 'ground', label: words.codeGround, color: code.value.ground, none: words.noCodeGround },
]);

function turn(symbology: Symbology): void {
  const { width, height } = code.value;
  const square = symbology === 'qr';
  const wasSquare = isQr.value;
  props.desk.change({
    symbology,
    ...(square === wasSquare
      ? {}
      : square
        ? { width: Math.max(height, 18), height: Math.max(height, 18) }
        : { width: Math.max(38, width), height: 14, caption: true }),
  });
}

function recolor(key: string, color: string | null): void {
  if (key === 'ground' || color) props.desk.change({ [key]: color });
}
</script>

<template>
  <CardPanel :title="words.code" peeled>
    <ChoicesRow
      :label="words.codeKind"
      :model-value="code.symbology"
      :choices="words.codeKinds"
      @update:model-value="turn"
    />
    <textarea
      class="well says"
      :rows="isQr ? 3 : 1"
      :value="code.text"
      :aria-label="isQr ? words.codeSays : words.codeNumber"
      maxlength="1200"
      spellcheck="false"
      @input="desk.change({ text: ($event.target as HTMLTextAreaElement).value }, 'code')"
    />
    <p v-if="trouble" class="trouble" role="status">{{ problemLine(trouble) }}</p>
    <FactRow v-if="layout" :label="words.module">
      <span :class="{ trouble: layout.module < SMALLEST_MODULE[code.symbology] }">{{
        words.moduleFact(layout.module.toFixed(2), String(SMALLEST_MODULE[code.symbology]))
      }}</span>
    </FactRow>
    <CheckRow
      v-if="!isQr"
      :label="words.caption"
      :model-value="code.caption"
      @update:model-value="desk.change({ caption: $event })"
    />
    <ColorSlots
      :slots="slots"
      :label="words.codeColor"
      :colors="desk.colors.value"
      @change="recolor"
    />
  </CardPanel>
</template>

<style scoped>
.says {
  box-sizing: border-box;
  width: 100%;
  margin: 6px 0;
  resize: vertical;
}
.trouble {
  margin: 0 0 6px;
  color: var(--brick-text);
}
</style>
