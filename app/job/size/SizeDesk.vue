<script setup lang="ts">
import { computed } from 'vue';
import type { Thing } from '../../../core/things/index.ts';
import { trySize } from '../../../core/things/index.ts';
import { pathData } from '../../../core/drawing/index.ts';
import { shapePath, shapeSize } from '../../../core/shape/index.ts';
import BenchLayout from '../../ui/BenchLayout.vue';
import CardPanel from '../../ui/CardPanel.vue';
import ChoiceRow from '../../ui/ChoiceRow.vue';
import FactRow from '../../ui/FactRow.vue';
import LengthRow from '../../ui/LengthRow.vue';
import { useSettings } from '../../ui/settings-store.ts';
import { useJobStore } from '../store/job-store.ts';
import { sizeFact } from '../ticket/ticket-lines.ts';
import ThingDrawing from './ThingDrawing.vue';
import { texts } from '../../texts/index.ts';

const store = useJobStore();
const settings = useSettings();
const thing = computed(() => store.job?.thing);
const edge = computed(() => store.job?.pieces[0]?.edge);
const flat = computed(() =>
  edge.value ? { path: pathData(shapePath(edge.value)), ...shapeSize(edge.value) } : undefined,
);
const warnings = computed(() => {
  if (!thing.value || thing.value.kind === 'label-sheet') return [];
  const size = trySize(thing.value);
  return size.ok ? size.value.warnings : [];
});
const fact = computed(() => (store.job ? sizeFact(store.job, settings.unit) : ''));

function measure(changes: Partial<Thing>): void {
  if (!thing.value) return;
  store.act({ name: 'measure-thing', args: { thing: { ...thing.value, ...changes } as Thing } });
}

function measureWay(measured: 'diameter' | 'circumference'): void {
  if (thing.value?.kind !== 'lid' || thing.value.measured === measured) return;
  const size =
    measured === 'circumference' ? thing.value.size * Math.PI : thing.value.size / Math.PI;
  measure({ measured, size: Math.round(size * 10) / 10 });
}
</script>

<template>
  <BenchLayout :cards="texts.size.measurements">
    <template #bench>
      <div v-if="thing && flat" class="two">
        <figure>
          <ThingDrawing :thing="thing" @measure="measure" />
          <figcaption>
            {{ thing.kind === 'label-sheet' ? texts.size.decided : texts.size.thing }}
          </figcaption>
        </figure>
        <figure>
          <svg
            class="flat"
            :viewBox="`${-flat.width / 2 - 4} ${-flat.height / 2 - 4} ${flat.width + 8} ${flat.height + 8}`"
            role="img"
            :aria-label="texts.size.flatOf(fact)"
          >
            <path class="paper" :d="flat.path" />
            <path class="edge" :d="flat.path" />
          </svg>
          <figcaption>
            <strong class="display">{{ fact }}</strong>{{ texts.size.flat }}
          </figcaption>
        </figure>
      </div>
    </template>
    <template #cards>
      <CardPanel v-if="thing?.kind === 'lid'" :title="texts.size.lid" peeled>
        <FactRow :label="texts.size.measured"
          ><ChoiceRow
            :model-value="thing.measured"
            :label="texts.size.measured"
            :choices="texts.size.ways"
            @update:model-value="measureWay"
        /></FactRow>
        <LengthRow
          :label="thing.measured === 'diameter' ? texts.size.across : texts.size.around"
          :name="texts.size.lidSize"
          :model-value="thing.size"
          :min="1"
          :max="2000"
          @update:model-value="measure({ size: $event })"
        />
        <LengthRow
          :label="texts.size.bare"
          :name="texts.size.clearance"
          :model-value="thing.clearance"
          :min="0"
          :max="100"
          @update:model-value="measure({ clearance: $event })"
        />
        <p class="hint">
          {{ thing.measured === 'diameter' ? texts.size.acrossHint : texts.size.aroundHint }}
        </p>
      </CardPanel>
      <CardPanel v-else-if="thing?.kind === 'face'" :title="texts.size.face" peeled>
        <LengthRow
          :label="texts.size.width"
          :name="texts.size.faceWidth"
          :model-value="thing.width"
          :min="1"
          :max="2000"
          @update:model-value="measure({ width: $event })"
        />
        <LengthRow
          :label="texts.size.height"
          :name="texts.size.faceHeight"
          :model-value="thing.height"
          :min="1"
          :max="2000"
          @update:model-value="measure({ height: $event })"
        />
        <LengthRow
          :label="texts.size.cornerRadius"
          :model-value="thing.radius"
          :min="0"
          :max="1000"
          @update:model-value="measure({ radius: $event })"
        />
        <LengthRow
          :label="texts.size.bare"
          :name="texts.size.clearance"
          :model-value="thing.clearance"
          :min="0"
          :max="100"
          @update:model-value="measure({ clearance: $event })"
        />
        <p class="hint">{{ texts.size.faceHint }}</p>
      </CardPanel>
      <CardPanel v-else :title="texts.size.labelSheet" peeled>
        <p class="hint">
          {{ texts.size.sheetDecides(store.job?.stock.name ?? '') }}
        </p>
      </CardPanel>
      <CardPanel
        v-for="warning in warnings"
        :key="warning"
        :title="texts.size.lookAgain"
        tone="amber"
        ><p class="hint">{{ warning }}</p></CardPanel
      >
      <v-btn color="primary" height="40" :to="{ name: 'artwork' }">{{
        texts.size.toArtwork
      }}</v-btn>
    </template>
  </BenchLayout>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1.15fr 1fr;
  gap: 28px;
  align-items: center;
  box-sizing: border-box;
  height: 100%;
  padding: 40px 44px;
}
figure {
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 14px;
  min-width: 0;
  min-height: 0;
  margin: 0;
}
.flat {
  width: 100%;
  max-height: 46vh;
}
.paper {
  fill: var(--release);
  filter: drop-shadow(0 1.2px 2.4px #44203d33);
}
.edge {
  fill: none;
  stroke: var(--kiss);
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
  stroke-dasharray: 7 4;
}
figcaption {
  max-width: 300px;
  color: var(--ink);
  text-align: center;
}
figcaption strong {
  display: block;
  font-size: 22px;
}
.hint {
  margin: 8px 0 0;
  color: var(--ink-2);
}
.amber .hint {
  color: var(--ink);
}
</style>
