<script setup lang="ts">
import { computed } from 'vue';
import { spotPlaces } from '../../../core/stock/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import SelectRow from '../../ui/SelectRow.vue';
import ReadingsCard from './ReadingsCard.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { PAPERS, type TemplateEditor } from './template-editor.ts';

/** What describes the sheet: its name, a file it comes from, readings, and the label that is chosen. */
const { editor } = defineProps<{ editor: TemplateEditor; doneLabel: string }>();
defineEmits<{ done: []; cancel: [] }>();
const words = texts.stock;
const { draft } = editor.readings;
const { busy, canCorrect, chosen, found, paper, photo, settingCorners, stock } = editor;
const label = computed(() => {
  const at = chosen.value;
  const spots = stock.value?.spots;
  return at === undefined || !spots ? undefined : spotPlaces(spots)[at];
});

function move(to: { x?: number; y?: number; angle?: number }): void {
  if (chosen.value !== undefined) editor.move(chosen.value, to);
}
</script>

<template>
  <v-btn color="primary" height="40" :disabled="!stock" @click="$emit('done')">{{
    doneLabel
  }}</v-btn>
  <LinkButton @click="$emit('cancel')">{{ words.cancel }}</LinkButton>
  <CardPanel :title="words.own.title" peeled>
    <input
      v-model="draft.name"
      class="well name"
      :aria-label="words.own.name"
      :placeholder="words.own.name"
    />
  </CardPanel>
  <CardPanel :title="words.read.title">
    <p class="hint">{{ words.read.hint }}</p>
    <SelectRow
      v-model="paper"
      :label="words.read.paper"
      :choices="PAPERS"
      @update:model-value="photo && editor.look()"
    />
    <div class="ways">
      <LinkButton :disabled="busy" @click="editor.choose">
        {{ words.read.choose }}
      </LinkButton>
      <LinkButton v-if="photo && !settingCorners" @click="settingCorners = true">
        {{ words.read.corners }}
      </LinkButton>
    </div>
  </CardPanel>
  <template v-if="found">
    <CardPanel v-if="label" :title="words.read.chosen((chosen ?? 0) + 1)">
      <LengthRow
        :label="words.read.labelX"
        :model-value="label.x"
        :min="0"
        :max="2000"
        @update:model-value="move({ x: $event })"
      />
      <LengthRow
        :label="words.read.labelY"
        :model-value="label.y"
        :min="0"
        :max="2000"
        @update:model-value="move({ y: $event })"
      />
      <NumberRow
        :label="words.read.labelAngle"
        :model-value="label.angle"
        :digits="1"
        :min="-180"
        :max="180"
        @update:model-value="move({ angle: $event })"
      />
      <LinkButton @click="editor.remove(chosen ?? 0)">
        {{ words.read.deleteLabel }}
      </LinkButton>
    </CardPanel>
    <LinkButton @click="editor.add">{{ words.read.add }}</LinkButton>
    <LinkButton v-if="canCorrect" @click="editor.toReadings">
      {{ words.read.correct }}
    </LinkButton>
  </template>
  <template v-else>
    <ReadingsCard :readings="editor.readings" />
    <LinkButton v-if="stock" @click="editor.byHand">
      {{ words.own.byHand }}
    </LinkButton>
  </template>
</template>

<style scoped>
.name {
  width: 100%;
}
.hint {
  margin: 0 0 8px;
  color: var(--ink-2);
}
.ways {
  display: flex;
  gap: 14px;
}
</style>
