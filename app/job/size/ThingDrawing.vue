<script setup lang="ts">
import type { Thing } from '../../../core/things/index.ts';
import LengthField from '../../ui/LengthField.vue';
import { texts } from '../../texts/index.ts';

/** The thing with its dimension lines; the measures are fields. */
defineProps<{ thing: Thing }>();
defineEmits<{ measure: [changes: Partial<Thing>] }>();
</script>

<template>
  <div class="thing">
    <svg v-if="thing.kind === 'lid'" viewBox="0 0 360 300" aria-hidden="true">
      <path class="body" d="M50 150v52c0 38 58 68 130 68s130-30 130-68v-52" />
      <ellipse class="top" cx="180" cy="150" rx="130" ry="66" />
      <ellipse class="inner" cx="180" cy="148" rx="112" ry="54" />
      <ellipse class="label" cx="180" cy="148" rx="92" ry="43" />
      <template v-if="thing.measured === 'diameter'">
        <path class="dimension" d="M68 148V52M292 148V52M68 62H292" />
        <path class="arrow" d="M68 62l10-4v8zM292 62l-10-4v8z" />
      </template>
      <template v-else>
        <path class="dimension" d="M50 176c0 38 58 68 130 68s130-30 130-68M180 244V292" />
        <path class="arrow" d="M50 172l-4 12h8zM310 172l-4 12h8z" />
      </template>
      <path class="dimension" d="M272 148L330 112" />
      <circle class="dot" cx="280" cy="143" r="3" />
    </svg>
    <svg v-else-if="thing.kind === 'face'" viewBox="0 0 360 300" aria-hidden="true">
      <path class="body" d="M106 60h150l26 14v190H132l-26-12z" />
      <rect class="top" x="106" y="60" width="150" height="192" rx="10" />
      <rect class="label" x="120" y="74" width="122" height="164" rx="8" />
      <path class="dimension" d="M106 56V28M256 56V28M106 36H256M102 60H68M102 252H68M78 60V252" />
      <path class="arrow" d="M106 36l10-4v8zM256 36l-10-4v8zM78 60l-4 10h8zM78 252l-4-10h8z" />
      <path class="dimension" d="M249 200L316 184" />
      <circle class="dot" cx="249" cy="200" r="3" />
    </svg>
    <svg v-else viewBox="0 0 360 300" aria-hidden="true">
      <rect class="top" x="90" y="16" width="180" height="256" rx="6" />
      <g v-for="spot in 24" :key="spot">
        <circle
          class="label"
          :cx="118 + ((spot - 1) % 4) * 41.5"
          :cy="46 + Math.floor((spot - 1) / 4) * 39.5"
          r="16.5"
        />
      </g>
    </svg>
    <template v-if="thing.kind === 'lid'">
      <LengthField
        class="field"
        :class="thing.measured"
        :label="texts.size.lidMeasure"
        :model-value="thing.size"
        :min="1"
        :max="2000"
        @update:model-value="$emit('measure', { size: $event })"
      />
      <LengthField
        class="field bare"
        :label="texts.size.bareRim"
        :model-value="thing.clearance"
        :min="0"
        :max="100"
        @update:model-value="$emit('measure', { clearance: $event })"
      />
    </template>
    <template v-else-if="thing.kind === 'face'">
      <LengthField
        class="field width"
        :label="texts.size.measuredWidth"
        :model-value="thing.width"
        :min="1"
        :max="2000"
        @update:model-value="$emit('measure', { width: $event })"
      />
      <LengthField
        class="field height"
        :label="texts.size.measuredHeight"
        :model-value="thing.height"
        :min="1"
        :max="2000"
        @update:model-value="$emit('measure', { height: $event })"
      />
      <LengthField
        class="field margin"
        :label="texts.size.bareMargin"
        :model-value="thing.clearance"
        :min="0"
        :max="100"
        @update:model-value="$emit('measure', { clearance: $event })"
      />
    </template>
  </div>
</template>

<style scoped>
.thing {
  position: relative;
  width: 100%;
  max-width: 400px;
}
svg {
  display: block;
  width: 100%;
}
.body {
  fill: #b8a9ae;
  stroke: var(--plum-deep);
  stroke-width: 1.6;
}
.top {
  fill: #efe7e2;
  stroke: #44203d;
  stroke-width: 1.6;
}
.inner {
  fill: #fbf7f2;
  stroke: #44203d55;
}
.label {
  fill: #fbe3c8;
  stroke: #0f7c86;
  stroke-width: 1.6;
  stroke-dasharray: 6 4;
}
.dimension {
  fill: none;
  stroke: var(--plum);
  stroke-width: 1.2;
}
.arrow,
.dot {
  fill: var(--plum);
}
.field {
  position: absolute;
  font-weight: 600;
  transform: translate(-50%, -50%);
}
.field :deep(input) {
  background: var(--card);
  text-align: center;
  box-shadow: var(--shadow);
}
.field :deep([role='alert']) {
  width: 220px;
  border-radius: var(--r-field);
  padding: 4px 10px;
  background: var(--card);
  font-weight: 400;
}
.diameter {
  top: 20.5%;
  left: 50%;
}
.circumference {
  top: 95%;
  left: 50%;
}
.bare {
  top: 36%;
  left: 90%;
}
.width {
  top: 12%;
  left: 50%;
}
.height {
  top: 52%;
  left: 17%;
}
.margin {
  top: 61%;
  left: 88%;
}
</style>
