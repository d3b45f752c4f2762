import { shapeSize } from '../../shape/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import { sizeText } from './size-text.ts';

export const doesNotFit: FindingKind = {
  code: 'does-not-fit',
  check: ({ compiled }) =>
    Object.entries(compiled.layout.left).map(([id, count]): Finding => {
      const piece = compiled.pieces.get(id);
      const size = piece ? sizeText(piece) : '';
      return {
        code: 'does-not-fit',
        severity: 'blocker',
        where: { piece: id },
        what: `${count} of “${piece?.piece.name ?? id}” (${size}) find no place on ${compiled.job.stock.name}.`,
        why: 'The piece is larger than the room between margins and marks.',
      };
    }),
};

export const nothingWanted: FindingKind = {
  code: 'nothing-wanted',
  check: ({ compiled }) =>
    Object.values(compiled.job.plan.wanted).some((count) => count > 0)
      ? []
      : [
          {
            code: 'nothing-wanted',
            severity: 'blocker',
            where: {},
            what: 'No copies are wanted.',
            why: 'There is nothing to print.',
          },
        ],
};

export const spotShapeDiffers: FindingKind = {
  code: 'spot-shape-differs',
  check({ compiled }) {
    const { spots, name } = compiled.job.stock;
    if (!spots) return [];
    const spot = shapeSize(spots.shape);
    return [...compiled.pieces.values()].flatMap((piece): Finding[] => {
      const same =
        piece.piece.edge.kind === spots.shape.kind &&
        Math.abs(piece.width - spot.width) < 0.1 &&
        Math.abs(piece.height - spot.height) < 0.1;
      if (same) return [];
      return [
        {
          code: 'spot-shape-differs',
          severity: 'warning',
          where: { piece: piece.piece.id },
          what: `“${piece.piece.name}” is ${sizeText(piece)}; the labels of ${name} are ${sizeText(spot)}.`,
          why: 'The print would end short of the label or be cut off by its edge.',
          fix: {
            label: 'Take the sheet’s size',
            call: { name: 'measure-thing', args: { thing: { kind: 'label-sheet' } } },
          },
        },
      ];
    });
  },
};
