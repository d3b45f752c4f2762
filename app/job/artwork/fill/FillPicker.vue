<script setup lang="ts">
import { computed, ref } from 'vue';
import { patternOf, type Art } from '../../../../core/art/index.ts';
import type { Job } from '../../../../core/job/index.ts';
import {
  isPlain,
  leadColor,
  patternFillSchema,
  pictureFillSchema,
  usualGradient,
  type Fill,
  type PatternFill,
  type PictureFill,
} from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import ChoiceRow from '../../../ui/ChoiceRow.vue';
import ChoicesRow from '../../../ui/ChoicesRow.vue';
import ColorChips from '../../../ui/ColorChips.vue';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf } from '../../../ui/fields.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import ColorSlots from './ColorSlots.vue';
import GradientRows from './GradientRows.vue';
import PatternGrid from './PatternGrid.vue';
import LinkButton from '../../../ui/LinkButton.vue';

/** What fills something: a colour, a blend, a pattern or a picture. */
const props = defineProps<{
  modelValue: Fill | null;
  label: string;
  desk: DeskState;
  /** What no fill is called; it is not offered without. */
  none?: string;
  /** The job with another fill, to preview it by. */
  tried: (fill: Fill) => Job | undefined;
}>();
const emit = defineEmits<{
  /** `art` is the picture of a fill that the job may not know yet. */
  'update:modelValue': [fill: Fill | null, key?: string, art?: Art];
}>();
const words = texts.fill;
const colors = computed(() => props.desk.colors.value);
type Kind = keyof typeof words.kinds;

const patternFields = fieldsOf(patternFillSchema);
const pictureFields = fieldsOf(pictureFillSchema);
const view = fieldsOf(pictureFillSchema.shape.view);
const PATTERN = [
  patternFields.percent('scale', words.scale, { max: 10, step: 10 }),
  patternFields.angle('angle', words.angle, { step: 15 }),
];
const TILE = [
  pictureFields.length('tile', words.tileWidth, { when: ({ tile }) => tile !== undefined }),
];
const VIEW = [
  view.percent('zoom', words.zoom),
  view.percent('x', words.across),
  view.percent('y', words.down),
];
const TURNED = [pictureFields.angle('angle', words.angle, { step: 15 })];

const fill = computed(() => props.modelValue);
const lead = computed(() => (fill.value ? leadColor(fill.value) : '#2c4a2f'));
const kind = computed<Kind>(() => (!fill.value || isPlain(fill.value) ? 'color' : fill.value.kind));
/** A picture is asked for when it is chosen as a kind; until then the old fill stays. */
const wanting = ref(false);
const shown = computed<Kind>(() => (wanting.value ? 'picture' : kind.value));
const pattern = computed(() =>
  fill.value && !isPlain(fill.value) && fill.value.kind === 'pattern' ? fill.value : undefined,
);
const picture = computed(() =>
  fill.value && !isPlain(fill.value) && fill.value.kind === 'picture' ? fill.value : undefined,
);

function turn(to: Kind): void {
  wanting.value = to === 'picture' && kind.value !== 'picture';
  if (to === kind.value || to === 'picture') {
    if (wanting.value) choosePicture();
    return;
  }
  if (to === 'color') emit('update:modelValue', lead.value);
  if (to === 'gradient') emit('update:modelValue', usualGradient(lead.value));
  if (to === 'pattern') emit('update:modelValue', firstPattern());
}

const firstPattern = (): PatternFill => ({
  kind: 'pattern',
  pattern: 'dots',
  ground: lead.value,
  inks: ['#fffdf9', '#f2a65a', '#e3e8f4'],
  scale: 0.6,
  angle: 0,
});

function choosePicture(): void {
  props.desk.pickArt((art) => {
    wanting.value = false;
    const before = picture.value ?? { kind: 'picture', angle: 0, view: { x: 0, y: 0, zoom: 1 } };
    emit('update:modelValue', { ...before, art: art.id }, undefined, art);
  });
}

const patternSlots = computed(() => {
  const { value } = pattern;
  if (!value) return [];
  return [
    { key: 'ground', label: words.ground, color: value.ground, none: words.noGround },
    ...Array.from({ length: patternOf(value.pattern).inks }, (_, at) => ({
      key: String(at),
      label: words.ink(at + 1),
      color: value.inks[at] ?? value.inks[0] ?? '#000000',
    })),
  ];
});

function patterned(changes: Partial<PatternFill>, key?: string): void {
  if (pattern.value) emit('update:modelValue', { ...pattern.value, ...changes }, key);
}

function recolor(key: string, color: string | null): void {
  const { value } = pattern;
  if (!value) return;
  if (key === 'ground') return patterned({ ground: color });
  const inks = Array.from({ length: 3 }, (_, at) => value.inks[at] ?? value.inks[0] ?? '#000000');
  if (color) patterned({ inks: inks.map((one, at) => (String(at) === key ? color : one)) });
}

function pictured(changes: Partial<PictureFill>, key?: string): void {
  if (picture.value) emit('update:modelValue', { ...picture.value, ...changes }, key);
}

function tiled(mode: keyof typeof words.modes): void {
  if (!picture.value) return;
  const { tile, ...once } = picture.value;
  emit('update:modelValue', mode === 'once' ? once : { ...once, tile: tile ?? 12 });
}
</script>

<template>
  <div class="fill">
    <ChoiceRow
      :label="`${label}: ${words.with}`"
      :model-value="shown"
      :choices="words.kinds"
      @update:model-value="turn"
    />
    <ColorChips
      v-if="shown === 'color'"
      :label="label"
      v-bind="none ? { none } : {}"
      :model-value="fill && isPlain(fill) ? fill : null"
      :colors="colors"
      @update:model-value="emit('update:modelValue', $event)"
    />
    <GradientRows
      v-else-if="fill && !isPlain(fill) && fill.kind === 'gradient'"
      :gradient="fill"
      :colors="colors"
      @change="(changed, key) => emit('update:modelValue', changed, key)"
    />
    <template v-else-if="shown === 'pattern' && pattern">
      <PatternGrid
        :pattern="pattern"
        :tried="tried"
        :piece="desk.piece.value?.id ?? ''"
        @choose="patterned({ pattern: $event })"
      />
      <ColorSlots
        :slots="patternSlots"
        :label="words.patterns"
        :colors="colors"
        @change="recolor"
      />
      <FieldRows :fields="PATTERN" :of="pattern" @change="patterned" />
    </template>
    <template v-else-if="shown === 'picture'">
      <p v-if="!picture" class="quiet">{{ words.noPicture }}</p>
      <LinkButton @click="choosePicture">{{ words.choosePicture }}</LinkButton>
      <template v-if="picture">
        <ChoicesRow
          :label="words.fills"
          :model-value="picture.tile === undefined ? 'once' : 'tile'"
          :choices="words.modes"
          @update:model-value="tiled"
        />
        <FieldRows :fields="TILE" :of="picture" @change="pictured" />
        <FieldRows
          v-if="picture.tile === undefined"
          :fields="VIEW"
          :of="picture.view"
          @change="
            (changes, key) =>
              pictured(
                { view: { ...picture?.view, ...changes } as PictureFill['view'] },
                `view-${key}`,
              )
          "
        />
        <FieldRows :fields="TURNED" :of="picture" @change="pictured" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.fill {
  display: grid;
  gap: 4px;
}
.fill > :deep(.choices) {
  justify-self: start;
}
/* All four kinds stand in one row. */
.fill > :deep(.choices button) {
  padding: 0 4px;
}
p {
  margin: 2px 0;
}
</style>
