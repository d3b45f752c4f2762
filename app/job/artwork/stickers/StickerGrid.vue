<script setup lang="ts">
import { computed } from 'vue';
import { pieceSize, type Piece } from '../../../../core/piece/index.ts';
import PieceThumbnail from '../../../session/PieceThumbnail.vue';
import { texts } from '../../../texts/index.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';

/** The other pieces of the job; a click puts one on this piece as a sticker. */
const props = defineProps<{ desk: DeskState }>();
const others = computed(() =>
  props.desk.store.own.filter(({ id }) => id !== props.desk.committedPiece.value?.id),
);

function add(other: Piece): void {
  props.desk.add({
    id: '',
    kind: 'piece',
    piece: other.id,
    name: other.name.slice(0, 60),
    cut: 'kiss',
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    ...pieceSize(other),
  });
}
</script>

<template>
  <template v-if="others.length && desk.store.committed">
    <h3>{{ texts.stickers.ofThisJob }}</h3>
    <div class="tiles">
      <button
        v-for="other in others"
        :key="other.id"
        type="button"
        :aria-label="texts.stickers.add(other.name)"
        :title="other.name"
        @click="add(other)"
      >
        <PieceThumbnail :job="desk.store.committed" :piece="other.id" />
      </button>
    </div>
  </template>
</template>

<style scoped>
h3 {
  margin: 10px 2px 4px;
  font-size: 13px;
}
</style>
