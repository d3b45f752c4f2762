<script setup lang="ts">
import { computed, ref } from 'vue';
import { backOf } from '../../../core/job/index.ts';
import type { Piece } from '../../../core/piece/index.ts';
import type { FlatSize, MeasuredThing } from '../../../core/things/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { texts } from '../../texts/index.ts';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import { sidesOf } from '../../ui/seen-sides.ts';
import type { SeenFrom } from '../../ui/thing-pictures/index.ts';
import { useLabelCanvas } from './label-canvas.ts';
import ThingDrawing from './ThingDrawing.vue';

/** The thing with its measurements and its label, seen from any side that shows some of it. */
const props = defineProps<{ thing: MeasuredThing; flat: FlatSize; piece: Piece }>();
defineEmits<{ measure: [key: string, value: number] }>();
const store = useJobStore();
/** The other side of a label that has two is a piece of its own. */
const back = computed(() => store.job && backOf(store.job, props.piece.id));
const sides = computed(() => {
  const own = sidesOf(props.thing);
  const { front, back: behind } = texts.size.seen;
  return back.value && !('back' in own) ? { front, back: behind } : own;
});
const looked = ref<SeenFrom>('front');
/** Another thing may not be seen from where the last one was. */
const seen = computed(() => (looked.value in sides.value ? looked.value : 'front'));
const shown = computed(() => (seen.value === 'back' && back.value ? back.value : props.piece));
const label = useLabelCanvas(
  () => store.job && store.compiled(store.job, shown.value),
  () => store.job?.material.color ?? '#ffffff',
);
</script>

<template>
  <figure>
    <ThingDrawing
      :thing="thing"
      :flat="flat"
      :seen="seen"
      :label="label"
      @measure="(key, value) => $emit('measure', key, value)"
    />
    <figcaption>
      <ChoiceRow
        v-if="Object.keys(sides).length > 1"
        v-model="looked"
        class="seen"
        :label="texts.size.seenLong"
        :choices="sides"
      />
      {{ texts.size.thing }}
    </figcaption>
  </figure>
</template>
