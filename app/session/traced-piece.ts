import { artSize, USUAL_TOLERANCE, type Art } from '../../core/art/index.ts';
import { isProblem } from '../../core/base/index.ts';
import { mapPath, nested, scaling, translation } from '../../core/geometry/index.ts';
import { withBuild } from '../../core/job/index.ts';
import { picturePiece, type Piece, type PieceLook } from '../../core/piece/index.ts';
import { pathPart, plainBuild } from '../../core/shape/index.ts';
import { artCalls } from '../calls/index.ts';

/** Around what is cut by its outline, mm. */
const RIM = 2;
/** A picture that covers so much of its box has no outline of its own. */
const FULL = 0.99;
/** More separate parts than that are a page of drawings, to be split, and no sticker. */
const MOST_PARTS = 6;

/**
 * A picture as a piece: cut around what it shows, with the usual rim; by its box where it is opaque all
 * over, nothing of it can be traced, or it is a page of drawings.
 */
export async function tracedPiece(
  art: Art,
  { id, look, scale = 1 }: { id: string; look: PieceLook; scale?: number },
): Promise<Piece> {
  const bare = picturePiece(art, { id, look, scale });
  const { width, height } = artSize(art);
  const tolerance = USUAL_TOLERANCE / scale;
  const traced = await artCalls.call('traceArt', { art, tolerance }).answer;
  if (!traced.ok || traced.value.area > FULL * width * height) return bare;
  if (traced.value.parts > MOST_PARTS) return bare;
  const about = nested(scaling(scale), translation(-width / 2, -height / 2));
  const built = withBuild(bare, {
    ...plainBuild(bare.edge, art.name),
    parts: [pathPart(mapPath(traced.value.path, about), art.name)],
    offset: RIM,
    holes: 'fill',
    join: 'offset',
  });
  return isProblem(built) ? bare : built;
}
