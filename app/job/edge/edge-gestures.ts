import { apply, invert, placed, type Point } from '../../../core/geometry/index.ts';
import {
  isSmooth,
  moveHandle,
  moveNode,
  resizedShape,
  shapeMeasures,
  shapeSize,
  type EdgePart,
  type EdgeShape,
  type NodePlace,
} from '../../../core/shape/index.ts';
import type { BenchControls } from '../../ui/bench-view.ts';
import { useDragStep } from '../common/drag-step.ts';
import type { EdgeState } from './edge-state.ts';

/** A handle of the chosen shape: one of its measures, or the corner of its box. */
export interface ShapeHandle {
  readonly key: string;
  /** On the piece, mm. */
  readonly at: Point;
}

const onPiece = ({ x, y, angle }: EdgePart, at: Point): Point => apply(placed(x, y, angle), at);

/** The handles that a shape is dragged by. */
export function handlesOf(part: EdgePart | undefined): ShapeHandle[] {
  if (!part) return [];
  const { width, height } = shapeSize(part.shape);
  const measures = shapeMeasures(part.shape).flatMap(({ key, at }) =>
    at ? [{ key: key as string, at: onPiece(part, at(part.shape)) }] : [],
  );
  return [...measures, { key: 'size', at: onPiece(part, { x: width / 2, y: height / 2 }) }];
}

const to = (mm: number): number => Math.round(mm * 10) / 10;

/** Dragging of shapes, their measures, punched holes, creases and nodes on the edge bench. */
export function useEdgeGestures(edge: EdgeState, bench: BenchControls) {
  const { active, run } = useDragStep(edge.store, bench);
  const free = (event: PointerEvent): boolean => event.button === 0 && !edge.follows.value;

  function startHandle(event: PointerEvent, key: string): void {
    const part = edge.part.value;
    if (!free(event) || !part) return;
    const into = invert(placed(part.x, part.y, part.angle));
    const measure = shapeMeasures(part.shape).find((one) => one.key === key);
    run(event, (at) => {
      const local = apply(into, at);
      let shape: EdgeShape;
      if (measure?.read) {
        const value = Math.min(
          measure.most(part.shape),
          Math.max(measure.least, to(measure.read(part.shape, local))),
        );
        shape = { ...part.shape, [key]: value } as EdgeShape;
      } else {
        const [w, h] = [Math.max(4, to(2 * local.x)), Math.max(4, to(2 * local.y))];
        const now = shapeSize(part.shape);
        const even = Math.max(w / now.width, h / now.height);
        shape =
          part.shape.kind === 'outline'
            ? resizedShape(part.shape, now.width * even, now.height * even)
            : resizedShape(part.shape, w, h);
      }
      return edge.command(edge.withPart(edge.chosen.value, { shape }), 'change the shape');
    });
  }

  function startPart(event: PointerEvent, at: number): void {
    const part = edge.parts.value[at];
    if (!free(event) || !part || edge.parts.value.length < 2) return;
    edge.chosen.value = at;
    const from = bench.toMm(event);
    run(event, (now) =>
      edge.command(
        edge.withPart(at, { x: to(part.x + now.x - from.x), y: to(part.y + now.y - from.y) }),
        'move a shape',
      ),
    );
  }

  function startHole(event: PointerEvent, at: number): void {
    const hole = edge.build.value.punched[at];
    if (!free(event) || !hole) return;
    edge.hole.value = at;
    const from = bench.toMm(event);
    run(event, (now, moved) => {
      // Holes like to sit on the middle of the piece.
      const snap = moved.ctrlKey || moved.metaKey ? 0 : 6 / bench.view.value.scale;
      const [x, y] = [hole.x + now.x - from.x, hole.y + now.y - from.y];
      const place = { x: Math.abs(x) < snap ? 0 : to(x), y: Math.abs(y) < snap ? 0 : to(y) };
      return edge.command(edge.withHole(at, place), 'move a hole');
    });
  }

  function startCrease(event: PointerEvent, at: number, end: 0 | 1): void {
    const creases = edge.piece.value?.creases;
    if (!free(event) || !creases) return;
    run(event, (now) => {
      const place = { x: to(now.x), y: to(now.y) };
      return edge.creasesCommand(
        creases.map(([one, other], index) =>
          index !== at ? [one, other] : end === 0 ? [place, other] : [one, place],
        ),
      );
    });
  }

  function startNode(event: PointerEvent, place: NodePlace, side?: 'before' | 'after'): void {
    const part = edge.parts.value[0];
    if (!free(event) || part?.shape.kind !== 'outline') return;
    edge.point.value = place;
    const { rings } = part.shape;
    const into = invert(placed(part.x, part.y, part.angle));
    const node = rings[place.ring]?.[place.node];
    const smooth = node !== undefined && isSmooth(node);
    run(event, (now) => {
      const at = apply(into, now);
      return edge.nodesCommand(
        side ? moveHandle(rings, place, { side, to: at, smooth }) : moveNode(rings, place, at),
      );
    });
  }

  return { active, startHandle, startPart, startHole, startCrease, startNode };
}
