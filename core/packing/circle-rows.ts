import { boxWithin, type Box } from '../geometry/index.ts';
import { distanceToBox, type Room, type Spot } from './step-and-repeat.ts';

const EPS = 1e-6;

/** A pattern of rows, every second of them shifted by half a pitch; lengths along and across the rows, mm. */
interface Rows {
  /** Between centres in a row. */
  readonly pitch: number;
  /** Between rows. */
  readonly step: number;
  /** In the first row, and in each row that is shifted. */
  readonly first: number;
  readonly shifted: number;
  readonly count: number;
}

/**
 * As many circles as shifted rows hold: hexagonal ones, and squeezed ones, in which circles stand
 * farther apart in a row so that rows can be nearer to each other. Rows run across or down, begin at
 * either end, with the full or the shifted row; places that meet something taken are left out.
 * Source: the lattice packings of circles in rectangles compared by Graham & Lubachevsky (1996).
 */
export function circleRows(diameter: number, room: Room): Spot[] {
  const { left, top, right, bottom } = room.area;
  const [width, height] = [right - left, bottom - top];
  if (Math.min(width, height) < diameter - EPS) return [];
  let best: Spot[] = [];
  for (const across of [true, false]) {
    const [along, over] = across ? [width, height] : [height, width];
    for (const rows of patterns({ along, over, diameter, apart: diameter + room.gap }))
      for (const spots of placings(rows, { across, diameter }, room))
        if (spots.length > best.length) best = spots;
  }
  return best;
}

function patterns({
  along,
  over,
  diameter,
  apart,
}: {
  along: number;
  over: number;
  diameter: number;
  apart: number;
}): Rows[] {
  const most = Math.floor((along - diameter + EPS) / apart) + 1;
  const found: Rows[] = [];
  for (let first = most; first >= 1 && first > most - 4; first--)
    for (const [shifted, spaces] of [
      [first - 1, first - 1],
      [first, first - 0.5],
    ] as const) {
      const widest = spaces > 0 ? (along - diameter) / spaces : apart;
      if (widest < apart - EPS) continue;
      for (const pitch of [apart, Math.min(widest, apart * Math.sqrt(3))]) {
        // Circles of the next row lie in the gaps; those of the row after it must stay clear too.
        const step = Math.max(
          Math.sqrt(Math.max(0, apart * apart - (pitch * pitch) / 4)),
          apart / 2,
        );
        const count = Math.floor((over - diameter + EPS) / step) + 1;
        found.push({ pitch, step, first, shifted, count });
      }
    }
  return found;
}

function placings(
  { pitch, step, first, shifted, count }: Rows,
  { across, diameter }: { across: boolean; diameter: number },
  { area, taken }: Room,
): Spot[][] {
  const radius = diameter / 2;
  const made: Spot[][] = [];
  for (const turned of [0, 1])
    for (const [backX, backY] of [
      [false, false],
      [true, false],
      [false, true],
      [true, true],
    ]) {
      const spots: Spot[] = [];
      for (let row = 0; row < count; row++) {
        const odd = (row + turned) % 2 === 1;
        for (let at = 0; at < (odd ? shifted : first); at++) {
          const u = radius + at * pitch + (odd ? pitch / 2 : 0);
          const v = radius + row * step;
          const [dx, dy] = across ? [u, v] : [v, u];
          const x = backX ? area.right - dx : area.left + dx;
          const y = backY ? area.bottom - dy : area.top + dy;
          if (isFree({ x, y }, radius, { area, taken })) spots.push({ x, y, angle: 0 });
        }
      }
      made.push(spots);
    }
  return made;
}

function isFree(
  at: { x: number; y: number },
  radius: number,
  { area, taken }: { area: Box; taken: readonly Box[] },
): boolean {
  const box = {
    left: at.x - radius,
    top: at.y - radius,
    right: at.x + radius,
    bottom: at.y + radius,
  };
  return boxWithin(box, area) && taken.every((one) => distanceToBox(at, one) >= radius - EPS);
}
