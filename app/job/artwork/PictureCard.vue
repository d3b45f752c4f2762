<script setup lang="ts">
import { computed } from 'vue';
import { artSize } from '../../../core/art/index.ts';
import { findPictureDpi, type Picture } from '../../../core/piece/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { chooseFiles } from '../../storage/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { PICTURE_FILES } from '../../art/picture-files.ts';
import CropCard from './CropCard.vue';
import type { DeskState } from './desk-state.ts';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; picture: Picture }>();
const emit = defineEmits<{ replace: [files: File[]]; prepare: [art: string] }>();
const settings = useSettings();
const art = computed(() => props.desk.store.job?.art[props.picture.art]);
const dpi = computed(() => art.value && findPictureDpi(props.picture, art.value));
const own = computed(() => art.value && artSize(art.value));

async function replace(): Promise<void> {
  emit('replace', await chooseFiles(PICTURE_FILES));
}
</script>

<template>
  <CardPanel :title="art?.name ?? texts.artwork.missing" peeled>
    <ChoicesRow
      :label="texts.artwork.fit"
      :name="texts.artwork.fitLong"
      :model-value="picture.fit"
      :choices="texts.artwork.fits"
      @update:model-value="desk.change({ fit: $event })"
    />
    <FactRow v-if="own" :label="texts.artwork.ownSize"
      ><span
        >{{ formatLength(own.width, settings.unit) }} ×
        {{ formatLength(own.height, settings.unit) }}</span
      ></FactRow
    >
    <FactRow :label="texts.artwork.inPrint"
      ><span>{{ dpi ? `${Math.round(dpi)} dpi` : texts.art.vector }}</span></FactRow
    >
    <p class="does">
      <button v-if="art" class="link" type="button" @click="emit('prepare', art.id)">
        {{ texts.artwork.prepare }}
      </button>
      <button class="link" type="button" @click="replace">
        {{ texts.artwork.replaceThePicture }}
      </button>
    </p>
  </CardPanel>
  <CropCard v-if="art" :desk="desk" :picture="picture" :art="art" />
</template>

<style scoped>
.does {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  margin: 4px 0 0;
}
</style>
