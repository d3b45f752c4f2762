<script setup lang="ts">
import { computed } from 'vue';
import { PATTERNS, type PatternName } from '../../../../core/art/index.ts';
import type { Job } from '../../../../core/job/index.ts';
import type { Fill, PatternFill } from '../../../../core/piece/index.ts';
import PieceThumbnail from '../../../session/PieceThumbnail.vue';
import { texts } from '../../../texts/index.ts';

/** Every pattern, each on this very piece in the colours that are chosen. */
const props = defineProps<{
  pattern: PatternFill;
  tried: (fill: Fill) => Job | undefined;
  piece: string;
}>();
defineEmits<{ choose: [pattern: PatternName] }>();
const previews = computed(() =>
  PATTERNS.flatMap((pattern) => {
    const job = props.tried({ ...props.pattern, pattern });
    return job ? [{ pattern, job }] : [];
  }),
);
</script>

<template>
  <div class="patterns" role="radiogroup" :aria-label="texts.fill.patterns">
    <button
      v-for="one in previews"
      :key="one.pattern"
      type="button"
      role="radio"
      :aria-checked="one.pattern === pattern.pattern"
      :aria-label="texts.fill.patternNames[one.pattern]"
      :title="texts.fill.patternNames[one.pattern]"
      @click="$emit('choose', one.pattern)"
    >
      <PieceThumbnail :job="one.job" :piece="piece" />
    </button>
  </div>
</template>

<style scoped>
.patterns {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  gap: 4px;
}
button {
  aspect-ratio: 1;
  min-width: 0;
  border: 1.5px solid transparent;
  border-radius: 10px;
  padding: 3px;
  background: none;
  cursor: pointer;
}
button:hover {
  background: var(--apricot-soft);
}
button[aria-checked='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
svg {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
