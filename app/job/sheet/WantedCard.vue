<script setup lang="ts">
import { computed } from 'vue';
import PieceThumbnail from '../../shelf/PieceThumbnail.vue';
import CardPanel from '../../ui/CardPanel.vue';
import NumberField from '../../ui/NumberField.vue';
import { useJobStore } from '../store/job-store.ts';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const total = computed(() =>
  Object.values(store.job?.plan.wanted ?? {}).reduce((sum, count) => sum + count, 0),
);
const spare = computed(() => store.layout?.spare ?? 0);

/** Fills the last sheet with copies of the last piece. */
function fill(): void {
  const last = store.job?.pieces[store.job.pieces.length - 1];
  if (last)
    store.act({
      name: 'want',
      args: { piece: last.id, count: (store.job?.plan.wanted[last.id] ?? 0) + spare.value },
    });
}
</script>

<template>
  <CardPanel v-if="store.job" :title="texts.sheet.wanted" :aside="String(total)" peeled>
    <label v-for="piece in store.job.pieces" :key="piece.id" class="row">
      <PieceThumbnail :job="store.job" :piece="piece.id" />
      <span class="name" :title="piece.name">{{ piece.name }}</span>
      <NumberField
        :label="texts.sheet.wantedOf(piece.name)"
        :model-value="store.job.plan.wanted[piece.id] ?? 0"
        :min="0"
        :max="5000"
        @update:model-value="
          store.act({ name: 'want', args: { piece: piece.id, count: $event } }, `want:${piece.id}`)
        "
      />
    </label>
    <p v-if="spare > 0" class="spare">
      <button class="link" type="button" @click="fill">
        {{ texts.sheet.fill(spare) }}
      </button>
    </p>
  </CardPanel>
</template>

<style scoped>
.row {
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 40px;
}
svg {
  flex: none;
  width: 30px;
  height: 30px;
}
.name {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
.spare {
  margin: 6px 0 0;
}
</style>
