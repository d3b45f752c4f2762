<script setup lang="ts">
import { mdiClose, mdiFormatFont, mdiPaletteOutline } from '@mdi/js';
import { computed, onMounted, watch } from 'vue';
import { zoneRoom } from '../../../../core/things/index.ts';
import PieceThumbnail from '../../../session/PieceThumbnail.vue';
import { texts } from '../../../texts/index.ts';
import { useGradually } from '../../../ui/gradually.ts';
import { useMessages } from '../../../ui/messages-store.ts';
import CheckRow from '../../../ui/CheckRow.vue';
import IconButton from '../../../ui/IconButton.vue';
import SidePanel from '../../../ui/SidePanel.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import { chooseFiles } from '../../../storage/index.ts';
import { useOwnDesigns } from '../../../session/own-designs.ts';
import { loadFaces, loadFor } from '../../../session/page-resources.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import DesignPreview from './DesignPreview.vue';
import LabelFieldInputs from '../fields/LabelFieldInputs.vue';
import { useStart } from './start-state.ts';

/** Designs to start from, each on this very piece with its own words and picture. */
const props = defineProps<{ desk: DeskState }>();
defineEmits<{ close: []; house: [] }>();
const words = texts.start;
const start = useStart(props.desk);
const own = useOwnDesigns();
const { label, family, rooms, picture } = start;
const { fields } = texts;
const columns = computed(() => props.desk.store.committed?.list?.columns ?? []);

/** Each takes its time to be designed and drawn: some with each frame. */
const shown = useGradually(() => ['blank', ...start.designs.value] as const, 6);
/** Of a label that is divided the front is shown: the whole would be too small to be read. */
const front = computed(() => {
  const { edge } = props.desk;
  const zone = rooms.value?.front.zone;
  return zone && edge.value ? zoneRoom(zone, edge.value) : undefined;
});
const look = computed(() => {
  const first = start.chosen.value ?? start.designs.value[0];
  return first && start.lookOf(first);
});

/** The picture may not be on the piece yet. */
watch(
  () => {
    const [first] = start.designs.value;
    return first && start.tried(first);
  },
  (job) => {
    if (job) void loadFor(job).catch(useMessages().sayError);
  },
  { immediate: true },
);

watch(
  start.owned,
  (owned) => {
    for (const { job } of owned) void loadFor(job).catch(useMessages().sayError);
  },
  { immediate: true },
);

onMounted(() => {
  const ids = start.faces.value.flatMap(({ display, text }) => [display, text]);
  void loadFaces([...new Set(ids)]).catch(useMessages().sayError);
});
</script>

<template>
  <SidePanel :title="words.title" wide @close="$emit('close')">
    <template #head>
      <LabelFieldInputs
        :asked="label.asked.value"
        :says="label.says.value"
        :columns="columns"
        @say="label.say"
        @done="start.refresh"
        @add="label.add"
      />
      <div class="found">
        <label>
          {{ fields.use }}
          <select v-model="label.use.value" class="well" :aria-label="fields.use">
            <option :value="undefined">{{ fields.anyUse }}</option>
            <option v-for="(said, use) in fields.uses" :key="use" :value="use">{{ said }}</option>
          </select>
        </label>
        <label>
          {{ fields.family }}
          <select v-model="family" class="well" :aria-label="fields.family">
            <option :value="undefined">{{ fields.anyFamily }}</option>
            <option v-for="(said, one) in fields.families" :key="one" :value="one">
              {{ said }}
            </option>
          </select>
        </label>
        <span class="quiet">{{ fields.found(start.designs.value.length) }}</span>
      </div>
      <CheckRow
        v-if="start.isSet.value"
        v-model="start.forAll.value"
        :label="texts.set.designAll"
      />
      <div class="tools">
        <LinkButton @click="start.shuffle('colors')">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiPaletteOutline" /></svg
          >{{ words.shuffleColors }}
        </LinkButton>
        <LinkButton @click="start.shuffle('faces')">
          <svg viewBox="0 0 24 24" aria-hidden="true"><path :d="mdiFormatFont" /></svg
          >{{ words.shuffleFaces }}
        </LinkButton>
        <LinkButton @click="desk.pickArt((art) => (picture = art))">
          {{ picture ? words.otherPicture : words.picture }}
        </LinkButton>
        <LinkButton v-if="picture" @click="picture = undefined">
          {{ words.noPicture }}
        </LinkButton>
        <LinkButton @click="$emit('house')">{{ words.house }}</LinkButton>
        <LinkButton @click="chooseFiles('.peel').then(([file]) => own.takeFile(file))">
          {{ words.fromFile }}
        </LinkButton>
      </div>
      <p v-if="look && start.chosen.value" class="quiet">
        {{ words.colorsNow(look.colors.name) }} · {{ words.facesNow(look.faces.name) }}
      </p>
      <p v-else-if="desk.piece.value?.elements.length" class="quiet">{{ words.replaces }}</p>
    </template>
    <div class="designs">
      <div v-for="one in start.owned.value" :key="one.design.id" class="own">
        <button type="button" @click="start.useOwn(one.design)">
          <PieceThumbnail :job="one.job" :piece="desk.piece.value?.id ?? ''" :room="front" />
          <small>{{ one.design.name }}</small>
        </button>
        <IconButton
          :icon="mdiClose"
          :name="words.removeDesign(one.design.name)"
          @click="own.remove(one.design)"
        />
      </div>
      <DesignPreview
        v-for="design in shown"
        :key="design"
        :start="start"
        :design="design"
        :piece="desk.piece.value?.id ?? ''"
        :room="front"
      />
    </div>
  </SidePanel>
</template>

<style scoped>
.found {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 16px;
  margin-top: 8px;
}
.found label {
  display: flex;
  align-items: center;
  gap: 7px;
}
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
  margin-top: 6px;
}
.tools button {
  display: inline-flex;
  align-items: center;
  gap: 5px;
}
.tools svg {
  width: 17px;
  height: 17px;
  fill: var(--plum);
}
p {
  margin: 4px 0 0;
}
.designs {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(112px, 1fr));
  gap: 6px;
}
.own {
  position: relative;
  display: flex;
  min-width: 0;
}
.own > button:first-child {
  flex: 1;
}
.own > :deep(.icon) {
  position: absolute;
  top: 0;
  right: 0;
}
.designs button {
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: flex-end;
  gap: 4px;
  min-width: 0;
  border: 1.5px solid transparent;
  border-radius: 14px;
  padding: 7px 5px 4px;
  background: none;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.designs button:hover {
  background: var(--apricot-soft);
}
.designs button[aria-pressed='true'] {
  border-color: var(--plum);
  background: var(--apricot-soft);
}
.designs :deep(button > svg) {
  flex: 1;
  width: 100%;
  min-height: 0;
  max-height: 118px;
}
.designs :deep(small) {
  font-size: 12px;
}
</style>
