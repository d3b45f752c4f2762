<script setup lang="ts">
import { PLAIN_PIXELS } from '../../../core/art/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import type { ArtEditor } from './art-editor.ts';
import SliderRow from '../../ui/SliderRow.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** Light, contrast, greyscale and mirror. */
const props = defineProps<{ editor: ArtEditor }>();
const words = texts.art.bench;
const { pixels } = props.editor;
const percent = (value: number): string => `${Math.round(value * 100)} %`;

function reset(): void {
  const { light, contrast, grey, mirror } = PLAIN_PIXELS;
  props.editor.change({ light, contrast, grey, mirror });
}
</script>

<template>
  <CardPanel :title="words.tools.light" peeled>
    <SliderRow
      :label="words.light"
      :model-value="pixels.light"
      :min="-0.8"
      :max="0.8"
      :step="0.02"
      :said="percent(pixels.light)"
      @update:model-value="editor.change({ light: $event })"
    />
    <SliderRow
      :label="words.contrast"
      :model-value="pixels.contrast"
      :min="-0.8"
      :max="0.8"
      :step="0.02"
      :said="percent(pixels.contrast)"
      @update:model-value="editor.change({ contrast: $event })"
    />
    <CheckRow
      :model-value="pixels.grey"
      :label="words.grey"
      @update:model-value="editor.change({ grey: $event })"
    />
    <CheckRow
      :model-value="pixels.mirror"
      :label="words.mirror"
      @update:model-value="editor.change({ mirror: $event })"
    />
    <LinkButton @click="reset">{{ words.reset }}</LinkButton>
  </CardPanel>
</template>
