<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import { artSize, type Art, type ReadArt, type TakenArt } from '../../core/art/index.ts';
import { pathData } from '../../core/drawing/index.ts';
import { formatLength } from '../../core/units/index.ts';
import { artNoteTexts, omissionsText, problemLine } from '../../messages/index.ts';
import { keepInDrawer } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useGradually } from '../ui/gradually.ts';
import ChoiceRow from '../ui/ChoiceRow.vue';
import ChoicesRow from '../ui/ChoicesRow.vue';
import NumberRow from '../ui/NumberRow.vue';
import OverlayPanel from '../ui/OverlayPanel.vue';
import { useMessages } from '../ui/messages-store.ts';
import { useSettings } from '../ui/settings-store.ts';
import ArtBench from './bench/ArtBench.vue';
import ArtPicture from './ArtPicture.vue';
import LinkButton from '../ui/LinkButton.vue';
import { artOf as of, useTray, type Purpose, type TrayGroup } from './tray-store.ts';

/** What came in: pictures with their sizes, files of the same art together, and what was refused. */
const tray = useTray();
const settings = useSettings();
const messages = useMessages();
const words = texts.art.tray;
/** What there is to choose from, by name. */
const purposes = computed(
  () =>
    Object.fromEntries(tray.purposes.map((one) => [one, words.purposes[one]])) as Record<
      Purpose,
      string
    >,
);

const hasPixels = ({ notes = [] }: TakenArt): boolean =>
  notes.some(({ code }) => code.endsWith('-as-pixels'));

function facts(group: TrayGroup): string {
  const one = of(group);
  const { width, height } = artSize(one.art);
  const say = (mm: number): string => formatLength(mm, settings.unit);
  const notes = [
    words.size(say(width), say(height)),
    one.art.kind === 'pixels'
      ? `${Math.round(one.art.dpi)} dpi`
      : hasPixels(one)
        ? texts.art.partlyVector
        : texts.art.vector,
    ...(one.art.kind === 'pixels' && !one.art.dpiKnown ? [words.assumed] : []),
    ...(one.leftOut.length ? [words.leftOut(omissionsText(one.leftOut))] : []),
    ...artNoteTexts(one.notes),
  ];
  return notes.join(' · ');
}

/** How it becomes a sticker, where that is what pictures become. */
const cutOf = (group: TrayGroup) =>
  tray.purpose === 'stickers' ? tray.cuts.get(of(group).art.id) : undefined;
/** What a sticker will show: without its ground where that was cleared. */
const shownOf = (group: TrayGroup): ReadArt => cutOf(group)?.read ?? of(group);
const sizeOf = (group: TrayGroup) => artSize(shownOf(group).art);
/** The first of a page's drawings offers to take them as one. */
const isFirstOfPage = (group: TrayGroup, at: number): boolean =>
  group.page !== undefined && tray.groups[at - 1]?.page !== group.page;
/** Photographs, and what was taken for a page of drawings but may be one. */
function canFree(group: TrayGroup): boolean {
  const { way, read } = cutOf(group) ?? {};
  return way === 'photograph' || (way === 'page' && read?.art.kind === 'pixels');
}
const shown = useGradually(() => tray.groups, 4);
const toFree = computed(() =>
  tray.groups.filter((group) => group.wanted && cutOf(group)?.way === 'photograph'),
);
/** The photograph on the bench, and whether the next one follows. */
const freeing = shallowRef<{ art: Art; isInTurn: boolean }>();

async function free(group: TrayGroup | undefined, isInTurn: boolean): Promise<void> {
  const one = group && of(group);
  freeing.value = undefined;
  if (!one) return;
  try {
    await keepInDrawer(one, Date.now());
    freeing.value = { art: one.art, isInTurn };
  } catch (error) {
    messages.sayError(error);
  }
}

async function freed(made: ReadArt): Promise<void> {
  const { art, isInTurn } = freeing.value ?? {};
  if (!art) return;
  const left = toFree.value.filter((group) => of(group).art.id !== art.id);
  if (made.art.id !== art.id)
    await Promise.all([keepInDrawer(made, Date.now()), tray.replace(art, made)]).catch(
      messages.sayError,
    );
  await free(isInTurn ? left[0] : undefined, true);
}

function pick(at: number, event: Event): void {
  tray.set(at, { pick: Number((event.target as HTMLSelectElement).value) });
}
</script>

<template>
  <OverlayPanel v-if="tray.open" :title="words.title" @close="tray.close">
    <div v-if="tray.busy" class="busy" role="status">
      <p>{{ tray.busy }}</p>
      <progress :value="tray.share" max="1" />
    </div>
    <template v-else>
      <ChoiceRow
        v-if="tray.purposes.length > 1"
        class="purposes"
        :label="words.purpose"
        :model-value="tray.purpose"
        :choices="purposes"
        @update:model-value="tray.choosePurpose"
      />
      <p class="head">
        <span>{{ words.took(tray.groups.length) }}</span>
        <LinkButton v-if="tray.groups.length > 1" @click="tray.setAll(true)">
          {{ words.all }}
        </LinkButton>
        <LinkButton v-if="tray.groups.length > 1" @click="tray.setAll(false)">
          {{ words.noneChosen }}
        </LinkButton>
      </p>
      <p v-if="tray.groups.length === 0">{{ words.none }}</p>
      <ul class="items">
        <li v-for="(group, at) in shown" :key="of(group).art.id" :class="{ off: !group.wanted }">
          <label class="one">
            <input
              type="checkbox"
              :checked="group.wanted"
              :aria-label="words.include(of(group).art.name)"
              @change="tray.set(at, { wanted: !group.wanted })"
            />
            <span class="ground"
              ><ArtPicture
                :key="shownOf(group).art.id"
                :art="shownOf(group).art"
                :bytes="shownOf(group).bytes" /><svg
                v-if="cutOf(group)?.traced"
                class="cut"
                :viewBox="`0 0 ${sizeOf(group).width} ${sizeOf(group).height}`"
              >
                <path :d="pathData(cutOf(group)!.traced!.path)" /></svg
            ></span>
            <span class="about">
              <strong>{{ of(group).art.name }}</strong>
              <span class="quiet">{{ facts(group) }}</span>
              <span v-if="tray.purpose === 'stickers'" class="way">{{
                cutOf(group) ? words.ways[cutOf(group)!.way] : words.looking
              }}</span>
            </span>
          </label>
          <LinkButton v-if="canFree(group)" @click="free(group, false)">
            {{ words.free }}
          </LinkButton>
          <LinkButton v-if="tray.canSplit(group)" @click="tray.showDrawings(of(group).art.id)">
            {{ words.split }}
          </LinkButton>
          <LinkButton v-if="isFirstOfPage(group, at)" @click="tray.keepWhole(group.page!)">
            {{ words.whole(of(group.page!).art.name) }}
          </LinkButton>
          <p v-if="group.items.length > 1" class="same">
            <span>{{ words.same(group.items.length) }}</span>
            <select
              class="well"
              :value="group.pick"
              :aria-label="words.same(group.items.length)"
              @change="pick(at, $event)"
            >
              <option v-for="(one, index) in group.items" :key="one.path" :value="index">
                {{ one.path }}
              </option>
            </select>
          </p>
        </li>
      </ul>
      <section v-if="tray.refused.length" class="refused">
        <h3>{{ words.refused }}</h3>
        <ul>
          <li v-for="{ path, problem } in tray.refused" :key="path">
            <strong>{{ path }}</strong> {{ problemLine(problem) }}
          </li>
        </ul>
      </section>
      <ChoicesRow
        v-if="tray.hasBoxes"
        v-model="tray.shape"
        :label="words.withoutOutline"
        :choices="words.shapes"
      />
      <NumberRow
        v-if="tray.hasPages"
        :label="words.dpi"
        :model-value="tray.dpi"
        suffix="dpi"
        :min="72"
        :max="1200"
        :step="50"
        @update:model-value="tray.drawAt"
      />
    </template>
    <template #foot>
      <v-btn variant="text" @click="tray.close">{{ texts.cancel }}</v-btn>
      <v-btn v-if="toFree.length" variant="text" color="primary" @click="free(toFree[0], true)">
        {{ words.freeAll(toFree.length) }}
      </v-btn>
      <v-btn
        v-if="!tray.busy"
        color="primary"
        :disabled="tray.wanted.length === 0"
        @click="tray.finish"
      >
        {{ words.take(tray.wanted.length, tray.purpose) }}
      </v-btn>
    </template>
  </OverlayPanel>
  <ArtBench
    v-if="freeing"
    first="subject"
    :art="freeing.art"
    :known="() => undefined"
    :in-job="false"
    @close="freeing = undefined"
    @made="freed"
    @parts="freeing = undefined"
    @pieces="freeing = undefined"
  />
</template>

<style scoped>
.busy {
  padding: 30px 0;
  text-align: center;
}
progress {
  width: 60%;
  accent-color: var(--plum);
}
.purposes {
  margin-bottom: 12px;
}
.head {
  display: flex;
  gap: 14px;
  align-items: baseline;
  margin: 0 0 8px;
}
.head span {
  flex: 1;
  font-weight: 600;
}
.items,
.refused ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
.items {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(310px, 1fr));
  gap: 10px;
}
.items li {
  border: 1px solid var(--line);
  border-radius: var(--r-card);
  padding: 8px 10px;
  background: var(--card);
}
.off {
  opacity: 0.55;
}
.one {
  display: flex;
  align-items: center;
  gap: 10px;
  cursor: pointer;
}
.one input {
  accent-color: var(--plum);
}
.ground {
  flex: none;
  box-sizing: border-box;
  width: 62px;
  height: 62px;
  border-radius: var(--r-field);
  position: relative;
  padding: 4px;
  background: var(--release);
}
.cut {
  position: absolute;
  inset: 4px;
  width: calc(100% - 8px);
  height: calc(100% - 8px);
  overflow: visible;
}
.cut path {
  fill: none;
  stroke: var(--plum);
  stroke-width: 1.2px;
  vector-effect: non-scaling-stroke;
}
.way {
  display: block;
  font-size: 13px;
}
.about {
  min-width: 0;
  overflow-wrap: anywhere;
}
.about strong {
  display: block;
}
.same {
  margin: 8px 0 0;
}
.same select {
  width: 100%;
  margin-top: 4px;
}
.refused {
  margin-top: 14px;
  border-radius: var(--r-card);
  padding: 10px 14px;
  background: var(--amber-soft);
}
.refused h3 {
  font-size: 13.5px;
}
</style>
