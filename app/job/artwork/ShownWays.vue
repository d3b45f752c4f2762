<script setup lang="ts">
import type { CommandCall, Job } from '../../../core/job/index.ts';
import PieceThumbnail from '../../session/PieceThumbnail.vue';
import { useShownSteps } from '../common/shown-steps.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** Something that can be done, with the job as it would be and what is said below its picture. */
export interface ShownWay {
  readonly key: string;
  readonly call: CommandCall;
  readonly job: Job;
  readonly name: string;
  readonly note?: string;
}

/** Ways side by side, each as the piece would look; pointed at, it is shown on the desk. */
defineProps<{ desk: DeskState; ways: readonly ShownWay[] }>();
const steps = useShownSteps();
const emit = defineEmits<{ use: [call: CommandCall] }>();

function use(call: CommandCall): void {
  steps.rest();
  emit('use', call);
}
</script>

<template>
  <div class="ways" :style="{ gridTemplateColumns: `repeat(${Math.max(3, ways.length)}, 1fr)` }">
    <button
      v-for="way in ways"
      :key="way.key"
      type="button"
      v-on="steps.pointed(way.call)"
      @click="use(way.call)"
    >
      <PieceThumbnail :job="way.job" :piece="desk.committedPiece.value?.id ?? ''" />
      <span>{{ way.name }}</span>
      <small v-if="way.note">{{ way.note }}</small>
    </button>
  </div>
</template>

<style scoped>
.ways {
  display: grid;
  gap: 6px;
}
button {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 3px;
  min-width: 0;
  border: 1px solid var(--line);
  border-radius: 12px;
  padding: 6px 3px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
  font-size: 12px;
  line-height: 1.2;
  cursor: pointer;
}
button:hover {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
svg {
  width: 100%;
  height: 58px;
}
small {
  color: var(--leaf-text);
  font-size: 12px;
}
</style>
