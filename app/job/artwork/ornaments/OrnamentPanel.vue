<script setup lang="ts">
import { ORNAMENTS, type OrnamentName } from '../../../../core/art/index.ts';
import type { BoxedKind } from '../../../../core/shape/index.ts';
import { texts } from '../../../texts/index.ts';
import SidePanel from '../../../ui/SidePanel.vue';
import ShapeChoice from '../../../ui/ShapeChoice.vue';
import OrnamentPicture from './OrnamentPicture.vue';

/** All ornaments and shapes; a click puts one on the piece. */
defineProps<{ inks: readonly [string, string] }>();
defineEmits<{ ornament: [name: OrnamentName]; shape: [kind: BoxedKind]; close: [] }>();
const words = texts.ornaments;
</script>

<template>
  <SidePanel :title="words.ornaments" @close="$emit('close')">
    <h3>{{ words.own }}</h3>
    <div class="tiles">
      <button
        v-for="name in ORNAMENTS"
        :key="name"
        type="button"
        :aria-label="words.names[name]"
        :title="words.names[name]"
        @click="$emit('ornament', name)"
      >
        <OrnamentPicture :name="name" :inks="inks" />
      </button>
    </div>
    <h3>{{ words.shapes }}</h3>
    <ShapeChoice
      :model-value="undefined"
      :label="words.shapes"
      @update:model-value="$emit('shape', $event)"
    />
    <slot />
  </SidePanel>
</template>

<style scoped>
h3 {
  margin: 6px 2px 4px;
  font-size: 13px;
}
</style>
