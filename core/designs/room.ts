import { flatten, isInside, type Point, type Ring } from '../geometry/index.ts';
import { arcPoint, shapePath, shapeSize, type EdgeShape } from '../shape/index.ts';

/** What an edge leaves for a design: the box in which everything is safe, and how it is shaped. */
export interface Room {
  readonly edge: EdgeShape;
  readonly safe: number;
  /** The middle of the box, mm. */
  readonly centre: Point;
  readonly width: number;
  readonly height: number;
  /** The radius of the safe circle where words can run around the rim. */
  readonly radius: number | undefined;
  /** Whether its middle is a hole, so that only its rim is printed. */
  readonly hollow: boolean;
  /** Whether it is a bent band, along which words are bent. */
  readonly bent: boolean;
}

const ROUND: readonly EdgeShape['kind'][] = ['circle', 'scallop', 'ring'];
const ROUND_REACH = 1.16;
const STEPS = 9; // along each side of the box that is tried
const HALVINGS = 14;

/** The room that an edge leaves within a safe inset, mm. */
export function roomOf(edge: EdgeShape, safe: number): Room {
  const { width, height } = shapeSize(edge);
  const radius = ROUND.includes(edge.kind) ? Math.min(width, height) / 2 - safe : undefined;
  const plain = { edge, safe, radius, hollow: edge.kind === 'ring', bent: edge.kind === 'arc' };
  if (edge.kind === 'ring')
    return { ...plain, centre: { x: 0, y: 0 }, width: width - 2 * safe, height: height - 2 * safe };
  if (edge.kind === 'arc') {
    const along = ((edge.radius - edge.slant / 2) * edge.angle * Math.PI) / 180;
    return {
      ...plain,
      centre: arcPoint(edge, 0, edge.slant / 2),
      width: along - 2 * safe,
      height: edge.slant - 2 * safe,
    };
  }
  const rings = flatten(shapePath(edge, -safe));
  let best = { y: 0, scale: 0 };
  for (const share of [0, 0.05, 0.1, 0.15, 0.2, -0.05, -0.1, -0.15]) {
    const y = share * height;
    const scale = largest(rings, y, { width, height });
    if (scale > best.scale + 0.01) best = { y, scale };
  }
  // Few things stand in the corners of a round room, so its box may reach a little beyond the rim.
  const scale = radius === undefined ? best.scale : best.scale * ROUND_REACH;
  return {
    ...plain,
    centre: { x: 0, y: best.y },
    width: width * scale,
    height: height * scale,
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
