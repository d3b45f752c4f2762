import {
  boxOfRings,
  ellipsePath,
  flatten,
  mapPath,
  placed,
  ringsPath,
  scaling,
  translation,
  type Box,
  type Path,
  type Point,
  type Ring,
} from '../geometry/index.ts';

/** A filled dot, a dot in a ring, two crossed bars, or an angle of two bars. */
export type MarkStyle = 'dot' | 'ring' | 'cross' | 'corner';

/** A printed registration mark, mm on the sheet. */
export interface MarkPlace {
  /** Its middle; of a corner its outer tip. */
  readonly x: number;
  readonly y: number;
  /** Width of the dot; length of the bars. */
  readonly size: number;
  readonly style: MarkStyle;
  /** Clockwise in degrees; the bars of a corner that is not turned run to the right and down. */
  readonly turn?: 0 | 90 | 180 | 270;
}

/** The ring around a dot and the width of bars, as shares of the size. */
const RING = { radius: 0.775, width: 0.15 } as const;
const BAR = 0.16;

const disc = (radius: number): Path => ellipsePath({ x: 0, y: 0 }, radius, radius);

function bars({ size, style }: MarkPlace): Ring {
  const w = size * BAR;
  if (style === 'corner')
    return [
      { x: 0, y: 0 },
      { x: size, y: 0 },
      { x: size, y: w },
      { x: w, y: w },
      { x: w, y: size },
      { x: 0, y: size },
    ];
  const [h, b] = [size / 2, w / 2];
  const quarter = [
    { x: b, y: -b },
    { x: b, y: -h },
  ];
  // Each quarter of the cross, clockwise from the one above the middle.
  return [0, 1, 2, 3].flatMap((turn) =>
    [{ x: -b, y: -h }, ...quarter.slice().reverse()].map(({ x, y }): Point => {
      const [c, s] = (
        [
          [1, 0],
          [0, 1],
          [-1, 0],
          [0, -1],
        ] as const
      )[turn] ?? [1, 0];
      return { x: x * c - y * s, y: x * s + y * c };
    }),
  );
}

/** The inked area of a mark at its place. */
export function markPath(mark: MarkPlace): Path {
  const { size, style } = mark;
  if (style === 'cross' || style === 'corner')
    return mapPath(ringsPath([bars(mark)]), placed(mark.x, mark.y, mark.turn ?? 0));
  const at = translation(mark.x, mark.y);
  const dot = disc(size / 2);
  if (style === 'dot') return mapPath(dot, at);
  const outer = disc(size * (RING.radius + RING.width / 2));
  const inner = mapPath(disc(size * (RING.radius - RING.width / 2)), scaling(-1, 1));
  return mapPath([...dot, ...outer, ...inner], at);
}

/** The box of a mark's ink. */
export function markBox(mark: MarkPlace): Box {
  return (
    boxOfRings(flatten(markPath(mark), 0.05)) ?? {
      left: mark.x,
      top: mark.y,
      right: mark.x,
      bottom: mark.y,
    }
  );
}

/** What a picture shows of a mark: the area of its ink (of the dot without its ring) and its centroid. */
export function markInk(mark: MarkPlace): { area: number; centre: Point } {
  const { x, y, size, style } = mark;
  if (style === 'dot' || style === 'ring')
    return { area: (Math.PI * size * size) / 4, centre: { x, y } };
  const w = size * BAR;
  const area = 2 * size * w - w * w;
  if (style === 'cross') return { area, centre: { x, y } };
  // Two bars that share the tip: size x w, and w x (size - w) below it.
  const along = (size * w * (size / 2) + w * (size - w) * (w / 2)) / area;
  const [centre] = mapPath([['M', along, along]], placed(x, y, mark.turn ?? 0));
  return { area, centre: { x: Number(centre?.[1]), y: Number(centre?.[2]) } };
}
