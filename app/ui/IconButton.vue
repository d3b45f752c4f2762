<script setup lang="ts">
/** A button that shows an icon, with or without its name below; the name is always told. */
defineProps<{
  icon: string;
  name: string;
  named?: boolean;
  disabled?: boolean;
  pressed?: boolean;
}>();
defineEmits<{ click: [event: MouseEvent] }>();
</script>

<template>
  <button
    type="button"
    class="icon"
    :class="{ named }"
    :title="named ? undefined : name"
    :aria-label="name"
    :aria-pressed="pressed"
    :disabled="disabled"
    @click="$emit('click', $event)"
  >
    <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="icon" /></svg>
    <span v-if="named">{{ name }}</span>
  </button>
</template>

<style scoped>
.icon {
  display: inline-flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 3px;
  min-width: 34px;
  min-height: 34px;
  border: 0;
  border-radius: 12px;
  padding: 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  font-size: 12.5px;
  cursor: pointer;
}
.icon svg {
  width: 19px;
  height: 19px;
  fill: var(--plum);
}
.named {
  min-width: 64px;
  padding: 6px 8px;
}
.icon:hover:not(:disabled),
.icon[aria-pressed='true'] {
  background: var(--apricot-soft);
}
.icon:disabled {
  opacity: 0.4;
  cursor: default;
}
@media (pointer: coarse) {
  .icon {
    min-width: 44px;
    min-height: 44px;
  }
}
</style>
