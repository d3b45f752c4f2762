import type { Point } from '../geometry/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import { orderCuts } from './cut-order.ts';

/** How HPGL counts: 40 units to the mm, from the sheet's bottom left, x right and y up. */
export const HPGL_UNITS = { unitsPerMm: 40, origin: 'bottom-left', axes: 'x right, y up' } as const;

/** The pen that stands for each kind of cut. */
export const HPGL_PENS = { kiss: 1, through: 2, crease: 3 } as const;

/**
 * The cut lines of a sheet in the plotter language of many cutters: pen up to the start of each
 * line, pen down along it and, but for open lines, back to its start.
 */
export function cutHpgl(sheet: CompiledSheet): string {
  const { height } = sheet.drawing;
  const at = ({ x, y }: Point): string =>
    `${Math.round(x * HPGL_UNITS.unitsPerMm)},${Math.round((height - y) * HPGL_UNITS.unitsPerMm)}`;
  const lines = ['IN;', 'PA;'];
  let pen = 0;
  for (const { kind, rings, open } of orderCuts(sheet.cuts)) {
    if (HPGL_PENS[kind] !== pen) {
      pen = HPGL_PENS[kind];
      lines.push(`SP${pen};`);
    }
    for (const ring of rings) {
      const [start] = ring;
      if (!start) continue;
      const along = open ? ring.slice(1) : [...ring.slice(1), start];
      lines.push(`PU${at(start)};PD${along.map(at).join(',')};`);
    }
  }
  lines.push('PU0,0;SP0;');
  return `${lines.join('\n')}\n`;
}
