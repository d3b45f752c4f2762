<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { texts } from '../../texts/index.ts';

/** How long ink still has to dry: counted from when the wait was first seen, also after a reload. */
const props = defineProps<{ minutes: number; run: string }>();
const KEY = 'little-peel-drying';
const began = start();
const now = ref(Date.now());
const timer = setInterval(() => (now.value = Date.now()), 1000);
onBeforeUnmount(() => clearInterval(timer));
const left = computed(() => Math.max(0, props.minutes * 60 - (now.value - began) / 1000));
const share = computed(() => 1 - left.value / (props.minutes * 60 || 1));
const says = computed(() =>
  left.value <= 0
    ? texts.run.dryNow
    : `${Math.floor(left.value / 60)}:${String(Math.floor(left.value % 60)).padStart(2, '0')}`,
);

function start(): number {
  const [run, at] = (sessionStorage.getItem(KEY) ?? '').split(' ');
  if (run === props.run && Number(at) > 0) return Number(at);
  const at0 = Date.now();
  sessionStorage.setItem(KEY, `${props.run} ${at0}`);
  return at0;
}
</script>

<template>
  <div class="wait">
    <svg viewBox="0 0 80 80" aria-hidden="true">
      <circle class="round" cx="40" cy="40" r="34" />
      <circle
        class="gone"
        cx="40"
        cy="40"
        r="34"
        pathLength="1"
        :stroke-dasharray="`${share} 1`"
        transform="rotate(-90 40 40)"
      />
    </svg>
    <strong class="display">{{ says }}</strong>
  </div>
</template>

<style scoped>
.wait {
  position: relative;
  width: 110px;
}
circle {
  fill: none;
  stroke-width: 7;
}
.round {
  stroke: var(--well);
}
.gone {
  stroke: var(--apricot);
}
strong {
  position: absolute;
  inset: 0;
  display: grid;
  place-items: center;
  font-size: 20px;
}
</style>
