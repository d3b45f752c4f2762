import * as z from 'zod';
import { err, ok, valueAt, valueIssue, type Result } from '../base/index.ts';
import { signedArea, type Ring } from '../geometry/index.ts';
import type { BoundTurns } from './upper-bound.ts';
import type { Repeated } from './step-and-repeat.ts';

/** So many steps of a turn are tried at most. */
const MOST_TURNS = 72;
/** Copies of a request and points of an outline that are taken at most. */
export const MOST_COPIES = 5000;
const MOST_POINTS = 10_000;

const at = z.number().min(-10_000).max(10_000);
const mm = z.number().positive().max(10_000);
const shapeSchema = z.union([
  z.strictObject({ rect: z.tuple([mm, mm]) }),
  z.strictObject({ circle: mm }),
  z.strictObject({
    rings: z.array(z.array(z.tuple([at, at])).min(3)).min(1),
  }),
]);

/** A request to fill sheets; see the command line's documentation. Lengths in mm. */
export const packRequestSchema = z.strictObject({
  sheet: z.strictObject({
    width: mm,
    height: mm,
    margin: z
      .tuple([z.number().min(0), z.number().min(0), z.number().min(0), z.number().min(0)])
      .default([0, 0, 0, 0]),
  }),
  keepClear: z
    .array(z.strictObject({ x: z.number(), y: z.number(), width: mm, height: mm }))
    .default([]),
  gap: z.number().min(0).max(1000).default(0),
  sheets: z.union([z.number().int().min(1).max(5000), z.literal('any')]).default(1),
  pieces: z
    .array(
      z.strictObject({
        id: z.string().min(1),
        shape: shapeSchema,
        quantity: z.union([z.number().int().min(0), z.literal('max')]),
        turns: z
          .union([z.enum(['none', 'half', 'quarter', 'any']), z.number().positive().max(360)])
          .default('none'),
      }),
    )
    .min(1),
});
export type PackRequest = z.infer<typeof packRequestSchema>;

/** The copies of one piece that are wanted. */
export interface Lot {
  readonly id: string;
  /** Rectangles and circles can stand in rows; free outlines are nested. */
  readonly shape: Repeated | undefined;
  /** The outline about its own origin, mm. A circle's lies outside the true one. */
  readonly ring: Ring;
  readonly angles: readonly number[];
  /** How far its turns reach, for bounds. */
  readonly turns: BoundTurns;
  /** Of a circle, mm. */
  readonly diameter?: number;
  /** mm² */
  readonly area: number;
  readonly most: boolean;
  readonly wanted: number;
}

/** How finely outlines are turned that may lie in any way. */
const ANY_TURNS = 16;
const CIRCLE = 72; // sides

/** Reads a request; the problem says what was read, where, and what is accepted. */
export function parsePackRequest(
  input: unknown,
): Result<{ request: PackRequest; lots: readonly Lot[] }> {
  const read = packRequestSchema.safeParse(input);
  if (!read.success) {
    const [issue] = read.error.issues;
    const where = issue?.path.join('.') ?? '';
    return err(
      'pack/request',
      { where, ...(issue ? { issue: valueIssue(issue, valueAt(input, issue.path)) } : {}) },
      where,
    );
  }
  const request = read.data;
  const lots: Lot[] = [];
  for (const piece of request.pieces) {
    const { id, quantity } = piece;
    if (lots.some((lot) => lot.id === id)) return err('pack/same-id', { id }, id);
    if (quantity === 'max' && request.sheets === 'any') return err('pack/endless', { id }, id);
    const points = 'rings' in piece.shape ? piece.shape.rings.flat().length : 0;
    if (points > MOST_POINTS) return err('pack/too-fine', { id, points, most: MOST_POINTS }, id);
    const lot = toLot(piece);
    if (lot.area < 0.01) return err('pack/flat', { id }, id);
    lots.push(lot);
  }
  const total = lots.reduce((sum, { most, wanted }) => sum + (most ? 0 : wanted), 0);
  if (total > MOST_COPIES) return err('pack/too-many', { total, most: MOST_COPIES });
  return ok({ request, lots });
}

function toLot({ id, shape, quantity, turns }: PackRequest['pieces'][number]): Lot {
  const angles = anglesOf(turns);
  const wanted = quantity === 'max' ? MOST_COPIES : quantity;
  const most = quantity === 'max';
  if ('rings' in shape) {
    const [ring = [], ...holes] = shape.rings.map((points) => points.map(([x, y]) => ({ x, y })));
    const area = holes.reduce(
      (left, hole) => left - Math.abs(signedArea(hole)),
      Math.abs(signedArea(ring)),
    );
    return { id, shape: undefined, ring, angles, turns: 'any', area, most, wanted };
  }
  const round = 'circle' in shape;
  const [width, height] = round ? [shape.circle, shape.circle] : shape.rect;
  const ring = round
    ? Array.from({ length: CIRCLE }, (_, at) => {
        const turn = (2 * Math.PI * at) / CIRCLE;
        const far = width / 2 / Math.cos(Math.PI / CIRCLE);
        return { x: far * Math.cos(turn), y: far * Math.sin(turn) };
      })
    : [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ];
  return {
    id,
    shape: { width, height, round },
    ring,
    angles: round ? [0] : angles,
    ...(round ? { diameter: width } : {}),
    turns: round
      ? 'none'
      : angles.some((angle) => angle % 90)
        ? 'any'
        : angles.includes(90)
          ? 'quarter'
          : 'none',
    area: round ? (Math.PI * width * width) / 4 : width * height,
    most,
    wanted,
  };
}

/** The ways in which a piece may be turned that are tried, degrees. */
function anglesOf(turns: PackRequest['pieces'][number]['turns']): number[] {
  if (turns === 'none') return [0];
  if (turns === 'half') return [0, 180];
  if (turns === 'quarter') return [0, 90, 180, 270];
  const step = turns === 'any' ? 360 / ANY_TURNS : turns;
  const count = Math.max(1, Math.min(MOST_TURNS, Math.floor(360 / step + 1e-9)));
  return Array.from({ length: count }, (_, at) => at * step);
}
