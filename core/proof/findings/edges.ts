import { flatten, outlineFirstWay, signedArea } from '../../geometry/index.ts';
import type { Piece } from '../../piece/index.ts';
import { plainBuild, rimOf, shapePath } from '../../shape/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import { rounded } from '../row-names.ts';

const THIN = 2; // mm of material beside a hole

const outers = (piece: Piece) =>
  outlineFirstWay(flatten(shapePath(piece.edge))).filter((ring) => signedArea(ring) > 0);

export const thinRim: FindingKind = {
  code: 'thin-rim',
  check: ({ compiled }) =>
    compiled.job.pieces.flatMap((piece) =>
      (piece.build?.punched ?? []).flatMap((hole, at): Finding[] => {
        const rim = rimOf(hole, outers(piece));
        if (rim >= THIN - 0.01) return [];
        const { x, y, width, height } = hole;
        return [
          {
            code: 'thin-rim',
            severity: 'warning',
            where: {
              piece: piece.id,
              box: {
                left: x - width / 2,
                top: y - height / 2,
                right: x + width / 2,
                bottom: y + height / 2,
              },
            },
            values: {
              hole: at + 1,
              piece: piece.name,
              // How far it breaks through says nothing.
              rim: rim < 0 ? -1 : rounded(rim, 1),
              least: THIN,
            },
          },
        ];
      }),
    ),
};

export const looseParts: FindingKind = {
  code: 'loose-parts',
  check: ({ compiled }) =>
    compiled.job.pieces.flatMap((piece): Finding[] => {
      if (piece.variant) return [];
      const count = outers(piece).length;
      if (count < 2) return [];
      const build = {
        ...(piece.build ?? plainBuild(piece.edge, piece.name)),
        join: 'offset' as const,
      };
      return [
        {
          code: 'loose-parts',
          severity: 'warning',
          where: { piece: piece.id },
          values: { piece: piece.name, parts: count },
          fix: {
            code: 'join-parts',
            values: {},
            call: { name: 'build-edge', args: { piece: piece.id, build, doing: 'join-parts' } },
          },
        },
      ];
    }),
};
