<script setup lang="ts">
import { computed, nextTick, ref } from 'vue';
import type { Words } from '../../../core/piece/index.ts';
import { TYPEFACES, type WordsPath } from '../../../core/type/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import ColorChips from '../../ui/ColorChips.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { DeskState } from './desk-state.ts';
import { PALETTE } from './palette.ts';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; words: Words }>();
const field = ref<HTMLTextAreaElement | null>(null);
const set = computed(
  () =>
    props.desk.compiled.value?.elements.find(({ element }) => element.id === props.words.id)
      ?.compiled.words,
);
const came = computed(() => set.value?.size ?? props.words.size);
const circle = computed(() => (props.words.path.kind === 'circle' ? props.words.path : undefined));
const path = computed(() => circle.value?.side ?? 'straight');

function bend(value: 'straight' | 'outside' | 'inside'): void {
  if (value === path.value) return;
  const piece = props.desk.compiled.value;
  if (value === 'straight' || !piece)
    return props.desk.change({
      path: { kind: 'straight' },
      y: Math.round((piece?.height ?? 40) * 2.2) / 10,
    });
  const least = Math.min(piece.width, piece.height) / 2 - piece.piece.safe;
  const letter = props.words.size * 0.3;
  const radius = Math.max(3, least - (value === 'outside' ? letter : 0.4));
  const bent: WordsPath = {
    kind: 'circle',
    radius,
    side: value,
    angle: value === 'outside' ? 0 : 180,
    reach: 180,
  };
  props.desk.change({ path: bent, x: 0, y: 0 });
}

function bent(changes: Partial<NonNullable<typeof circle.value>>): void {
  if (circle.value) props.desk.change({ path: { ...circle.value, ...changes } }, 'bend');
}

async function focus(): Promise<void> {
  await nextTick();
  field.value?.focus();
  field.value?.select();
}
defineExpose({ focus });
</script>

<template>
  <CardPanel :title="texts.artwork.words" peeled>
    <textarea
      ref="field"
      class="well text"
      :value="words.text"
      rows="2"
      spellcheck="true"
      :aria-label="texts.artwork.theWords"
      maxlength="5000"
      @input="desk.change({ text: ($event.target as HTMLTextAreaElement).value }, 'type')"
      @keydown.esc="field?.blur()"
    />
    <FactRow as="label" :label="texts.artwork.typeface">
      <select
        class="well face"
        :value="words.typeface"
        :aria-label="texts.artwork.typeface"
        @change="desk.change({ typeface: ($event.target as HTMLSelectElement).value })"
      >
        <option v-for="face in TYPEFACES" :key="face.id" :value="face.id">{{ face.name }}</option>
      </select>
    </FactRow>
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
      v-if="!circle && words.text.includes('\n')"
      :label="texts.artwork.betweenLines"
      :name="texts.artwork.leading"
      :model-value="words.leading"
      suffix="em"
      :digits="2"
      :min="0.5"
      :max="5"
      :step="0.05"
      @update:model-value="desk.change({ leading: $event }, 'leading')"
    />
    <ChoicesRow
      :label="texts.artwork.tooLong"
      :name="texts.artwork.tooLongHint"
      :model-value="words.fit"
      :choices="texts.artwork.wordFits"
      @update:model-value="desk.change({ fit: $event })"
    />
    <NumberRow
      v-if="words.fit === 'shrink'"
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
    <ChoicesRow
      v-if="!circle"
      :label="texts.artwork.stand"
      :name="texts.artwork.alignment"
      :model-value="words.align"
      :choices="texts.artwork.aligns"
      @update:model-value="desk.change({ align: $event })"
    />
    <ChoicesRow
      :label="texts.artwork.run"
      :name="texts.artwork.runLong"
      :model-value="path"
      :choices="texts.artwork.runs"
      @update:model-value="bend"
    />
    <template v-if="circle">
      <LengthRow
        :label="texts.artwork.radius"
        :name="texts.artwork.radiusLong"
        :model-value="circle.radius"
        :min="1"
        :max="1000"
        @update:model-value="bent({ radius: $event })"
      />
      <NumberRow
        :label="texts.artwork.middleAt"
        :name="texts.artwork.middleLong"
        :model-value="circle.angle"
        suffix="°"
        :digits="1"
        @update:model-value="bent({ angle: $event })"
      />
    </template>
    <ColorChips
      :label="texts.artwork.color"
      :model-value="words.color"
      :colors="PALETTE"
      @update:model-value="desk.change({ color: $event ?? words.color })"
    />
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
.face {
  max-width: 156px;
}
.came {
  margin: 2px 0 4px;
  color: var(--ink-2);
  font-size: 12.5px;
  text-align: right;
}
</style>
