<script setup lang="ts">
import { computed, onBeforeUnmount, ref, watch } from 'vue';
import { artSize, orientationMap, type Art } from '../../core/art/index.ts';
import { compose, scaling } from '../../core/geometry/index.ts';
import { artBytes, blobOf } from '../storage/index.ts';

/** Kept art as a small picture, the way up it is seen; its bytes are read when it is shown. */
const props = defineProps<{ art: Art; bytes?: Uint8Array }>();
const address = ref<string>();
const size = computed(() => artSize(props.art));
const map = computed(() => {
  const turned = orientationMap(props.art.kind === 'pixels' ? props.art.orientation : 1);
  return compose(scaling(size.value.width, size.value.height), turned).join(' ');
});

function forget(): void {
  if (address.value) URL.revokeObjectURL(address.value);
  address.value = undefined;
}

async function show(): Promise<void> {
  const { id, kind } = props.art;
  const bytes = props.bytes ?? (await artBytes(id));
  if (id !== props.art.id) return;
  forget();
  const type = kind === 'vector' ? 'image/svg+xml' : '';
  if (bytes) address.value = URL.createObjectURL(blobOf(bytes, type));
}
watch(() => props.art.id, show, { immediate: true });
onBeforeUnmount(forget);
</script>

<template>
  <svg class="shown" :viewBox="`0 0 ${size.width} ${size.height}`" aria-hidden="true">
    <image
      v-if="address"
      :href="address"
      width="1"
      height="1"
      preserveAspectRatio="none"
      :transform="`matrix(${map})`"
    />
  </svg>
</template>

<style scoped>
.shown {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
