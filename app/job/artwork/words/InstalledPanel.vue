<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import {
  filesOfFamily,
  installedFamilies,
  type InstalledFamily,
} from '../../../session/installed-typefaces.ts';
import { texts } from '../../../texts/index.ts';
import OverlayPanel from '../../../ui/OverlayPanel.vue';

/** The typefaces of this computer, to be added to the workshop: a job takes along what it is set in. */
const emit = defineEmits<{ close: []; add: [files: readonly File[]] }>();
const say = texts.typefaces;
const families = shallowRef<readonly InstalledFamily[]>();
const isRefused = ref(false);
const isBusy = ref(false);
const typed = ref('');
const MOST = 200; // shown at once

const found = computed(() => {
  const wanted = typed.value.trim().toLowerCase();
  return (families.value ?? []).filter(({ name }) => name.toLowerCase().includes(wanted));
});

onMounted(async () => {
  try {
    families.value = await installedFamilies();
  } catch {
    isRefused.value = true;
  }
});

async function add(family: InstalledFamily): Promise<void> {
  isBusy.value = true;
  try {
    emit('add', await filesOfFamily(family));
    emit('close');
  } catch {
    isRefused.value = true;
  } finally {
    isBusy.value = false;
  }
}
</script>

<template>
  <OverlayPanel :title="say.installedTitle" @close="emit('close')">
    <p v-if="isRefused" class="quiet">{{ say.notAllowed }} {{ say.notAllowedRemedy }}</p>
    <p v-else-if="families?.length === 0" class="quiet">{{ say.noneInstalled }}</p>
    <template v-else-if="families">
      <input
        v-model="typed"
        class="well find"
        type="search"
        :placeholder="say.find"
        :aria-label="say.find"
      />
      <p v-if="found.length === 0" class="quiet">{{ say.noneFound(typed) }}</p>
      <ul>
        <li v-for="family in found.slice(0, MOST)" :key="family.name">
          <span
            class="sample"
            :style="{ fontFamily: `'${family.name.replace(/['\\]/g, '\\$&')}'` }"
            >{{ family.name }}</span
          >
          <small class="quiet">{{ family.name }} · {{ say.cuts(family.fonts.length) }}</small>
          <v-btn
            variant="text"
            :disabled="isBusy"
            :aria-label="`${say.addFamily}: ${family.name}`"
            @click="add(family)"
            >{{ say.addFamily }}</v-btn
          >
        </li>
      </ul>
    </template>
    <p v-else class="quiet">{{ say.adding }}</p>
  </OverlayPanel>
</template>

<style scoped>
.find {
  box-sizing: border-box;
  width: 100%;
  margin-bottom: 8px;
}
ul {
  min-height: 320px;
  margin: 0;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 12px;
  border-bottom: 1px solid var(--line);
}
.sample {
  flex: 1;
  min-width: 0;
  overflow: hidden;
  font-size: 19px;
  text-overflow: ellipsis;
  white-space: nowrap;
}
</style>
