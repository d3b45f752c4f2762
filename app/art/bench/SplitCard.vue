<script setup lang="ts">
import { computed } from 'vue';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { SplitEditor } from './split-editor.ts';

/** What a page falls into, and what is done with the chosen pieces. */
const props = defineProps<{ editor: SplitEditor; inJob: boolean }>();
const emit = defineEmits<{ art: []; pieces: [] }>();
const cutting = defineModel<boolean>('cutting', { required: true });
const words = texts.art.bench;
const { split, gap, least, cuts, parts, chosen, kept, busy, words: found } = props.editor;
const only = computed(() => (chosen.value.length === 1 ? chosen.value[0] : undefined));
const one = computed(() => (only.value === undefined ? undefined : parts.value[only.value]));
</script>

<template>
  <CardPanel :title="words.tools.split" :aside="busy ? words.working : found" peeled>
    <LengthRow v-model="gap" :label="words.gap" :min="0" :max="30" :step="0.1" />
    <p class="quiet">{{ words.gapHint }}</p>
    <NumberRow
      v-model="least"
      :label="words.speck"
      suffix="mm²"
      :digits="1"
      :min="0"
      :max="2000"
      :step="0.5"
    />
    <p class="quiet">{{ words.joinHint }}</p>
    <p v-if="chosen.length === 2">
      <LinkButton @click="editor.joinChosen">{{ words.join }}</LinkButton>
    </p>
    <p v-else-if="one && only !== undefined" class="row">
      <LinkButton @click="editor.toggle(only)">
        {{ one.kept ? words.leaveOut : words.keep }}
      </LinkButton>
      <LinkButton
        v-if="one.patches.length > 1 && one.patches.every((patch) => split?.boxes[patch])"
        @click="editor.takeApart(only)"
      >
        {{ words.unjoin }}
      </LinkButton>
    </p>
    <p class="row">
      <LinkButton :aria-pressed="cutting" @click="cutting = !cutting">
        {{ cutting ? words.cutHint : words.cut }}
      </LinkButton>
      <LinkButton v-if="cuts.length" @click="cuts = cuts.slice(0, -1)">
        {{ words.uncut }}
      </LinkButton>
    </p>
  </CardPanel>
  <div class="make">
    <v-btn
      color="primary"
      block
      :variant="inJob ? 'outlined' : 'flat'"
      :disabled="busy || kept.length === 0"
      @click="emit('art')"
    >
      {{ words.asArt(kept.length) }}
    </v-btn>
    <v-btn
      v-if="inJob"
      color="primary"
      block
      :disabled="busy || kept.length === 0"
      @click="emit('pieces')"
    >
      {{ words.asPieces(kept.length) }}
    </v-btn>
  </div>
</template>

<style scoped>
p {
  margin: 2px 0 6px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
}
.make {
  display: grid;
  gap: 8px;
}
[aria-pressed='true'] {
  border-radius: var(--r-field);
  padding: 4px 8px;
  background: var(--apricot-soft);
}
</style>
