import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'peel-cli-'));
const peel = (...args: string[]): { exit: number | null; out: string; err: string } => {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['bin/peel.mjs', ...args], {
    encoding: 'utf8',
  });
  return { exit: status, out: stdout, err: stderr };
};

beforeAll(() => {
  execFileSync(process.execPath, ['bin/peel.mjs', 'demo', '--out', folder]);
}, 60_000);

test('a lid is sized in the unit that is named, as one JSON document', () => {
  const { exit, out, err } = peel(
    'size',
    'lid',
    '--diameter',
    '3 in',
    '--clearance',
    '2.1mm',
    '--json',
  );
  expect([exit, err]).toEqual([0, '']);
  expect((JSON.parse(out) as { width: number }).width).toBeCloseTo(72, 6);
  expect(Object.keys(JSON.parse(out) as object).sort()).toEqual([
    'folds',
    'height',
    'outline',
    'parts',
    'reading',
    'warnings',
    'width',
    'zones',
  ]);
});

test.each([
  [['size', 'lid', '--diameter', 'wide'], /--diameter: “wide” is not a length/],
  [['size', 'lid'], /--diameter is missing/],
  [['size', 'cube'], /“cube” is not a kind of thing.*lid, wrap, taper/],
  [['size', 'lid', '--diameter', '40', '--clearance', '20'], /leaves nothing/],
  [['size', 'taper', '--top', '90', '--bottom', '65'], /--height is missing/],
  [['size', 'band', '--width', '0', '--depth', '3', '--height', '4'], /--width is 0/],
  [['size', 'wrap', '--diameter', '70', '--height', '80', '--angle', '400'], /--angle is 400/],
  [['size', 'tag', '--width', '5', '--height', '9', '--hole', '2', '--slot', '3'], /both given/],
  [
    ['size', 'band', '--width', '9', '--depth', '3', '--height', '4', '--around', 'x'],
    /Accepted: h, w, d/,
  ],
  [['pack', 'gone.json'], /gone\.json cannot be read/],
  [['export', 'gone.peel', '--out', 'x'], /gone\.peel cannot be read/],
  [
    ['export', 'x.peel', '--out', 'x', '--formats', 'dxf'],
    /“dxf” is not written.*pdf, svg, hpgl, png, json/,
  ],
  [['run', 'x.peel', '--out', 'x', '--printer', 'ipp://p'], /cannot be reached.*Accepted: sim/],
  [['check', 'x.peel', '--colour', 'red'], /Accepted options/],
  [['dance'], /“dance” is not a command/],
])('bad input %j gives exit 2 and one line', (args, said) => {
  const { exit, out, err } = peel(...args);
  expect([exit, out]).toEqual([2, '']);
  expect(err.trim().split('\n')).toHaveLength(1);
  expect(err).toMatch(said);
});

test('a pack request is answered to a file, whole', () => {
  const request = join(folder, 'request.json');
  const out = join(folder, 'layout.json');
  writeFileSync(
    request,
    JSON.stringify({
      sheet: { width: 210, height: 297, margin: [10, 10, 10, 10] },
      gap: 2,
      pieces: [{ id: 'a', shape: { rect: [70, 37] }, quantity: 'max', turns: 'quarter' }],
    }),
  );
  expect(peel('pack', request, '--out', out, '--json').exit).toBe(0);
  expect(JSON.parse(readFileSync(out, 'utf8'))).toMatchObject({
    left: {},
    method: 'step-and-repeat',
    stopped: false,
  });
  expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
});

test('a demo job is checked clean and exported the same twice', () => {
  expect(peel('check', join(folder, 'pot-lid-seals.peel')).exit).toBe(0);
  // One sheet of labels: a PNG at 300 dpi takes its time.
  const file = join(folder, 'peat-free-dots.peel');
  const read = (out: string): Buffer[] => {
    expect(peel('export', file, '--out', out).exit).toBe(0);
    return readdirSync(out)
      .sort()
      .map((name) => readFileSync(join(out, name)));
  };
  expect(read(join(folder, 'one'))).toEqual(read(join(folder, 'two')));
}, 120_000);

test('a run is a rehearsal whose report and pictures follow from its seed', () => {
  const file = join(folder, 'peat-free-dots.peel');
  const out = join(folder, 'run');
  const first = peel('run', file, '--out', out, '--seed', '3', '--json');
  expect(first.exit).toBe(0);
  const { sheets } = JSON.parse(first.out) as {
    sheets: { copies: { copy: string; deviation: number; bleedLeft: number }[] }[];
  };
  expect(sheets[0]?.copies).toHaveLength(24);
  expect(readdirSync(out).sort()).toEqual([
    'peat-free-dots-1-cut.png',
    'peat-free-dots-1-peeled.png',
    'peat-free-dots-1-printed.png',
    'peat-free-dots-1.hpgl',
    'peat-free-dots.pdf',
  ]);
  expect(peel('run', file, '--out', out, '--seed', '3', '--json').out).toBe(first.out);
}, 120_000);
