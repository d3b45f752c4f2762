import { luminance, rgbOf } from '../../color/index.ts';
import { colorsOfPieces, leadColor } from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import { some } from '../row-names.ts';

/** From here on a colour lays down so little ink that what is beneath it shows. */
const PALE = 0.55;

export const paleInks: FindingKind = {
  code: 'pale-without-white',
  check: ({ compiled: { job } }) => {
    if (!job.material.needsWhite) return [];
    return job.pieces.flatMap((piece): Finding[] => {
      const pale = colorsOfPieces([piece]).filter((color) => luminance(rgbOf(color)) >= PALE);
      if (pale.length === 0) return [];
      const ground = piece.ground && pale.includes(leadColor(piece.ground).toLowerCase());
      return [
        {
          code: 'pale-without-white',
          severity: 'warning',
          where: { piece: piece.id },
          values: {
            ...some(pale),
            piece: piece.name,
            of: ground ? 'ground' : 'element',
            material: job.material.name,
          },
        },
      ];
    });
  },
};
