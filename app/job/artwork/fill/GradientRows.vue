<script setup lang="ts">
import { computed } from 'vue';
import { mixed } from '../../../../core/color/index.ts';
import { gradientSchema, type Gradient } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf } from '../../../ui/fields.ts';
import ColorSlots from './ColorSlots.vue';
import LinkButton from '../../../ui/LinkButton.vue';

/** The colours of a blend and the way it runs. */
const props = defineProps<{ gradient: Gradient; colors: readonly string[] }>();
const emit = defineEmits<{ change: [gradient: Gradient, key?: string] }>();
const words = texts.fill;
const MOST = 6;
const { choices, angle } = fieldsOf(gradientSchema);
const FIELDS = [
  choices('shape', words.runs, words.shapes),
  angle('angle', words.direction, { step: 15, when: ({ shape }) => shape === 'linear' }),
];

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
    <LinkButton v-if="gradient.stops.length < MOST" @click="more">
      {{ words.addStop }}
    </LinkButton>
    <LinkButton v-if="gradient.stops.length > 2" class="less" @click="less">
      {{ words.dropStop }}
    </LinkButton>
  </div>
  <FieldRows
    :fields="FIELDS"
    :of="gradient"
    @change="(changes, key) => emit('change', { ...gradient, ...changes }, key)"
  />
</template>

<style scoped>
.less {
  margin-left: 14px;
}
</style>
