import type { Licence } from '../../base/index.ts';
import { artNamedBy, artOfJob, type Job } from '../../job/index.ts';
import { readInstanceId } from '../../type/index.ts';
import { typefacesOfElement, type Piece, type PieceElement } from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

/** Something of somebody's making that a job prints. */
interface Licensed {
  readonly name: string;
  readonly licence?: Licence | undefined;
  /** Who made it, where that is known. */
  readonly maker?: string | undefined;
  isIn(piece: Piece): boolean;
  isOf(element: PieceElement): boolean;
}

const pictures = (job: Job): Licensed[] =>
  artOfJob(job).flatMap((id) => {
    const art = job.art[id];
    if (!art) return [];
    return {
      name: art.name,
      licence: art.licence,
      maker: art.source,
      isIn: (piece) => artNamedBy([piece]).includes(id),
      isOf: (element) => element.kind === 'picture' && element.art === id,
    };
  });

/** Families rather than their cuts: what is noted goes for all of them. */
function families({ typefaces = {} }: Job): Licensed[] {
  const all = Object.values(typefaces);
  return all
    .filter(({ family }, at) => all.findIndex((one) => one.family === family) === at)
    .map(({ family, licence }) => {
      const isOf = (element: PieceElement): boolean =>
        typefacesOfElement(element).some(
          (id) => typefaces[readInstanceId(id).id]?.family === family,
        );
      return { name: family, licence, isIn: ({ elements }) => elements.some(isOf), isOf };
    });
}

export const licence: FindingKind = {
  code: 'licence',
  check: ({ compiled: { job } }) =>
    [...pictures(job), ...families(job)].flatMap((used): Finding[] => {
      if (used.licence !== 'private' && used.licence !== 'credit') return [];
      const isPrivate = used.licence === 'private';
      const piece = job.pieces.find(used.isIn);
      const element = piece?.elements.find(used.isOf);
      return [
        {
          code: 'licence',
          severity: isPrivate ? 'warning' : 'note',
          where: {
            ...(piece ? { piece: piece.id } : {}),
            ...(element ? { element: element.id } : {}),
          },
          values: {
            name: used.name,
            wants: used.licence,
            ...(used.maker ? { maker: used.maker } : {}),
          },
        },
      ];
    }),
};
