<script setup lang="ts">
import { computed, shallowRef, watchEffect } from 'vue';
import { boxAbout } from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import AlignRow from '../align/AlignRow.vue';
import type { Moves } from '../align/align.ts';
import { useJobStore } from '../store/job-store.ts';
import CopyActions from './CopyActions.vue';

/** What can be done with several copies together. */
const props = defineProps<{ copies: readonly SheetCopy[]; sheet: number }>();
const emit = defineEmits<{ gone: [] }>();
const store = useJobStore();
/** The copies as they stand without what is just shown. */
const still = shallowRef(props.copies);
watchEffect(() => {
  if (store.job === store.settled) still.value = props.copies;
});
const movables = computed(() =>
  still.value.map(({ placement, box }) => ({ ids: [placement.copy], box })),
);
const frame = computed(() => {
  const { width = 0, height = 0 } = store.settled?.stock ?? {};
  return boxAbout({ x: width / 2, y: height / 2 }, width, height);
});

function callFor(moves: Moves): CommandCall {
  const places = Object.fromEntries(
    still.value.flatMap(({ placement: { copy, x, y, angle } }) => {
      const { dx, dy } = moves[copy] ?? { dx: 0, dy: 0 };
      return dx || dy ? [[copy, { sheet: props.sheet, x: x + dx, y: y + dy, angle }]] : [];
    }),
  );
  return { name: 'move-copies', args: { places } };
}
</script>

<template>
  <CardPanel :title="texts.sheet.several(copies.length)" peeled>
    <AlignRow :movables="movables" :frame="frame" :call-for="callFor" />
    <CopyActions :copies="copies" :sheet="sheet" @gone="emit('gone')" />
  </CardPanel>
</template>
