import { flatten, offsetRegion, signedArea, type Ring } from '../../geometry/index.ts';
import type { Piece } from '../../piece/index.ts';
import { plainBuild, shapePath } from '../../shape/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

/** What a hand with scissors needs between two labels, mm. */
const GAP = 6;
/** Inner corners of a smaller radius are not got around with scissors, mm. */
const RADIUS = 3;
/** Area that rounding adds in inner corners from which on they are told, mm²; a right angle has 1.9. */
const NOTABLE = 1.5;

const byScissors = (tool: string): boolean => tool === 'scissors';

export const scissorsGap: FindingKind = {
  code: 'scissors-gap',
  check({ compiled: { job, sheets } }) {
    const { plan, material } = job;
    const several = sheets.some(({ copies }) => copies.length > 1);
    if (!byScissors(material.tool) || plan.arrangement === 'spots' || !several) return [];
    if (plan.gap >= GAP - 0.01) return [];
    return [
      {
        code: 'scissors-gap',
        severity: 'note',
        where: { sheet: 0 },
        values: { gap: plan.gap, least: GAP },
        fix: {
          code: 'gap-of',
          values: { gap: GAP },
          call: { name: 'change-plan', args: { changes: { gap: GAP } } },
        },
      },
    ];
  },
};

export const scissorsShape: FindingKind = {
  code: 'scissors-shape',
  check: ({ compiled: { job } }) =>
    byScissors(job.material.tool)
      ? job.pieces.flatMap((piece): Finding[] => {
          if (piece.variant || cornersAway(piece) < NOTABLE) return [];
          const build = piece.build ?? plainBuild(piece.edge, piece.name);
          return [
            {
              code: 'scissors-shape',
              severity: 'note',
              where: { piece: piece.id },
              values: { piece: piece.name },
              fix: {
                code: 'inner-radius',
                values: { radius: RADIUS },
                call: {
                  name: 'build-edge',
                  args: {
                    piece: piece.id,
                    build: { ...build, innerRadius: Math.max(RADIUS, build.innerRadius) },
                  },
                },
              },
            },
          ];
        })
      : [],
};

const areaOf = (rings: readonly Ring[]): number =>
  rings.reduce((sum, ring) => sum + signedArea(ring), 0);

/** How much area a label gains when its inner corners are rounded, mm². */
function cornersAway({ edge }: Piece): number {
  const rings = flatten(shapePath(edge));
  return areaOf(offsetRegion(offsetRegion(rings, RADIUS), -RADIUS)) - areaOf(rings);
}
