<script setup lang="ts">
import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue';
import {
  HARMONIES,
  MOST_PALETTE_COLORS,
  hueOf,
  matchedColors,
  paletteFromHue,
  type Harmony,
} from '../../../../core/color/index.ts';
import { DESIGN_COLORS } from '../../../../core/designs/index.ts';
import type { CommandCall } from '../../../../core/job/index.ts';
import { colorsOfPieces } from '../../../../core/piece/index.ts';
import { artCalls } from '../../../calls/index.ts';
import { chooseFiles } from '../../../storage/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import CheckRow from '../../../ui/CheckRow.vue';
import ColorChips from '../../../ui/ColorChips.vue';
import { useMessages } from '../../../ui/messages-store.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { useHouseStyle } from '../../../session/house-style-store.ts';
import PaletteRow from './PaletteRow.vue';
import LinkButton from '../../../ui/LinkButton.vue';

/** The colours that a piece or the whole job is drawn in, changed one by one or all by a palette. */
const props = defineProps<{ desk: DeskState }>();
const words = texts.start;
const messages = useMessages();
const house = useHouseStyle();
void house.load();

const PALETTE_FILES = '.gpl,.hex,.css,.txt,.json,.svg,text/plain,text/css';

const PASSING = 600; // ms

const everywhere = ref(false);
const chosen = ref<string>();
const committed = computed(() => props.desk.store.committed);
const several = computed(() => props.desk.store.own.length > 1);
const pieces = computed(() => {
  const piece = props.desk.committedPiece.value;
  if (everywhere.value) return props.desk.store.own;
  return piece ? [piece] : [];
});
const used = computed(() => colorsOfPieces(pieces.value));
const scope = computed(() =>
  everywhere.value ? {} : { piece: props.desk.committedPiece.value?.id ?? '' },
);

function recolor(to: string | null): void {
  if (!chosen.value || !to) return;
  const from = chosen.value;
  props.desk.store.act({ name: 'recolor', args: { ...scope.value, colors: { [from]: to } } });
  chosen.value = to;
}

/** The colours of the first picture of the piece, counted in a worker. */
const ofArt = shallowRef<readonly string[]>([]);
const art = computed(() => {
  const picture = props.desk.committedPiece.value?.elements.find((one) => one.kind === 'picture');
  return picture?.kind === 'picture' ? committed.value?.art[picture.art] : undefined;
});
watch(
  () => art.value?.id,
  async (_id, _before, leave) => {
    ofArt.value = [];
    const { value } = art;
    if (!value) return;
    // Who only passes through here waits for nothing.
    let stays = true;
    leave(() => (stays = false));
    await new Promise((after) => setTimeout(after, PASSING));
    if (!stays) return;
    const answer = await artCalls
      .call('artColors', { art: value, most: 5 })
      .answer.catch(() => undefined);
    if (answer?.ok && value.id === art.value?.id) ofArt.value = answer.value;
  },
  { immediate: true },
);

const hue = ref(hueOf(used.value[0] ?? '#5d2a53'));
const palettes = computed(() => [
  ...house.style.palettes,
  // A picture has no light ground of its own: one in its hue is put before its colours.
  ...(ofArt.value.length > 1
    ? [
        {
          name: words.fromArt,
          colors: [
            ...paletteFromHue(hueOf(ofArt.value[0] ?? '#000000'), 'shades').slice(0, 2),
            ...ofArt.value,
          ],
        },
      ]
    : []),
  ...HARMONIES.map((harmony: Harmony) => ({
    name: words.harmonies[harmony],
    colors: paletteFromHue(hue.value, harmony),
  })),
  ...DESIGN_COLORS.slice(0, 6).map(({ name, ground, ink, accent, soft }) => ({
    name,
    colors: [ground, ink, accent, soft],
  })),
]);

function callFor({ name, colors }: { name: string; colors: readonly string[] }): CommandCall {
  const matched = Object.fromEntries(matchedColors(used.value, colors));
  const doing = words.doingPalette(name);
  return { name: 'recolor', args: { ...scope.value, colors: matched, doing } };
}

function use(palette: { name: string; colors: readonly string[] }): void {
  props.desk.store.cancel();
  props.desk.store.act(callFor(palette));
}

function keep(): void {
  const colors = used.value.slice(0, MOST_PALETTE_COLORS);
  if (colors.length < 2) return;
  const name = house.keepPalette(props.desk.store.job?.name ?? words.palettes, colors);
  messages.say(words.keptPalette(name));
}

onBeforeUnmount(() => props.desk.store.cancel());
</script>

<template>
  <CardPanel v-if="used.length" :title="words.colors">
    <p class="quiet">{{ words.colorsHint }}</p>
    <div class="used" role="radiogroup" :aria-label="words.colors">
      <button
        v-for="color in used"
        :key="color"
        type="button"
        role="radio"
        :aria-checked="color === chosen"
        :aria-label="color"
        :title="color"
        :style="{ background: color }"
        @click="chosen = color === chosen ? undefined : color"
      />
    </div>
    <CheckRow v-if="several" v-model="everywhere" :label="words.everywhere" />
    <ColorChips
      v-if="chosen"
      :label="words.colors"
      :model-value="chosen"
      :colors="desk.colors.value"
      @update:model-value="recolor"
    />
    <h3>{{ words.palettes }}</h3>
    <p class="quiet">{{ words.palettesHint }}</p>
    <label class="hue">
      <span>{{ words.hue }}</span>
      <input v-model.number="hue" type="range" min="0" max="360" step="1" />
    </label>
    <div class="list">
      <PaletteRow
        v-for="palette in palettes"
        :key="palette.name"
        :name="palette.name"
        :colors="palette.colors"
        @show="desk.store.previewOnHover(callFor(palette))"
        @hide="desk.store.cancel()"
        @use="use(palette)"
      />
    </div>
    <div class="ways">
      <LinkButton v-if="used.length > 1" @click="keep">
        {{ words.keepPalette }}
      </LinkButton>
      <LinkButton @click="chooseFiles(PALETTE_FILES, true).then(house.takePalettes)">
        {{ words.paletteFile }}
      </LinkButton>
    </div>
  </CardPanel>
</template>

<style scoped>
p {
  margin: 0 0 6px;
}
h3 {
  margin: 10px 0 2px;
  font-size: 13.5px;
}
.used {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.used button {
  width: 30px;
  height: 30px;
  border: 1px solid var(--field-line);
  border-radius: 9px;
  padding: 0;
  cursor: pointer;
}
.used button[aria-checked='true'] {
  outline: 2px solid var(--plum);
  outline-offset: 2px;
}
.hue {
  display: flex;
  align-items: center;
  gap: 10px;
}
.hue input {
  flex: 1;
  min-width: 0;
  height: 12px;
  border-radius: 6px;
  background: linear-gradient(
    90deg,
    oklch(0.7 0.14 0),
    oklch(0.7 0.14 60),
    oklch(0.7 0.14 120),
    oklch(0.7 0.14 180),
    oklch(0.7 0.14 240),
    oklch(0.7 0.14 300),
    oklch(0.7 0.14 360)
  );
  appearance: none;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 14px;
}
.list {
  max-height: 250px;
  margin: 4px -6px;
  overflow: auto;
}
</style>
