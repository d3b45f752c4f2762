<script setup lang="ts">
/** A card at the right of a desk, about the selection only. */
defineProps<{
  title: string;
  aside?: string;
  peeled?: boolean;
  tone?: 'amber' | 'brick' | 'leaf';
}>();
</script>

<template>
  <section class="card" :class="[tone, { peeled }]">
    <header>
      <h2>{{ title }}</h2>
      <span v-if="aside" class="quiet">{{ aside }}</span>
    </header>
    <slot />
  </section>
</template>

<style scoped>
.card {
  position: relative;
  border: 1px solid var(--line);
  border-radius: var(--r-card);
  padding: 13px 14px 14px;
  background: var(--card);
}
header {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  margin-bottom: 8px;
}
h2 {
  font-size: 13.5px;
  overflow-wrap: anywhere;
}
.amber {
  border-color: var(--amber);
  background: var(--amber-soft);
}
.brick {
  border-color: var(--brick);
  background: var(--brick-soft);
}
.leaf {
  border-color: var(--leaf);
  background: var(--leaf-soft);
}
.peeled header {
  padding-right: 20px;
}
.peeled {
  border-top-right-radius: 0;
  clip-path: polygon(0 0, calc(100% - 24px) 0, 100% 24px, 100% 100%, 0 100%);
}
.peeled::after {
  content: '';
  position: absolute;
  top: -1px;
  right: -1px;
  width: 25px;
  height: 25px;
  border-bottom-left-radius: 10px;
  background: linear-gradient(45deg, var(--line) 0%, var(--card) 42%, var(--apricot-soft) 50%);
  box-shadow: -2px 2px 5px #5d2a5326;
}
</style>
