import type { Point } from '../../geometry/index.ts';
import { LINE_ENDS, type GcodeProfile } from '../../stock/index.ts';
import type { ProgramCut, Tongue } from './program.ts';

/** Of a coordinate, mm: three decimals, without what says nothing. */
const mm = (value: number): string => String(Math.round(value * 1000) / 1000);

/**
 * G-code (ISO 6983: G0, G1, G21, G90, M3, M5) for machines that drag, draw or burn. The tool is off, or
 * lifted, on every way between lines.
 * @param dry whether the tool stays off on the lines, too
 */
export function gcodeTongue(profile: GcodeProfile, dry: boolean): Tongue {
  const { tool, power, lifted, depth, feed, before, after } = profile;
  const end = LINE_ENDS[profile.lineEnd];
  const lines = (...said: readonly string[]): string =>
    said
      .filter(Boolean)
      .map((line) => `${line}${end}`)
      .join('');
  const given = (commands: string): string => lines(...commands.split(/\r\n|\n|\r/));
  const off = tool === 'm3' ? 'M5' : `G0 Z${mm(lifted)}`;
  const to = ({ x, y }: Point): string => `X${mm(x)} Y${mm(y)}`;
  const on = ({ kind, setting }: ProgramCut, pass: number): string => {
    if (dry) return '';
    if (tool === 'm3') return `M3${power[kind] > 0 ? ` S${mm(power[kind])}` : ''}`;
    const deeper = (pass + 1) / (setting?.passes ?? 1);
    return `G1 Z${mm(depth[kind] * deeper)} F${mm(feed)}`;
  };
  const feedOf = ({ setting }: ProgramCut): number =>
    setting?.speed == null ? feed : setting.speed * 60;
  return {
    start: `${lines('G21', 'G90', off)}${given(before)}`,
    end: `${lines(off, 'G0 X0 Y0')}${given(after)}`,
    // What was begun is ended first.
    stop: `${end}${lines(off)}${given(after)}`,
    tool: () => '',
    line([start, next, ...others], cut, pass) {
      if (!start || !next) return '';
      return lines(
        `G0 ${to(start)}`,
        on(cut, pass),
        `G1 ${to(next)} F${mm(feedOf(cut))}`,
        ...others.map((point) => `G1 ${to(point)}`),
        off,
      );
    },
    move: (point) => lines(off, `G0 ${to(point)}`),
  };
}
