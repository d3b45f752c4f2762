<script setup lang="ts">
import type { AllEdgesState } from './all-edges-state.ts';
import AmountsCard from './AmountsCard.vue';
import SharedEdgeCard from './SharedEdgeCard.vue';
import SizesCard from './SizesCard.vue';

/** What is changed of many pieces together. */
defineProps<{ all: AllEdgesState }>();
</script>

<template>
  <SizesCard :all="all" />
  <SharedEdgeCard :all="all" />
  <AmountsCard :all="all" />
</template>
