<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Cutter, Material } from '../../core/stock/index.ts';
import { fileStem, programText } from '../../core/output/index.ts';
import {
  materialTestProgram,
  TEST_SHEET,
  TEST_SIZE,
  testCells,
  type TestCell,
} from '../../core/testprint/index.ts';
import { calls } from '../calls/index.ts';
import { cutOn } from '../session/bridge.ts';
import { download } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import ChoicesRow from '../ui/ChoicesRow.vue';
import FactRow from '../ui/FactRow.vue';
import { useMessages } from '../ui/messages-store.ts';
import NumberRow from '../ui/NumberRow.vue';
import OverlayPanel from '../ui/OverlayPanel.vue';
import SelectRow from '../ui/SelectRow.vue';
import { useStockRoom } from '../session/stock-room-store.ts';

/** A grid of squares at stepped force and speed on a spare piece: the one that peels cleanly is kept. */
const props = defineProps<{ material: Material }>();
const emit = defineEmits<{ close: []; found: [changes: Partial<Material>] }>();
const words = texts.devices.test;
const room = useStockRoom();
const messages = useMessages();
const kind = ref<'kiss' | 'through'>(props.material.cut.kiss ? 'kiss' : 'through');
const known = computed(() => props.material.cut[kind.value]);
const force = ref(known.value?.force ?? 100);
const cutterId = ref(room.room.cutters[0]?.id ?? '');
const note = ref('');
const cutter = computed((): Cutter | undefined =>
  room.room.cutters.find(({ id }) => id === cutterId.value),
);
const cutters = computed(() => ({
  ...Object.fromEntries(room.room.cutters.map(({ id, name }) => [id, name])),
  '': texts.run.cutters.file,
}));
const plan = computed(() => ({
  kind: kind.value,
  force: force.value,
  speed: known.value?.speed ?? 100,
  least: cutter.value?.leastForce ?? 1,
  most: cutter.value?.mostForce ?? 5000,
  name: props.material.name,
}));
const cells = computed(() => testCells(plan.value));
const stem = computed(() => `${fileStem(props.material.name)}-test`);

async function print(): Promise<void> {
  const pdf = await calls.call('materialTest', { ...plan.value }).answer;
  download(`${stem.value}.pdf`, pdf, 'application/pdf');
}

async function cut(): Promise<void> {
  const { value } = cutter;
  const program = materialTestProgram(plan.value, value?.profile);
  if (!value?.address) {
    const bytes = new TextEncoder().encode(programText(program));
    const end = value?.profile?.language ?? 'hpgl';
    return download(`${stem.value}.${end}`, bytes, 'application/octet-stream');
  }
  const done = await cutOn(value, { program }, () => undefined).done;
  if (done.ok) messages.say(words.sent);
  else messages.sayProblem(done.problem);
}

function choose({ force: grams, speed }: TestCell): void {
  const passes = known.value?.passes ?? 1;
  const said = note.value.trim();
  emit('found', {
    cut: { ...props.material.cut, [kind.value]: { force: grams, speed, passes } },
    tested: { date: new Date().toISOString().slice(0, 10), kind: kind.value, note: said },
  });
  messages.say(words.kept(grams, speed));
  emit('close');
}
</script>

<template>
  <OverlayPanel :title="words.title(material.name)" @close="emit('close')">
    <div class="test">
      <div class="ways">
        <ChoicesRow v-model="kind" :label="words.kind" :choices="words.kinds" />
        <NumberRow v-model="force" :label="words.around" :min="1" :max="5000" />
        <SelectRow v-model="cutterId" :label="texts.run.cutsOn" :choices="cutters" />
        <p class="quiet">{{ words.hint }}</p>
        <v-btn color="primary" variant="tonal" @click="print().catch(messages.sayError)">{{
          words.print
        }}</v-btn>
        <v-btn color="primary" variant="tonal" @click="cut().catch(messages.sayError)">{{
          words.cut
        }}</v-btn>
        <FactRow as="label" :label="words.note"
          ><input v-model="note" class="well" maxlength="120" :placeholder="words.noteExample"
        /></FactRow>
      </div>
      <div class="grid">
        <p>
          <strong>{{ words.tap }}</strong>
        </p>
        <svg
          :viewBox="`0 0 ${TEST_SHEET.width} ${TEST_SHEET.height}`"
          role="group"
          :aria-label="words.tap"
        >
          <rect class="paper" :width="TEST_SHEET.width" :height="TEST_SHEET.height" rx="2" />
          <g
            v-for="(cell, at) in cells"
            :key="at"
            class="cell"
            role="button"
            tabindex="0"
            :aria-label="words.cell(cell.force, cell.speed)"
            @click="choose(cell)"
            @keydown.enter="choose(cell)"
          >
            <rect
              :x="cell.x - TEST_SIZE / 2"
              :y="cell.y - TEST_SIZE / 2"
              :width="TEST_SIZE"
              :height="TEST_SIZE"
              rx="1"
            />
            <text :x="cell.x" :y="cell.y">{{ words.grams(cell.force) }}</text>
            <text :x="cell.x" :y="cell.y + 4.4" class="small">
              {{ words.perSecond(cell.speed) }}
            </text>
          </g>
        </svg>
      </div>
    </div>
  </OverlayPanel>
</template>

<style scoped>
.test {
  display: flex;
  gap: 26px;
}
.ways {
  display: flex;
  flex: 0 0 250px;
  flex-direction: column;
  gap: 8px;
}
.grid {
  flex: 1;
  min-width: 380px;
}
p {
  margin: 0 0 8px;
}
svg {
  display: block;
  width: 100%;
}
.paper {
  fill: #fff;
  stroke: var(--line);
}
.cell {
  outline: none;
  cursor: pointer;
}
.cell rect {
  fill: #fde7cb;
  stroke: #5d2a53;
  stroke-width: 0.4;
  stroke-dasharray: 1.4 0.8;
}
.cell:hover rect,
.cell:focus-visible rect {
  fill: #f2a65a;
  stroke-width: 0.9;
}
text {
  fill: #2a1b2e;
  font-size: 3.6px;
  text-anchor: middle;
}
.small {
  font-size: 2.4px;
}
</style>
