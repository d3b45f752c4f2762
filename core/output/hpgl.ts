import {
  knifeRings,
  knifeWay,
  orderCuts,
  PLAIN_KNIFE,
  type Knife,
  type KnifeSetting,
} from '../cutting/index.ts';
import { apply, IDENTITY, type Affine, type Point } from '../geometry/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';

/** How HPGL counts: 40 units to the mm, from the sheet's bottom left, x right and y up. */
export const HPGL_UNITS = { unitsPerMm: 40, origin: 'bottom-left', axes: 'x right, y up' } as const;

/** The pen that stands for each kind of cut. */
export const HPGL_PENS = { kiss: 1, through: 2, crease: 3 } as const;

/**
 * The cut lines of a sheet in the plotter language of many cutters: pen up to the start of each
 * line, pen down along it and, but for open lines, back to its start.
 * @param knife how the cutter's knife trails; as the lines are unless given
 * @param lies from mm of the sheet to where the cutter has them, when it does not look for itself
 * @param done how many cuts, in their order, were made before and are left out
 */
export function cutHpgl(
  sheet: CompiledSheet,
  knife: Knife = PLAIN_KNIFE,
  lies: Affine = IDENTITY,
  done = 0,
): string {
  const { height } = sheet.drawing;
  const at = (point: Point): string => {
    const { x, y } = apply(lies, point);
    const units = [x, height - y].map((mm) => Math.round(mm * HPGL_UNITS.unitsPerMm));
    return units.join(',');
  };
  const lines = ['IN;', 'PA;'];
  let pen = 0;
  for (const cut of orderCuts(sheet.cuts).slice(done)) {
    if (HPGL_PENS[cut.kind] !== pen) {
      pen = HPGL_PENS[cut.kind];
      lines.push(`SP${pen};${settingCommands(knife.settings?.[cut.kind])}`);
    }
    const { passes = 1 } = knife.settings?.[cut.kind] ?? {};
    for (const ring of knifeRings(cut)) {
      const [start, ...along] = knifeWay(ring, cut.open, knife);
      if (!start) continue;
      for (let pass = 0; pass < passes; pass++)
        lines.push(`PU${at(start)};PD${along.map(at).join(',')};`);
    }
  }
  lines.push('PU0,0;SP0;');
  return `${lines.join('\n')}\n`;
}

/** Speed in cm a second and force in grams, as cutters that speak HPGL commonly take them. */
export function settingCommands(setting: KnifeSetting | null | undefined): string {
  const { speed = null, force = null } = setting ?? {};
  return [
    speed === null ? '' : `VS${Math.max(1, Math.round(speed / 10))};`,
    force === null ? '' : `FS${Math.round(force)};`,
  ].join('');
}
