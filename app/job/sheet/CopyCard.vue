<script setup lang="ts">
import { computed } from 'vue';
import {
  findCopy,
  handPlaceSchema,
  type HandPlace,
  type SheetCopy,
} from '../../../core/sheet/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import FactRow from '../../ui/FactRow.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
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
const { length, angle } = fieldsOf(handPlaceSchema);
const PLACE = [
  length('x', say.middleFromLeft, { step: 0.1 }),
  length('y', say.middleFromTop, { step: 0.1 }),
  angle('angle', say.turnedBy, { name: say.turnLong }),
];
const placement = computed(() => props.copy.placement);
const number = computed(
  () => store.committed && findCopy(store.committed, placement.value.copy)?.number,
);
const sheets = computed(() => store.layout?.sheets.length ?? 1);

function move(changes: Partial<HandPlace>): void {
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
    <FieldRows
      :fields="PLACE"
      :of="{ sheet, x: placement.x, y: placement.y, angle: placement.angle }"
      @change="move"
    />
    <FactRow :label="say.bleedItGets"
      ><span>{{ formatLength(copy.bleed, settings.unit) }}</span></FactRow
    >
    <CopyActions :copies="[copy]" :sheet="sheet" @gone="emit('gone')" />
  </CardPanel>
</template>
