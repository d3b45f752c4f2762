import type { Affine } from '../geometry/index.ts';
import { backOf, createJob, type CommandCall, type Job } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { plainBuild, type EdgeShape } from '../shape/index.ts';
import { firstStock, MATT_PAPER } from '../stock/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { keep, tool } from '../testing/exported.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { usualThing } from '../things/index.ts';
import { say } from '../../messages/index.ts';
import { exportFiles, type ExportChoices, type Format, type MadeFile } from './index.ts';

const FRONT = 'piece-1';
/** Wide at its top left, narrow below. */
const FLAG: EdgeShape = {
  kind: 'outline',
  rings: [
    [
      { x: -20, y: -30 },
      { x: 20, y: -30 },
      { x: -20, y: 30 },
    ],
  ],
};
const block = (piece: string, x: number, fill: string, y = -20): CommandCall => ({
  name: 'add-element',
  args: {
    piece,
    element: {
      id: '',
      kind: 'plate',
      x,
      y,
      angle: 0,
      locked: false,
      shape: { kind: 'rectangle', width: 8, height: 8, radius: 0 },
      fill: { color: fill, opacity: 1 },
      line: null,
    },
  },
});

/** Tags of 40 x 80 mm on pink with a red block at their left, three of them. */
const tags = (...calls: CommandCall[]): Job =>
  runAll(
    createJob('tag', { id: 'tags', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: { ...usualThing('tag'), width: 40, height: 80, opening: 'none' } as never },
    },
    { name: 'change-piece', args: { piece: FRONT, changes: { ground: '#f0d0d0', bleed: 0 } } },
    { name: 'want', args: { piece: FRONT, count: 3 } },
    block(FRONT, -10, '#d02020'),
    ...calls,
  );

/** The same with another side on pale blue that has a blue block at its left. */
const twoSided = (...calls: CommandCall[]): Job => {
  const job = tags({ name: 'add-back', args: { piece: FRONT } });
  const back = backOf(job, FRONT)?.id ?? '';
  return runAll(
    job,
    { name: 'change-piece', args: { piece: back, changes: { ground: '#d0d0f0' } } },
    block(back, -10, '#2020d0'),
    ...calls,
  );
};

async function files(job: Job, formats: readonly Format[], choices: Partial<ExportChoices> = {}) {
  const made = await compiled(job, new Map());
  const { resources } = made;
  const list = await exportFiles(made.compiled, {
    say,
    platform: nodePlatform,
    resources,
    formats,
    choices,
  });
  const file = (format: Format): MadeFile => list.find((one) => one.format === format) as MadeFile;
  return { made, list, file, json: () => JSON.parse(new TextDecoder().decode(file('json').bytes)) };
}

const DPI = 50.8; // two pixels to the mm
const page = async (pdf: Uint8Array, number: number): Promise<RgbaImage> =>
  renderPdf(nodePlatform, { pdf, page: number, dpi: DPI });
const at = ({ width, data }: RgbaImage, x: number, y: number): string =>
  [...data.subarray((Math.floor(y * 2) * width + Math.floor(x * 2)) * 4).subarray(0, 3)]
    .map((value) => value.toString(16).padStart(2, '0'))
    .join('');

interface Stated {
  sheets: {
    side?: string;
    cuts: unknown[];
    files: { page: number };
    placements: { x: number; y: number; angle: number; trim: number[][][] }[];
  }[];
}

test.each([
  ['long', ({ x, y }: { x: number; y: number }) => [210 - x, y], -10],
  ['short', ({ x, y }: { x: number; y: number }) => [x, 297 - y], 10],
] as const)(
  'turned on the %s edge each other side lies behind its front, upright as a page is turned',
  async (turnOver, behind, left) => {
    const job = twoSided({ name: 'change-plan', args: { changes: { turnOver } } });
    const { file, json } = await files(job, ['pdf', 'json']);
    expect(file('pdf').pages).toBe(2);
    const [front, back] = [await page(file('pdf').bytes, 0), await page(file('pdf').bytes, 1)];
    const [sheet] = (json() as Stated).sheets;
    expect(sheet?.placements).toHaveLength(3);
    for (const place of sheet?.placements ?? []) {
      const [x = 0, y = 0] = behind(place);
      expect(place.angle).toBe(0);
      expect(at(front, place.x - 10, place.y - 20)).toBe('d02020');
      expect(at(front, place.x + 10, place.y + 20)).toBe('f0d0d0');
      // Read from behind, its own block is at its left; on the short edge the page lies upside down.
      expect(at(back, x + left, y + 2 * left)).toBe('2020d0');
      expect(at(back, x - left, y - 2 * left)).toBe('d0d0f0');
      expect(at(back, x - 19, y)).toBe('d0d0f0');
      expect(at(back, x - 21.5, y)).toBe('ffffff');
    }
    // Marks and cuts are those of the front alone.
    expect(at(back, 10, 10)).toBe('ffffff');
    expect(tool('qpdf', '--check', keep('sides.pdf', file('pdf').bytes))).toContain('No syntax');
  },
);

test('the statement has an entry for every page: fronts with their cuts, other sides without', async () => {
  const job = twoSided({ name: 'want', args: { piece: FRONT, count: 40 } });
  const { file, json } = await files(job, ['pdf', 'json']);
  const { sheets } = json() as Stated;
  expect(sheets.map(({ files: { page: number } }) => number)).toEqual(
    sheets.map((_, at) => at + 1),
  );
  expect(sheets).toHaveLength(file('pdf').pages ?? 0);
  expect(sheets.length).toBeGreaterThan(2);
  for (const [at, sheet] of sheets.entries()) {
    expect(sheet.side).toBe(at % 2 ? 'back' : undefined);
    expect(sheet.cuts.length > 0).toBe(at % 2 === 0);
    expect(sheet.placements.length).toBe(sheets[at - (at % 2)]?.placements.length);
  }
  const [first, back] = sheets;
  expect(back?.placements[0]?.x).toBeCloseTo(210 - (first?.placements[0]?.x ?? 0), 3);
});

test('other sides have the edge of their front, its rows and numbers, and are pictured beside it', async () => {
  const job = twoSided(
    {
      name: 'add-element',
      args: { piece: 'piece-2', element: exampleWords({ text: 'No. {#001}' }) },
    },
    {
      name: 'build-edge',
      args: { piece: FRONT, build: plainBuild(FLAG, 'flag') },
    },
  );
  /** Where the point below is. */
  const lowest = (rings: readonly (readonly { x: number; y: number }[])[]): number =>
    rings.flat().reduce((one, other) => (other.y > one.y ? other : one)).x;
  const { made, list, file } = await files(job, ['pdf', 'png'], { dpi: 50 });
  const [front, back] = [made.compiled.pieces.get(FRONT), made.compiled.pieces.get('piece-2')];
  expect([front, back].map((one) => lowest(one?.rings ?? []))).toEqual([-20, 20]);
  const text = tool('pdftotext', '-f', '2', '-l', '2', keep('rows.pdf', file('pdf').bytes), '-');
  expect([...text.matchAll(/No\. (\d+)/g)].map((found) => found[1]).sort()).toEqual([
    '001',
    '002',
    '003',
  ]);
  expect(list.map(({ name }) => name)).toEqual(['tag.pdf', 'tag-1.png', 'tag-1-back.png']);
});

test('a front takes its other side with it, and has one at most', () => {
  const job = twoSided();
  expect(() => runAll(job, { name: 'add-back', args: { piece: FRONT } })).toThrow(/third-side/);
  const two = runAll(job, { name: 'copy-piece', args: { piece: FRONT, name: 'More' } });
  const left = runAll(two, { name: 'delete-piece', args: { piece: FRONT } });
  expect(left.pieces.map(({ name }) => name)).toEqual(['More']);
  const measured = runAll(createJob('tag', { id: 't', today: '2026-04-18' }), {
    name: 'measure-thing',
    args: { thing: { ...usualThing('tag'), sides: '2' } as never },
  });
  expect(measured.pieces.map(({ behind }) => behind)).toEqual([undefined, FRONT]);
});

const transfer: CommandCall = {
  name: 'choose-material',
  args: { material: { ...MATT_PAPER, mirrored: true } },
};

test('what is turned over to be applied is printed and cut as in a mirror, marks and all', async () => {
  const formats = ['pdf', 'svg', 'json'] as const;
  const [plain, mirrored] = [await files(tags(), formats), await files(tags(transfer), formats)];
  const [one, other] = [
    await page(plain.file('pdf').bytes, 0),
    await page(mirrored.file('pdf').bytes, 0),
  ];
  let differ = 0;
  for (let y = 0.25; y < 297; y += 0.5)
    for (let x = 0.25; x < 210; x += 0.5) if (at(one, x, y) !== at(other, 210 - x, y)) differ++;
  // Pixels along edges may round the other way.
  expect(differ / (420 * 594)).toBeLessThan(0.004);
  const [first, flipped] = [plain.json() as Stated, mirrored.json() as Stated].map(
    ({ sheets }) => sheets[0]?.placements ?? [],
  );
  for (const [index, place] of (first ?? []).entries()) {
    expect(flipped?.[index]).toMatchObject({ mirrored: true, angle: 0, y: place.y });
    expect((flipped?.[index]?.x ?? 0) + place.x).toBeCloseTo(210, 4);
  }
  const xs = (svg: MadeFile): number[] =>
    [
      ...new TextDecoder()
        .decode(svg.bytes)
        .replace(/<g id="marks"[^]*?<\/g>/, '')
        .matchAll(/[ML](-?[\d.]+)[ ,]/g),
    ].map((found) => Number(found[1]));
  const [cuts, turned] = [xs(plain.file('svg')), xs(mirrored.file('svg'))];
  expect(cuts.length).toBeGreaterThan(10);
  expect(Math.min(...turned)).toBeCloseTo(210 - Math.max(...cuts), 2);
});

test('on a bought sheet each label is mirrored in its own place', async () => {
  const job = runAll(
    createJob('label-sheet', { id: 'l', today: '2026-04-18' }),
    { name: 'choose-stock', args: { stock: firstStock(true) } },
    { name: 'want', args: { piece: FRONT, count: 5 } },
    block(FRONT, -8, '#d02020', -5),
    transfer,
  );
  const { file, json } = await files(job, ['pdf', 'json']);
  const image = await page(file('pdf').bytes, 0);
  const places = (json() as Stated).sheets[0]?.placements ?? [];
  expect(places).toHaveLength(5);
  const straight = await files(
    runAll(job, { name: 'choose-material', args: { material: MATT_PAPER } }),
    ['json'],
  );
  expect(places.map(({ x, y }) => [x, y])).toEqual(
    (straight.json() as Stated).sheets[0]?.placements.map(({ x, y }) => [x, y]),
  );
  for (const { x, y } of places) expect(at(image, x + 8, y - 5)).toBe('d02020');
});

test('for a measured printer the page is drawn so that the paper gets it in its place, on bought sheets alone', async () => {
  // Prints 3 mm too far right and 2 mm too low.
  const off: Affine = [1, 0, 0, 1, 3, 2];
  const printer = { front: off, back: off };
  const job = runAll(
    createJob('label-sheet', { id: 'l', today: '2026-04-18' }),
    { name: 'want', args: { piece: FRONT, count: 1 } },
    block(FRONT, 0, '#d02020', 0),
  );
  const bytes = async (of: Job, choices: Partial<ExportChoices>): Promise<Uint8Array> =>
    (await files(of, ['pdf'], choices)).file('pdf').bytes;
  const [straight, moved] = [
    await page(await bytes(job, {}), 0),
    await page(await bytes(job, { printer }), 0),
  ];
  const corner = (image: RgbaImage): [number, number] => {
    for (let y = 0.25; y < 297; y += 0.5)
      for (let x = 0.25; x < 210; x += 0.5) if (at(image, x, y) === 'd02020') return [x, y];
    return [NaN, NaN];
  };
  const [from, to] = [corner(straight), corner(moved)];
  expect([to[0] - from[0], to[1] - from[1]]).toEqual([-3, -2]);
  expect(Buffer.compare(await bytes(tags(), { printer }), await bytes(tags(), {}))).toBe(0);
});
