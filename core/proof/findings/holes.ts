import {
  boxOfRings,
  mapRing,
  offsetRegion,
  signedArea,
  translation,
} from '../../geometry/index.ts';
import type { Finding, FindingKind, Fix } from '../finding.ts';
import { reachesInto, shownIn, type Shown } from '../shown-in-piece.ts';
import { change, place } from '../words-in-piece.ts';
import type { Ring } from '../../geometry/index.ts';

/** Codes and pictures of which a hole takes a part. Words are told by how near they are to an edge. */
export const underHole: FindingKind = {
  code: 'under-hole',
  check: (context) =>
    shownIn(context).flatMap((shown): Finding[] => {
      const { piece, placed, title } = shown;
      const { element } = placed;
      if (element.kind === 'words' || piece.piece.edge.kind === 'ring') return [];
      const holes = piece.rings.filter((ring) => signedArea(ring) < 0);
      const hole = holes.find((one) => reachesInto(shown.rings(), [solid(one)]));
      if (!hole) return [];
      const fix = movedAway(shown, hole);
      return [
        {
          code: 'under-hole',
          severity: element.kind === 'code' ? 'warning' : 'note',
          where: place({ ...placed, piece }),
          values: { title, piece: piece.piece.name },
          ...(fix ? { fix } : {}),
        },
      ];
    }),
};

const solid = (hole: Ring): Ring => [...hole].reverse();

const STEP = 0.5; // mm
const FURTHEST = 80; // mm

/** Moved from a hole towards the middle of the label as far as its margin asks; nothing where it then leaves it. */
function movedAway({ piece, placed, rings }: Shown, hole: Ring): Fix | undefined {
  const box = boxOfRings([hole]);
  const edge = boxOfRings(piece.rings);
  if (!box || !edge) return undefined;
  const [x, y] = [(box.left + box.right) / 2, (box.top + box.bottom) / 2];
  const away = Math.hypot(x, y);
  if (away < STEP) return undefined;
  const keepClear = offsetRegion([solid(hole)], piece.piece.safe);
  for (let by = STEP; by <= FURTHEST; by += STEP) {
    const [dx, dy] = [(-x / away) * by, (-y / away) * by];
    const moved = rings().map((ring) => mapRing(ring, translation(dx, dy)));
    const own = boxOfRings(moved);
    if (!own || own.left < edge.left || own.right > edge.right) return undefined;
    if (own.top < edge.top || own.bottom > edge.bottom) return undefined;
    if (reachesInto(moved, keepClear)) continue;
    const { element } = placed;
    const to = { x: round(element.x + dx), y: round(element.y + dy) };
    return { code: 'move-inwards', values: {}, call: change({ piece, element }, to, 'move') };
  }
  return undefined;
}

const round = (mm: number): number => Math.round(mm * 100) / 100;
