<script setup lang="ts">
import { computed } from 'vue';
import { artSize } from '../../../core/art/index.ts';
import {
  resizedShape,
  shapeMeasures,
  shapeSize,
  type BoxedKind,
  type EdgeShape,
} from '../../../core/shape/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import LengthRow from '../../ui/LengthRow.vue';
import NumberRow from '../../ui/NumberRow.vue';
import type { EdgeState } from './edge-state.ts';
import ShapeChoice from '../../ui/ShapeChoice.vue';
import LinkButton from '../../ui/LinkButton.vue';

/** What the edge is: a shape with its measures, or the outline of the pictures. */
const props = defineProps<{ edge: EdgeState }>();
const emit = defineEmits<{ clear: [art: string] }>();
const words = texts.edge;
const { piece, part, parts, pictures, tolerance, traced, busy } = props.edge;
const size = computed(() => part.value && shapeSize(part.value.shape));
const whole = computed(() => piece.value && shapeSize(piece.value.edge));
const measures = computed(() => (part.value ? shapeMeasures(part.value.shape) : []));
const valueOf = (key: string): number =>
  (part.value?.shape as unknown as Record<string, number>)[key] ?? 0;
/** A picture that has no clear place in it: only its frame could be traced. */
const opaque = computed(() => {
  const { store } = props.edge;
  return pictures.value
    .map(({ art }) => store.job?.art[art])
    .find((art) => art?.kind === 'pixels' && art.format === 'jpeg');
});

function measure(key: string, value: number): void {
  const shape = { ...part.value?.shape, [key]: value } as EdgeShape;
  props.edge.changePart({ shape }, `measure:${key}`);
}

function resize(width: number, height: number): void {
  if (part.value)
    props.edge.changePart({ shape: resizedShape(part.value.shape, width, height) }, 'resize');
}

function sizeWhole(side: 'width' | 'height', mm: number): void {
  const { store } = props.edge;
  if (piece.value)
    store.act({ name: 'size-edge', args: { piece: piece.value.id, [side]: mm } }, `size:${side}`);
}

const isOutline = computed(() => part.value?.shape.kind === 'outline');
const ownSize = (id: string): number => {
  const art = props.edge.store.job?.art[id];
  return art ? artSize(art).width : 0;
};
const traceable = computed(() => pictures.value.filter(({ art }) => ownSize(art) > 0));
</script>

<template>
  <CardPanel :title="words.shape" peeled>
    <ShapeChoice
      :model-value="part?.shape.kind"
      :label="words.shape"
      @update:model-value="(kind: BoxedKind) => edge.reshape(kind)"
    />
    <div class="art">
      <template v-if="traceable.length">
        <button class="trace" type="button" :disabled="busy !== ''" @click="edge.trace(traceable)">
          {{ busy || (traceable.length > 1 ? words.traceAll : words.trace) }}
        </button>
        <LinkButton v-if="busy" @click="edge.stop">
          {{ texts.cancel }}
        </LinkButton>
        <p v-if="opaque" class="quiet">
          {{ words.opaque(opaque.name) }}
          <LinkButton @click="emit('clear', opaque.id)">
            {{ words.clearFirst }}
          </LinkButton>
        </p>
        <NumberRow
          v-if="isOutline"
          v-model="tolerance"
          :label="words.tolerance"
          suffix="mm"
          :digits="3"
          :min="0.005"
          :max="2"
          :step="0.01"
        />
        <p v-if="traced" class="quiet" role="status">
          {{ words.traced(traced.nodes, traced.deviation.toFixed(3)) }}
        </p>
      </template>
      <p v-else class="quiet">
        {{ words.noPicture }}
        <router-link class="link" :to="{ name: 'artwork', query: { piece: piece?.id } }">{{
          words.toArtwork
        }}</router-link>
      </p>
    </div>
    <template v-if="!isOutline && size && part">
      <LengthRow
        :label="words.width"
        :model-value="size.width"
        :min="2"
        :max="1000"
        @update:model-value="resize($event, part.shape.kind === 'circle' ? $event : size.height)"
      />
      <LengthRow
        :label="words.height"
        :model-value="size.height"
        :min="2"
        :max="1000"
        @update:model-value="resize(part.shape.kind === 'circle' ? $event : size.width, $event)"
      />
      <template v-for="one in measures" :key="one.key">
        <NumberRow
          v-if="one.counts"
          :label="words.measures[one.key] ?? one.key"
          :model-value="valueOf(one.key)"
          :min="one.least"
          :max="one.most(part.shape)"
          @update:model-value="measure(one.key, $event)"
        />
        <LengthRow
          v-else
          :label="words.measures[one.key] ?? one.key"
          :model-value="valueOf(one.key)"
          :min="one.least"
          :max="one.most(part.shape)"
          @update:model-value="measure(one.key, $event)"
        />
      </template>
    </template>
    <template v-else-if="whole && parts.length">
      <LengthRow
        :label="words.width"
        :model-value="whole.width"
        :min="2"
        :max="1000"
        @update:model-value="sizeWhole('width', $event)"
      />
      <LengthRow
        :label="words.height"
        :model-value="whole.height"
        :min="2"
        :max="1000"
        @update:model-value="sizeWhole('height', $event)"
      />
    </template>
  </CardPanel>
</template>

<style scoped>
.art {
  margin: 8px 0 4px;
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
.trace {
  width: 100%;
  min-height: calc(var(--row) + 4px);
  border: 0;
  border-radius: var(--r-field);
  background: var(--plum);
  color: var(--on-plum);
  font: inherit;
  font-weight: 600;
  cursor: pointer;
}
.trace:disabled {
  opacity: 0.6;
}
p {
  margin: 6px 0 0;
}
</style>
