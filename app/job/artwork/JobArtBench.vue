<script setup lang="ts">
import ArtBench from '../../art/bench/ArtBench.vue';
import type { ArtPreparation } from './prepare-art.ts';

/** The art bench over a desk of the job; what comes of it goes back into the job. */
defineProps<{ prepare: ArtPreparation }>();
</script>

<template>
  <ArtBench
    v-if="prepare.art.value"
    in-job
    :art="prepare.art.value"
    :known="prepare.known"
    @close="prepare.close"
    @made="prepare.made"
    @parts="prepare.close"
    @pieces="prepare.pieces"
  />
</template>
