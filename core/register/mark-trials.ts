import { seededRandom } from '../base/index.ts';
import { apply, flatten, isInside, placed, type Point } from '../geometry/index.ts';
import { blankImage } from '../raster/index.ts';
import { markBox, markInk, markPath, type MarkPlace } from './ink.ts';
import { lookForMarks } from './marks.ts';

/** How well a mark is found when things are not at their best. */
export interface MarkTrials {
  /** In how many of the tries it was found. */
  readonly found: number;
  readonly tries: number;
  /** Root mean square error of its place, mm, of those that were found. */
  readonly error: number;
}

/** A poor sheet: pale ink, a grainy sensor of few dots, and a sheet laid in askew. */
const POOR = { dpi: 72, ink: 95, paper: 235, noise: 11, turn: 4, offset: 4, samples: 3 } as const;
const AROUND = 16; // mm of paper around the mark, as far as it is looked for

const { cos, floor, hypot, PI, round, sin } = Math;

/**
 * Prints a mark badly, many times over, lays the sheet in askew, and looks for it: smaller marks are
 * found less often and less exactly. Deterministic for a seed.
 */
export function tryMarks(mark: Omit<MarkPlace, 'x' | 'y'>, tries = 60, seed = 1): MarkTrials {
  const random = seededRandom(seed);
  const place: MarkPlace = { ...mark, x: AROUND, y: AROUND };
  const rings = flatten(markPath(place), 0.05);
  const box = markBox(place);
  const inkOf = markInk(place).centre;
  const perMm = POOR.dpi / 25.4;
  const side = round(2 * AROUND * perMm + mark.size * perMm);
  const grain = Float32Array.from({ length: 4093 }, () => POOR.noise * random.normal());
  let found = 0;
  let squares = 0;
  for (let at = 0; at < tries; at++) {
    const [offsetX, offsetY] = [random.normal() * POOR.offset, random.normal() * POOR.offset];
    const turn = (random.normal() * POOR.turn) / 2;
    const [c, s] = [cos((turn * PI) / 180), sin((turn * PI) / 180)];
    const image = blankImage(side, side, [POOR.paper, POOR.paper, POOR.paper, 255]);
    for (let y = 0, to = 0; y < side; y++)
      for (let x = 0; x < side; x++, to += 4) {
        let ink = 0;
        const far =
          hypot(x / perMm - AROUND - offsetX, y / perMm - AROUND - offsetY) > mark.size * 1.7 + 1;
        for (let sample = 0; !far && sample < POOR.samples ** 2; sample++) {
          const u = (x + ((sample % POOR.samples) + 0.5) / POOR.samples) / perMm;
          const v = (y + (floor(sample / POOR.samples) + 0.5) / POOR.samples) / perMm;
          const [dx, dy] = [u - AROUND - offsetX, v - AROUND - offsetY];
          const on: Point = { x: AROUND + c * dx + s * dy, y: AROUND - s * dx + c * dy };
          const near = on.x > box.left && on.x < box.right && on.y > box.top && on.y < box.bottom;
          if (near && isInside(on, rings)) ink++;
        }
        const value =
          POOR.paper -
          (ink / POOR.samples ** 2) * POOR.ink +
          (grain[(to + at * 977) % grain.length] as number);
        image.data[to] = value;
        image.data[to + 1] = value;
        image.data[to + 2] = value;
      }
    const [seen] = lookForMarks({ image, dpi: POOR.dpi }, [place]);
    if (!seen) continue;
    found++;
    const truth = apply(placed(AROUND + offsetX, AROUND + offsetY, turn), {
      x: inkOf.x - AROUND,
      y: inkOf.y - AROUND,
    });
    squares += hypot(seen.x - truth.x, seen.y - truth.y) ** 2;
  }
  return { found, tries, error: found ? Math.sqrt(squares / found) : Infinity };
}
