<script setup lang="ts">
import { computed } from 'vue';
import { artSize } from '../../../core/art/index.ts';
import { coverOf, findPictureDpi, type Picture } from '../../../core/piece/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import ChoicesRow from '../../ui/ChoicesRow.vue';
import FactRow from '../../ui/FactRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import CropCard from './CropCard.vue';
import LinkButton from '../../ui/LinkButton.vue';
import { useTakeFiles } from './take-files.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { texts } from '../../texts/index.ts';

const props = defineProps<{ desk: DeskState; element: Picture }>();
const picture = computed(() => props.element);
const settings = useSettings();
const { preparing } = props.desk;
const { choosePictures } = useTakeFiles(props.desk);
const art = computed(() => props.desk.store.job?.art[picture.value.art]);
const dpi = computed(() => art.value && findPictureDpi(picture.value, art.value));
const own = computed(() => art.value && artSize(art.value));
/** Whether the picture is the ground of its label already. */
const covers = computed(() => {
  const { piece } = props.desk;
  const place = piece.value && Object.entries(coverOf(piece.value));
  const isLowest = piece.value?.elements[0]?.id === picture.value.id;
  return isLowest && place?.every(([key, value]) => picture.value[key as 'x'] === value);
});

function cover(): void {
  const { piece, store } = props.desk;
  if (!piece.value) return;
  store.act({
    name: 'cover-label',
    args: { piece: piece.value.id, element: picture.value.id },
  });
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
      <LinkButton v-if="art" @click="preparing = art.id">
        {{ texts.artwork.prepare }}
      </LinkButton>
      <LinkButton v-if="!covers" @click="cover">{{ texts.artwork.coverLabel }}</LinkButton>
      <LinkButton @click="choosePictures(picture.id)">
        {{ texts.artwork.replaceThePicture }}
      </LinkButton>
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
