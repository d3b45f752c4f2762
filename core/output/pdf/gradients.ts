import type { GradientPaint, GradientStop, Paint } from '../../drawing/index.ts';
import { apply, corners, invert, type Box, type Point } from '../../geometry/index.ts';
import type { PdfValue } from './objects.ts';

/** Whether a paint is a gradient that is transparent somewhere. */
export const isFading = (paint: Paint): paint is GradientPaint =>
  paint.kind === 'gradient' && paint.stops.some(({ alpha = 1 }) => alpha < 1);

/** Whether what lies below a paint shows through it. */
export const isClear = (paint: Paint): boolean =>
  isFading(paint) || (paint.kind === 'solid' && (paint.alpha ?? 1) < 1);

/** How often a gradient that goes on beyond its ends is written again at most. */
const MOST_ROUNDS = 200;

/**
 * A gradient as a shading of PDF (ISO 32000-1, 8.7.4.5). PDF goes on in the end colours alone: what is
 * mirrored or repeated is written as often as the box needs.
 * @param box in mm, holds all that is painted
 * @param channels the colour of a stop, each channel from 0 to 1
 */
export function shadingOf(
  paint: GradientPaint,
  box: Box | undefined,
  channels: (stop: GradientStop) => readonly number[],
): PdfValue {
  const { shape, from, to, stops, focus = from, spread } = paint;
  const linear = shape === 'linear';
  const [first, last] = spread && box ? roundsOf(paint, box) : [0, 1];
  const rounds = spread ? repeated(stops, spread, first, last) : { stops };
  const radius = Math.hypot(to.x - from.x, to.y - from.y);
  const along = (share: number): Point => ({
    x: from.x + (to.x - from.x) * share,
    y: from.y + (to.y - from.y) * share,
  });
  // Later rounds have circles of their own: from the focus on, centre and radius grow evenly.
  const circle = (share: number): number[] => [
    focus.x + (from.x - focus.x) * share,
    focus.y + (from.y - focus.y) * share,
    radius * share,
  ];
  return {
    ShadingType: linear ? 2 : 3,
    ColorSpace: channels({ at: 0, color: '#000000' }).length === 1 ? '/DeviceGray' : '/DeviceRGB',
    Coords: linear
      ? [along(first), along(last)].flatMap(({ x, y }) => [x, y])
      : [...circle(first), ...circle(last)],
    Function: stopsFunction(rounds.stops, channels),
    Extend: [true, true],
  };
}

/** Which rounds of a gradient, counted from its own, a box of the drawing shows. */
function roundsOf({ shape, from, to, focus, map }: GradientPaint, box: Box): [number, number] {
  const back = map ? invert(map) : undefined;
  const seen = corners(box).map((corner) => (back ? apply(back, corner) : corner));
  const [dx, dy] = [to.x - from.x, to.y - from.y];
  const length = dx * dx + dy * dy || 1;
  if (shape === 'linear') {
    const shares = seen.map(({ x, y }) => ((x - from.x) * dx + (y - from.y) * dy) / length);
    const first = Math.max(-MOST_ROUNDS, Math.floor(Math.min(...shares)));
    return [first, Math.max(first + 1, Math.min(MOST_ROUNDS, Math.ceil(Math.max(...shares))))];
  }
  // Against the direction in which a focus stands aside, circles grow the slowest.
  const aside = focus ? Math.hypot(focus.x - from.x, focus.y - from.y) : 0;
  const slowest = Math.max(1e-3, Math.sqrt(length) - aside);
  const far = Math.max(...seen.map(({ x, y }) => Math.hypot(x - from.x, y - from.y))) + aside;
  return [0, Math.max(1, Math.min(MOST_ROUNDS, Math.ceil(far / slowest)))];
}

/** The stops of several rounds, laid out from 0 to 1. */
function repeated(
  stops: readonly GradientStop[],
  spread: 'reflect' | 'repeat',
  first: number,
  last: number,
): { stops: GradientStop[] } {
  const own = padded(stops);
  const span = last - first;
  const made: GradientStop[] = [];
  for (let round = first; round < last; round++) {
    const mirrored = spread === 'reflect' && round % 2 !== 0;
    const ordered = mirrored ? own.map((stop) => ({ ...stop, at: 1 - stop.at })).reverse() : own;
    for (const stop of ordered) made.push({ ...stop, at: (round - first + stop.at) / span });
  }
  return { stops: made };
}

/** Stops in order from exactly 0 to exactly 1. */
function padded(stops: readonly GradientStop[]): GradientStop[] {
  const sorted = [...stops].sort((one, other) => one.at - other.at);
  const black: GradientStop = { at: 0, color: '#000000' };
  return [
    { ...(sorted[0] ?? black), at: 0 },
    ...sorted,
    { ...(sorted[sorted.length - 1] ?? black), at: 1 },
  ];
}

/** The colours of a gradient as a function of 0 to 1 (ISO 32000-1, 7.10). */
function stopsFunction(
  stops: readonly GradientStop[],
  channels: (stop: GradientStop) => readonly number[],
): PdfValue {
  const all = padded(stops);
  const spans = all.slice(1).map((end, index) => ({ from: all[index] ?? end, end }));
  const real = spans.filter(({ from, end }) => end.at > from.at);
  return {
    FunctionType: 3,
    Domain: [0, 1],
    Bounds: real.slice(0, -1).map(({ end }) => end.at),
    Encode: real.flatMap(() => [0, 1]),
    Functions: real.map(({ from, end }) => ({
      FunctionType: 2,
      Domain: [0, 1],
      N: 1,
      C0: [...channels(from)],
      C1: [...channels(end)],
    })),
  };
}
