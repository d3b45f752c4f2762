<script setup lang="ts">
import { computed } from 'vue';
import { findCopy, type SheetCopy } from '../../../core/sheet/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../../session/job-store.ts';
import CopyActions from './CopyActions.vue';
import { moveCall } from './move-call.ts';

/** Where one copy lies, to be read and typed. */
const props = defineProps<{ copy: SheetCopy; sheet: number }>();
const emit = defineEmits<{ follow: [sheet: number]; gone: [] }>();
const store = useJobStore();
const settings = useSettings();
const say = texts.sheet;
const placement = computed(() => props.copy.placement);
const number = computed(
  () => store.committed && findCopy(store.committed, placement.value.copy)?.number,
);
const sheets = computed(() => store.layout?.sheets.length ?? 1);

function move(changes: { x?: number; y?: number; angle?: number; sheet?: number }): void {
  const call = moveCall([props.copy], props.sheet, () => changes);
  store.act(call, `place:${placement.value.copy}`);
}

function moveTo(sheet: number): void {
  move({ sheet });
  emit('follow', sheet);
}
</script>

<template>
  <CardPanel :title="say.thisCopy" :aside="number ? say.copyNumber(number) : ''" peeled>
    <FactRow :label="say.piece"
      ><span>{{ copy.piece.piece.name }}</span></FactRow
    >
    <NumberRow
      v-if="sheets > 1"
      :label="say.onSheet"
      :model-value="sheet + 1"
      :min="1"
      :max="sheets"
      :suffix="say.ofSheets(sheets)"
      @update:model-value="moveTo($event - 1)"
    />
    <LengthRow
      :label="say.middleFromLeft"
      :model-value="placement.x"
      :step="0.1"
      @update:model-value="move({ x: $event })"
    />
    <LengthRow
      :label="say.middleFromTop"
      :model-value="placement.y"
      :step="0.1"
      @update:model-value="move({ y: $event })"
    />
    <NumberRow
      :label="say.turnedBy"
      :name="say.turnLong"
      :model-value="placement.angle"
      suffix="°"
      :digits="1"
      @update:model-value="move({ angle: $event })"
    />
    <FactRow :label="say.bleedItGets"
      ><span>{{ formatLength(copy.bleed, settings.unit) }}</span></FactRow
    >
    <CopyActions :copies="[copy]" :sheet="sheet" @gone="emit('gone')" />
  </CardPanel>
</template>
