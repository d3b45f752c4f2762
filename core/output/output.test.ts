import { compiled, exampleJob, runAll } from '../testing/example-job.ts';
import { exportedExample, keep, tool } from '../testing/exported.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { orderCuts } from '../cutting/index.ts';
import { cutProgram, programText, type SheetProgramChoices } from './index.ts';
import { createJob } from '../job/index.ts';
import { countPdfPages, renderPdf } from '../pdf/index.ts';
import { boxOf, ellipsePath, rectanglePath, translation } from '../geometry/index.ts';
import { solid, type Drawing, type DrawingNode, type Paint } from '../drawing/index.ts';
import { say } from '../../messages/index.ts';
import { exportFiles, fileStem, writePdf, type MadeFile, type PdfSources } from './index.ts';

const textOf = ({ bytes }: MadeFile): string => new TextDecoder().decode(bytes);

let made: Awaited<ReturnType<typeof exportedExample>>['made'];
let file: Awaited<ReturnType<typeof exportedExample>>['file'];
beforeAll(async () => {
  ({ made, file } = await exportedExample(['pdf', 'svg', 'hpgl', 'png', 'json']));
});

test('the PDF passes an independent check and has the sheet’s size, boxes and no scaling', () => {
  const path = keep('seals.pdf', file('pdf').bytes);
  expect(tool('qpdf', '--check', path)).toContain('No syntax or stream encoding errors');
  const info = tool('pdfinfo', '-box', path);
  expect(info).toMatch(/Page size:\s+595\.2\d* x 841\.8\d* pts \(A4\)/);
  const boxes = [
    ...info.matchAll(/(TrimBox|BleedBox):\s+([\d.]+)\s+([\d.]+)\s+([\d.]+)\s+([\d.]+)/g),
  ].map((found) => found.slice(2).map(Number));
  const [bleed, trim] = boxes;
  expect((trim?.[0] ?? 0) - (bleed?.[0] ?? 0)).toBeCloseTo((1.5 * 72) / 25.4, 1);
  expect(tool('qpdf', '--qdf', '--object-streams=disable', path, '-')).toContain(
    '/PrintScaling /None',
  );
});

test('words stay text: found by an outsider, in embedded subsets', () => {
  const path = keep('seals.pdf', file('pdf').bytes);
  const text = tool('pdftotext', '-layout', path, '-');
  expect(text.match(/Sea Holly/g)).toHaveLength(6);
  expect(tool('pdftotext', '-raw', path, '-').match(/THISTLE & FEN/g)).toHaveLength(6);
  expect(tool('pdffonts', path)).toMatch(
    /[A-Z]{6}\+FrauncesSemibold\s+CID TrueType\s+Identity-H\s+yes yes yes/,
  );
});

test('a piece and its picture are in the file once, however many copies there are', () => {
  const path = keep('seals.pdf', file('pdf').bytes);
  const plain = tool('qpdf', '--qdf', '--object-streams=disable', path, '-');
  expect(plain.match(/\/Subtype \/Form/g)).toHaveLength(1);
  expect(plain.match(/\/Subtype \/Image/g)).toHaveLength(1);
  expect(plain.match(/\/X\d+ Do/g)?.length).toBe(6 + 1);
});

test('the same job gives the same bytes', async () => {
  const again = await exportFiles(made.compiled, {
    say,
    platform: nodePlatform,
    resources: made.resources,
    formats: ['pdf', 'svg', 'hpgl', 'png', 'json'],
  });
  for (const one of again) expect(Buffer.compare(one.bytes, file(one.format).bytes)).toBe(0);
});

test('labels are printed where the statement says they are', async () => {
  const stated = JSON.parse(textOf(file('json'))) as {
    sheets: {
      placements: { x: number; y: number; bounds: number[] }[];
      marks: { x: number; y: number }[];
    }[];
  };
  const image = await renderPdf(nodePlatform, { pdf: file('pdf').bytes, page: 0, dpi: 254 });
  const at = (x: number, y: number): number[] => [
    ...image.data
      .subarray((Math.round(y * 10) * image.width + Math.round(x * 10)) * 4)
      .subarray(0, 3),
  ];
  const [sheet] = stated.sheets;
  expect(sheet?.placements).toHaveLength(6);
  for (const { x, y, bounds } of sheet?.placements ?? []) {
    expect(at(x, y - 4)).toEqual([122, 47, 110]);
    expect(at(bounds[0] ?? 0, y)).toEqual([244, 233, 212]);
    expect(at((bounds[0] ?? 0) - 1.3, y)).toEqual([244, 233, 212]);
  }
  expect(sheet?.marks).toHaveLength(4);
  for (const { x, y } of sheet?.marks ?? []) expect(at(x, y)).toEqual([0, 0, 0]);
});

test('SVG and HPGL cut the same circles as the statement, kiss only, inner order kept', () => {
  const stated = JSON.parse(textOf(file('json'))) as {
    sheets: {
      placements: { x: number; y: number }[];
      cuts: { kind: string; order: number; rings: number[][][] }[];
    }[];
    hpgl: { unitsPerMm: number };
  };
  const cuts = stated.sheets[0]?.cuts ?? [];
  expect(cuts.map(({ order }) => order)).toEqual([0, 1, 2, 3, 4, 5]);
  const hpgl = textOf(file('hpgl'));
  expect(hpgl).toMatch(/^IN;\nPA;\nSP1;\n/);
  const strokes = [...hpgl.matchAll(/PU(\d+),(\d+);PD([\d,]+);/g)].map((found) => {
    const units = [found[1], found[2], ...(found[3] ?? '').split(',')].map(Number);
    return Array.from({ length: units.length / 2 }, (_, index) => ({
      x: (units[index * 2] ?? 0) / 40,
      y: 297 - (units[index * 2 + 1] ?? 0) / 40,
    }));
  });
  expect(strokes).toHaveLength(6);
  strokes.forEach((stroke, index) => {
    expect(stroke[0]).toEqual(stroke[stroke.length - 1]);
    const ring = cuts[index]?.rings[0] ?? [];
    expect(stroke).toHaveLength(ring.length + 1);
    stroke.slice(0, -1).forEach(({ x, y }, point) => {
      expect(Math.hypot(x - (ring[point]?.[0] ?? 0), y - (ring[point]?.[1] ?? 0))).toBeLessThan(
        0.02,
      );
    });
  });
  const svg = textOf(file('svg'));
  expect(svg).toContain('width="210mm" height="297mm" viewBox="0 0 210 297"');
  expect(svg.match(/<path data-copy/g)).toHaveLength(6);
  expect(svg).toMatch(/<g id="kiss" class="kiss"/);
  const numbers =
    (svg.match(/data-copy="[^"]+" d="([^"]+)"/)?.[1] ?? '').match(/-?[\d.]+/g)?.map(Number) ?? [];
  const box = boxOf(
    Array.from({ length: numbers.length / 2 }, (_, index) => ({
      x: numbers[index * 2] ?? 0,
      y: numbers[index * 2 + 1] ?? 0,
    })),
  );
  expect((box?.right ?? 0) - (box?.left ?? 0)).toBeCloseTo(58, 2);
});

test('every sheet is a page, and sheets share what they draw', async () => {
  const { job, art } = await exampleJob();
  const many = await compiled(
    runAll(job, { name: 'want', args: { piece: 'piece-1', count: 30 } }),
    art,
  );
  const list = await exportFiles(many.compiled, {
    say,
    platform: nodePlatform,
    resources: many.resources,
    formats: ['pdf', 'hpgl'],
  });
  expect(list.map(({ name }) => name)).toEqual([
    'pot-lid-seals.pdf',
    'pot-lid-seals-1.hpgl',
    'pot-lid-seals-2.hpgl',
    'pot-lid-seals-3.hpgl',
  ]);
  const pdf = list[0]?.bytes ?? new Uint8Array();
  expect(await countPdfPages(nodePlatform, pdf)).toBe(3);
  expect(pdf.length - file('pdf').bytes.length).toBeLessThan(4000);
});

const PAINTS: [string, Paint, [number, number, number]][] = [
  ['solid', solid('#336699'), [51, 102, 153]],
  ['half clear', solid('#000000', 0.5), [128, 128, 128]],
  ['ink', { kind: 'ink', name: 'Kiss', color: '#0f7c86' }, [15, 124, 134]],
  [
    'linear gradient',
    {
      kind: 'gradient',
      shape: 'linear',
      from: { x: 0, y: 0 },
      to: { x: 20, y: 0 },
      stops: [
        { at: 0, color: '#000000' },
        { at: 1, color: '#ffffff' },
      ],
    },
    [128, 128, 128],
  ],
  [
    'radial gradient',
    {
      kind: 'gradient',
      shape: 'radial',
      from: { x: 10, y: 0 },
      to: { x: 10, y: 20 },
      stops: [
        { at: 0, color: '#ffffff' },
        { at: 1, color: '#000000' },
      ],
    },
    [128, 128, 128],
  ],
  [
    'tile',
    {
      kind: 'tile',
      width: 4,
      height: 4,
      map: translation(8, 8),
      nodes: [{ kind: 'path', path: rectanglePath({ x: 2, y: 2 }, 3, 3), fill: solid('#ff0000') }],
    },
    [255, 0, 0],
  ],
];

test.each(PAINTS)(
  'a %s paint has the colour on the page that it has in the drawing',
  async (_, fill, expected) => {
    const node: DrawingNode = { kind: 'path', path: rectanglePath({ x: 10, y: 10 }, 20, 20), fill };
    const drawing: Drawing = { width: 30, height: 40, nodes: [node], symbols: {} };
    const none: PdfSources = {
      typeface: () => undefined,
      art: () => undefined,
      bytes: () => undefined,
    };
    const pdf = await writePdf(nodePlatform, [{ drawing }], none, 'paint');
    expect(tool('qpdf', '--check', keep('paint.pdf', pdf))).toContain('No syntax');
    const image = await renderPdf(nodePlatform, { pdf, page: 0, dpi: 254 });
    const pixel = image.data.subarray((100 * image.width + 100) * 4).subarray(0, 3);
    expected.forEach((value, channel) =>
      expect(Math.abs((pixel[channel] ?? 0) - value)).toBeLessThanOrEqual(3),
    );
    expect([...image.data.subarray((300 * image.width + 100) * 4).subarray(0, 3)]).toEqual([
      255, 255, 255,
    ]);
  },
);

test('a group fades as one, is clipped, and turns clockwise', async () => {
  const square = (x: number): DrawingNode => ({
    kind: 'path',
    path: rectanglePath({ x, y: 10 }, 8, 8),
    fill: solid('#000000'),
  });
  const drawing: Drawing = {
    width: 40,
    height: 40,
    symbols: {},
    nodes: [
      { kind: 'group', opacity: 0.5, children: [square(8), square(10)] },
      {
        kind: 'group',
        transform: [0, 1, -1, 0, 30, 20],
        clip: ellipsePath({ x: 0, y: 0 }, 5, 5),
        children: [
          { kind: 'path', path: rectanglePath({ x: 10, y: 0 }, 20, 20), fill: solid('#ff0000') },
        ],
      },
    ],
  };
  const none: PdfSources = {
    typeface: () => undefined,
    art: () => undefined,
    bytes: () => undefined,
  };
  const image = await renderPdf(nodePlatform, {
    pdf: await writePdf(nodePlatform, [{ drawing }], none, 'g'),
    page: 0,
    dpi: 254,
  });
  const at = (x: number, y: number): number[] => [
    ...image.data.subarray((y * 10 * image.width + x * 10) * 4).subarray(0, 3),
  ];
  expect(Math.abs((at(9, 10)[0] ?? 0) - 128)).toBeLessThanOrEqual(1);
  expect(at(30, 22)).toEqual([255, 0, 0]);
  expect(at(30, 18)).toEqual([255, 255, 255]);
  expect(at(30, 27)).toEqual([255, 255, 255]);
});

test('cuts go by kind, folds first and what falls out last, and nearest next', () => {
  const cuts = made.compiled.sheets[0]?.cuts ?? [];
  const mixed = cuts.map((cut, index) => ({
    ...cut,
    kind: (['through', 'kiss', 'crease'] as const)[index % 3] ?? 'kiss',
  }));
  expect(orderCuts(mixed).map(({ kind }) => kind)).toEqual([
    'crease',
    'crease',
    'kiss',
    'kiss',
    'through',
    'through',
  ]);
});

test('a cutter that is told gets speed and force with each pen, each line as often as it takes passes, and moved lines', () => {
  const [sheet] = made.compiled.sheets;
  if (!sheet) throw new Error('no sheet');
  const hpgl = (choices?: SheetProgramChoices): string => programText(cutProgram(sheet, choices));
  const plain = hpgl();
  expect(plain).not.toMatch(/VS|FS/);
  const settings = { kiss: { force: 80, speed: 200, passes: 2 } };
  const told = hpgl({ knife: { offset: 0, overcut: 0, settings } });
  expect(told).toContain('SP1;VS20;FS80;');
  expect(told.match(/PU\d/g)).toHaveLength(6 * 2 + 1);
  // What was cut before is left out.
  expect(hpgl({ done: 4 }).match(/PD/g)).toHaveLength(2);
  const first = (text: string): number[] =>
    (/PU(\d+),(\d+);PD/.exec(text) ?? []).slice(1).map(Number);
  const moved = first(hpgl({ lies: [1, 0, 0, 1, 2, -1] }));
  const [x = 0, y = 0] = first(plain);
  // 2 mm to the right and 1 mm up: HPGL counts upwards.
  expect(moved).toEqual([x + 80, y + 40]);
});

test('file names are plain whatever the job is called', () => {
  expect(fileStem('Crème & Co. — 3/8')).toBe('creme-co-3-8');
  expect(fileStem('漢字')).toBe('job');
});

describe('the folds of a box band', () => {
  let band: Record<string, MadeFile>;
  beforeAll(async () => {
    const job = runAll(createJob('band', { id: 'band', today: '2026-04-18' }), {
      name: 'want',
      args: { piece: 'piece-1', count: 2 },
    });
    const laid = await compiled(job, new Map());
    const list = await exportFiles(laid.compiled, {
      say,
      platform: nodePlatform,
      resources: laid.resources,
      formats: ['svg', 'hpgl', 'json'],
    });
    band = Object.fromEntries(list.map((one) => [one.format, one]));
  });

  test('are creases in the cut files, before anything is cut, and stay open', () => {
    const stated = JSON.parse(textOf(band.json as MadeFile)) as {
      sheets: { cuts: { kind: string; rings: [number, number][][] }[] }[];
    };
    const cuts = stated.sheets[0]?.cuts ?? [];
    expect(cuts.map(({ kind }) => kind)).toEqual(['crease', 'crease', 'kiss', 'kiss']);
    // Four folds across the band, each a line of two points straight from edge to edge.
    const [first] = cuts;
    expect(first?.rings).toHaveLength(4);
    for (const line of first?.rings ?? []) {
      const [from, to] = line;
      expect(line).toHaveLength(2);
      const straight = Math.min(
        Math.abs((from?.[0] ?? 0) - (to?.[0] ?? 9)),
        Math.abs((from?.[1] ?? 0) - (to?.[1] ?? 9)),
      );
      expect(straight).toBeCloseTo(0, 6);
    }
  });

  test('are drawn once along in HPGL, by a pen of their own', () => {
    const [creases, edges] = textOf(band.hpgl as MadeFile).split('SP1;');
    const lines = [...(creases ?? '').matchAll(/PU(-?\d+,-?\d+);PD([^;]+);/g)];
    expect(creases).toContain('SP3;');
    expect(lines).toHaveLength(8);
    expect(lines.every(([, , to]) => to?.split(',').length === 2)).toBe(true);
    const edge = /PU(-?\d+,-?\d+);PD([^;]+);/.exec(edges ?? '');
    expect(edge?.[2]?.endsWith(edge[1] ?? '?')).toBe(true);
  });

  test('stand in a group of their own in SVG, not closed', () => {
    const svg = textOf(band.svg as MadeFile);
    const group = /<g id="crease"[^>]*>([\s\S]*?)<\/g>/.exec(svg)?.[1] ?? '';
    expect(group.match(/<path/g)).toHaveLength(2);
    expect(group).not.toContain('Z');
  });
});
