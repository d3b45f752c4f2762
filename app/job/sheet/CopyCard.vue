<script setup lang="ts">
import { computed } from 'vue';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useJobStore } from '../store/job-store.ts';
import { texts } from '../../texts/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { useSettings } from '../../ui/settings-store.ts';

const props = defineProps<{ copy: SheetCopy; sheet: number }>();
const store = useJobStore();
const settings = useSettings();
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
  <CardPanel :title="texts.sheet.thisCopy" :aside="`no. ${number}`">
    <FactRow :label="texts.sheet.piece"
      ><span>{{ copy.piece.piece.name }}</span></FactRow
    >
    <LengthRow
      :label="texts.sheet.middleFromLeft"
      :model-value="placement.x"
      :step="0.1"
      @update:model-value="move({ x: $event })"
    />
    <LengthRow
      :label="texts.sheet.middleFromTop"
      :model-value="placement.y"
      :step="0.1"
      @update:model-value="move({ y: $event })"
    />
    <NumberRow
      :label="texts.sheet.turnedBy"
      :name="texts.sheet.turnLong"
      :model-value="placement.angle"
      suffix="°"
      :digits="1"
      @update:model-value="move({ angle: $event })"
    />
    <FactRow :label="texts.sheet.bleedItGets"
      ><span>{{ formatLength(copy.bleed, settings.unit) }}</span></FactRow
    >
    <button
      v-if="placement.byHand"
      class="link"
      type="button"
      @click="store.act({ name: 'return-copies', args: { copies: [placement.copy] } })"
    >
      {{ texts.sheet.back }}
    </button>
  </CardPanel>
</template>
