import {
  apply,
  flatten,
  invert,
  isInside,
  type Affine,
  type Point,
  type Ring,
} from '../../geometry/index.ts';
import type { Art } from '../../art/index.ts';
import type { CompiledPiece, PlacedElement } from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

/** What a cut or a feed is off by, mm: less bleed than this shows paper. */
const LEAST = 0.5;
/** The bleed that is offered, mm. */
const USUAL = 1.5;
/** Between places that are looked at along an edge, mm. */
const STEP = 1;
/** How far from the edge a place is looked at: just inside it, mm. */
const INSIDE = 0.3;
/** The length of edge that may show paper before it is told, mm. */
const NOTABLE = 2;

export const bleedMissing: FindingKind = {
  code: 'bleed-missing',
  check: ({ compiled }) =>
    [...compiled.pieces.values()].flatMap((piece): Finding[] => {
      const { id, name, bleed } = piece.piece;
      const bare = bareEdge(piece, compiled.job.art);
      if (bare < NOTABLE) return [];
      const short = bleed < LEAST;
      return [
        {
          code: 'bleed-missing',
          severity: 'warning',
          where: { piece: id },
          values: { piece: name, ...(short ? { bleed } : {}) },
          ...(short
            ? {
                fix: {
                  code: 'bleed-of',
                  values: { bleed: USUAL },
                  call: {
                    name: 'change-piece',
                    args: { piece: id, changes: { bleed: USUAL } },
                  },
                },
              }
            : {}),
        },
      ];
    }),
};

/** The length of the edge that is printed up to, and bare beyond it, mm. */
function bareEdge(piece: CompiledPiece, art: Readonly<Record<string, Art>>): number {
  const { bleed } = piece.piece;
  if (piece.ground && bleed >= LEAST) return 0; // it goes on over the bleed
  const pictures = piece.elements.flatMap((placed) => solidPlaces(placed, art));
  if (!piece.ground && pictures.length === 0) return 0;
  const covers = (point: Point): boolean => pictures.some((picture) => picture(point));
  const reach = Math.max(LEAST, bleed) - 0.05;
  return placesAlong(flatten(piece.trim)).reduce((sum, { inside, beyond, length }) => {
    const printed = piece.ground !== undefined || covers(inside);
    const goesOn = bleed >= LEAST && covers(beyond(reach));
    return printed && !goesOn ? sum + length : sum;
  }, 0);
}

/** Tells for each place of a picture without holes whether a point lies in it. */
function solidPlaces(
  { element, compiled, maps }: PlacedElement,
  art: Readonly<Record<string, Art>>,
): ((point: Point) => boolean)[] {
  if (element.kind !== 'picture' || element.spread !== undefined) return [];
  const drawn = art[element.art];
  if (drawn?.kind !== 'pixels' || drawn.format !== 'jpeg') return []; // others may be clear there
  const [right, bottom] = [compiled.width / 2, compiled.height / 2];
  return maps.map((map: Affine) => {
    const back = invert(map);
    return (point) => {
      const { x, y } = apply(back, point);
      return Math.abs(x) <= right + 1e-6 && Math.abs(y) <= bottom + 1e-6;
    };
  });
}

interface EdgePlace {
  readonly inside: Point;
  readonly beyond: (by: number) => Point;
  /** How much of the edge it stands for, mm. */
  readonly length: number;
}

function placesAlong(rings: readonly Ring[]): EdgePlace[] {
  return rings.flatMap((ring) =>
    ring.flatMap((from, at): EdgePlace[] => {
      const to = ring[(at + 1) % ring.length] ?? from;
      const length = Math.hypot(to.x - from.x, to.y - from.y);
      if (length < 1e-6) return [];
      const count = Math.max(1, Math.round(length / STEP));
      const across = { x: (to.y - from.y) / length, y: -(to.x - from.x) / length };
      return Array.from({ length: count }, (_, step) => {
        const share = (step + 0.5) / count;
        const point = { x: from.x + share * (to.x - from.x), y: from.y + share * (to.y - from.y) };
        const aside = (by: number): Point => ({
          x: point.x + across.x * by,
          y: point.y + across.y * by,
        });
        // Outwards is where the piece is not, whichever way round the ring runs.
        const out = isInside(aside(0.01), rings) ? -1 : 1;
        return {
          inside: aside(-out * INSIDE),
          beyond: (by) => aside(out * by),
          length: length / count,
        };
      });
    }),
  );
}
