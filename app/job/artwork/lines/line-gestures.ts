import { computed, ref, shallowRef } from 'vue';
import {
  apply,
  drawnLine,
  invert,
  type Path,
  type Point,
} from '../../../../core/geometry/index.ts';
import {
  centredLine,
  elementMap,
  type Line,
  type PieceElement,
} from '../../../../core/piece/index.ts';
import {
  isSmooth,
  moveHandle,
  moveNode,
  pathNodes,
  type NodePlace,
  type OutlineNode,
} from '../../../../core/shape/index.ts';
import type { BenchControls } from '../../../ui/bench-view.ts';
import { useDragStep } from '../../common/drag-step.ts';
import type { DeskState } from '../../artwork-state/desk-state.ts';
import { recentred } from './line-nodes.ts';

const STILL = 4; // px within which a press is a click
const SMOOTH = 5; // px that a drawn line may be smoothed by

/** Drawing lines with the pointer, and moving the nodes of one that is there. */
export function useLineGestures(desk: DeskState, bench: BenchControls) {
  const { run } = useDragStep(desk.store, bench);
  /** The points of the line that is being drawn, mm. */
  const points = shallowRef<readonly Point[]>([]);
  /** Where the pointer is, while a line goes from click to click. */
  const hovered = shallowRef<Point>();
  const drawing = ref(false);

  const preview = computed(() => {
    const all = hovered.value && !drawing.value ? [...points.value, hovered.value] : points.value;
    return all.map(({ x, y }, at) => `${at === 0 ? 'M' : 'L'}${x} ${y}`).join('');
  });

  function press(event: PointerEvent): void {
    if (event.button !== 0) return;
    const target = event.currentTarget as Element;
    const from = { x: event.clientX, y: event.clientY };
    const drawn: Point[] = [bench.toMm(event)];
    target.setPointerCapture(event.pointerId);
    const move = (moved: Event): void => {
      const { clientX, clientY } = moved as PointerEvent;
      if (!drawing.value && Math.hypot(clientX - from.x, clientY - from.y) < STILL) return;
      drawing.value = true;
      drawn.push(bench.toMm(moved as PointerEvent));
      points.value = [...drawn];
    };
    const up = (): void => {
      target.removeEventListener('pointermove', move);
      if (!drawing.value) {
        points.value = [...points.value, ...drawn];
        return;
      }
      drawing.value = false;
      finish(drawnLine(drawn, SMOOTH / bench.view.value.scale));
    };
    target.addEventListener('pointermove', move);
    target.addEventListener('pointerup', up, { once: true });
  }

  function hover(event: PointerEvent): void {
    hovered.value = points.value.length ? bench.toMm(event) : undefined;
  }

  /** Ends a line that went from click to click. */
  function end(): void {
    const { value } = points;
    if (value.length < 2) return giveUp();
    finish(value.map(({ x, y }, at) => [at === 0 ? 'M' : 'L', x, y] as const));
  }

  function giveUp(): void {
    points.value = [];
    hovered.value = undefined;
    desk.drawing.value = false;
  }

  function finish(path: Path): void {
    giveUp();
    const nodes = openNodes(path);
    const [first, last] = [nodes[0], nodes[nodes.length - 1]];
    if (!first || !last || nodes.length < 2) return;
    const reach = STILL * 2;
    const closed =
      nodes.length > 3 &&
      Math.hypot(last.x - first.x, last.y - first.y) * bench.view.value.scale < reach;
    desk.add(lineThrough(closed ? nodes.slice(0, -1) : nodes, closed, desk.colors.value[0]));
  }

  function startNode(
    event: PointerEvent,
    line: Line,
    place: NodePlace,
    side?: 'before' | 'after',
  ): void {
    if (event.button !== 0 || line.locked) return;
    desk.point.value = place;
    const into = invert(elementMap(line));
    const node = line.nodes[place.node];
    const smooth = node !== undefined && isSmooth(node);
    run(event, (now) => {
      const at = apply(into, now);
      const [nodes = line.nodes] = side
        ? moveHandle([line.nodes], place, { side, to: at, smooth })
        : moveNode([line.nodes], place, at);
      return (
        desk.piece.value && {
          name: 'change-elements',
          args: {
            piece: desk.piece.value.id,
            changes: { [line.id]: recentred(line, nodes) },
            doing: 'bend',
          },
        }
      );
    });
  }

  return { points, preview, press, hover, end, giveUp, startNode };
}

/** Nodes along an open path. */
const openNodes = (path: Path): OutlineNode[] => pathNodes(path, false)[0] ?? [];

function lineThrough(
  nodes: readonly OutlineNode[],
  closed: boolean,
  color = '#2a1b2e',
): PieceElement {
  const { nodes: centred, centre } = centredLine(nodes, closed);
  return {
    id: '',
    kind: 'line',
    ...centre,
    angle: 0,
    locked: false,
    nodes: centred,
    closed,
    line: { color, width: 0.5, style: 'solid', cap: 'round', join: 'round' },
    fill: null,
  };
}
