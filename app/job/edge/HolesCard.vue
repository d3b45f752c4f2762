<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { formatLength } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import IconButton from '../../ui/IconButton.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import type { EdgeState } from './edge-state.ts';

/** Holes that are punched, with the material left around each, and creases. */
const props = defineProps<{ edge: EdgeState }>();
const settings = useSettings();
const words = texts.edge;
const { build, hole, rims, piece } = props.edge;
const THIN = 2; // mm of material beside a hole that may tear
const rimWords = (rim: number): string =>
  rim < 0 ? words.broken : words.rim(formatLength(rim, settings.unit));
const isSlot = (at: number): boolean => {
  const one = build.value.punched[at];
  return one !== undefined && one.width !== one.height;
};

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
        <LengthRow
          v-if="!isSlot(at)"
          :label="words.diameter"
          :model-value="one.width"
          :min="0.5"
          :max="200"
          @update:model-value="edge.changeHole(at, { width: $event, height: $event }, 'diameter')"
        />
        <template v-else>
          <LengthRow
            :label="words.slotLength"
            :model-value="one.width"
            :min="0.5"
            :max="300"
            @update:model-value="edge.changeHole(at, { width: $event }, 'length')"
          />
          <LengthRow
            :label="words.slotWidth"
            :model-value="one.height"
            :min="0.5"
            :max="100"
            @update:model-value="edge.changeHole(at, { height: $event }, 'breadth')"
          />
          <NumberRow
            :label="words.angle"
            :model-value="one.angle"
            suffix="°"
            :min="-360"
            :max="360"
            :step="5"
            @update:model-value="edge.changeHole(at, { angle: $event }, 'turn')"
          />
        </template>
        <LengthRow
          :label="words.across"
          :name="words.acrossLong"
          :model-value="one.x"
          :min="-1000"
          :max="1000"
          @update:model-value="edge.changeHole(at, { x: $event }, 'x')"
        />
        <LengthRow
          :label="words.down"
          :name="words.downLong"
          :model-value="one.y"
          :min="-1000"
          :max="1000"
          @update:model-value="edge.changeHole(at, { y: $event }, 'y')"
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
      <button class="link" type="button" @click="edge.addHole(false)">{{ words.addHole }}</button>
      <button class="link" type="button" @click="edge.addHole(true)">{{ words.addSlot }}</button>
      <button class="link" type="button" @click="edge.addCrease">{{ words.addCrease }}</button>
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
