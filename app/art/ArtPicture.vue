<script setup lang="ts">
import { onBeforeUnmount, ref, watch } from 'vue';
import type { Art } from '../../core/art/index.ts';
import { artBytes } from '../storage/index.ts';

/** Kept art as a small picture; its bytes are read when it is shown. */
const props = defineProps<{ art: Art; bytes?: Uint8Array }>();
const address = ref<string>();
const orientation = (): string => (props.art.kind === 'pixels' ? '' : 'image/svg+xml');

function forget(): void {
  if (address.value) URL.revokeObjectURL(address.value);
  address.value = undefined;
}

async function show(): Promise<void> {
  const { id } = props.art;
  const bytes = props.bytes ?? (await artBytes(id));
  if (id !== props.art.id) return;
  forget();
  if (bytes)
    address.value = URL.createObjectURL(new Blob([bytes.slice()], { type: orientation() }));
}
watch(() => props.art.id, show, { immediate: true });
onBeforeUnmount(forget);
</script>

<template>
  <img
    v-if="address"
    class="picture"
    :class="art.kind === 'pixels' ? `turn${art.orientation}` : ''"
    :src="address"
    alt=""
    loading="lazy"
    draggable="false"
  />
  <span v-else class="picture none" />
</template>

<style scoped>
.picture {
  display: block;
  width: 100%;
  height: 100%;
  object-fit: contain;
  image-orientation: none;
}
.turn3 {
  transform: rotate(180deg);
}
.turn6 {
  transform: rotate(90deg);
}
.turn8 {
  transform: rotate(270deg);
}
</style>
