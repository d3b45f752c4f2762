<script setup lang="ts">
import {
  mdiArrangeBringForward,
  mdiArrangeSendBackward,
  mdiContentDuplicate,
  mdiDeleteOutline,
  mdiFormatHorizontalAlignCenter,
  mdiFormatVerticalAlignCenter,
  mdiLockOpenVariantOutline,
  mdiLockOutline,
} from '@mdi/js';
import { computed } from 'vue';
import { elementSize, resizedElement, type PieceElement } from '../../../core/piece/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import IconButton from '../../ui/IconButton.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import type { DeskState } from './desk-state.ts';

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
      name: 'duplicate-element',
      args: { piece: piece.value.id, element: props.element.id },
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
  <CardPanel title="Place">
    <FactRow label="From left"
      ><LengthField
        label="From left"
        :model-value="left"
        :step="0.1"
        @update:model-value="desk.change({ x: $event - corner.x + size.width / 2 }, 'place')"
    /></FactRow>
    <FactRow label="From top"
      ><LengthField
        label="From top"
        :model-value="top"
        :step="0.1"
        @update:model-value="desk.change({ y: $event - corner.y + size.height / 2 }, 'place')"
    /></FactRow>
    <template v-if="!bent">
      <FactRow label="Width"
        ><LengthField
          label="Width"
          :model-value="size.width"
          :min="0.5"
          :max="2000"
          @update:model-value="
            resize(
              $event,
              element.kind === 'picture' ? (size.height * $event) / size.width : size.height,
            )
          "
      /></FactRow>
      <FactRow label="Height"
        ><LengthField
          label="Height"
          :model-value="size.height"
          :min="0.5"
          :max="2000"
          @update:model-value="
            resize(
              element.kind === 'picture' ? (size.width * $event) / size.height : size.width,
              $event,
            )
          "
      /></FactRow>
    </template>
    <FactRow label="Turned by"
      ><NumberField
        label="Turn in degrees"
        :model-value="element.angle"
        suffix="°"
        :digits="1"
        @update:model-value="desk.change({ angle: $event }, 'turn')"
    /></FactRow>
    <div class="buttons">
      <IconButton
        :icon="mdiFormatHorizontalAlignCenter"
        name="To the middle, across"
        @click="desk.change({ x: 0 })"
      />
      <IconButton
        :icon="mdiFormatVerticalAlignCenter"
        name="To the middle, down"
        @click="desk.change({ y: 0 })"
      />
      <IconButton
        :icon="mdiArrangeSendBackward"
        name="Print earlier, below"
        :disabled="index <= 0"
        @click="reorder(index - 1)"
      />
      <IconButton
        :icon="mdiArrangeBringForward"
        name="Print later, above"
        :disabled="index >= last"
        @click="reorder(index + 1)"
      />
      <IconButton
        :icon="element.locked ? mdiLockOutline : mdiLockOpenVariantOutline"
        :name="element.locked ? 'Unlock' : 'Lock'"
        :pressed="element.locked"
        @click="desk.change({ locked: !element.locked })"
      />
      <IconButton :icon="mdiContentDuplicate" name="Duplicate" @click="duplicate" />
      <IconButton
        :icon="mdiDeleteOutline"
        name="Delete"
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
