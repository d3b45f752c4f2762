import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { decodePixels, encodePngImage } from '../core/raster/index.ts';
import { block, disc, drawn } from '../core/testing/drawn.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { main } from './main.ts';

const leaves = drawn(
  600,
  400,
  [
    { region: disc(200, 200, 120), color: [60, 120, 70] },
    { region: block(480, 200, { width: 160, height: 200 }), color: [200, 80, 60] },
  ],
  () => [236, 234, 230],
);
const folder = mkdtempSync(join(tmpdir(), 'peel-cli-'));
interface Ended {
  readonly exit: number | null;
  readonly out: string;
  readonly err: string;
}

/** The command as it is called in a terminal. */
function peelProcess(...args: string[]): Ended {
  const peel = ['bin/peel.mjs', ...args];
  const { status, stdout, stderr } = spawnSync(process.execPath, peel, { encoding: 'utf8' });
  return { exit: status, out: stdout, err: stderr };
}

/** The same without a process of its own, which takes most of the time. */
async function peel(...args: string[]): Promise<Ended> {
  let [out, err] = ['', ''];
  const exit = await main(args, {
    out: (line) => (out += `${line}\n`),
    err: (line) => (err += `${line}\n`),
  });
  return { exit, out, err };
}

beforeAll(() => {
  execFileSync(process.execPath, ['bin/peel.mjs', 'demo', '--out', folder]);
});

test('the version, and what a command is for with an example', async () => {
  const { version } = JSON.parse(readFileSync('package.json', 'utf8')) as { version: string };
  expect(peelProcess('--version')).toEqual({ exit: 0, out: `${version}\n`, err: '' });
  const { exit, out } = await peel('trace', '--help');
  expect(exit).toBe(0);
  expect(out).toMatch(
    /Traces an edge.*\n\npeel trace IMAGE[^]*For example:\n {2}peel trace thistle\.png/,
  );
  expect((await peel('--help')).out).toContain('peel COMMAND --help');
});

test('an offset may be negative', async () => {
  const path = join(folder, 'leaves.png');
  writeFileSync(path, encodePngImage(leaves, 254));
  const areaAt = async (offset: string): Promise<number> => {
    const made = await peel(
      'trace',
      path,
      '--out',
      join(folder, 'in.svg'),
      '--offset',
      offset,
      '--json',
    );
    expect([made.exit, made.err]).toEqual([0, '']);
    return (JSON.parse(made.out) as { area: number }).area;
  };
  expect(await areaAt('-1.5mm')).toBeLessThan((await areaAt('0')) - 50);
});

test('a file is taken in and drawn as it would print, and what became of it is told', async () => {
  const [path, out] = [join(folder, 'mint.svg'), join(folder, 'mint.png')];
  const take = async (body: string, ...more: string[]): Promise<unknown> => {
    writeFileSync(
      path,
      `<svg xmlns="http://www.w3.org/2000/svg" width="192" height="96"><filter id="f"><feGaussianBlur stdDeviation="2"/></filter>${body}</svg>`,
    );
    const made = await peel('take', path, '--out', out, ...more, '--json');
    expect([made.exit, made.err]).toEqual([0, '']);
    return JSON.parse(made.out);
  };
  const half = '<rect width="96" height="96" fill="#c0392b"/>';
  expect(await take(half)).toMatchObject({
    kind: 'shapes',
    width: 50.8,
    height: 25.4,
    asPixels: [],
    leftOut: [],
  });
  // 96 px are an inch, and 300 dots an inch are drawn.
  const image = await decodePixels(nodePlatform, 'png', new Uint8Array(readFileSync(out)));
  expect([image.width, image.height]).toEqual([600, 300]);
  const at = (x: number): number[] => [...image.data.subarray((150 * 600 + x) * 4).slice(0, 4)];
  expect(at(150)).toEqual([0xc0, 0x39, 0x2b, 255]);
  expect(at(450)[3]).toBe(0);
  expect(
    await take(
      `${half}<circle r="30" cx="140" cy="48" filter="url(#f)"/><foreignObject/>`,
      '--dpi',
      '100',
    ),
  ).toMatchObject({ kind: 'both', asPixels: ['filters'], leftOut: ['foreignObject'] });
  const several = await peel('take', 'README.md', '--out', out);
  expect([several.exit, several.err]).toEqual([2, expect.stringContaining('is not a picture')]);
});

test('what is wrong in a picture is told with its file, whichever command reads it', async () => {
  const path = join(folder, 'cut-off.png');
  writeFileSync(path, encodePngImage(leaves, 254).slice(0, 900));
  for (const command of ['clear', 'trace', 'split']) {
    const { exit, err } = await peel(command, path, '--out', join(folder, 'x'));
    expect([exit, err.trim().split('\n').length]).toEqual([2, 1]);
    expect(err).toContain(`${path}: `);
  }
});

test('a lid is sized in the unit that is named, as one JSON document', async () => {
  const { exit, out, err } = await peel(
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
  [['size', 'band', '--width', '0', '--depth', '3', '--height', '4'], /--width: 0 is too small/],
  [
    ['size', 'wrap', '--diameter', '70', '--height', '80', '--angle', '400'],
    /--angle: 400 is too large/,
  ],
  [['size', 'tag', '--width', '5', '--height', '9', '--hole', '2', '--slot', '3'], /both given/],
  [
    ['size', 'band', '--width', '9', '--depth', '3', '--height', '4', '--around', 'x'],
    /Accepted: h, w, d/,
  ],
  [['pack', 'gone.json'], /gone\.json cannot be read/],
  [['clear', 'README.md', '--out', 'x.png'], /README\.md.*is not a picture.*PNG, JPEG/],
  [['clear', 'app/theme/mark.svg', '--out', 'x.png'], /vector picture/],
  [['trace', 'gone.png', '--out', 'x.svg'], /gone\.png cannot be read/],
  [['trace', 'app/theme/mark.svg', '--out', 'x.svg', '--width', '0'], /--width: 0 mm/],
  [['trace', 'a.png', '--out', 'x.svg', '--corners', 'soft'], /Accepted: round, miter, bevel/],
  [['split', 'README.md', '--out', 'x'], /README\.md.*is not a picture/],
  [['export', 'gone.peel', '--out', 'x'], /gone\.peel cannot be read/],
  [
    ['export', 'x.peel', '--out', 'x', '--formats', 'stl'],
    /“stl” is not written.*pdf, form, svg, dxf, hpgl, png, jpeg, artwork, approval, contact, peel, json/,
  ],
  [['run', 'x.peel', '--out', 'x', '--printer', 'lp0'], /--printer: “lp0” is no address.*Or: sim/],
  [['run', 'x.peel', '--out', 'x', '--cutter', 'tcp://c'], /--cutter: .*no port.*tcp:\/\//],
  [['check', 'x.peel', '--colour', 'red'], /Accepted options/],
  [
    ['trace', 'app/theme/mark.svg', '--out', 'x.svg', '--width', '-5mm'],
    /--width: -5 mm is too small/,
  ],
  [['size', 'wrap', '--diameter', '70', '--height', '80', '--angle', ''], /--angle: “” is not/],
  [['size', 'lid', '--diameter', '70', 'mm'], /“mm” is one word too many/],
  [['size', 'lid', '--diameter', '70', '--diameter', '80'], /--diameter was given twice/],
  [['size', 'band', '--width', '1000', '--depth', '900', '--height', '40'], /3800 mm.*2000 mm/],
  [['clear', 'a.png', 'b.png', '--out', 'x.png'], /“b\.png” is one word too many/],
  [['dance'], /“dance” is not a command/],
])('bad input %j gives exit 2 and one line', async (args, said) => {
  const { exit, out, err } = await peel(...args);
  expect([exit, out]).toEqual([2, '']);
  expect(err.trim().split('\n')).toHaveLength(1);
  expect(err).toMatch(said);
});

test('the command itself ends with 2, nothing on stdout, and one line on stderr', () => {
  const { exit, out, err } = peelProcess('dance');
  expect([exit, out]).toEqual([2, '']);
  expect(err).toMatch(/^peel: “dance” is not a command[^\n]*\n$/);
});

test('a pack request is answered to a file, whole', async () => {
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
  expect((await peel('pack', request, '--out', out, '--json')).exit).toBe(0);
  expect(JSON.parse(readFileSync(out, 'utf8'))).toMatchObject({
    // Upright rows hold 2 x 7, lying ones 4 x 3.
    placed: { a: 17 },
    left: {},
    method: 'best-fit',
    stopped: false,
  });
  expect(readdirSync(folder).filter((name) => name.endsWith('.part'))).toEqual([]);
});

test('a demo job is checked clean, and exported the same by two processes', async () => {
  expect((await peel('check', join(folder, 'pot-lid-seals.peel'))).exit).toBe(0);
  // One sheet of labels, and none of the pictures: those take their time.
  const formats = ['--formats', 'pdf,svg,dxf,hpgl,json'];
  const file = join(folder, 'peat-free-dots.peel');
  const filesOf = (out: string): Buffer[] =>
    readdirSync(out)
      .sort()
      .map((name) => readFileSync(join(out, name)));
  const [one, two] = [join(folder, 'one'), join(folder, 'two')];
  expect(peelProcess('export', file, '--out', one, ...formats).exit).toBe(0);
  expect((await peel('export', file, '--out', two, ...formats)).exit).toBe(0);
  expect(filesOf(one).length).toBeGreaterThan(4);
  expect(filesOf(one)).toEqual(filesOf(two));
});

test('a run is a rehearsal whose report and pictures follow from its seed', async () => {
  const file = join(folder, 'peat-free-dots.peel');
  const out = join(folder, 'run');
  const first = await peel('run', file, '--out', out, '--seed', '3', '--json');
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
  expect((await peel('run', file, '--out', out, '--seed', '3', '--json')).out).toBe(first.out);
});

test('a picture on paper is cleared, traced in mm and split, with its resolution kept', async () => {
  const picture = join(folder, 'leaves.png');
  writeFileSync(picture, encodePngImage(leaves, 200));
  const cleared = join(folder, 'clear.png');
  const clear = await peel('clear', picture, '--out', cleared, '--json');
  expect(JSON.parse(clear.out)).toMatchObject({
    width: 600,
    height: 400,
    dpi: 200,
    color: '#eceae6',
  });
  const image = await decodePixels(nodePlatform, 'png', new Uint8Array(readFileSync(cleared)));
  expect([3, (200 * 600 + 200) * 4 + 3].map((at) => image.data[at])).toEqual([0, 255]);

  const edge = join(folder, 'edge.svg');
  const trace = await peel('trace', cleared, '--out', edge, '--width', '60mm', '--json');
  const traced = JSON.parse(trace.out) as { area: number; parts: number; nodes: number };
  expect(traced).toMatchObject({ parts: 2, holes: 0, width: 60, height: 40 });
  // 60 mm for 600 pixels: a disc of 24 mm and a block of 16 x 20 mm.
  expect(Math.abs(traced.area - (Math.PI * 144 + 320))).toBeLessThan(1);
  expect(traced.nodes).toBeLessThan(3 * 8);
  expect(readFileSync(edge, 'utf8')).toMatch(/width="60mm" height="40mm" viewBox="0 0 60 40"/);
  const grown = await peel(
    'trace',
    cleared,
    '--out',
    edge,
    '--width',
    '60',
    '--offset',
    '5',
    '--json',
  );
  expect((JSON.parse(grown.out) as { parts: number }).parts).toBe(1); // 8 mm apart

  const split = await peel('split', picture, '--out', join(folder, 'parts'), '--json');
  expect(JSON.parse(split.out)).toMatchObject({
    pieces: [
      { file: 'piece-01.png', page: 1, bounds: [80, 80, 320, 320] },
      { file: 'piece-02.png', page: 1, bounds: [400, 100, 560, 300] },
    ],
  });
  expect(readdirSync(join(folder, 'parts'))).toEqual(['piece-01.png', 'piece-02.png']);
});
