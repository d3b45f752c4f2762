import { artSize, USUAL_TOLERANCE, type Art, type Traced } from '../../core/art/index.ts';
import { isProblem } from '../../core/base/index.ts';
import { mapPath, nested, scaling, translation } from '../../core/geometry/index.ts';
import { withBuild } from '../../core/job/index.ts';
import { picturePiece, type Piece, type PieceLook } from '../../core/piece/index.ts';
import { withoutOutline } from '../../core/prepare/index.ts';
import { pathPart, plainBuild } from '../../core/shape/index.ts';
import { artCalls } from '../calls/index.ts';

/** Around what is cut by its outline, mm. */
const RIM = 2;

interface Made {
  readonly id: string;
  readonly look: PieceLook;
  readonly scale?: number;
}

/** A picture as a piece, cut around an outline with the usual rim; by its box where there is none. */
export function cutPiece(
  art: Art,
  traced: Pick<Traced, 'path'> | undefined,
  { id, look, scale = 1 }: Made,
): Piece {
  const bare = picturePiece(art, { id, look, scale });
  if (!traced) return bare;
  const { width, height } = artSize(art);
  const about = nested(scaling(scale), translation(-width / 2, -height / 2));
  const built = withBuild(bare, {
    ...plainBuild(bare.edge, art.name),
    parts: [pathPart(mapPath(traced.path, about), art.name)],
    offset: RIM,
    holes: 'fill',
    join: 'offset',
  });
  return isProblem(built) ? bare : built;
}

/** A part of a page as a piece: cut around what it shows, or by its box where it has no outline of its own. */
export async function tracedPiece(art: Art, made: Made): Promise<Piece> {
  const args = { art, tolerance: USUAL_TOLERANCE };
  const traced = await artCalls.call('traceArt', args).answer;
  const hasOutline = traced.ok && !withoutOutline(art, traced.value);
  return cutPiece(art, hasOutline ? traced.value : undefined, made);
}
