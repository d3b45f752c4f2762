<script setup lang="ts">
import { mdiClose } from '@mdi/js';
import { ref } from 'vue';
import type { BoxedKind, EdgePart } from '../../../core/shape/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import IconButton from '../../ui/IconButton.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { EdgeState } from './edge-state.ts';
import ShapeChoice from '../../ui/ShapeChoice.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** The shapes that the edge is put together from, and what each does to those before it. */
const props = defineProps<{ edge: EdgeState }>();
const emit = defineEmits<{ file: [] }>();
const words = texts.edge;
const { parts, part, chosen } = props.edge;
const adding = ref(false);

function add(kind: BoxedKind): void {
  adding.value = false;
  props.edge.addShape(kind);
}

function use(at: number, event: Event): void {
  chosen.value = at;
  props.edge.changePart({ use: (event.target as HTMLSelectElement).value as EdgePart['use'] });
}
</script>

<template>
  <CardPanel :title="words.parts">
    <ol v-if="parts.length > 1" class="parts">
      <li v-for="(one, at) in parts" :key="at" :class="{ chosen: at === chosen }">
        <button type="button" class="name" :aria-pressed="at === chosen" @click="chosen = at">
          {{ one.name }}
        </button>
        <select
          v-if="at > 0"
          class="well"
          :value="one.use"
          :aria-label="words.useOf(one.name)"
          @change="use(at, $event)"
        >
          <option v-for="(name, value) in words.uses" :key="value" :value="value">
            {{ name }}
          </option>
        </select>
        <IconButton :icon="mdiClose" :name="words.remove(one.name)" @click="edge.removePart(at)" />
      </li>
    </ol>
    <NumberRow
      v-if="parts.length > 1 && part"
      :label="words.angle"
      :model-value="part.angle"
      suffix="°"
      :min="-360"
      :max="360"
      :step="5"
      @update:model-value="edge.changePart({ angle: $event }, 'turn')"
    />
    <ShapeChoice
      v-if="adding"
      :model-value="undefined"
      :label="words.addShape"
      @update:model-value="add"
    />
    <p class="more">
      <LinkButton :aria-expanded="adding" @click="adding = !adding">
        {{ words.addShape }}
      </LinkButton>
      <LinkButton @click="emit('file')">{{ words.addFile }}</LinkButton>
    </p>
  </CardPanel>
</template>

<style scoped>
.parts {
  margin: 0 0 4px;
  padding: 0;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 4px;
  border-radius: var(--r-field);
  padding-left: 6px;
}
.chosen {
  background: var(--apricot-soft);
}
.name {
  flex: 1;
  min-width: 0;
  min-height: var(--row);
  border: 0;
  background: none;
  color: inherit;
  font: inherit;
  overflow: hidden;
  text-align: left;
  text-overflow: ellipsis;
  white-space: nowrap;
  cursor: pointer;
}
.more {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  margin: 0;
}
</style>
