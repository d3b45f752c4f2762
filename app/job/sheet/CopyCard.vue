<script setup lang="ts">
import { computed } from 'vue';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthField from '../../ui/LengthField.vue';
import NumberField from '../../ui/NumberField.vue';
import { useJobStore } from '../store/job-store.ts';

const props = defineProps<{ copy: SheetCopy; sheet: number }>();
const store = useJobStore();
const placement = computed(() => props.copy.placement);
const number = computed(() => placement.value.copy.split('#').pop());

function move(changes: { x?: number; y?: number; angle?: number }): void {
  const { x, y, angle, copy } = placement.value;
  store.act(
    { name: 'move-copy', args: { copy, place: { sheet: props.sheet, x, y, angle, ...changes } } },
    `place:${copy}`,
  );
}
</script>

<template>
  <CardPanel title="This copy" :aside="`no. ${number}`">
    <FactRow label="Piece"
      ><span>{{ copy.piece.piece.name }}</span></FactRow
    >
    <FactRow label="Middle from left"
      ><LengthField
        label="Middle from left"
        :model-value="placement.x"
        :step="0.1"
        @update:model-value="move({ x: $event })"
    /></FactRow>
    <FactRow label="Middle from top"
      ><LengthField
        label="Middle from top"
        :model-value="placement.y"
        :step="0.1"
        @update:model-value="move({ y: $event })"
    /></FactRow>
    <FactRow label="Turned by"
      ><NumberField
        label="Turn in degrees"
        :model-value="placement.angle"
        suffix="°"
        :digits="1"
        @update:model-value="move({ angle: $event })"
    /></FactRow>
    <FactRow label="Bleed it gets"
      ><span>{{ copy.bleed.toFixed(1) }} mm</span></FactRow
    >
    <button
      v-if="placement.byHand"
      class="link"
      type="button"
      @click="store.act({ name: 'return-copies', args: { copies: [placement.copy] } })"
    >
      Put it back
    </button>
  </CardPanel>
</template>
