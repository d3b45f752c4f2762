import { expect, test, type Page } from '@playwright/test';
import { decode, encode } from 'fast-png';
import type { Drawing } from '../core/drawing/index.ts';
import type { Job, JobResources } from '../core/job/index.ts';
import type { CompiledPiece, Fill, PieceElement, Plate, Words } from '../core/piece/index.ts';
import { core } from './bundled-core.ts';

const {
  compilePieces,
  eachThing,
  createCompiler,
  createJob,
  demoJobs,
  drawingToSvg,
  expectOk,
  isProblem,
  loadResources,
  nodePlatform,
  ORNAMENTS,
  ornamentOf,
  PATTERNS,
  pdfSources,
  readArt,
  renderPdf,
  runCommand,
  writePdf,
} = core;

const DPI = 300;
const SAME = 32; // of 255, in any channel
const EVEN = 5; // of 255: what differs by more is an edge

interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
  readonly channels: number;
}

/** A finished piece on white, as the desk draws it and as a file holds it. */
function drawingOf({ width, height, trim, nodes }: CompiledPiece): Drawing {
  return {
    width,
    height,
    symbols: {},
    nodes: [
      {
        kind: 'group',
        transform: [1, 0, 0, 1, width / 2, height / 2],
        children: [{ kind: 'group', clip: trim, children: nodes }],
      },
    ],
  };
}

const valueAt = (
  { data, width, channels }: Pixels,
  x: number,
  y: number,
  channel: number,
): number => data[(y * width + x) * channels + channel] ?? 0;

/** Whether a pixel lies further than one pixel from an edge: all about it are of its colour. */
function isInside(image: Pixels, x: number, y: number): boolean {
  for (let channel = 0; channel < 3; channel++) {
    const own = valueAt(image, x, y, channel);
    for (let dy = -1; dy <= 1; dy++)
      for (let dx = -1; dx <= 1; dx++)
        if (Math.abs(valueAt(image, x + dx, y + dy, channel) - own) > EVEN) return false;
  }
  return true;
}

/** Pixels away from the edges of one picture that are of another colour in the other. */
function strangers(one: Pixels, other: Pixels): number {
  let count = 0;
  for (let y = 1; y < one.height - 1; y++)
    for (let x = 1; x < one.width - 1; x++) {
      const [from, to] = [
        (y * one.width + x) * one.channels,
        (y * other.width + x) * other.channels,
      ];
      const off = [0, 1, 2].some(
        (channel) =>
          Math.abs((one.data[from + channel] ?? 0) - (other.data[to + channel] ?? 0)) > SAME,
      );
      if (off && isInside(one, x, y)) count++;
    }
  return count;
}

/** A finished piece at 300 dpi: as the desk shows it, and as the file holds it. */
async function bothOf(
  page: Page,
  piece: CompiledPiece,
  { job, resources }: { job: Job; resources: JobResources },
): Promise<{ shown: Pixels; file: Pixels }> {
  const drawing = drawingOf(piece);
  const sources = pdfSources({ job }, resources);
  const pdf = await writePdf(nodePlatform, [{ drawing }], sources, 'piece');
  const printed = await renderPdf(nodePlatform, { pdf, page: 0, dpi: DPI });
  const svg = drawingToSvg(drawing, {
    typeface: (id) => resources.typeface(id),
    imageUrl: (id) => {
      const bytes = resources.bytes(id);
      return bytes && `data:image/png;base64,${Buffer.from(bytes).toString('base64')}`;
    },
    prefix: '',
  }).replace(
    /width="[\d.]+mm" height="[\d.]+mm"/,
    `width="${printed.width}" height="${printed.height}" preserveAspectRatio="none"`,
  );
  await page.setViewportSize({ width: printed.width, height: printed.height });
  await page.setContent(`<style>body{margin:0;background:#fff}svg{display:block}</style>${svg}`);
  return { shown: decode(await page.screenshot()), file: { ...printed, channels: 4 } };
}

/** Pixels that differ between what the desk shows and what the file holds. */
async function differing(
  page: Page,
  piece: CompiledPiece,
  of: { job: Job; resources: JobResources },
): Promise<number> {
  const { shown, file } = await bothOf(page, piece, of);
  // Two in four million were seen where thin lines meet; more than one in a million is a difference.
  const noise = (file.width * file.height) / 1e6;
  const count = strangers(shown, file) + strangers(file, shown);
  return count > noise ? count : 0;
}

test('every piece of the samples is the same picture on the desk and in the PDF, at 300 dpi', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const found: (readonly [string, number])[] = [];
  for (const { job: whole, art } of await demoJobs(nodePlatform))
    for (const { job, name } of eachThing(whole)) {
      const resources = await loadResources(nodePlatform, job, (id) =>
        Promise.resolve(art.get(id)),
      );
      const pieces = compilePieces(job, createCompiler(resources));
      for (const piece of [...pieces.values()].slice(0, 2))
        found.push([
          `${job.name}, ${name}, ${piece.piece.name}`,
          await differing(page, piece, { job, resources }),
        ]);
    }
  expect(found.filter(([, count]) => count > 0)).toEqual([]);
});

const place = { id: '', x: 0, y: 0, angle: 0, locked: false };
const words = (changes: Partial<Words>): Words => ({
  ...place,
  kind: 'words',
  text: 'Sea Holly',
  typeface: 'abril-fatface-regular',
  size: 34,
  tracking: 0,
  leading: 1.2,
  align: 'centre',
  fit: 'shrink',
  least: 6,
  path: { kind: 'straight' },
  color: '#44203d',
  width: 52,
  height: 16,
  ...changes,
});
const pattern = (name: (typeof PATTERNS)[number]): Fill => ({
  kind: 'pattern',
  pattern: name,
  ground: '#f4ead6',
  inks: ['#44203d', '#2c7a5f', '#c77f3a'],
  scale: 0.8,
  angle: 15,
});
const blend: Fill = {
  kind: 'gradient',
  shape: 'linear',
  angle: 30,
  stops: [
    { at: 0, color: '#b5432a' },
    { at: 0.5, color: '#f2a65a' },
    { at: 1, color: '#24356f' },
  ],
};
const disc = (fill: Fill): PieceElement => ({
  ...place,
  kind: 'plate',
  shape: { kind: 'circle', diameter: 48 },
  fill: { color: fill, opacity: 0.8 },
  line: { color: '#24356f', width: 0.8, style: 'dashed' },
});
const CASES: Readonly<Record<string, PieceElement>> = {
  blend: words({ color: blend }),
  'pattern in letters': words({ color: pattern('leaves') }),
  'thick letters': words({ thicken: 0.5, color: pattern('stripes') }),
  outlines: words({
    color: '#fffdf9',
    outlines: [
      { color: '#44203d', width: 0.8 },
      { color: '#f2a65a', width: 0.8 },
    ],
  }),
  'sharp shadow': words({ shadow: { x: 1, y: 1, blur: 0, color: '#000000', opacity: 0.4 } }),
  'soft shadow': words({ shadow: { x: 1, y: 1, blur: 2, color: '#000000', opacity: 0.6 } }),
  wave: words({ path: { kind: 'wave', height: 3, length: 30, start: 0.2 } }),
  arc: words({ path: { kind: 'arc', radius: 40, bow: 'up' } }),
  'round blend': disc({ ...blend, shape: 'radial' }),
  'letters out of a plate': {
    ...place,
    kind: 'combined',
    parts: [
      { how: 'join', element: { ...(disc('#44203d') as Plate), id: 'plate' } },
      { how: 'cut', element: words({ id: 'words', width: 40, text: 'Fen & Fern' }) },
    ],
    fill: pattern('terrazzo'),
    line: { color: '#24356f', width: 0.4, style: 'solid' },
  },
  'small print': words({
    text: 'oats\nhoney\nsunflower seeds',
    typeface: 'figtree-regular',
    size: 9,
    align: 'left',
    fit: 'wrap-shrink',
    list: { heading: 'INGREDIENTS', between: ', ' },
  }),
  code: {
    ...place,
    kind: 'code',
    symbology: 'qr',
    text: 'https://a.example',
    width: 30,
    height: 30,
    color: '#000000',
    ground: '#ffffff',
    caption: false,
  },
  line: {
    ...place,
    kind: 'line',
    nodes: [
      { x: -20, y: 5, after: { x: -10, y: -20 } },
      { x: 18, y: 0, before: { x: 8, y: 25 } },
    ],
    closed: false,
    line: { color: '#2c4a2f', width: 1.5, style: 'dotted', cap: 'round' },
    fill: null,
  },
  ...Object.fromEntries(PATTERNS.map((name) => [`pattern ${name}`, disc(pattern(name))])),
  ...Object.fromEntries(
    ORNAMENTS.map((name): [string, PieceElement] => [
      `ornament ${name}`,
      {
        ...place,
        kind: 'ornament',
        ornament: name,
        width: 40,
        height: 40 / ornamentOf(name).ratio,
        count: ornamentOf(name).count?.usual ?? 1,
        weight: 0.5,
        inks: ['#2c4a2f', '#b5603a'],
        opacity: 0.7,
      },
    ]),
  ),
};

/** A picture with soft and fine parts, as a photograph has them. */
function meadow(side: number): Uint8Array {
  const data = new Uint8Array(side * side * 3);
  for (let at = 0; at < side * side; at++) {
    const [x, y] = [at % side, Math.floor(at / side)];
    const grain = ((x * 7919 + y * 104729) % 7) - 3 + 6 * Math.sin(x / 2.1) * Math.sin(y / 1.7);
    data[3 * at] = 130 + 60 * Math.sin(x / 40) + grain;
    data[3 * at + 1] = 140 + 50 * Math.sin(y / 31) + grain;
    data[3 * at + 2] = 110 + 40 * Math.sin((x + y) / 57) + grain;
  }
  return encode({ width: side, height: side, data, channels: 3 });
}

test('the inside of a picture is alike on the desk and in the PDF, straight and turned', async ({
  page,
}) => {
  for (const [angle, side] of [
    [0, 900],
    [12, 500],
  ] as const) {
    const bytes = meadow(side);
    const { art } = expectOk(await readArt(nodePlatform, bytes, 'meadow.png'));
    const done = runCommand(createJob('lid', { id: 'j', today: '2026-04-18' }), {
      name: 'add-element',
      args: {
        piece: 'piece-1',
        element: {
          ...place,
          angle,
          kind: 'picture',
          art: art.id,
          width: 60,
          height: 60,
          fit: 'cover',
        },
        art,
      },
    });
    if (isProblem(done)) throw new Error(done.code);
    const job = done;
    const resources = await loadResources(nodePlatform, job, () => Promise.resolve(bytes));
    const [piece] = compilePieces(job, createCompiler(resources)).values();
    if (!piece) throw new Error('no piece');
    const { shown, file } = await bothOf(page, piece, { job, resources });
    let sum = 0;
    let count = 0;
    // The middle half of the label, which the picture fills.
    for (let y = shown.height / 4; y < (shown.height * 3) / 4; y++)
      for (let x = shown.width / 4; x < (shown.width * 3) / 4; x++)
        for (let channel = 0; channel < 3; channel++, count++)
          sum += Math.abs(
            valueAt(shown, Math.floor(x), Math.floor(y), channel) -
              valueAt(file, Math.floor(x), Math.floor(y), channel),
          );
    expect(sum / count, `turned by ${angle}`).toBeLessThanOrEqual(4);
  }
});

test('every kind of element, fill and effect is the same picture on the desk and in the PDF', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const found: (readonly [string, number])[] = [];
  for (const [name, element] of Object.entries(CASES)) {
    const started = createJob('lid', { id: 'j', today: '2026-04-18' });
    const done = runCommand(started, {
      name: 'add-element',
      args: { piece: 'piece-1', element },
    });
    if (isProblem(done)) throw new Error(done.code);
    const job = done;
    const resources = await loadResources(nodePlatform, job, () => Promise.resolve(undefined));
    const [piece] = compilePieces(job, createCompiler(resources)).values();
    if (piece) found.push([name, await differing(page, piece, { job, resources })]);
  }
  expect(found).toHaveLength(13 + PATTERNS.length + ORNAMENTS.length);
  expect(found.filter(([, count]) => count > 0)).toEqual([]);
});
