<script setup lang="ts">
import type { Material } from '../../core/stock/index.ts';

/** A material as it looks: its colour, with the sheen or weave of its kind. */
defineProps<{ material: Pick<Material, 'color' | 'kind'> }>();
</script>

<template>
  <span
    class="swatch"
    :class="material.kind"
    :style="{ '--material': material.color }"
    aria-hidden="true"
  />
</template>

<style scoped>
.swatch {
  display: block;
  box-sizing: border-box;
  width: 100%;
  aspect-ratio: 1;
  border: 1px solid var(--field-line);
  border-radius: 50%;
  background: var(--material);
}
.clear {
  --shade: color-mix(in oklab, var(--material), black 14%);
  background: conic-gradient(
      var(--shade) 25%,
      var(--material) 0 50%,
      var(--shade) 0 75%,
      var(--material) 0
    )
    0 0 / 10px 10px;
}
.holographic {
  background: conic-gradient(
    from 30deg,
    oklch(0.88 0.09 20deg),
    oklch(0.9 0.1 100deg),
    oklch(0.89 0.1 160deg),
    oklch(0.86 0.09 230deg),
    oklch(0.84 0.1 310deg),
    oklch(0.88 0.09 20deg)
  );
}
.pearl {
  background: radial-gradient(
    circle at 35% 30%,
    white,
    var(--material) 60%,
    color-mix(in oklab, var(--material), black 16%)
  );
}
.metallic {
  background: linear-gradient(
    135deg,
    var(--material) 20%,
    color-mix(in oklab, var(--material), white 60%) 45%,
    var(--material) 60%,
    color-mix(in oklab, var(--material), black 18%)
  );
}
.fabric {
  --thread: color-mix(in oklab, var(--material), black 12%);
  background:
    repeating-linear-gradient(45deg, transparent 0 3px, var(--thread) 3px 4px),
    repeating-linear-gradient(-45deg, transparent 0 3px, var(--thread) 3px 4px), var(--material);
}
.card {
  box-shadow: inset 0 0 0 3px color-mix(in oklab, var(--material), black 8%);
}
.transfer {
  background: linear-gradient(
    to right,
    var(--material) 50%,
    color-mix(in oklab, var(--material), var(--apricot) 45%) 50%
  );
}
</style>
