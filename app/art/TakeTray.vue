<script setup lang="ts">
import { artSize, type TakenArt } from '../../core/art/index.ts';
import { formatLength } from '../../core/units/index.ts';
import { artNoteTexts, omissionsText, problemLine } from '../../messages/index.ts';
import { texts } from '../texts/index.ts';
import NumberRow from '../ui/NumberRow.vue';
import OverlayPanel from '../ui/OverlayPanel.vue';
import { useSettings } from '../ui/settings-store.ts';
import ArtPicture from './ArtPicture.vue';
import LinkButton from '../ui/LinkButton.vue';
import { useTray, type TrayGroup } from './tray-store.ts';

/** What came in: pictures with their sizes, files of the same art together, and what was refused. */
const tray = useTray();
const settings = useSettings();
const words = texts.art.tray;
const of = (group: TrayGroup) => group.items[group.pick] ?? group.items[0];

const hasPixels = ({ notes = [] }: TakenArt): boolean =>
  notes.some(({ code }) => code.endsWith('-as-pixels'));

function facts(group: TrayGroup): string {
  const one = of(group);
  if (!one) return '';
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

function pick(at: number, event: Event): void {
  tray.set(at, { pick: Number((event.target as HTMLSelectElement).value) });
}
</script>

<template>
  <OverlayPanel v-if="tray.open" :title="words.title" @close="tray.close">
    <div v-if="tray.busy" class="busy" role="status">
      <p>{{ tray.busy }}</p>
      <progress :value="tray.share" max="1" />
      <LinkButton @click="tray.close">{{ texts.cancel }}</LinkButton>
    </div>
    <template v-else>
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
        <li
          v-for="(group, at) in tray.groups"
          :key="of(group)?.art.id"
          :class="{ off: !group.wanted }"
        >
          <label class="one">
            <input
              type="checkbox"
              :checked="group.wanted"
              :aria-label="words.include(of(group)?.art.name ?? '')"
              @change="tray.set(at, { wanted: !group.wanted })"
            />
            <span class="ground"
              ><ArtPicture
                v-if="of(group)"
                :key="of(group)?.art.id"
                :art="of(group)!.art"
                :bytes="of(group)!.bytes"
            /></span>
            <span class="about">
              <strong>{{ of(group)?.art.name }}</strong>
              <span class="quiet">{{ facts(group) }}</span>
            </span>
          </label>
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
      <v-btn color="primary" :disabled="tray.wanted.length === 0" @click="tray.finish">
        {{ words.take(tray.wanted.length, tray.purpose) }}
      </v-btn>
    </template>
  </OverlayPanel>
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
  padding: 4px;
  background: var(--release);
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
