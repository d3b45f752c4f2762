import { dataAddress } from '../base/index.ts';
import { drawingToSvg } from '../drawing/index.ts';
import { translation } from '../geometry/index.ts';
import type { Job, JobResources } from '../job/index.ts';
import type { CompiledPiece } from '../piece/index.ts';

/** The artwork of a piece out to its bleed as an SVG of its size in mm: letters as outlines, pictures in it. */
export function artworkSvg(
  { piece, width, height, nodes }: CompiledPiece,
  job: Pick<Job, 'art'>,
  resources: JobResources,
): string {
  const [wide, high] = [width + 2 * piece.bleed, height + 2 * piece.bleed];
  const drawing = {
    width: wide,
    height: high,
    symbols: {},
    nodes: [
      { kind: 'group' as const, transform: translation(wide / 2, high / 2), children: [...nodes] },
    ],
  };
  return drawingToSvg(drawing, {
    prefix: '',
    typeface: (id) => resources.typeface(id),
    imageUrl(id) {
      const [art, bytes] = [job.art[id], resources.bytes(id)];
      return art?.kind === 'pixels' && bytes
        ? dataAddress(`image/${art.format}`, bytes)
        : undefined;
    },
  });
}
