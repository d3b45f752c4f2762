<script setup lang="ts">
import {
  mdiArrangeBringForward,
  mdiArrangeSendBackward,
  mdiContentDuplicate,
  mdiDeleteOutline,
  mdiEyeOffOutline,
  mdiEyeOutline,
  mdiFlipHorizontal,
  mdiFlipVertical,
  mdiFormatPaint,
  mdiLinkVariant,
  mdiLinkVariantOff,
  mdiLockOpenVariantOutline,
  mdiLockOutline,
  mdiPaletteSwatchOutline,
} from '@mdi/js';
import { computed, ref, watch } from 'vue';
import { sizesOf } from '../../../core/job/index.ts';
import {
  elementSchema,
  elementSize,
  elementTitle,
  type PieceElement,
} from '../../../core/piece/index.ts';
import { titleText } from '../../../messages/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import FactRow from '../../ui/FactRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf, schemaOf } from '../../ui/fields.ts';
import IconButton from '../../ui/IconButton.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import AlignElements from './AlignElements.vue';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { anchored, anchorOf, turnedAbout, type Anchor } from './anchor.ts';
import { texts } from '../../texts/index.ts';

/** Where an element stands, exactly: about an anchor of its box. */
const props = defineProps<{ desk: DeskState; committed: PieceElement }>();
/** While it is moved its numbers follow. */
const element = computed(() => props.desk.only.value ?? props.committed);
defineEmits<{ duplicate: []; delete: [] }>();
const words = texts.exact;
// What every kind of element has, by one of them.
const { percent } = fieldsOf(schemaOf(elementSchema, 'picture'));
const OPACITY = [
  percent('opacity', texts.ornaments.opacity, {
    missing: 1,
    keep: (share) => (share < 1 ? share : undefined),
  }),
];
const ANCHORS: readonly Anchor[] = [-1, 0, 1].flatMap((y) =>
  [-1, 0, 1].map((x) => ({ x, y }) as Anchor),
);
const anchor = ref<Anchor>({ x: 0, y: 0 });
/** Proportions are kept unless they are let go, and words have none. */
const kept = ref(true);
watch(
  () => element.value.id,
  () => (kept.value = element.value.kind !== 'words'),
  { immediate: true },
);

const size = computed(() => elementSize(element.value));
const corner = computed(() => ({
  x: (props.desk.compiled.value?.width ?? 0) / 2,
  y: (props.desk.compiled.value?.height ?? 0) / 2,
}));
const at = computed(() => anchorOf(element.value, anchor.value));
const index = computed(() => props.desk.piece.value?.elements.indexOf(element.value) ?? 0);
const last = computed(() => (props.desk.piece.value?.elements.length ?? 1) - 1);
const bent = computed(() => element.value.kind === 'words' && element.value.path.kind === 'circle');
const title = computed(() =>
  titleText(
    elementTitle({ ...element.value, name: undefined }, (id) => props.desk.store.job?.art[id]),
  ),
);

function move(axis: 'x' | 'y', to: number): void {
  const by = to - corner.value[axis] - at.value[axis];
  props.desk.change({ [axis]: element.value[axis] + by }, 'place');
}

function resize(side: 'width' | 'height', to: number): void {
  const other = side === 'width' ? 'height' : 'width';
  const next = {
    ...size.value,
    [side]: to,
    ...(kept.value ? { [other]: (size.value[other] * to) / size.value[side] } : {}),
  };
  props.desk.change(anchored(element.value, anchor.value, next), 'resize');
}

function reorder(to: number): void {
  if (props.desk.piece.value)
    props.desk.store.act({
      name: 'reorder-element',
      args: { piece: props.desk.piece.value.id, element: element.value.id, to },
    });
}

/** Mirrors along one axis: twice is as before, and with the other one it is both. */
function flip(axis: 'across' | 'down'): void {
  const { flip: now } = element.value;
  const other = axis === 'across' ? 'down' : 'across';
  const flipped = !now ? axis : now === axis ? undefined : now === other ? 'both' : other;
  props.desk.change({ flip: flipped });
}

/** Whether the piece is made in several sizes, to which its elements adapt. */
const otherSizes = computed(() => {
  const { store, committedPiece } = props.desk;
  return Boolean(
    store.committed &&
    committedPiece.value &&
    sizesOf(store.committed, committedPiece.value.id).length,
  );
});

const folds = computed(() => Boolean(props.desk.committedCompiled.value?.creases.length));

function adapt(way: string): void {
  props.desk.change({ adapt: way === 'grow' ? undefined : way });
}

function rename(event: Event): void {
  props.desk.change({ name: (event.target as HTMLInputElement).value.trim() || undefined });
}
</script>

<template>
  <CardPanel :title="texts.artwork.place">
    <FactRow as="label" :label="words.name">
      <input
        class="well name"
        :value="element.name ?? ''"
        :placeholder="title"
        maxlength="60"
        @change="rename"
      />
    </FactRow>
    <div class="exact">
      <div class="anchors" role="radiogroup" :aria-label="words.anchor">
        <button
          v-for="(one, place) in ANCHORS"
          :key="place"
          type="button"
          role="radio"
          :aria-checked="one.x === anchor.x && one.y === anchor.y"
          :aria-label="words.anchorPlace(one.y + 1, one.x + 1)"
          :title="words.anchorPlace(one.y + 1, one.x + 1)"
          @click="anchor = one"
        />
      </div>
      <div class="places">
        <LengthRow
          :label="texts.artwork.fromLeft"
          :model-value="corner.x + at.x"
          :step="0.1"
          @update:model-value="move('x', $event)"
        />
        <LengthRow
          :label="texts.artwork.fromTop"
          :model-value="corner.y + at.y"
          :step="0.1"
          @update:model-value="move('y', $event)"
        />
      </div>
    </div>
    <div v-if="!bent" class="exact">
      <IconButton
        :icon="kept ? mdiLinkVariant : mdiLinkVariantOff"
        :name="words.proportions"
        :pressed="kept"
        @click="kept = !kept"
      />
      <div class="places">
        <LengthRow
          v-for="side in ['width', 'height'] as const"
          :key="side"
          :label="texts.artwork[side]"
          :model-value="size[side]"
          :min="0.5"
          :max="2000"
          @update:model-value="resize(side, $event)"
        />
      </div>
    </div>
    <NumberRow
      :label="texts.artwork.turnedBy"
      :name="texts.artwork.turnLong"
      :model-value="element.angle"
      suffix="°"
      :digits="1"
      @update:model-value="desk.change(turnedAbout(element, anchor, $event), 'turn')"
    />
    <FieldRows :fields="OPACITY" :of="element" @change="desk.change" />
    <FactRow v-if="otherSizes" as="label" :label="texts.variants.adapt">
      <select
        class="well adapt"
        :value="element.adapt ?? 'grow'"
        @change="adapt(($event.target as HTMLSelectElement).value)"
      >
        <option v-for="(name, way) in texts.variants.adapts" :key="way" :value="way">
          {{ name }}
        </option>
      </select>
    </FactRow>
    <CheckRow
      v-if="folds && element.kind !== 'plate'"
      :label="words.acrossFolds"
      :title="words.acrossFoldsLong"
      :model-value="element.acrossFolds === true"
      @update:model-value="desk.change({ acrossFolds: $event || undefined })"
    />
    <AlignElements :desk="desk" />
    <div class="buttons">
      <IconButton
        :icon="mdiArrangeSendBackward"
        :name="texts.artwork.earlier"
        :disabled="index <= 0"
        @click="reorder(index - 1)"
      />
      <IconButton
        :icon="mdiArrangeBringForward"
        :name="texts.artwork.later"
        :disabled="index >= last"
        @click="reorder(index + 1)"
      />
      <IconButton
        :icon="element.locked ? mdiLockOutline : mdiLockOpenVariantOutline"
        :name="element.locked ? texts.artwork.unlock : texts.artwork.lock"
        :pressed="element.locked"
        @click="desk.change({ locked: !element.locked })"
      />
      <IconButton
        :icon="element.hidden ? mdiEyeOffOutline : mdiEyeOutline"
        :name="element.hidden ? words.show : words.hide"
        :pressed="element.hidden === true"
        @click="desk.change({ hidden: element.hidden ? undefined : true })"
      />
      <IconButton
        :icon="mdiFlipHorizontal"
        :name="texts.ornaments.flipAcross"
        :pressed="element.flip === 'across' || element.flip === 'both'"
        @click="flip('across')"
      />
      <IconButton
        :icon="mdiFlipVertical"
        :name="texts.ornaments.flipDown"
        :pressed="element.flip === 'down' || element.flip === 'both'"
        @click="flip('down')"
      />
      <IconButton
        :icon="mdiPaletteSwatchOutline"
        :name="words.copyStyle"
        @click="desk.copyStyle(element)"
      />
      <IconButton
        :icon="mdiFormatPaint"
        :name="words.pasteStyle"
        :disabled="!desk.copiedStyle.value"
        @click="desk.pasteStyle()"
      />
      <IconButton
        :icon="mdiContentDuplicate"
        :name="texts.artwork.duplicate"
        @click="$emit('duplicate')"
      />
      <IconButton
        :icon="mdiDeleteOutline"
        :name="texts.artwork.delete"
        :disabled="element.locked"
        @click="$emit('delete')"
      />
    </div>
  </CardPanel>
</template>

<style scoped>
.name {
  width: 150px;
}
.adapt {
  width: 176px;
}
.exact {
  display: flex;
  align-items: center;
  gap: 10px;
}
.exact > :deep(.icon) {
  margin: 0 1px;
}
.places {
  flex: 1;
}
.anchors {
  display: grid;
  grid-template-columns: repeat(3, 12px);
  gap: 2px;
}
.anchors button {
  width: 12px;
  height: 12px;
  border: 1.5px solid var(--field-line);
  border-radius: 3px;
  padding: 0;
  background: var(--well);
  cursor: pointer;
}
.anchors button[aria-checked='true'] {
  border-color: var(--plum);
  background: var(--plum);
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  margin: 2px -6px -6px;
}
.buttons :deep(.icon) {
  min-width: 33px;
}
@media (pointer: coarse) {
  .anchors {
    grid-template-columns: repeat(3, 24px);
  }
  .anchors button {
    width: 24px;
    height: 24px;
  }
}
</style>
