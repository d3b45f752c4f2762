import type { KnifeSetting } from '../../cutting/index.ts';
import type { Point } from '../../geometry/index.ts';
import { LINE_ENDS, type HpglProfile } from '../../stock/index.ts';
import type { Tongue } from './program.ts';

/** How HPGL counts: 40 units to the mm, from the sheet's bottom left, x right and y up. */
export const HPGL_UNITS = { unitsPerMm: 40, origin: 'bottom-left', axes: 'x right, y up' } as const;

/** The pen that stands for each kind of cut. */
export const HPGL_PENS = { kiss: 1, through: 2, crease: 3 } as const;

/**
 * The plotter language of many cutters: pen up to the start of each line, pen down along it and, but
 * for open lines, back to its start.
 */
export function hpglTongue(profile: HpglProfile): Tongue {
  const { unitsPerMm, initialise, settings, penUpAfter, longest, before, after } = profile;
  const end = LINE_ENDS[profile.lineEnd];
  const withEnds = (commands: string): string => commands.replace(/\r\n|\n|\r/g, end);
  const units = ({ x, y }: Point): string =>
    [x, y].map((mm) => String(Math.round(mm * unitsPerMm))).join(',');
  const down = (points: readonly string[]): string => {
    const commands: string[] = [];
    let last = '';
    for (const point of points) {
      const next = last ? `${last},${point}` : `PD${point}`;
      if (last && longest > 0 && next.length + 1 > longest) {
        commands.push(`${last};`);
        last = `PD${point}`;
      } else last = next;
    }
    return `${commands.join('')}${last};`;
  };
  return {
    start: withEnds(`${initialise}${before}`),
    end: `PU0,0;SP0;${end}${withEnds(after)}`,
    // What was begun is ended first.
    stop: `;PU;PU0,0;SP0;${end}`,
    tool: ({ kind, setting }) =>
      `SP${HPGL_PENS[kind]};${settings === 'none' ? '' : settingCommands(setting)}${end}`,
    line([start, ...along]) {
      if (!start) return '';
      return `PU${units(start)};${down(along.map(units))}${penUpAfter ? 'PU;' : ''}${end}`;
    },
    move: (to) => `PU${units(to)};${end}`,
  };
}

/** Speed in cm a second and force in grams, as cutters that speak HPGL commonly take them. */
function settingCommands(setting: KnifeSetting | null | undefined): string {
  const { speed = null, force = null } = setting ?? {};
  return [
    speed === null ? '' : `VS${Math.max(1, Math.round(speed / 10))};`,
    force === null ? '' : `FS${Math.round(force)};`,
  ].join('');
}
