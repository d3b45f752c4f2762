import { boxAbout, flatten, isInside, type Box, type Point, type Ring } from '../geometry/index.ts';
import { shapePath, shapeSize, type EdgeShape } from '../shape/index.ts';

/** What an edge leaves for a design: the box in which everything is safe, and how it is shaped. */
export interface Room {
  readonly edge: EdgeShape;
  readonly safe: number;
  /** The middle of the box, mm. */
  readonly centre: Point;
  readonly width: number;
  readonly height: number;
  /** All of what it is the room of, beyond the edge of the label where that is its own, mm. */
  readonly whole: Box;
  /** The radius of the safe circle where words can run around the rim. */
  readonly radius: number | undefined;
  /** Whether its middle is a hole and what is around that so narrow that words only run along its rim. */
  readonly hollow: boolean;
  /** Whether it is a part of a label, beside others. */
  readonly zoned?: boolean;
  /** Whether it is a bent band, along which words are bent. */
  readonly bent: boolean;
}

/** Edges in which a row of words is the shorter the further it stands from the middle. */
export const ROUND_EDGES: readonly EdgeShape['kind'][] = ['circle', 'ellipse', 'scallop'];
/** Edges along whose rim words can run. */
const RIMMED: readonly EdgeShape['kind'][] = ['circle', 'scallop'];
/** How far blocks of colour reach beyond the edge: of bleed, at least, mm. */
export const BEYOND = 3;
const ROUND_REACH = 1.16;
const STEPS = 9; // along each side of the box that is tried
const HALVINGS = 14;

/** The room that an edge leaves within a safe inset, mm; of a wide ring what is above its hole. */
export function roomOf(edge: EdgeShape, safe: number): Room {
  if (edge.kind === 'ring') return findRingRoom(edge, safe, -1) ?? rimOf(edge, safe);
  const { width, height } = shapeSize(edge);
  const radius = RIMMED.includes(edge.kind) ? Math.min(width, height) / 2 - safe : undefined;
  const whole = boxAbout({ x: 0, y: 0 }, width + 2 * BEYOND, height + 2 * BEYOND);
  const plain = { edge, safe, radius, whole, hollow: false, bent: false };
  if (edge.kind === 'rectangle') {
    // Where corners are round the box keeps clear of them.
    const by = safe + Math.max(0, edge.radius - safe) * (1 - Math.SQRT1_2);
    const inner = { width: Math.max(1, width - 2 * by), height: Math.max(1, height - 2 * by) };
    return { ...plain, centre: { x: 0, y: 0 }, ...inner };
  }
  const best = largestBox(flatten(shapePath(edge, -safe)), { width, height });
  // Few things stand in the corners of a round room, so its box may reach a little beyond the rim.
  const scale = radius === undefined ? best.scale : best.scale * ROUND_REACH;
  return {
    ...plain,
    centre: { x: 0, y: best.y },
    width: width * scale,
    height: height * scale,
  };
}

/** How large a box of a size can be within rings, and how far below the middle it then stands, mm. */
export function largestBox(
  rings: readonly Ring[],
  size: { readonly width: number; readonly height: number },
): { y: number; scale: number } {
  let best = { y: 0, scale: 0 };
  for (const share of [0, 0.05, 0.1, 0.15, 0.2, -0.05, -0.1, -0.15, -0.2]) {
    const y = share * size.height;
    const scale = largest(rings, y, size);
    if (scale > best.scale + 0.01) best = { y, scale };
  }
  return best;
}

type RingEdge = Extract<EdgeShape, { kind: 'ring' }>;
const LEAST_BAND = 14; // mm between hole and rim, for words that stand in rows
const OF_BAND = 0.66; // how much of it a row of words may take beside the hole

/**
 * The room above the hole of a ring (-1), or below it (1), mm; undefined where there is too little between
 * hole and rim.
 */
export function findRingRoom(edge: RingEdge, safe: number, side: -1 | 1): Room | undefined {
  const [inner, outer] = [edge.inner / 2 + safe, edge.outer / 2 - safe];
  const band = outer - inner;
  if (band < LEAST_BAND) return undefined;
  const height = band * OF_BAND;
  const from = inner + band * 0.06;
  return {
    ...rimOf(edge, safe),
    centre: { x: 0, y: side * (from + height / 2) },
    width: 2 * Math.sqrt(outer ** 2 - (from + height) ** 2),
    height,
    radius: undefined,
    hollow: false,
  };
}

/** All of a ring, for what runs along its rim. */
function rimOf(edge: RingEdge, safe: number): Room {
  const side = edge.outer - 2 * safe;
  return {
    ...{ edge, safe, centre: { x: 0, y: 0 }, width: side, height: side },
    whole: boxAbout({ x: 0, y: 0 }, edge.outer + 2 * BEYOND, edge.outer + 2 * BEYOND),
    ...{ radius: side / 2, hollow: true, bent: false },
  };
}

/** How large, as a share of the edge's box, a box about (0, y) can be and stay inside. */
function largest(
  rings: readonly Ring[],
  y: number,
  box: { width: number; height: number },
): number {
  let [low, high] = [0, 1];
  for (let round = 0; round < HALVINGS; round++) {
    const scale = (low + high) / 2;
    if (fits(rings, y, { width: box.width * scale, height: box.height * scale })) low = scale;
    else high = scale;
  }
  return low;
}

function fits(rings: readonly Ring[], y: number, box: { width: number; height: number }): boolean {
  const [w, h] = [box.width / 2, box.height / 2];
  for (let at = 0; at <= STEPS; at++) {
    const share = (2 * at) / STEPS - 1;
    const sides = [
      { x: share * w, y: y - h },
      { x: share * w, y: y + h },
      { x: -w, y: y + share * h },
      { x: w, y: y + share * h },
    ];
    if (sides.some((point) => !isInside(point, rings))) return false;
  }
  // A hole may lie within the box without meeting its sides.
  return rings.every((ring) =>
    ring.every((point) => Math.abs(point.x) >= w - 1e-6 || Math.abs(point.y - y) >= h - 1e-6),
  );
}
