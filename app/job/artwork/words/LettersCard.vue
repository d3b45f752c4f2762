<script setup lang="ts">
import { computed } from 'vue';
import type { Art } from '../../../../core/art/index.ts';
import { luminance, rgbOf } from '../../../../core/color/index.ts';
import { elementSchema, leadColor, type Fill, type Words } from '../../../../core/piece/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import CheckRow from '../../../ui/CheckRow.vue';
import ColorChips from '../../../ui/ColorChips.vue';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../../ui/fields.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import FillPicker from '../fill/FillPicker.vue';

/** How letters look: what fills them, how thick they are, their outlines and shadow. */
const props = defineProps<{ desk: DeskState; element: Words }>();
const words = computed(() => props.element);
const say = texts.words;
type Outline = NonNullable<Words['outlines']>[number];
type Shadow = NonNullable<Words['shadow']>;

const schema = schemaOf(elementSchema, 'words');
const letters = fieldsOf(schema);
const line = fieldsOf(schema.shape.outlines.unwrap().element);
const shade = fieldsOf(schema.shape.shadow.unwrap());
const THICKER = [
  letters.length('thicken', say.thicken, { step: 0.05, keep: (mm) => mm || undefined }),
];
const outlineFields = (name: string) => [
  line.length('width', say.width, { name: `${name}: ${say.width}`, step: 0.1 }),
];
const SHADOW = [
  shade.length('x', say.shadowAcross, { name: `${say.shadow}: ${say.shadowAcross}`, step: 0.1 }),
  shade.length('y', say.shadowDown, { name: `${say.shadow}: ${say.shadowDown}`, step: 0.1 }),
  shade.length('blur', say.blur, { name: `${say.shadow}: ${say.blur}`, step: 0.1 }),
  shade.percent('opacity', say.strength, { name: `${say.shadow}: ${say.strength}` }),
];

const outlines = computed(() => words.value.outlines ?? []);
/** The outlines there are, and the next that there can be. */
const offered = computed(() =>
  [say.outline, say.secondOutline].slice(0, outlines.value.length + 1),
);
const against = (color: string): string => (luminance(rgbOf(color)) < 0.3 ? '#fffdf9' : '#44203d');
const usualWidth = computed(() => Math.max(0.2, Math.round(words.value.size * 0.25) / 10));

function fill(value: Fill | null, key?: string, art?: Art): void {
  if (value) props.desk.change({ color: value }, key, art);
}

function outline(at: number, on: boolean): void {
  const before = at === 0 ? leadColor(words.value.color) : (outlines.value[0]?.color ?? '#000000');
  const made: Outline = { color: against(before), width: usualWidth.value };
  const list = on ? [...outlines.value, made] : outlines.value.slice(0, at);
  props.desk.change({ outlines: list.length ? list : undefined });
}

function outlined(at: number, changes: Partial<Outline>): void {
  const list = outlines.value.map((one, index) => (index === at ? { ...one, ...changes } : one));
  props.desk.change({ outlines: list }, `outline${at}`);
}

function shadow(on: boolean): void {
  const far = usualWidth.value;
  const made: Shadow = { x: far, y: far, blur: far * 2, color: '#2a1b2e', opacity: 0.5 };
  props.desk.change({ shadow: on ? made : undefined });
}

function shaded(changes: Partial<Shadow>): void {
  const key = `shadow-${Object.keys(changes).join()}`;
  props.desk.change({ shadow: { ...words.value.shadow, ...changes } }, key);
}
</script>

<template>
  <CardPanel :title="say.effects">
    <FillPicker
      :label="texts.artwork.color"
      :desk="desk"
      :model-value="words.color"
      :tried="(color) => desk.tried(() => ({ color }))"
      @update:model-value="fill"
    />
    <FieldRows :fields="THICKER" :of="words" @change="desk.change" />
    <template v-for="(name, at) in offered" :key="name">
      <CheckRow
        :label="name"
        :model-value="at < outlines.length"
        @update:model-value="outline(at, $event)"
      />
      <template v-if="outlines[at]">
        <FieldRows
          :fields="outlineFields(name)"
          :of="outlines[at]"
          @change="outlined(at, $event)"
        />
        <ColorChips
          :label="`${name}: ${say.color}`"
          :model-value="outlines[at].color"
          :colors="desk.colors.value"
          @update:model-value="$event && outlined(at, { color: $event })"
        />
      </template>
    </template>
    <CheckRow
      :label="say.shadow"
      :model-value="words.shadow !== undefined"
      @update:model-value="shadow"
    />
    <template v-if="words.shadow">
      <FieldRows :fields="SHADOW" :of="words.shadow" @change="shaded" />
      <ColorChips
        :label="`${say.shadow}: ${say.color}`"
        :model-value="words.shadow.color"
        :colors="desk.colors.value"
        @update:model-value="$event && shaded({ color: $event })"
      />
    </template>
  </CardPanel>
</template>
