<script setup lang="ts">
import { onMounted, ref } from 'vue';

/** A desk: the bench with its floating trays in the middle, and cards about the selection at the right. */
defineProps<{ cards?: string }>();

/** Cards follow the bench by a frame, so that neither blocks the page for long. */
const isBenchThere = ref(false);
onMounted(() => requestAnimationFrame(() => (isBenchThere.value = true)));
</script>

<template>
  <div class="desk">
    <div class="middle">
      <div class="bench">
        <slot name="bench" />
        <div v-if="$slots.foot" class="foot"><slot name="foot" /></div>
      </div>
      <slot name="below" />
    </div>
    <aside v-if="$slots.cards" class="cards" :aria-label="cards">
      <slot v-if="isBenchThere" name="cards" />
    </aside>
  </div>
</template>

<style scoped>
.desk {
  display: flex;
  height: 100%;
  min-width: 0;
}
.middle {
  display: flex;
  flex: 1;
  flex-direction: column;
  min-width: 0;
}
.bench {
  position: relative;
  user-select: none;
  flex: 1;
  min-height: 0;
  overflow: hidden;
  background:
    radial-gradient(circle, var(--bench-dot) 1px, transparent 1.2px) 0 0 / 22px 22px,
    linear-gradient(150deg, var(--bench-from), var(--bench-to));
}
.foot {
  position: absolute;
  right: 14px;
  bottom: 16px;
  left: 24px;
  display: flex;
  gap: 10px;
  align-items: flex-end;
  justify-content: space-between;
  pointer-events: none;
}
.foot > :deep(*) {
  flex: none;
  pointer-events: auto;
}
.foot > :deep(.grows) {
  flex: 0 1 auto;
  min-width: 0;
}
.cards {
  display: flex;
  flex: none;
  flex-direction: column;
  gap: 12px;
  box-sizing: border-box;
  width: 284px;
  border-left: 1px solid var(--line);
  padding: 14px;
  overflow: auto;
  background: var(--paper);
}
.cards > :deep(*) {
  flex: none;
}
@media (max-width: 1100px) {
  .cards {
    width: 250px;
    padding: 10px;
  }
}
</style>
