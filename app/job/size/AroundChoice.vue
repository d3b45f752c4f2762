<script setup lang="ts">
import { computed } from 'vue';
import { trySize, type MeasuredThing } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import { FRAME, thingPicture } from '../../ui/thing-pictures/index.ts';

type Band = Extract<MeasuredThing, { kind: 'band' }>;

/** Which way round a band goes, as three pictures of this very box, and whether it is a sleeve. */
const props = defineProps<{ box: Band }>();
const emit = defineEmits<{ measure: [key: string, value: string | number | null] }>();
const WAYS = ['h', 'w', 'd'] as const;
const offers = computed(() =>
  WAYS.flatMap((around) => {
    const box = { ...props.box, around, strip: props.box.strip };
    const flat = trySize(box);
    if (!flat.ok) return [];
    const lines = thingPicture(box, flat.value).lines.filter(
      ({ look }) => look !== 'dimension' && look !== 'arrow',
    );
    return [{ around, lines, name: texts.size.ways[around] }];
  }),
);
const along = computed(
  () => ({ w: props.box.width, d: props.box.depth, h: props.box.height })[props.box.around],
);

function dress(value: 'strip' | 'sleeve'): void {
  if (value === 'sleeve') emit('measure', 'strip', null);
  else if (props.box.strip === null) emit('measure', 'strip', Math.round(along.value / 2));
}
</script>

<template>
  <div class="ways" role="radiogroup" :aria-label="texts.size.around">
    <button
      v-for="{ around, lines, name } in offers"
      :key="around"
      type="button"
      role="radio"
      :aria-checked="around === box.around"
      @click="emit('measure', 'around', around)"
    >
      <svg :viewBox="`30 20 ${FRAME.width - 60} ${FRAME.height - 50}`" aria-hidden="true">
        <path v-for="({ look, d }, at) in lines" :key="at" :class="look" :d="d" />
      </svg>
      <span>{{ name }}</span>
    </button>
  </div>
  <ChoicesRow
    :label="texts.size.strip"
    :model-value="box.strip === null ? 'sleeve' : 'strip'"
    :choices="texts.size.strips"
    @update:model-value="dress"
  />
</template>

<style scoped>
.ways {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
  margin: 4px 0 8px;
}
button {
  border: 1px solid var(--line);
  border-radius: var(--r-field);
  padding: 4px;
  background: var(--well);
  color: var(--ink);
  font: inherit;
  font-size: 12.5px;
  line-height: 1.25;
  cursor: pointer;
}
button[aria-checked='true'] {
  border-color: var(--apricot);
  background: var(--apricot-soft);
  font-weight: 600;
}
svg {
  display: block;
  width: 100%;
}
.body {
  fill: #b8a9ae;
}
.top {
  fill: #efe7e2;
}
.inner {
  fill: #fbf7f2;
}
.label {
  fill: #e9954a;
}
path {
  stroke: #44203d;
  stroke-width: 2.5;
}
</style>
