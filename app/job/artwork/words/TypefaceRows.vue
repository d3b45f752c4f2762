<script setup lang="ts">
import { mdiFormatBold, mdiFormatItalic } from '@mdi/js';
import { computed } from 'vue';
import type { Words } from '../../../../core/piece/index.ts';
import {
  axesOf,
  findFace,
  hasForms,
  hasManyCuts,
  instanceId,
  isBold,
  nearestFace,
  readInstanceId,
  REGULAR,
  type Axis,
  type Cut,
} from '../../../../core/type/index.ts';
import { pageSources, resourceVersion } from '../../../session/page-resources.ts';
import { texts } from '../../../texts/index.ts';
import IconButton from '../../../ui/IconButton.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import SliderRow from '../../../ui/SliderRow.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** The typeface of words: its family, which cut of it, and where a variable one is on its axes. */
const props = defineProps<{ desk: DeskState; words: Words }>();
const { panel } = props.desk;
const say = texts.typefaces;
const BOLD = 700;
const CUSTOM = '';

const face = computed(() => findFace(props.words.typeface, props.desk.store.typefaces));
const now = computed<Cut>(() => face.value ?? REGULAR);
const cuts = computed(() => face.value?.family.cuts ?? []);
const bold = computed(() => isBold(now.value));
const own = computed(() => axesOf(props.words.typeface, props.desk.store.typefaces));

/** Whether the family has another cut like this one but for its weight or its slope. */
const hasBold = computed(() => cuts.value.some((cut) => isBold(cut) !== bold.value));
const hasItalic = computed(() => cuts.value.some(({ italic }) => italic !== now.value.italic));

function toggle(change: Partial<Cut>): void {
  const { value } = face;
  if (value)
    props.desk.change({ typeface: nearestFace(value.family, { ...now.value, ...change }) });
}

const named = computed<Readonly<Record<string, string>>>(() => ({
  ...(cuts.value.some(({ id }) => id === props.words.typeface)
    ? {}
    : { [CUSTOM]: say.cutName(now.value) }),
  ...Object.fromEntries(cuts.value.map((cut) => [cut.id, say.cutName(cut)])),
}));
const chosen = computed(() => (CUSTOM in named.value ? CUSTOM : props.words.typeface));

/** How fine an axis is moved: in whole units where it is long enough. */
const stepOf = ({ min, max }: Axis): number => (max - min >= 20 ? 1 : (max - min) / 100);

const usual = computed(() => readInstanceId(props.words.typeface).id);

function move({ tag }: Axis, value: number): void {
  const values = { ...own.value.values, [tag]: value };
  props.desk.change({ typeface: instanceId(usual.value, own.value.axes, values) }, `axis-${tag}`);
}

const offersForms = computed(() => {
  void resourceVersion.value;
  const loaded = pageSources.typeface(props.words.typeface);
  return props.words.features !== undefined || (loaded !== undefined && hasForms(loaded));
});

const written = (value: number): string => String(Math.round(value * 100) / 100);
</script>

<template>
  <div class="typeface">
    <button class="well face" type="button" :aria-label="say.choose" @click="panel = 'faces'">
      {{ face?.family.name ?? words.typeface }}
    </button>
    <span class="cuts">
      <IconButton
        :icon="mdiFormatBold"
        :name="hasBold || bold ? say.bold : say.noCut"
        :pressed="bold"
        :disabled="!hasBold"
        @click="toggle({ weight: bold ? REGULAR.weight : BOLD })"
      />
      <IconButton
        :icon="mdiFormatItalic"
        :name="hasItalic || now.italic ? say.italic : say.noCut"
        :pressed="now.italic"
        :disabled="!hasItalic"
        @click="toggle({ italic: !now.italic })"
      />
    </span>
  </div>
  <SelectRow
    v-if="face && hasManyCuts(face.family)"
    :label="say.cut"
    :name="say.cutLong"
    :model-value="chosen"
    :choices="named"
    @update:model-value="$event !== CUSTOM && desk.change({ typeface: $event })"
  />
  <SliderRow
    v-for="axis in own.axes"
    :key="axis.tag"
    :label="say.axes[axis.tag] ?? axis.name"
    :model-value="own.values[axis.tag] ?? axis.usual"
    :min="axis.min"
    :max="axis.max"
    :step="stepOf(axis)"
    :said="written(own.values[axis.tag] ?? axis.usual)"
    @update:model-value="move(axis, $event)"
  />
  <LinkButton
    v-if="own.axes.length && usual !== words.typeface"
    @click="desk.change({ typeface: usual })"
  >
    {{ say.axisReset }}
  </LinkButton>
  <LinkButton v-if="offersForms" @click="panel = 'forms'">{{ say.openForms }}</LinkButton>
</template>

<style scoped>
.typeface {
  display: flex;
  align-items: center;
  gap: 6px;
  margin-bottom: 4px;
}
.face {
  flex: 1;
  min-width: 0;
  min-height: 32px;
  overflow: hidden;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.cuts {
  display: flex;
}
</style>
