<script setup lang="ts">
import { computed } from 'vue';
import { DESIGN_FACES } from '../../../../core/designs/index.ts';
import { typedEmphasis } from '../../../../core/type/index.ts';
import { texts } from '../../../texts/index.ts';
import ArtPicture from '../../../art/ArtPicture.vue';
import FactRow from '../../../ui/FactRow.vue';
import OverlayPanel from '../../../ui/OverlayPanel.vue';
import SelectRow from '../../../ui/SelectRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { useHouseStyle } from '../../../session/house-style-store.ts';

/** What the workshop puts on all that it makes. */
const props = defineProps<{ desk: DeskState }>();
const emit = defineEmits<{ close: [] }>();
const words = texts.start;
const house = useHouseStyle();
void house.load();
const style = computed(() => house.style);
const pairs = computed(() => ({
  '': words.asDesign,
  ...Object.fromEntries(DESIGN_FACES.map(({ name }) => [name, name])),
}));
const pair = computed(
  () => DESIGN_FACES.find(({ display }) => display === style.value.faces?.display)?.name ?? '',
);

function choosePair(name: string): void {
  const found = DESIGN_FACES.find((one) => one.name === name);
  house.change({ faces: found ? { display: found.display, text: found.text } : null });
}

/** The drawer opens over the desk, so this panel goes and what is chosen is kept. */
function chooseMark(): void {
  props.desk.pickArt((mark) => house.change({ mark }));
  emit('close');
}
</script>

<template>
  <OverlayPanel :title="words.house" @close="$emit('close')">
    <p class="quiet">{{ words.houseHint }}</p>
    <FactRow as="label" :label="words.houseMaker">
      <input
        class="well wide"
        :value="style.maker"
        maxlength="80"
        @change="house.change({ maker: ($event.target as HTMLInputElement).value.trim() })"
      />
    </FactRow>
    <SelectRow
      :label="words.houseFaces"
      :model-value="pair"
      :choices="pairs"
      @update:model-value="choosePair"
    />
    <FactRow :label="words.houseMark">
      <span class="mark">
        <ArtPicture v-if="style.mark" :art="style.mark" />
        <LinkButton @click="chooseMark">{{ words.chooseMark }}</LinkButton>
        <LinkButton v-if="style.mark" @click="house.change({ mark: null })">
          {{ words.dropMark }}
        </LinkButton>
      </span>
    </FactRow>
    <label class="small">
      <span>{{ words.houseSmall }}</span>
      <textarea
        class="well"
        rows="4"
        :value="style.smallPrint"
        maxlength="2000"
        spellcheck="true"
        @change="house.change({ smallPrint: ($event.target as HTMLTextAreaElement).value.trim() })"
      />
    </label>
    <label class="small">
      <span>{{ words.houseEmphasis }}</span>
      <input
        class="well"
        :value="style.emphasis.join(', ')"
        :placeholder="texts.fields.emphasisExample"
        :title="texts.fields.emphasisHint"
        @change="
          house.change({ emphasis: typedEmphasis(($event.target as HTMLInputElement).value) })
        "
      />
    </label>
    <p v-for="palette in style.palettes" :key="palette.name" class="palette">
      <span
        v-for="color in palette.colors"
        :key="color"
        class="dot"
        :style="{ background: color }"
      />
      {{ palette.name }}
      <LinkButton
        @click="house.change({ palettes: style.palettes.filter((one) => one !== palette) })"
      >
        {{ words.dropPalette(palette.name) }}
      </LinkButton>
    </p>
  </OverlayPanel>
</template>

<style scoped>
p {
  margin: 0 0 10px;
}
.wide {
  width: 280px;
}
.mark {
  display: flex;
  align-items: center;
  gap: 10px;
}
.mark :deep(img),
.mark :deep(svg) {
  width: 46px;
  height: 46px;
}
.small {
  display: grid;
  gap: 4px;
  margin: 8px 0 14px;
}
.palette {
  display: flex;
  align-items: center;
  gap: 5px;
}
.dot {
  width: 20px;
  height: 20px;
  border: 1px solid var(--field-line);
  border-radius: 50%;
}
</style>
