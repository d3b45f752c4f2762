<script setup lang="ts">
import { computed } from 'vue';
import type { GlyphsNode } from '../../../../core/drawing/index.ts';
import { grown } from '../../../../core/geometry/index.ts';
import { setWords, type Form } from '../../../../core/type/index.ts';
import { MM_PER_PT } from '../../../../core/units/index.ts';
import DrawnNodes from '../../../ui/DrawnNodes.vue';
import { pageSources, resourceVersion } from '../../../session/page-resources.ts';

/** A line of words in a typeface, or in another form that it has, as large as its frame takes. */
const props = defineProps<{ face: string; text: string; form?: Form }>();
const SIZE = 20; // pt
const HEIGHT = 11; // mm

const sample = computed(() => {
  void resourceVersion.value;
  const typeface = pageSources.typeface(props.face);
  if (!typeface) return undefined;
  const set = setWords(
    {
      text: props.text,
      typeface: props.face,
      size: SIZE,
      tracking: 0,
      leading: 1.2,
      align: 'left',
      fit: 'fixed',
      least: SIZE,
      path: { kind: 'straight' },
      ...(props.form ? { features: [{ ...props.form, start: 0, end: props.text.length }] } : {}),
    },
    { width: 60, height: HEIGHT },
    typeface,
  );
  const node: GlyphsNode = {
    kind: 'glyphs',
    typeface: props.face,
    size: SIZE * MM_PER_PT,
    glyphs: set.glyphs,
    fill: { kind: 'solid', color: 'currentColor' },
    text: props.text,
  };
  const box = grown(set.ink ?? { left: -30, right: 30, top: -3, bottom: 3 }, 0.4);
  const height = Math.max(HEIGHT, box.bottom - box.top);
  const middle = (box.top + box.bottom) / 2;
  return {
    node,
    missing: set.missing.join(' '),
    view: `${box.left} ${middle - height / 2} ${box.right - box.left} ${height}`,
  };
});
defineExpose({ sample });
</script>

<template>
  <span class="sample">
    <svg
      v-if="sample"
      :viewBox="sample.view"
      preserveAspectRatio="xMinYMid meet"
      aria-hidden="true"
    >
      <DrawnNodes :nodes="[sample.node]" :sources="pageSources" :version="resourceVersion" />
    </svg>
    <slot v-if="sample?.missing" :missing="sample.missing" />
  </span>
</template>

<style scoped>
.sample {
  display: flex;
  align-items: center;
  gap: 8px;
  min-height: 30px;
}
svg {
  flex: 1;
  min-width: 0;
  height: 30px;
}
</style>
