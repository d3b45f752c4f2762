<script setup lang="ts">
import { computed, ref } from 'vue';
import { artSize, colorsOf, makeVector, shapesOf } from '../../../core/art/index.ts';
import { boxOf, flatten } from '../../../core/geometry/index.ts';
import { outlinesOf, type DrawingNode } from '../../../core/drawing/index.ts';
import { texts } from '../../texts/index.ts';
import CardPanel from '../../ui/CardPanel.vue';
import CheckRow from '../../ui/CheckRow.vue';
import DrawnNodes from '../../ui/DrawnNodes.vue';
import LinkButton from '../../ui/LinkButton.vue';
import type { ArtEditor } from './art-editor.ts';

/** The shapes of a vector picture as small pictures, and its colours: hidden, changed, taken out. */
const props = defineProps<{ editor: ArtEditor }>();
const emit = defineEmits<{ out: [shapes: readonly number[]] }>();
const words = texts.art.bench;
const { vector, nodes, original } = props.editor;
const chosen = ref<readonly number[]>([]);
const sources = { typeface: () => undefined, imageUrl: () => undefined };
const shapes = computed(() => shapesOf(nodes.value));
const colors = computed(() => {
  const all = makeVector(nodes.value, { ...vector.value, colors: {}, hidden: [] }, width.value);
  return colorsOf(all).slice(0, 40);
});
const width = computed(() => (original.value ? artSize(original.value).width : 1));

interface Row {
  readonly key: string;
  readonly depth: number;
  /** A shape alone, or all shapes of a group. */
  readonly shapes: readonly number[];
  readonly node: DrawingNode | undefined;
}

const MOST_ROWS = 400;

/** The shapes as a tree: a row for each group over those of its shapes. The drawing itself is no group. */
const rows = computed(() => {
  const made: Row[] = [];
  let open: readonly number[] = [];
  shapes.value.slice(0, MOST_ROWS).forEach(({ node, groups }, at) => {
    const chain = groups.slice(1);
    chain.forEach((group, depth) => {
      if (open[depth] === group) return;
      const inside = shapes.value.flatMap((one, index) =>
        one.groups.includes(group) ? [index] : [],
      );
      made.push({ key: `group${group}`, depth, shapes: inside, node: undefined });
    });
    open = chain;
    made.push({ key: `shape${at}`, depth: chain.length, shapes: [at], node });
  });
  return made;
});
const isHidden = (all: readonly number[]): boolean =>
  all.every((at) => vector.value.hidden.includes(at));

function view(node: DrawingNode): string {
  const box = boxOf(outlinesOf([node]).flatMap((path) => flatten(path, 0.2).flat()));
  if (!box) return '0 0 1 1';
  const side = Math.max(box.right - box.left, box.bottom - box.top, 0.5) * 1.15;
  const [x, y] = [(box.left + box.right - side) / 2, (box.top + box.bottom - side) / 2];
  return `${x} ${y} ${side} ${side}`;
}

const colorOf = (at: number): string => {
  const fill = shapes.value[at]?.shape.fill ?? shapes.value[at]?.shape.stroke?.paint;
  const own = fill?.kind === 'solid' ? fill.color : '#888888';
  return vector.value.shapes[String(at)] ?? vector.value.colors[own] ?? own;
};

function toggle(all: readonly number[]): void {
  const left = vector.value.hidden.filter((one) => !all.includes(one));
  props.editor.changeVector({ hidden: isHidden(all) ? left : [...left, ...all] });
}

function choose(at: number): void {
  chosen.value = chosen.value.includes(at)
    ? chosen.value.filter((one) => one !== at)
    : [...chosen.value, at];
}

function paint(at: number, event: Event): void {
  const color = (event.target as HTMLInputElement).value;
  props.editor.changeVector({ shapes: { ...vector.value.shapes, [String(at)]: color } });
}

function recolor(from: string, event: Event): void {
  const color = (event.target as HTMLInputElement).value;
  props.editor.changeVector({ colors: { ...vector.value.colors, [from]: color } });
}
</script>

<template>
  <CardPanel :title="words.colors" peeled>
    <div class="colors">
      <label
        v-for="color in colors"
        :key="color"
        class="chip"
        :style="{ background: vector.colors[color] ?? color }"
        :title="words.recolor(color)"
      >
        <input
          type="color"
          :value="vector.colors[color] ?? color"
          :aria-label="words.recolor(color)"
          @input="recolor(color, $event)"
        />
      </label>
    </div>
    <CheckRow
      :model-value="vector.mirror"
      :label="words.mirror"
      @update:model-value="editor.changeVector({ mirror: $event })"
    />
  </CardPanel>
  <CardPanel :title="words.shapes" :aside="String(shapes.length)">
    <ol>
      <li
        v-for="row in rows"
        :key="row.key"
        :class="{
          off: isHidden(row.shapes),
          chosen: row.node && chosen.includes(row.shapes[0] ?? -1),
        }"
        :style="{ paddingLeft: `${6 + row.depth * 16}px` }"
      >
        <input
          type="checkbox"
          :checked="!isHidden(row.shapes)"
          :aria-label="
            row.node
              ? words.hide((row.shapes[0] ?? 0) + 1)
              : words.hideGroup(row.shapes.length, (row.shapes[0] ?? 0) + 1)
          "
          @change="toggle(row.shapes)"
        />
        <template v-for="at in row.node ? row.shapes : []" :key="at">
          <button
            type="button"
            class="small"
            :aria-pressed="chosen.includes(at)"
            :aria-label="words.shape(at + 1)"
            @click="choose(at)"
          >
            <svg v-if="row.node" :viewBox="view(row.node)">
              <DrawnNodes :nodes="[row.node]" :sources="sources" :version="0" />
            </svg>
          </button>
          <span class="grow">{{ words.shape(at + 1) }}</span>
          <label class="chip" :style="{ background: colorOf(at) }">
            <input
              type="color"
              :value="colorOf(at)"
              :aria-label="words.shapeColor(at + 1)"
              @input="paint(at, $event)"
            />
          </label>
        </template>
        <span v-if="!row.node" class="grow group">{{ words.group(row.shapes.length) }}</span>
      </li>
    </ol>
    <LinkButton v-if="chosen.length" @click="emit('out', chosen)">
      {{ words.takeOut }}
    </LinkButton>
  </CardPanel>
</template>

<style scoped>
.colors {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.chip {
  position: relative;
  flex: none;
  width: 26px;
  height: 26px;
  border: 1px solid var(--field-line);
  border-radius: 50%;
  cursor: pointer;
}
.chip:focus-within {
  outline: 2px solid var(--plum);
  outline-offset: 2px;
}
.chip input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
ol {
  max-height: 320px;
  margin: 0 0 6px;
  padding: 0;
  overflow: auto;
  list-style: none;
}
li {
  display: flex;
  align-items: center;
  gap: 8px;
  border-radius: var(--r-field);
  padding: 2px 6px;
}
li input[type='checkbox'] {
  accent-color: var(--plum);
}
.off .small,
.off .grow {
  opacity: 0.35;
}
.chosen {
  background: var(--apricot-soft);
}
.small {
  flex: none;
  width: 38px;
  height: 38px;
  border: 1px solid var(--line);
  border-radius: var(--r-field);
  padding: 2px;
  background: #ffffff;
  cursor: pointer;
}
.small svg {
  width: 100%;
  height: 100%;
}
.grow {
  flex: 1;
}
.group {
  min-height: var(--row);
  line-height: var(--row);
  font-weight: 600;
}
</style>
