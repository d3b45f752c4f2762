import { shapeSize } from '../../shape/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

export const doesNotFit: FindingKind = {
  code: 'does-not-fit',
  check: ({ compiled }) =>
    Object.entries(compiled.layout.left).map(([id, count]): Finding => {
      const piece = compiled.pieces.get(id);
      const { width = 0, height = 0 } = piece ?? {};
      return {
        code: 'does-not-fit',
        severity: 'blocker',
        where: { piece: id },
        values: {
          copies: count,
          piece: piece?.piece.name ?? id,
          width,
          height,
          stock: compiled.job.stock.name,
        },
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
            values: {},
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
          values: {
            piece: piece.piece.name,
            width: piece.width,
            height: piece.height,
            stock: name,
            labelWidth: spot.width,
            labelHeight: spot.height,
          },
          fix: {
            code: 'size-of-stock',
            values: {},
            call: { name: 'measure-thing', args: { thing: { kind: 'label-sheet' } } },
          },
        },
      ];
    });
  },
};
