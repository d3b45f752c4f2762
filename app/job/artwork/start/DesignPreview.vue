<script setup lang="ts">
import { computed } from 'vue';
import type { DesignName } from '../../../../core/designs/index.ts';
import type { ZoneRoom } from '../../../../core/things/index.ts';
import PieceThumbnail from '../../../session/PieceThumbnail.vue';
import { texts } from '../../../texts/index.ts';
import type { useStart } from './start-state.ts';

/** One design to start from, on the piece that it would be on. */
const props = defineProps<{
  start: ReturnType<typeof useStart>;
  design: DesignName | 'blank';
  piece: string;
  room: ZoneRoom | undefined;
}>();
const job = computed(() => props.start.tried(props.design));
const title = computed(() =>
  props.design === 'blank' ? texts.start.blank : texts.start.names[props.design],
);
</script>

<template>
  <button
    v-if="job"
    type="button"
    :aria-pressed="design === start.chosen.value"
    @click="start.use(design)"
  >
    <PieceThumbnail :job="job" :piece="piece" :room="room" />
    <small>{{ title }}</small>
  </button>
</template>
