<script setup lang="ts">
import { computed } from 'vue';
import { mixed } from '../../../../core/color/index.ts';
import type { Gradient } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import ChoicesRow from '../../../ui/ChoicesRow.vue';
import NumberRow from '../../../ui/NumberRow.vue';
import ColorSlots from './ColorSlots.vue';

/** The colours of a blend and the way it runs. */
const props = defineProps<{ gradient: Gradient; colors: readonly string[] }>();
const emit = defineEmits<{ change: [gradient: Gradient, key?: string] }>();
const words = texts.fill;
const MOST = 6;

const slots = computed(() =>
  props.gradient.stops.map(({ color }, at, all) => ({
    key: String(at),
    label: at === 0 ? words.from : at === all.length - 1 ? words.to : words.middle,
    color,
  })),
);

function recolor(key: string, color: string | null): void {
  if (!color) return;
  const stops = props.gradient.stops.map((stop, at) =>
    String(at) === key ? { ...stop, color } : stop,
  );
  emit('change', { ...props.gradient, stops });
}

/** As many colours as are given, at equal distances. */
const spaced = (colors: readonly string[]): Gradient['stops'] =>
  colors.map((color, at) => ({ at: at / (colors.length - 1), color }));

function more(): void {
  const colors = props.gradient.stops.map(({ color }) => color);
  const [before = '#000000', last = '#ffffff'] = colors.slice(-2);
  const all = [...colors.slice(0, -1), mixed(before, last, 0.5), last];
  emit('change', { ...props.gradient, stops: spaced(all) });
}

function less(): void {
  const colors = props.gradient.stops.map(({ color }) => color);
  emit('change', {
    ...props.gradient,
    stops: spaced([...colors.slice(0, -2), ...colors.slice(-1)]),
  });
}
</script>

<template>
  <ColorSlots :slots="slots" :label="words.blend" :colors="colors" @change="recolor" />
  <div>
    <button v-if="gradient.stops.length < MOST" class="link" type="button" @click="more">
      {{ words.addStop }}
    </button>
    <button v-if="gradient.stops.length > 2" class="link less" type="button" @click="less">
      {{ words.dropStop }}
    </button>
  </div>
  <ChoicesRow
    :label="words.runs"
    :model-value="gradient.shape"
    :choices="words.shapes"
    @update:model-value="emit('change', { ...gradient, shape: $event })"
  />
  <NumberRow
    v-if="gradient.shape === 'linear'"
    :label="words.direction"
    :model-value="gradient.angle"
    suffix="°"
    :digits="1"
    :step="15"
    @update:model-value="emit('change', { ...gradient, angle: $event }, 'blend')"
  />
</template>

<style scoped>
.less {
  margin-left: 14px;
}
</style>
