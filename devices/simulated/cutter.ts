import { seededRandom } from '../../core/base/index.ts';
import { apply, invert, nested, placed, scaling, type Point } from '../../core/geometry/index.ts';
import { findMarks } from '../../core/register/index.ts';
import { warpImage } from '../../core/raster/index.ts';
import type { CutPath, Cutter } from '../../core/run/index.ts';

/** How far off a hand lays a sheet in, at one standard deviation, and the noise of the sensor. */
export const CUTTER_SPREAD = { offset: 1, turn: 0.4, noise: 3 } as const;

const UNITS_PER_MM = 40;
const BED = [232, 229, 224, 255] as const;
const TRUSTED = 0.6;

/** A cutter that sees its sheet, finds the marks by itself and follows the HPGL it is given. */
export function simulatedCutter(seed: number): Cutter {
  const random = seededRandom(seed + 7919);
  return {
    load({ image, dpi }) {
      const { offset, turn, noise } = CUTTER_SPREAD;
      const truth = placed(
        offset * random.normal(),
        offset * random.normal(),
        turn * random.normal(),
      );
      const sensor = warpImage(
        image,
        nested(scaling(dpi / 25.4), invert(truth), scaling(25.4 / dpi)),
        image,
        BED,
      );
      for (let at = 0; at < sensor.data.length; at += 4) {
        const grain = noise * (random.next() + random.next() - 1);
        for (let c = 0; c < 3; c++) sensor.data[at + c] = (sensor.data[at + c] ?? 0) + grain;
      }
      return { sensor: { image: sensor, dpi }, truth };
    },
    cut({ hpgl, marks, sheet, sensor }) {
      const unaided = {
        map: [1, 0, 0, 1, 0, 0] as const,
        found: [],
        residual: 0,
        confidence: 1,
        turned: false,
      };
      // A die-cut sheet has no marks: its labels are cut already, and it lies at the stops.
      const registration = marks.length ? findMarks(sensor, marks) : unaided;
      const { map, confidence } = registration;
      if (!map || confidence < TRUSTED) return { registration, cuts: [] };
      const cuts = readHpgl(hpgl).map(({ pen, line }): CutPath => {
        const ring = line.map(({ x, y }) =>
          apply(map, { x: x / UNITS_PER_MM, y: sheet.height - y / UNITS_PER_MM }),
        );
        const [first, last] = [line[0], line[line.length - 1]];
        const closed = first?.x === last?.x && first?.y === last?.y;
        return { pen, ring: closed ? ring.slice(0, -1) : ring, open: !closed };
      });
      return { registration, cuts };
    },
  };
}

interface PenLine {
  readonly pen: number;
  readonly line: readonly Point[];
}

/** Follows pen-down moves. Understands IN, SP, PA, PU and PD; what else there is, is passed over. */
export function readHpgl(hpgl: string): PenLine[] {
  const lines: PenLine[] = [];
  let pen = 0;
  let at: Point = { x: 0, y: 0 };
  for (const [, name, inner] of hpgl.matchAll(/([A-Z]{2})([^;A-Z]*)/g)) {
    const numbers = (inner ?? '').split(',').map(Number);
    if (name === 'SP') pen = numbers[0] ?? 0;
    if (name !== 'PU' && name !== 'PD' && name !== 'PA') continue;
    const points: Point[] = [];
    for (let index = 0; index + 1 < numbers.length; index += 2)
      points.push({ x: numbers[index] ?? 0, y: numbers[index + 1] ?? 0 });
    if (name === 'PD' && points.length) lines.push({ pen, line: [at, ...points] });
    at = points[points.length - 1] ?? at;
  }
  return lines;
}
