<script setup lang="ts">
import { computed } from 'vue';
import type { Beginning } from '../../../core/job/index.ts';
import { trySize, usualThing } from '../../../core/things/index.ts';
import { thingPicture } from './index.ts';

/** A small drawing of what is being labelled: the one of the size desk without its measurements. */
const props = defineProps<{ beginning: Beginning }>();
const lines = computed(() => {
  if (props.beginning === 'label-sheet') return [];
  const thing = usualThing(props.beginning);
  const flat = trySize(thing);
  if (!flat.ok) return [];
  return thingPicture(thing, flat.value).lines.filter(
    ({ look }) => look !== 'dimension' && look !== 'arrow',
  );
});
</script>

<template>
  <svg v-if="lines.length" class="thing" viewBox="48 34 272 246" aria-hidden="true">
    <path v-for="({ look, d }, at) in lines" :key="at" :class="{ soft: look === 'label' }" :d="d" />
  </svg>
  <svg v-else class="thing" viewBox="0 0 48 44" aria-hidden="true">
    <rect x="9" y="3" width="30" height="38" rx="2" />
    <g class="soft">
      <circle
        v-for="spot in 6"
        :key="spot"
        :cx="spot % 2 ? 17.5 : 30.5"
        :cy="4 + Math.ceil(spot / 2) * 9.5"
        r="3.9"
      />
    </g>
  </svg>
</template>

<style scoped>
.thing {
  flex: none;
  width: 46px;
  height: 42px;
  fill: none;
  stroke: var(--plum);
  stroke-width: 1.4px;
  stroke-linejoin: round;
}
path,
rect,
circle {
  vector-effect: non-scaling-stroke;
}
.soft {
  fill: var(--apricot-soft);
}
</style>
