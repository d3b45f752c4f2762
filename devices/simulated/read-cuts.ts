import type { Point } from '../../core/geometry/index.ts';
import { HPGL_PENS, HPGL_UNITS } from '../../core/output/index.ts';
import type { CutProfile } from '../../core/stock/index.ts';

/**
 * The lines of a program, mm as the cutter counts them.
 * @param language as the program is written; as its beginning looks unless given
 */
export function readCuts(
  text: string,
  {
    language = isGcode(text) ? 'gcode' : 'hpgl',
    unitsPerMm = HPGL_UNITS.unitsPerMm,
  }: { language?: CutProfile['language']; unitsPerMm?: number } = {},
): PenLine[] {
  if (language === 'gcode') return readGcode(text);
  return readHpgl(text).map(({ pen, line }) => ({
    pen,
    line: line.map(({ x, y }) => ({ x: x / unitsPerMm, y: y / unitsPerMm })),
  }));
}

/** A line that the tool works along. */
export interface PenLine {
  readonly pen: number;
  readonly line: readonly Point[];
}

/** Whether a text is G-code; else it is HPGL. */
export const isGcode = (text: string): boolean => /^[\s%]*[GMTSFN(;]\s*\d/.test(text);

/** Follows pen-down moves. Understands IN, SP, PA, PU and PD; what else there is, is passed over. */
export function readHpgl(hpgl: string): PenLine[] {
  const lines: PenLine[] = [];
  let pen = 0;
  let isDown = false;
  let at: Point = { x: 0, y: 0 };
  for (const [, name, inner] of hpgl.matchAll(/([A-Z]{2})([^;A-Z]*)/g)) {
    const numbers = (inner ?? '').split(',').map(Number);
    if (name === 'SP') pen = numbers[0] ?? 0;
    if (name !== 'PU' && name !== 'PD' && name !== 'PA') continue;
    const points: Point[] = [];
    for (let index = 0; index + 1 < numbers.length; index += 2)
      points.push({ x: numbers[index] ?? 0, y: numbers[index + 1] ?? 0 });
    const last = lines[lines.length - 1];
    if (name === 'PD' && points.length) {
      // A long line comes in several commands.
      if (isDown && last) lines[lines.length - 1] = { ...last, line: [...last.line, ...points] };
      else lines.push({ pen, line: [at, ...points] });
    }
    isDown = name === 'PD' || (isDown && name === 'PA');
    at = points[points.length - 1] ?? at;
  }
  return lines;
}

/** Follows the moves of G-code on which the tool works: mm, from absolute coordinates. */
export function readGcode(text: string): PenLine[] {
  const lines: PenLine[] = [];
  let at: Point = { x: 0, y: 0 };
  let line: Point[] = [];
  let [works, lowered, moves] = [false, false, 'G0'];
  const lift = (): void => {
    if (line.length > 1) lines.push({ pen: HPGL_PENS.kiss, line });
    line = [];
  };
  for (const block of text.replace(/\([^)]*\)|;.*/g, '').split(/[\r\n]+/)) {
    const words = [...block.toUpperCase().matchAll(/([A-Z])\s*(-?[\d.]+)/g)];
    const number = (letter: string): number | undefined => {
      const found = words.find(([, name]) => name === letter);
      return found && Number(found[2]);
    };
    for (const [, letter, value] of words) {
      const word = `${letter}${Number(value)}`;
      if (word === 'G0' || word === 'G1') moves = word;
      if (word === 'M3' || word === 'M4') works = true;
      if (word === 'M5') works = false;
    }
    const height = number('Z');
    if (height !== undefined) lowered = height <= 0;
    const [x = at.x, y = at.y] = [number('X'), number('Y')];
    const isDown = works || lowered;
    if (!isDown) lift();
    if (x === at.x && y === at.y) continue;
    if (isDown && moves === 'G1') {
      if (line.length === 0) line.push(at);
      line.push({ x, y });
    } else lift();
    at = { x, y };
  }
  lift();
  return lines;
}
