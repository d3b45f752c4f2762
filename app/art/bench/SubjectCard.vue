<script setup lang="ts">
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import SliderRow from '../../ui/SliderRow.vue';
import type { SubjectTool } from './subject-tool.ts';

/** How the subject is framed, and what is painted where it was not seen rightly. */
const props = defineProps<{ tool: SubjectTool; canUndo: boolean }>();
const emit = defineEmits<{ undo: [] }>();
const words = texts.art.bench.subject;
const { shape, brush, size, free, longer, holes } = props.tool;
const pixels = (share: number): string => words.pixels(Math.round(share * longer.value));
</script>

<template>
  <CardPanel v-if="!free" :title="words.title" peeled>
    <ChoiceRow v-model="shape" :label="words.title" :choices="words.shapes" />
    <p class="quiet">{{ words.hints[shape] }}</p>
  </CardPanel>
  <template v-else>
    <CardPanel :title="words.paint" peeled>
      <ChoiceRow v-model="brush" :label="words.paint" :choices="words.brushes" />
      <p class="quiet">{{ words.paintHints[brush] }}</p>
      <SliderRow
        v-model="size"
        :label="texts.art.bench.brushSize"
        :min="1"
        :max="40"
        :step="1"
        :said="`${size}`"
      />
      <SliderRow
        v-if="brush === 'keep' || brush === 'drop'"
        :label="words.reach"
        :model-value="free.reach"
        :min="0.02"
        :max="0.6"
        :step="0.01"
        :said="pixels(free.reach)"
        @update:model-value="tool.change({ reach: $event })"
      />
      <LinkButton v-if="canUndo" @click="emit('undo')">{{ texts.art.bench.back }}</LinkButton>
    </CardPanel>
    <CardPanel :title="words.edge">
      <SliderRow
        :label="words.band"
        :model-value="free.band"
        :min="0"
        :max="0.03"
        :step="0.001"
        :said="pixels(free.band)"
        @update:model-value="tool.change({ band: $event })"
      />
      <p class="quiet">{{ words.bandHint }}</p>
      <p v-if="holes.length" class="quiet">{{ words.holes(holes.length) }}</p>
    </CardPanel>
    <CardPanel :title="words.around">
      <LinkButton @click="tool.forget">{{ words.again }}</LinkButton>
    </CardPanel>
  </template>
</template>

<style scoped>
p {
  margin: 2px 0 6px;
}
</style>
