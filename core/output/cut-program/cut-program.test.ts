import { readFileSync } from 'node:fs';
import { orderCuts } from '../../cutting/index.ts';
import type { Point } from '../../geometry/index.ts';
import type { CompiledSheet } from '../../sheet/index.ts';
import {
  parseCutProfile,
  writeCutProfile,
  USUAL_PROFILE,
  type CutProfile,
} from '../../stock/index.ts';
import { exportedExample, keep, tool } from '../../testing/exported.ts';
import { cutProgram, moveProgram, programText, writeProgram } from './index.ts';

let sheet: CompiledSheet;
let exported: string;
beforeAll(async () => {
  const { made, file } = await exportedExample(['hpgl']);
  [sheet] = made.compiled.sheets as [CompiledSheet];
  exported = new TextDecoder().decode(file('hpgl').bytes);
});

const profile = (said: object): CutProfile => {
  const read = parseCutProfile(JSON.stringify(said), 'bench.json');
  if (!read.ok) throw new Error(JSON.stringify(read.problem));
  return read.value;
};
const inHpgl = (said: object): string =>
  programText(cutProgram(sheet, { profile: profile({ language: 'hpgl', ...said }) }));
const inGcode = (said: object = {}, more: object = {}): string =>
  programText(cutProgram(sheet, { profile: profile({ language: 'gcode', ...said }), ...more }));

/** The cut lines of the sheet in their order, from its bottom left, mm. */
const wanted = (): Point[][] =>
  orderCuts(sheet.cuts).flatMap(({ rings, open }) =>
    [...rings]
      .reverse()
      .map((ring) => [...ring, ...(open ? [] : ring.slice(0, 1))])
      .map((ring) => ring.map(({ x, y }) => ({ x, y: sheet.drawing.height - y }))),
  );

/** How far apart two lists of lines are at most, point by point. */
function apart(found: readonly Point[][], other: readonly Point[][]): number {
  expect(found.map((line) => line.length)).toEqual(other.map((line) => line.length));
  const [one, two] = [found.flat(), other.flat()];
  return Math.max(
    ...one.map(({ x, y }, at) => Math.hypot(x - (two[at]?.x ?? NaN), y - (two[at]?.y ?? NaN))),
  );
}

/**
 * G-code as the standard has it (ISO 6983-1): words of a letter and a number, G0 and G1 modal,
 * absolute mm. Gives each line on which the tool worked, and the power or height it worked with.
 */
function machine(text: string): { lines: Point[][]; at: (number | undefined)[] } {
  const lines: Point[][] = [];
  const at: (number | undefined)[] = [];
  let [x, y, z, motion] = [0, 0, Infinity, 0];
  let power: number | undefined;
  let [absolute, metric, works, fresh] = [false, false, false, true];
  for (const block of text.trim().split(/\r\n|\n|\r/)) {
    const words = block.split(' ').map((word) => [word.charAt(0), Number(word.slice(1))] as const);
    expect(
      words.every(([letter, value]) => 'GMXYZFS'.includes(letter) && Number.isFinite(value)),
    ).toBe(true);
    const of = (letter: string): number | undefined => words.find(([one]) => one === letter)?.[1];
    for (const [letter, value] of words) {
      if (letter === 'G' && value === 21) metric = true;
      if (letter === 'G' && value === 90) absolute = true;
      if (letter === 'G' && value < 2) motion = value;
      if (letter === 'M' && (value === 3 || value === 5)) works = value === 3;
    }
    power = of('S') ?? power;
    z = of('Z') ?? z;
    const [nx, ny] = [of('X') ?? x, of('Y') ?? y];
    if (nx !== x || ny !== y) {
      expect([metric, absolute]).toEqual([true, true]);
      // What moves fast, or without the tool, goes to the start of the next line.
      expect(motion === 0 && (works || z <= 0)).toBe(false);
      if (motion === 1 && fresh) {
        lines.push([{ x, y }]);
        at.push(works ? power : z);
      }
      if (motion === 1) lines[lines.length - 1]?.push({ x: nx, y: ny });
      fresh = motion === 0;
    }
    [x, y] = [nx, ny];
  }
  return { lines, at };
}

test('a profile of nothing out of the ordinary writes the exported file byte for byte', () => {
  expect(programText(cutProgram(sheet))).toBe(exported);
  expect(inHpgl({})).toBe(exported);
  const { start, cuts, end, stop } = cutProgram(sheet);
  expect([start, ...cuts, end].join('')).toBe(exported);
  expect(cuts).toHaveLength(sheet.cuts.length);
  expect(stop).toMatch(/^;PU;.*SP0;\n$/);
});

test.each([
  [{}],
  [{ penUpAfter: true, longest: 40, lineEnd: 'crlf', settings: 'none' }],
  [{ lineEnd: 'none', initialise: 'IN;PA;' }],
])('another reader of HPGL draws what %j writes within 0.03 mm, in the same order', (said) => {
  const path = keep('dialect.hpgl', new TextEncoder().encode(inHpgl(said)));
  tool('hp2xx', '-q', '-t', '-m', 'svg', '-f', `${path}.svg`, path);
  const lines: Point[][] = [];
  for (const [, d = ''] of readFileSync(`${path}.svg`, 'utf8').matchAll(/<path d="([^"]*)"/g)) {
    const points = [...d.matchAll(/([-\d.]+),\s*([-\d.]+)/g)].map(([, x, y]) => ({
      x: (Number(x) * 25.4) / 72,
      y: (-Number(y) * 25.4) / 72,
    }));
    const last = lines[lines.length - 1];
    const [first, ...others] = points;
    const end = last?.[last.length - 1];
    if (last && first && end?.x === first.x && end.y === first.y) last.push(...others);
    else if (first) lines.push(points);
  }
  const fromCorner = (all: Point[][]): Point[][] => {
    const [left, low] = [
      Math.min(...all.flat().map(({ x }) => x)),
      Math.min(...all.flat().map(({ y }) => y)),
    ];
    return all.map((line) => line.map(({ x, y }) => ({ x: x - left, y: y - low })));
  };
  expect(apart(fromCorner(lines), fromCorner(wanted()))).toBeLessThan(0.03);
});

test('commands are as short, ends of lines as they are, and units as many as a profile says', () => {
  const short = inHpgl({ longest: 60, lineEnd: 'crlf' });
  expect(
    Math.max(...short.split(/;(?:\r\n)?/).map((command) => command.length + 1)),
  ).toBeLessThanOrEqual(60);
  expect(
    short
      .split('\n')
      .slice(0, -1)
      .every((line) => line.endsWith('\r')),
  ).toBe(true);
  expect(inHpgl({ penUpAfter: true })).toMatch(/PD[^;]+;PU;\n/);
  const knife = { offset: 0, overcut: 0, settings: { kiss: { force: 80, speed: 200, passes: 1 } } };
  expect(programText(cutProgram(sheet, { knife }))).toContain('SP1;VS20;FS80;\n');
  expect(
    programText(
      cutProgram(sheet, { knife, profile: profile({ language: 'hpgl', settings: 'none' }) }),
    ),
  ).not.toMatch(/VS|FS/);
  const first = (text: string): number[] =>
    (/PU(-?\d+),(-?\d+)/.exec(text) ?? []).slice(1).map(Number);
  const [x = 0, y = 0] = first(exported);
  const [fineX = 0, fineY = 0] = first(inHpgl({ unitsPerMm: 400 }));
  expect(Math.abs(fineX / 10 - x) + Math.abs(fineY / 10 - y)).toBeLessThan(1.1);
});

test.each([
  [{ origin: 'bottom-left' }, [10, 80]],
  [{ origin: 'bottom-right' }, [40, 80]],
  [{ origin: 'top-left' }, [10, 20]],
  [{ origin: 'top-right' }, [40, 20]],
  [{ turned: true }, [80, 10]],
  [{ origin: 'top-right', turned: true }, [20, 40]],
  [{ mirrorX: true }, [-10, 80]],
  [{ turned: true, mirrorX: true }, [-80, 10]],
  [{ origin: 'top-left', mirrorY: true }, [10, -20]],
])('%j counts a point of a sheet as %j', (said, [x, y]) => {
  // 10 mm from the left and 20 from the top of a sheet of 50 × 100 mm.
  const move = moveProgram(
    { x: 10, y: 20 },
    { width: 50, height: 100 },
    { profile: profile({ language: 'hpgl', unitsPerMm: 1, ...said }) },
  );
  expect(move.cuts).toEqual([`PU${x},${y};\n`]);
});

test('a reader of the standard finds the cut lines in G-code, the beam off on every way between', () => {
  const said = inGcode({ power: { kiss: 300, through: 900 } });
  const { lines, at } = machine(said);
  expect(apart(lines, wanted())).toBeLessThan(0.03);
  expect(at).toEqual(orderCuts(sheet.cuts).map(({ kind }) => (kind === 'kiss' ? 300 : 900)));
  expect(said.match(/M3/g)).toHaveLength(lines.length);
  expect(said).toMatch(/M5\nG0 X0 Y0\n$/);
  // With a height instead of a beam.
  const lowered = machine(inGcode({ tool: 'z', lifted: 4, depth: { kiss: -0.2 } }));
  expect(apart(lowered.lines, wanted())).toBeLessThan(0.03);
  expect(lowered.at[0]).toBe(-0.2);
});

test('a dry run goes the same ways and never switches the beam on', () => {
  const [real, dry] = [inGcode({}), inGcode({}, { dry: true })];
  expect(dry).not.toContain('M3');
  expect(dry).toBe(real.replace(/M3\n/g, ''));
  expect(inGcode({ tool: 'z', depth: { kiss: -1 } }, { dry: true })).not.toContain('Z-');
});

test('each pass has its feed, and goes deeper where the head is lowered', () => {
  const square = [0, 10, 10, 0, 0].map((x, at) => ({ x, y: at < 2 ? 0 : 10 }));
  const setting = { force: null, speed: 20, passes: 2 };
  const program = writeProgram(
    [{ kind: 'through', setting, ways: [square] }],
    { width: 50, height: 50 },
    {
      profile: profile({
        language: 'gcode',
        tool: 'z',
        lifted: 3,
        depth: { through: -1 },
        feed: 600,
      }),
    },
  );
  expect(program.cuts[0]?.split('\n').slice(0, 4)).toEqual([
    'G0 X0 Y50',
    'G1 Z-0.5 F600',
    'G1 X10 Y50 F1200',
    'G1 X10 Y40',
  ]);
  expect(program.cuts[0]).toContain('G1 Z-1 F600');
  expect(program.stop).toContain('G0 Z3');
});

test('a profile is handed on as a file; what is none is told by its place', () => {
  const own = profile({ language: 'gcode', before: '$X', line: { speed: 115200 } });
  expect(parseCutProfile(writeCutProfile(own), 'x')).toEqual({ ok: true, value: own });
  expect(profile({ language: 'hpgl' })).toEqual(USUAL_PROFILE);
  const at = (text: string): unknown => {
    const read = parseCutProfile(text, 'bench.json');
    return read.ok ? undefined : (read.problem.values as { at: string }).at;
  };
  expect(at('')).toBe('');
  expect(at('[]')).toBe('');
  expect(at('{}')).toBe('language');
  expect(at('{"kind":"job","language":"hpgl"}')).toBe('kind');
  expect(at('{"version":2,"language":"hpgl"}')).toBe('version');
  expect(at('{"language":"hpgl","unitsPerMm":0}')).toBe('unitsPerMm');
  expect(at('{"language":"hpgl","longest":7}')).toBe('longest');
  expect(at('{"language":"hpgl","before":"\\u001b%"}')).toBe('before');
  expect(at('{"language":"gcode","line":{"speed":1}}')).toBe('line.speed');
  expect(at('{"language":"gcode","power":{"kiss":-1}}')).toBe('power.kiss');
  expect(at('{"language":"hpgl","colour":1}')).toBe('colour');
});
