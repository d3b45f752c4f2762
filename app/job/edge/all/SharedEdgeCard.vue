<script setup lang="ts">
import { computed, ref } from 'vue';
import { pieceSchema } from '../../../../core/piece/index.ts';
import { edgeBuildSchema } from '../../../../core/shape/index.ts';
import { formatLength } from '../../../../core/units/index.ts';
import { texts } from '../../../texts/index.ts';
import CardPanel from '../../../ui/CardPanel.vue';
import ChoicesRow from '../../../ui/ChoicesRow.vue';
import FieldRows from '../../../ui/FieldRows.vue';
import { fieldsOf } from '../../../ui/fields.ts';
import SliderRow from '../../../ui/SliderRow.vue';
import { useSettings } from '../../../ui/settings-store.ts';
import type { AllEdgesState } from './all-edges-state.ts';
import { useLeftOutside } from './left-outside.ts';

/** Rim, calm, corners, holes and bleed of the chosen pieces, and how the job is cut. */
const props = defineProps<{ all: AllEdgesState }>();
const settings = useSettings();
const say = texts.allEdges;
const words = texts.edge;
const { store, shared, chosen, ids, mixed } = props.all;
const outside = useLeftOutside(chosen);
const { length, choices } = fieldsOf(edgeBuildSchema);
const RIM = [length('offset', say.rim, { name: say.rimLong })];
const FORM = [
  choices('corners', words.corners, words.cornerStyles),
  choices('holes', words.holes, words.holeChoices),
  choices('join', words.join, words.joins),
  length('innerRadius', words.innerRadius, { name: words.innerLong, step: 0.25 }),
];
const BLEED = [fieldsOf(pieceSchema).length('bleed', words.bleed, { name: words.bleedLong })];
/** What the slider goes up to, mm; finer steps are typed for one piece. */
const [CALMEST, CALM_STEP] = [10, 0.25];

/** Where the slider is while it is dragged: the edges follow as fast as they can. */
const dragged = ref<number>();
const calm = computed(() => dragged.value ?? Math.min(CALMEST, shared.value.smooth));
function calmDown(smooth: number): void {
  dragged.value = smooth;
  props.all.share({ smooth });
}
const first = computed(() => chosen.value[0]);

function bleed(changes: { bleed?: number }): void {
  if (changes.bleed !== undefined)
    store.act({ name: 'set-bleed', args: { pieces: ids.value, bleed: changes.bleed } }, 'bleed');
}
</script>

<template>
  <CardPanel :title="say.edge">
    <p v-if="mixed" class="quiet">{{ say.mixed(mixed) }}</p>
    <FieldRows :fields="RIM" :of="shared" @change="all.share($event)" />
    <div @change="dragged = undefined">
      <SliderRow
        :label="say.calm"
        :title="say.calmLong"
        :model-value="calm"
        :min="0"
        :max="CALMEST"
        :step="CALM_STEP"
        :said="formatLength(calm, settings.unit)"
        @update:model-value="calmDown"
      />
    </div>
    <p class="told" :class="{ look: outside }" role="status">
      {{
        outside ? say.outside(formatLength(outside.mm, settings.unit), outside.name) : say.inside
      }}
    </p>
    <FieldRows :fields="FORM" :of="shared" @change="all.share($event)" />
    <FieldRows v-if="first" :fields="BLEED" :of="first" @change="bleed" />
    <ChoicesRow
      v-if="store.job"
      :label="say.cut"
      :name="say.cutLong"
      :model-value="store.job.plan.cut"
      :choices="texts.sheet.cuts"
      @update:model-value="store.act({ name: 'change-plan', args: { changes: { cut: $event } } })"
    />
  </CardPanel>
</template>

<style scoped>
.told {
  margin: 2px 0 6px;
  font-size: 12.5px;
}
.look {
  border-radius: var(--r-field);
  padding: 4px 10px;
  background: var(--amber-soft);
  color: var(--amber-text);
}
</style>
