import { apply, placed, type Point } from '../geometry/index.ts';
import type { WordsPath } from './words-style.ts';

/** Where a baseline passes, and how it is turned there: degrees, clockwise. */
export interface Foot extends Point {
  readonly angle: number;
}

/**
 * The baseline of a line of words. A place on it is told by its distance in mm from the middle of
 * the room along the line; `drop` is how far down in the block the line stands, mm.
 */
export type Baseline = (along: number, drop: number) => Foot;

/** The baseline of a path about the centre of an element, y down. */
export function baselineOf(path: WordsPath): Baseline {
  switch (path.kind) {
    case 'straight':
      return (along, drop) => ({ x: along, y: drop, angle: 0 });
    case 'circle':
      return circle(path);
    case 'arc':
      return arc(path);
    case 'wave':
      return wave(path);
  }
}

const DEGREES = 180 / Math.PI;

/** Each line on a circle of its own about the same centre. */
function circle({ radius, side, angle }: Extract<WordsPath, { kind: 'circle' }>): Baseline {
  const outside = side === 'outside';
  return (along, drop) => {
    const own = Math.max(1e-3, radius + (outside ? -drop : drop));
    const turn = (outside ? 1 : -1) * (along / own) * DEGREES + angle;
    const foot = apply(placed(0, 0, turn), { x: 0, y: -own });
    return { ...foot, angle: outside ? turn : turn + 180 };
  };
}

/** The room bent like a band around a pot: lines are arcs about one centre above or below. */
function arc({ radius, bow }: Extract<WordsPath, { kind: 'arc' }>): Baseline {
  const up = bow === 'up';
  return (along, drop) => {
    const own = Math.max(1e-3, up ? radius - drop : radius + drop);
    const turn = along / own;
    const [sin, cos] = [Math.sin(turn), Math.cos(turn)];
    return up
      ? { x: own * sin, y: radius - own * cos, angle: turn * DEGREES }
      : { x: own * sin, y: own * cos - radius, angle: -turn * DEGREES };
  };
}

const STEPS = 720; // of a 48th of a wave: as far as fifteen waves to either side

/** A sine along which distances are measured on the curve itself. */
function wave({ height, length, start }: Extract<WordsPath, { kind: 'wave' }>): Baseline {
  const rate = (2 * Math.PI) / length;
  const at = (x: number): number => -height * Math.sin(rate * x + 2 * Math.PI * start);
  const step = length / 48;
  // x for each whole step of arc length to the right of the middle, and to the left of it.
  const right = waveSteps(at, step);
  const left = waveSteps((x) => at(-x), step);
  return (along, drop) => {
    const x = along < 0 ? -alongWave(left, -along, step) : alongWave(right, along, step);
    const slope = -height * rate * Math.cos(rate * x + 2 * Math.PI * start);
    return { x, y: at(x) + drop, angle: Math.atan(slope) * DEGREES };
  };
}

function waveSteps(at: (x: number) => number, step: number): readonly number[] {
  const xs = [0];
  const fine = step / 8;
  let [x, y, taken] = [0, at(0), 0];
  while (xs.length < STEPS) {
    const next = at(x + fine);
    taken += Math.hypot(fine, next - y);
    x += fine;
    y = next;
    if (taken >= xs.length * step) xs.push(x);
  }
  return xs;
}

function alongWave(xs: readonly number[], along: number, step: number): number {
  const place = Math.min(along / step, xs.length - 1.001);
  const before = Math.floor(place);
  const [from, to] = [xs[before] ?? 0, xs[before + 1] ?? 0];
  return from + (to - from) * (place - before);
}
