<script setup lang="ts">
import { texts } from '../../texts/index.ts';

/** What helps where a bought sheet shows paper: a printer that is measured prints where it should. */
</script>

<template>
  <p class="quiet">{{ texts.run.boughtHint }}</p>
  <router-link to="/stock/printers">{{ texts.run.measurePrinter }}</router-link>
</template>

<style scoped>
p {
  margin: 8px 0 4px;
  font-size: 12.5px;
}
</style>
