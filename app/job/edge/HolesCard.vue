<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { punchedSchema, type Punched } from '../../../core/shape/index.ts';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import IconButton from '../../ui/IconButton.vue';
import FieldRows from '../../ui/FieldRows.vue';
import { fieldsOf } from '../../ui/fields.ts';
import { useSettings } from '../../ui/settings-store.ts';
import LinkButton from '../../ui/LinkButton.vue';
import type { EdgeState } from './edge-state.ts';

/** Holes that are punched, with the material left around each, and creases. */
const props = defineProps<{ edge: EdgeState }>();
const settings = useSettings();
const words = texts.edge;
const { length, angle } = fieldsOf(punchedSchema);
const PLACE = [
  length('x', words.across, { name: words.acrossLong, min: -1000, max: 1000 }),
  length('y', words.down, { name: words.downLong, min: -1000, max: 1000 }),
];
const ROUND = [length('width', words.diameter), ...PLACE];
const SLOT = [
  length('width', words.slotLength),
  length('height', words.slotWidth),
  angle('angle', words.angle, { min: -360, max: 360, step: 5 }),
  ...PLACE,
];
const { build, hole, rims, piece } = props.edge;
const THIN = 2; // mm of material beside a hole that may tear
const rimWords = (rim: number): string =>
  rim < 0 ? words.broken : words.rim(formatLength(rim, settings.unit));
const isSlot = (at: number): boolean => {
  const one = build.value.punched[at];
  return one !== undefined && one.width !== one.height;
};

/** What is round stays round. */
function change(at: number, changes: Partial<Punched>, key?: string): void {
  const round = isSlot(at) || changes.width === undefined ? {} : { height: changes.width };
  props.edge.changeHole(at, { ...changes, ...round }, key);
}

function removeCrease(at: number): void {
  props.edge.changeCreases((piece.value?.creases ?? []).filter((_, index) => index !== at));
}
</script>

<template>
  <CardPanel :title="words.punched">
    <section
      v-for="(one, at) in build.punched"
      :key="at"
      class="hole"
      :class="{ chosen: hole === at }"
    >
      <div class="head">
        <button
          type="button"
          class="name"
          :aria-pressed="hole === at"
          @click="hole = hole === at ? undefined : at"
        >
          {{ isSlot(at) ? words.slot(at + 1) : words.hole(at + 1) }}
          <span :class="(rims[at] ?? 0) < THIN ? 'thin' : 'quiet'">{{
            rimWords(rims[at] ?? 0)
          }}</span>
        </button>
        <IconButton
          :icon="mdiClose"
          :name="words.remove(words.hole(at + 1))"
          @click="edge.removeHole(at)"
        />
      </div>
      <template v-if="hole === at">
        <FieldRows
          :fields="isSlot(at) ? SLOT : ROUND"
          :of="one"
          @change="(changes, key) => change(at, changes, key)"
        />
        <p v-if="(rims[at] ?? 0) >= 0 && (rims[at] ?? 0) < THIN" class="thin">
          {{ words.rimShort }}
        </p>
      </template>
    </section>
    <div v-for="(_, at) in piece?.creases ?? []" :key="`crease${at}`" class="head">
      <span class="name">{{ words.crease(at + 1) }}</span>
      <IconButton
        :icon="mdiClose"
        :name="words.remove(words.crease(at + 1))"
        @click="removeCrease(at)"
      />
    </div>
    <p class="more">
      <LinkButton @click="edge.addHole(false)">{{ words.addHole }}</LinkButton>
      <LinkButton @click="edge.addHole(true)">{{ words.addSlot }}</LinkButton>
      <LinkButton @click="edge.addCrease">{{ words.addCrease }}</LinkButton>
    </p>
  </CardPanel>
</template>

<style scoped>
.head {
  display: flex;
  align-items: center;
}
.name {
  display: flex;
  flex: 1;
  justify-content: space-between;
  align-items: center;
  gap: 8px;
  min-height: var(--row);
  border: 0;
  padding: 0 0 0 6px;
  background: none;
  color: inherit;
  font: inherit;
  text-align: left;
}
button.name {
  cursor: pointer;
}
.chosen > .head {
  border-radius: var(--r-field);
  background: var(--apricot-soft);
}
.thin {
  color: var(--amber-text);
}
p {
  margin: 4px 0 0;
}
.more {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
}
</style>
