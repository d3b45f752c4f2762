import type { DrawingNode } from '../../drawing/index.ts';
import { linesPath, ringsPath } from '../../geometry/index.ts';
import type { SheetCut } from '../../sheet/index.ts';

/** The inks that cut lines stand in, by the names that printing houses know such inks by. */
const INKS = {
  kiss: { name: 'KissCut', color: '#0f7c86' },
  through: { name: 'ThroughCut', color: '#3b3a9c' },
  crease: { name: 'Crease', color: '#8a640c' },
} as const;

const WIDTH = 0.1; // mm

/** Cut lines as hairlines in inks of their own, one for each kind. */
export const cutInks = (cuts: readonly SheetCut[]): DrawingNode[] =>
  cuts.map(({ kind, rings, open }) => ({
    kind: 'path',
    path: open ? linesPath(rings) : ringsPath(rings),
    stroke: { paint: { kind: 'ink', ...INKS[kind] }, width: WIDTH },
  }));
