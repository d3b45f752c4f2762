<script setup lang="ts">
import {
  mdiArrangeBringForward,
  mdiArrangeSendBackward,
  mdiContentDuplicate,
  mdiDeleteOutline,
  mdiFlipHorizontal,
  mdiFlipVertical,
  mdiFormatHorizontalAlignCenter,
  mdiFormatVerticalAlignCenter,
  mdiLockOpenVariantOutline,
  mdiLockOutline,
} from '@mdi/js';
import { computed } from 'vue';
import { elementSize, resizedElement, type PieceElement } from '../../../core/piece/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import IconButton from '../../ui/IconButton.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { DeskState } from './desk-state.ts';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; element: PieceElement }>();
const size = computed(() => elementSize(props.element));
const corner = computed(() => ({
  x: (props.desk.compiled.value?.width ?? 0) / 2,
  y: (props.desk.compiled.value?.height ?? 0) / 2,
}));
const left = computed(() => corner.value.x + props.element.x - size.value.width / 2);
const top = computed(() => corner.value.y + props.element.y - size.value.height / 2);
const index = computed(() => props.desk.piece.value?.elements.indexOf(props.element) ?? 0);
const last = computed(() => (props.desk.piece.value?.elements.length ?? 1) - 1);
const bent = computed(() => props.element.kind === 'words' && props.element.path.kind === 'circle');

function resize(width: number, height: number): void {
  props.desk.change({ ...resizedElement(props.element, width, height) }, 'resize');
}

/** Mirrors along one axis: twice is as before, and with the other one it is both. */
function flip(axis: 'across' | 'down'): void {
  const { flip: now } = props.element;
  const other = axis === 'across' ? 'down' : 'across';
  const flip = !now ? axis : now === axis ? undefined : now === other ? 'both' : other;
  props.desk.change({ flip });
}

function reorder(to: number): void {
  if (props.desk.piece.value)
    props.desk.store.act({
      name: 'reorder-element',
      args: { piece: props.desk.piece.value.id, element: props.element.id, to },
    });
}

function duplicate(): void {
  const { piece, store } = props.desk;
  if (piece.value)
    store.act({
      name: 'duplicate-elements',
      args: { piece: piece.value.id, elements: [props.element.id] },
    });
}

function remove(): void {
  const { piece, store } = props.desk;
  if (piece.value)
    store.act({
      name: 'delete-elements',
      args: { piece: piece.value.id, elements: [props.element.id] },
    });
}
</script>

<template>
  <CardPanel :title="texts.artwork.place">
    <LengthRow
      :label="texts.artwork.fromLeft"
      :model-value="left"
      :step="0.1"
      @update:model-value="desk.change({ x: $event - corner.x + size.width / 2 }, 'place')"
    />
    <LengthRow
      :label="texts.artwork.fromTop"
      :model-value="top"
      :step="0.1"
      @update:model-value="desk.change({ y: $event - corner.y + size.height / 2 }, 'place')"
    />
    <template v-if="!bent">
      <LengthRow
        :label="texts.artwork.width"
        :model-value="size.width"
        :min="0.5"
        :max="2000"
        @update:model-value="
          resize(
            $event,
            element.kind === 'picture' ? (size.height * $event) / size.width : size.height,
          )
        "
      />
      <LengthRow
        :label="texts.artwork.height"
        :model-value="size.height"
        :min="0.5"
        :max="2000"
        @update:model-value="
          resize(
            element.kind === 'picture' ? (size.width * $event) / size.height : size.width,
            $event,
          )
        "
      />
    </template>
    <NumberRow
      :label="texts.artwork.turnedBy"
      :name="texts.artwork.turnLong"
      :model-value="element.angle"
      suffix="°"
      :digits="1"
      @update:model-value="desk.change({ angle: $event }, 'turn')"
    />
    <NumberRow
      :label="texts.ornaments.opacity"
      :model-value="Math.round((1 - (element.opacity ?? 1)) * 100)"
      suffix="%"
      :min="0"
      :max="98"
      :step="5"
      @update:model-value="
        desk.change({ opacity: $event > 0 ? 1 - $event / 100 : undefined }, 'clear')
      "
    />
    <div class="buttons">
      <IconButton
        :icon="mdiFormatHorizontalAlignCenter"
        :name="texts.artwork.middleAcross"
        @click="desk.change({ x: 0 })"
      />
      <IconButton
        :icon="mdiFormatVerticalAlignCenter"
        :name="texts.artwork.middleDown"
        @click="desk.change({ y: 0 })"
      />
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
      <IconButton :icon="mdiContentDuplicate" :name="texts.artwork.duplicate" @click="duplicate" />
      <IconButton
        :icon="mdiDeleteOutline"
        :name="texts.artwork.delete"
        :disabled="element.locked"
        @click="remove"
      />
    </div>
  </CardPanel>
</template>

<style scoped>
.buttons {
  display: flex;
  flex-wrap: wrap;
  margin: 6px -8px -6px;
}
.buttons :deep(.icon) {
  min-width: 33px;
}
</style>
