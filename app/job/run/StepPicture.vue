<script setup lang="ts">
import type { StepPicture } from './run-steps.ts';

/** What a step of a run looks like; `marks` shows the dots that lie in the corners of a sheet. */
defineProps<{ picture: StepPicture; marks: boolean }>();
</script>

<template>
  <svg viewBox="0 0 64 52" aria-hidden="true">
    <template v-if="picture === 'load'">
      <path class="device" d="M8 26h48v18H8z" />
      <path class="paper" d="M18 4h28v22H18z" />
      <path class="line" d="M32 8v12m-5-5 5 5 5-5" />
    </template>
    <template v-else-if="picture === 'print'">
      <path class="device" d="M8 12h48v20H8z" />
      <path class="paper" d="M16 26h32v22H16z" />
      <circle class="label" cx="26" cy="36" r="5" />
      <circle class="label" cx="39" cy="36" r="5" />
    </template>
    <template v-else-if="picture === 'turn'">
      <path class="paper" d="M8 8h20v36H8z" />
      <path class="paper back" d="M36 8h20v36H36z" />
      <path class="line" d="M24 4c8-3 12-3 18 1m-1-4 2 5-5 1" />
    </template>
    <template v-else-if="picture === 'wait'">
      <path class="paper" d="M12 12h40v34H12z" />
      <circle class="face" cx="32" cy="26" r="15" />
      <path class="line" d="M32 17v9l7 5" />
    </template>
    <template v-else-if="picture === 'lay'">
      <path class="paper" d="M14 6h36v42H14z" />
      <template v-if="marks">
        <circle cx="20" cy="12" r="2" />
        <circle class="ring" cx="20" cy="12" r="3.6" />
        <circle cx="44" cy="12" r="2" />
        <circle cx="44" cy="42" r="2" />
        <circle cx="20" cy="42" r="2" />
      </template>
      <path class="line" d="M32 34V18m-5 5 5-5 5 5" />
    </template>
    <template v-else-if="picture === 'cut'">
      <path class="paper" d="M12 6h40v42H12z" />
      <circle class="cut" cx="32" cy="27" r="13" />
      <path class="knife" d="M44 4l6 6-8 10-4-4z" />
    </template>
    <template v-else-if="picture === 'count'">
      <path class="paper" d="M12 6h40v42H12z" />
      <circle class="label" cx="23" cy="18" r="7" />
      <circle class="label" cx="41" cy="18" r="7" />
      <circle class="label" cx="23" cy="36" r="7" />
      <path class="bad" d="M36 31l10 10m0-10-10 10" />
    </template>
    <template v-else>
      <circle class="label" cx="32" cy="27" r="19" />
      <path class="paper" d="M32 8a19 19 0 0 1 19 19c-10 2-20-8-19-19z" />
    </template>
  </svg>
</template>

<style scoped>
.device {
  fill: #b8a9ae;
  stroke: #44203d;
}
.paper {
  fill: #fffdf9;
  stroke: #44203d;
}
.back {
  fill: #f3dcc0;
}
.face {
  fill: #fffdf9;
  stroke: #44203d;
  stroke-width: 1.6;
}
.label {
  fill: #f2a65a;
  stroke: #44203d;
}
.line,
.ring,
.cut,
.bad {
  fill: none;
  stroke: #5d2a53;
  stroke-width: 1.6;
}
.ring {
  stroke: #111;
  stroke-width: 1;
}
.cut {
  stroke: var(--kiss);
  stroke-dasharray: 4 3;
}
.bad {
  stroke: var(--brick);
  stroke-width: 2.4;
}
.knife {
  fill: #5d2a53;
}
</style>
