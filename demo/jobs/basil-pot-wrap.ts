import { expectOk, type Platform } from '../../core/base/index.ts';
import type { JobWithArt } from '../../core/job/index.ts';
import type { PieceElement } from '../../core/piece/index.ts';
import { arcPoint, insetShape, type ArcShape } from '../../core/shape/index.ts';
import { trySize, usualThing } from '../../core/things/index.ts';
import { seedling } from '../art/wreath.ts';
import { art, demoJob, drawings, numbered, ring, words } from './kit.ts';

const INK = '#f7efdd';
const GOLD = '#f2c78f';
const GROUND = '#2c4a2f';

/** The pot of the label: 90 mm across the top, 65 across the bottom, 80 high. */
const POT = usualThing('taper', { top: 90, bottom: 65, size: 80, overlap: 10 });

/** Where things stand on a bent label: degrees from the middle of the front, mm from the long edge. */
function onArc(edge: ArcShape) {
  const over = edge.angle - (180 * 25) / edge.slant; // what the overlap takes at one end
  const middle = -over / 2;
  const top = arcPoint(edge, 0, 0);
  const apex = { x: top.x, y: top.y + edge.radius };
  return {
    /** Words that follow the bend. */
    along(
      text: string,
      [turn, down, reach]: readonly [turn: number, down: number, reach: number],
      fields: Parameters<typeof words>[1],
    ): PieceElement {
      const path = {
        kind: 'circle',
        radius: edge.radius - down,
        side: 'outside',
        angle: middle + turn,
        reach,
      } as const;
      return words(text, { ...apex, color: INK, path, ...fields });
    },
    /** A picture that stands upright on the wall. */
    picture(id: string, turn: number, down: number, side: number): PieceElement {
      const at = arcPoint(edge, middle + turn, down);
      return art(id, side, side, { ...at, angle: middle + turn });
    },
  };
}

/** A wrap for a pot of basil, bent to follow its wall. */
export async function basilPotWrap(platform: Platform): Promise<JobWithArt> {
  const made = await drawings(platform, { Basil: seedling('#8fb56a', '#cfe0a8', '#7a5236') });
  const basil = made.get('Basil')?.art.id ?? '';
  const edge = expectOk(trySize(POT)).shape as ArcShape;
  const wall = onArc(edge);
  const small = { typeface: 'figtree-semibold', size: 8.5, tracking: 8 };
  const piece = {
    id: 'basil',
    name: 'Sweet Basil',
    edge,
    bleed: 2,
    safe: 2.5,
    ground: GROUND,
    elements: numbered([
      ring(insetShape(edge, 4), GOLD, 0.45),
      ring(insetShape(edge, 5.2), GOLD, 0.2),
      wall.picture(basil, 0, 20, 17),
      wall.along('THISTLE & FEN', [0, 36, 15], {
        ...{ size: 13, tracking: 18, color: GOLD },
        field: 'maker',
      }),
      wall.along('Sweet Basil', [0, 51.5, 17], { size: 34, least: 20, field: 'name' }),
      wall.along('GROWN WITHOUT PEAT', [0, 60.5, 15], { ...small, color: GOLD }),
      wall.along('A sunny sill, water from below', [0, 69, 17], {
        field: 'use',
        typeface: 'fraunces-italic',
        size: 11.5,
      }),
      ...[-1, 1].flatMap((side) => [
        wall.picture(basil, side * 14, 41, 24),
        wall.along('Pick from the top,', [side * 22.4, 33, 8.6], {
          typeface: 'fraunces-italic',
          size: 11,
        }),
        wall.along('and it grows on', [side * 22.4, 39, 8.6], {
          typeface: 'fraunces-italic',
          size: 11,
        }),
        wall.along('ALL SUMMER', [side * 22.4, 47, 8.4], { ...small, color: GOLD }),
      ]),
    ]),
  };
  return demoJob(
    'taper',
    {
      id: 'demo-basil-pot-wrap',
      name: 'Basil pot wrap',
      pieces: [piece],
      wanted: 3,
      change: (job) => ({ ...job, thing: POT, plan: { ...job.plan, cut: 'through' } }),
    },
    made,
  );
}
