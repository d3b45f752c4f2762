<script setup lang="ts">
import { computed } from 'vue';
import { pathData } from '../../../../core/drawing/index.ts';
import { mapPath, nested, scaling, translation } from '../../../../core/geometry/index.ts';
import { pieceSize, type Piece } from '../../../../core/piece/index.ts';
import { shapePath } from '../../../../core/shape/index.ts';
import { formatNumber } from '../../../../core/units/index.ts';
import { findingText } from '../../../../messages/index.ts';
import PieceThumbnail from '../../../session/PieceThumbnail.vue';
import { stateOf } from '../../../session/ticket-lines.ts';
import { texts } from '../../../texts/index.ts';
import LinkButton from '../../../ui/LinkButton.vue';
import { useSettings } from '../../../ui/settings-store.ts';
import StateMark from '../../../ui/StateMark.vue';
import type { AllEdgesState } from './all-edges-state.ts';

/** A piece among all: its edge as it is and as it was, its size, and what the proof says of it. */
const props = defineProps<{ all: AllEdgesState; piece: Piece }>();
defineEmits<{ open: [] }>();
const settings = useSettings();
const say = texts.allEdges;
const { store } = props.all;
const isChosen = computed(() => props.all.picked.value.has(props.piece.id));
const size = computed(() => {
  const { width, height } = pieceSize(props.piece);
  const { unit } = settings;
  return `${formatNumber(width, unit)} × ${formatNumber(height, unit)} ${unit}`;
});
const cut = computed(() => store.job?.plan.cut ?? 'kiss');
/** The edge as it was, laid over the artwork as that is now. */
const before = computed(() => {
  const was = props.all.before.get(props.piece.id);
  if (!props.all.showsBefore.value || !was || was.edge === props.piece.edge) return undefined;
  const [from, to] = [was.elements[0], props.piece.elements[0]];
  const scale = from?.kind === 'picture' && to?.kind === 'picture' ? to.width / from.width : 1;
  const at = { x: (to?.x ?? 0) - (from?.x ?? 0) * scale, y: (to?.y ?? 0) - (from?.y ?? 0) * scale };
  return pathData(mapPath(shapePath(was.edge), nested(translation(at.x, at.y), scaling(scale))));
});
const findings = computed(() =>
  store.findings.list.filter(
    ({ severity, where }) => where.piece === props.piece.id && severity !== 'note',
  ),
);
const says = computed(() => findings.value.map((one) => findingText(one).what).join(' '));
const differs = computed(() => props.all.differs(props.piece));

function asOthers(): void {
  if (props.all.common.value) props.all.share(props.all.common.value, [props.piece.id]);
}
</script>

<template>
  <li class="tile" :class="{ chosen: isChosen }">
    <label class="look">
      <input
        type="checkbox"
        :checked="isChosen"
        :aria-label="say.choose(piece.name)"
        @change="all.choose(piece.id)"
      />
      <PieceThumbnail v-if="store.job" class="picture" :job="store.job" :piece="piece.id">
        <path v-if="before" class="before" :d="before" />
        <path class="cut" :class="cut" :d="pathData(shapePath(piece.edge))" />
      </PieceThumbnail>
    </label>
    <strong class="name" :title="piece.name">{{ piece.name }}</strong>
    <span class="facts">
      <span class="quiet">{{ size }}</span>
      <LinkButton :aria-label="say.open(piece.name)" @click="$emit('open')">
        {{ say.openIt }}
      </LinkButton>
    </span>
    <span class="facts state" :title="says">
      <StateMark :state="stateOf(findings)" />
      <span>{{ findings.length ? say.findings(findings.length) : say.nothing }}</span>
    </span>
    <span v-if="differs" class="facts">
      <span class="quiet">{{ say.differs }}</span>
      <LinkButton :aria-label="say.asOthersOf(piece.name)" @click="asOthers">
        {{ say.asOthers }}
      </LinkButton>
    </span>
  </li>
</template>

<style scoped>
.tile {
  box-sizing: border-box;
  border: 1px solid var(--line);
  border-radius: var(--r-card);
  padding: 10px 12px;
  background: var(--card);
}
.tile:hover {
  border-color: var(--field-line);
}
.chosen {
  border-color: var(--plum);
  box-shadow: 0 0 0 1px var(--plum);
}
.look {
  position: relative;
  display: block;
  border-radius: var(--r-field);
  padding: 12px;
  background: var(--release);
  cursor: pointer;
}
.look input {
  position: absolute;
  top: 8px;
  left: 8px;
  margin: 0;
  accent-color: var(--plum);
}
.picture {
  display: block;
  width: 100%;
  height: 112px;
  overflow: visible;
}
.picture path.cut,
.picture path.before {
  fill: none;
  stroke-width: 1.6px;
  vector-effect: non-scaling-stroke;
}
.picture .kiss {
  stroke: var(--kiss);
}
.picture .through {
  stroke: var(--through);
}
.picture .before {
  stroke: var(--ink-2);
  stroke-dasharray: 3 3;
}
.name {
  display: block;
  margin-top: 8px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
}
.facts {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 6px;
  min-height: 24px;
  font-size: 12.5px;
}
.state {
  justify-content: flex-start;
}
</style>
