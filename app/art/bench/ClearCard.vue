<script setup lang="ts">
import { computed } from 'vue';
import { findBorderColor, USUAL_CLEARING } from '../../../core/art/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import FactRow from '../../ui/FactRow.vue';
import type { ArtEditor } from './art-editor.ts';
import SliderRow from '../../ui/SliderRow.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** How the background is told from the art, and brushes for what is left to do by hand. */
const props = defineProps<{ editor: ArtEditor }>();
const brush = defineModel<'none' | 'erase' | 'restore'>('brush', { required: true });
const size = defineModel<number>('size', { required: true });
const words = texts.art.bench;
const { pixels, source, canUndo } = props.editor;
const clear = computed(() => pixels.value.clear);
const reach = computed(() => clear.value?.reach ?? 'off');
const border = computed(() => source.value && findBorderColor(source.value.image));
const shown = computed(() => clear.value?.color ?? border.value);

function set(to: 'off' | 'border' | 'everywhere'): void {
  props.editor.clearing(to === 'off' ? null : { reach: to });
}
</script>

<template>
  <CardPanel :title="words.clear" peeled>
    <ChoiceRow
      :model-value="reach"
      :label="words.clear"
      :choices="words.clearOn"
      @update:model-value="set"
    />
    <template v-if="clear">
      <FactRow :label="words.color">
        <span class="color">
          <i v-if="shown" :style="{ background: shown }" />
          {{ clear.color ?? words.borderColor }}
        </span>
      </FactRow>
      <p class="quiet">
        {{ words.pick }}
        <LinkButton v-if="clear.color" @click="editor.clearing({ color: null })">
          {{ words.takeBorder }}
        </LinkButton>
      </p>
      <SliderRow
        :label="words.tolerance"
        :model-value="clear.tolerance"
        :min="0.01"
        :max="0.3"
        :step="0.005"
        :said="clear.tolerance.toFixed(3)"
        @update:model-value="editor.clearing({ tolerance: $event })"
      />
      <p class="quiet">{{ words.toleranceHint }}</p>
      <CheckRow
        :model-value="clear.shadow"
        :label="words.shadow"
        @update:model-value="editor.clearing({ shadow: $event })"
      />
    </template>
    <LinkButton v-else @click="editor.clearing(USUAL_CLEARING)">
      {{ words.clear }}
    </LinkButton>
  </CardPanel>
  <CardPanel :title="words.touchUp">
    <ChoiceRow v-model="brush" :label="words.touchUp" :choices="words.brushes" />
    <SliderRow
      v-if="brush !== 'none'"
      v-model="size"
      :label="words.brushSize"
      :min="1"
      :max="80"
      :step="1"
      :said="`${size}`"
    />
    <LinkButton v-if="canUndo" @click="editor.undo">
      {{ words.back }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
.color {
  display: inline-flex;
  align-items: center;
  gap: 8px;
}
.color i {
  width: 20px;
  height: 20px;
  border: 1px solid var(--field-line);
  border-radius: 50%;
}
p {
  margin: 2px 0 6px;
}
</style>
