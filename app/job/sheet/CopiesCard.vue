<script setup lang="ts">
import { computed } from 'vue';
import { boxAbout } from '../../../core/geometry/index.ts';
import type { CommandCall } from '../../../core/job/index.ts';
import type { SheetCopy } from '../../../core/sheet/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import AlignRow from '../align/AlignRow.vue';
import type { Moves } from '../align/align.ts';
import { useJobStore } from '../../session/job-store.ts';
import { useCommitted } from '../common/committed.ts';
import CopyActions from './CopyActions.vue';
import { moveCall } from './move-call.ts';

/** What can be done with several copies together. */
const props = defineProps<{ copies: readonly SheetCopy[]; sheet: number }>();
const emit = defineEmits<{ gone: [] }>();
const store = useJobStore();
/** The copies as they stand without what is just shown. */
const committed = useCommitted(() => props.copies);
const movables = computed(() =>
  committed.value.map(({ placement, box }) => ({ ids: [placement.copy], box })),
);
const frame = computed(() => {
  const { width = 0, height = 0 } = store.committed?.stock ?? {};
  return boxAbout({ x: width / 2, y: height / 2 }, width, height);
});

function callFor(moves: Moves): CommandCall {
  const moving = committed.value.filter(
    ({ placement: { copy } }) => moves[copy]?.dx || moves[copy]?.dy,
  );
  return moveCall(moving, props.sheet, ({ copy, x, y }) => {
    const { dx = 0, dy = 0 } = moves[copy] ?? {};
    return { x: x + dx, y: y + dy };
  });
}
</script>

<template>
  <CardPanel :title="texts.sheet.several(copies.length)" peeled>
    <AlignRow :movables="movables" :frame="frame" :call-for="callFor" />
    <CopyActions :copies="copies" :sheet="sheet" @gone="emit('gone')" />
  </CardPanel>
</template>
