import { readArt, type Art } from '../art/index.ts';
import { contentHash, expectOk, isProblem } from '../base/index.ts';
import { exportFiles } from '../output/index.ts';
import { ringsPath, type Ring } from '../geometry/index.ts';
import { runCommand, type CommandCall, type Job } from '../job/index.ts';
import { pieceSize, type Code, type Piece } from '../piece/index.ts';
import { pathNodes, plainBuild } from '../shape/index.ts';
import { MATT_PAPER, USUAL_CUTTER, type Cutter } from '../stock/index.ts';
import {
  compiled,
  exampleJob,
  examplePicture,
  exampleWords,
  plainPng,
  runAll,
} from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { PROOF_CASES } from '../testing/proof-cases.ts';
import { code, listed, move, ornament, PIECE, plain, words } from '../testing/proof-jobs.ts';
import type { OwnTypeface } from '../type/index.ts';
import { findingText, fixText, say } from '../../messages/index.ts';
import { allFindings, FINDING_KINDS, quickFindings, type Finding } from './index.ts';

async function findings(
  job: Job,
  art = new Map<string, Uint8Array>(),
  machine?: Cutter,
): Promise<Finding[]> {
  const made = await compiled(job, art);
  const { resources } = made;
  return allFindings(made.compiled, { platform: nodePlatform, resources, machine });
}
const cutter = (changes: Partial<Cutter>): Cutter => ({
  ...{ id: 'bench', name: 'Bench cutter' },
  ...USUAL_CUTTER,
  ...changes,
});

test('a plain job with a dark name on cream has nothing to say', async () => {
  expect(await findings(plain(words({})))).toEqual([]);
});

test('copies of any outline that reach deep into each other are found', async () => {
  const places = [60, 80].map((x) => ({ piece: PIECE, x, y: 80, angle: 0 }));
  const job = plain(
    {
      name: 'build-edge',
      args: {
        piece: PIECE,
        build: plainBuild({ kind: 'heart', width: 50, height: 46, dip: 10 }, 'heart'),
      },
    },
    { name: 'want', args: { piece: PIECE, count: 2 } },
    { name: 'nest-sheets', args: { sheets: [places] } },
  );
  const codes = (await findings(job)).map(({ code }) => code);
  expect(codes).toContain('overlap');
  expect(codes).not.toContain('doubled-cuts');
});

test('every kind of finding has a case here', () => {
  expect(Object.keys(PROOF_CASES).sort()).toEqual(FINDING_KINDS.map(({ code }) => code).sort());
});

test.each(FINDING_KINDS.map(({ code }) => code))(
  '%s is found, told in a sentence, and its fix removes it',
  async (code) => {
    const has = PROOF_CASES[code];
    if (!has) throw new Error(code);
    const { says, mends } = has;
    const machine = has.machine && cutter(has.machine);
    let job = has.job();
    const art = new Map<string, Uint8Array>();
    if (code === 'low-resolution') {
      const read = expectOk(await readArt(nodePlatform, plainPng(240, [9, 9, 9]), 'small.png'));
      art.set(read.art.id, read.bytes);
      job = runAll(job, {
        name: 'add-element',
        args: {
          piece: PIECE,
          art: read.art,
          element: examplePicture(read.art.id, { width: 50, height: 50, fit: 'cover' }),
        },
      });
    }
    const found = (await findings(job, art, machine)).find((one) => one.code === code);
    if (!found) throw new Error(`${code} was not found`);
    const { what, why } = findingText(found);
    expect(what).toMatch(says);
    expect(what.endsWith('.') && why.endsWith('.')).toBe(true);
    expect(found.fix !== undefined).toBe(mends ?? false);
    if (found.fix) {
      expect(fixText(found.fix)).toMatch(/^[A-Z].*[^.]$/);
      const mended = await findings(runAll(job, found.fix.call), art, machine);
      expect(mended.some((one) => one.code === code)).toBe(false);
    }
  },
);

test.each([
  ['private', 'warning', '“Meadow” is noted as for private use only.'],
  ['credit', 'note', '“Meadow” asks that its maker is named.'],
] as const)('a typeface of %s use is a %s at its words', async (licence, severity, what) => {
  const id = 'd'.repeat(64);
  const cut: OwnTypeface = {
    ...{ id, family: 'Meadow', weight: 400, width: 100, italic: false },
    ...{ embedding: 'print', licence },
  };
  const other: OwnTypeface = { ...cut, id: 'e'.repeat(64), weight: 700 };
  const job = runAll(plain(), words({ id: 'title', typeface: id }));
  const noted = {
    ...job,
    typefaces: { [id]: cut, [other.id]: other },
  } as const;
  const found = (await findings(noted)).filter(({ code }) => code === 'licence');
  expect(found).toMatchObject([{ severity, where: { piece: PIECE } }]);
  expect(found.map((one) => findingText(one).what)).toEqual([what]);
  expect(found[0]?.where.element).toBe(job.pieces[0]?.elements.at(-1)?.id);
  expect((await findings(job)).some(({ code }) => code === 'licence')).toBe(false);
});

test('letters that a typeface lacks come with one that has them all, of its kind where there is one', async () => {
  const missing = async (text: string, typeface: string): Promise<Finding[]> =>
    (await findings(plain(words({ text, typeface })))).filter(
      ({ code }) => code === 'missing-glyph',
    );
  const [thai] = await missing('ชา Tea', 'figtree-semibold');
  expect(thai?.fix && fixText(thai.fix)).toBe('Set in Noto Sans Thai');
  expect(thai?.fix?.call).toMatchObject({
    args: { changes: { 'words-1': { typeface: 'noto-sans-thai-bold' } } },
  });
  const mended = runAll(
    plain(words({ text: 'ชา Tea', typeface: 'figtree-semibold' })),
    thai?.fix?.call as CommandCall,
  );
  expect((await findings(mended)).some(({ code }) => code === 'missing-glyph')).toBe(false);
  const [cyrillic] = await missing('Чай', 'abril-fatface-regular');
  expect(cyrillic?.fix && fixText(cyrillic.fix)).toBe('Set in Playfair Display');
  const [sign] = await missing('Sage 🌿', 'figtree-regular');
  expect(sign?.fix).toBeUndefined();
  expect(sign && findingText(sign).why).toContain('ready-made pictures of the Drawer');
});

test('words half over a dark plate count by their worst part', async () => {
  const plate: CommandCall = {
    name: 'add-element',
    args: {
      piece: PIECE,
      element: {
        id: '',
        kind: 'plate',
        x: 10,
        y: 10,
        angle: 0,
        locked: false,
        shape: { kind: 'rectangle', width: 20, height: 10, radius: 0 },
        fill: { color: '#2a1b2e', opacity: 1 },
        line: null,
      },
    },
  };
  const codes = (await findings(plain(plate, words({})))).map(({ code }) => code);
  expect(codes).toContain('low-contrast');
});

test('blockers come before warnings, and quick findings need no renderer', async () => {
  const { job, art } = await exampleJob();
  const made = await compiled(
    runAll(job, {
      name: 'add-element',
      args: { piece: PIECE, element: exampleWords({ size: 4, text: '漢 tiny', least: 3 }) },
    }),
    art,
  );
  const found = quickFindings(made.compiled);
  expect(found[0]).toMatchObject({ code: 'missing-glyph', severity: 'blocker' });
  expect(found.map(({ severity }) => severity)).toContain('warning');
});

test('words on a plate are not told to run into what lies beneath it', async () => {
  const plate: CommandCall = {
    name: 'add-element',
    args: {
      piece: PIECE,
      element: {
        id: '',
        x: 0,
        angle: 0,
        locked: false,
        y: 10,
        kind: 'plate',
        shape: { kind: 'rectangle', width: 40, height: 10, radius: 1 },
        fill: { color: '#ffffff', opacity: 1 },
        line: null,
      },
    },
  };
  const under = plain(ornament({ width: 12, height: 12, y: 6 }), plate, words({ y: 10 }));
  expect((await findings(under)).map((one) => one.code)).not.toContain('words-run-into');
});

/** A photograph laid over a label of 60 mm without a ground. */
const photographed = (side: number): Job => {
  const art: Art = {
    ...{ id: 'b'.repeat(64), name: 'Meadow', tags: [], kind: 'pixels', format: 'jpeg' },
    ...{ pixelWidth: 900, pixelHeight: 900, orientation: 1, dpi: 300, dpiKnown: true },
  };
  return plain(
    { name: 'change-piece', args: { piece: PIECE, changes: { ground: null } } },
    {
      name: 'build-edge',
      args: {
        piece: PIECE,
        build: plainBuild({ kind: 'rectangle', width: 60, height: 60, radius: 0 }, 'square'),
      },
    },
    {
      name: 'add-element',
      args: {
        piece: PIECE,
        art,
        element: {
          ...{ id: '', kind: 'picture', art: art.id, x: 0, y: 0, angle: 0, locked: false },
          ...{ width: side, height: side, fit: 'cover' },
        },
      },
    },
  );
};

test.each([
  [60, true], // ends at the edge
  [62, true], // within the bleed of 2 mm
  [64, false],
  [40, false], // does not reach the edge
])(
  'a photograph of %i mm on a label of 60 mm: told that it ends at the edge: %s',
  async (side, told) => {
    const made = await compiled(photographed(side), new Map());
    const codes = quickFindings(made.compiled).map(({ code }) => code);
    expect(codes.includes('bleed-missing')).toBe(told);
  },
);

test('corners are cut by turning the knife; what it cannot follow is a point, a slit, a tiny hole', async () => {
  const cut = async (rings: Ring[], tool: 'knife' | 'scissors' = 'knife'): Promise<boolean> => {
    const job = plain(
      { name: 'choose-material', args: { material: { ...MATT_PAPER, tool } } },
      {
        name: 'build-edge',
        args: {
          piece: PIECE,
          build: plainBuild({ kind: 'outline', rings: pathNodes(ringsPath(rings)) }, 'own'),
        },
      },
    );
    const made = await compiled(job, new Map());
    return quickFindings(made.compiled).some(({ code }) => code === 'tight-curve');
  };
  const corners = (...points: [number, number][]): Ring[] => [points.map(([x, y]) => ({ x, y }))];
  expect(await cut(corners([-20, -20], [20, -20], [20, 20], [-20, 20]))).toBe(false);
  // A point of 11°: the knife turns by 169°.
  expect(await cut(corners([-20, -2], [20, 0], [-20, 2]))).toBe(true);
  expect(await cut(corners([-20, -2], [20, 0], [-20, 2]), 'scissors')).toBe(false);
  // A slit 0.8 mm wide, and one of 3 mm.
  const slit = (half: number): Ring[] =>
    corners(
      [-20, -20],
      [20, -20],
      [20, -half],
      [0, -half],
      [0, half],
      [20, half],
      [20, 20],
      [-20, 20],
    );
  expect(await cut(slit(0.4))).toBe(true);
  expect(await cut(slit(1.5))).toBe(false);
});

test('an edge that turns too tightly is smoothed by its fix, and only as much as it takes', async () => {
  const slit = ringsPath([
    [
      [-20, -20],
      [20, -20],
      [20, -0.4],
      [0, -0.4],
      [0, 0.4],
      [20, 0.4],
      [20, 20],
      [-20, 20],
    ].map(([x = 0, y = 0]) => ({ x, y })),
  ]);
  const build = plainBuild({ kind: 'outline', rings: pathNodes(slit) }, 'own');
  const job = plain(
    { name: 'choose-material', args: { material: { ...MATT_PAPER, tool: 'knife' } } },
    { name: 'build-edge', args: { piece: PIECE, build } },
  );
  const told = async (of: typeof job) =>
    quickFindings((await compiled(of, new Map())).compiled).filter(
      ({ code }) => code === 'tight-curve',
    );
  const [found] = await told(job);
  if (!found?.fix) throw new Error('no fix');
  const mended = runCommand(job, found.fix.call);
  if (isProblem(mended)) throw new Error(mended.code);
  expect(await told(mended)).toEqual([]);
  const { width, height } = pieceSize(mended.pieces[0] as Piece);
  expect([width, height]).toEqual([expect.closeTo(40, 1), expect.closeTo(40, 1)]);
});

test('bleed that would show nothing is not missed: paper on paper, one colour beside itself', async () => {
  const codes = async (...calls: CommandCall[]): Promise<string[]> =>
    quickFindings((await compiled(plain(...calls), new Map())).compiled).map(({ code }) => code);
  const near: CommandCall = { name: 'change-plan', args: { changes: { gap: 1 } } };
  const ground = (color: string | null): CommandCall => ({
    name: 'change-piece',
    args: { piece: PIECE, changes: { ground: color } },
  });
  const white = plain().material.color;
  expect(await codes(near)).not.toContain('bleeds-meet');
  expect(await codes(near, ground(white.toUpperCase()))).not.toContain('bleeds-meet');
  const other: CommandCall[] = [
    { name: 'want', args: { piece: PIECE, count: 5 } },
    { name: 'copy-piece', args: { piece: PIECE, name: 'Other' } },
    { name: 'change-piece', args: { piece: 'piece-2', changes: { ground: white } } },
  ];
  expect(await codes(near, ground(null), ...other)).not.toContain('bleeds-meet');
  expect(await codes(near, ...other)).toContain('bleeds-meet');
  const atMark = move(40, 40);
  expect(await codes(atMark)).toContain('bleed-cut-off');
  expect(await codes(atMark, ground(white))).not.toContain('bleed-cut-off');
});

test('codes are judged by what each row makes of them, and rows that are wrong are named', async () => {
  const ask = async (symbology: Code['symbology'], rows: string, text = '{code}') => {
    const job = listed(`name\tcode\n${rows}`, code({ symbology, text, width: 40, height: 14 }));
    const each = runAll(job, { name: 'want-rows', args: { piece: PIECE, each: 1 } });
    const found = await findings(each);
    return found.flatMap((one) => (one.code === 'code-unread' ? findingText(one).what : []));
  };
  expect(await ask('ean-13', 'Rue\t2000000000015\nIvy\t200000000002')).toEqual([]);
  expect(await ask('ean-13', 'Rue\t2000000000015\nIvy\t2000000000011')).toEqual([
    '“Ivy”: The check digit of 2000000000011 should be 5.',
  ]);
  expect(await ask('code-128', `Rue\tGröße\nIvy\tLOT 1\nSage\t${'9'.repeat(60)}`)).toEqual([
    expect.stringMatching(/^2 codes, of “Rue”, “Sage”: Code 128 takes up to 48/),
  ]);
  expect(await ask('qr', `Rue\t${'草'.repeat(800)}`)).toEqual([
    expect.stringContaining('2400 bytes'),
  ]);
});

test('a picture whose file is damaged is a blocker, and nothing throws', async () => {
  const png = plainPng(240, [9, 9, 9]);
  const broken = png.slice();
  broken.fill(0x55, 45, 60);
  const id = contentHash(broken);
  const { art } = expectOk(await readArt(nodePlatform, png, 'leaf.png'));
  for (const size of [8, 50]) {
    const element = examplePicture(id, { width: size, height: size });
    const job = plain(words({}), {
      name: 'add-element',
      args: { piece: PIECE, element, art: { ...art, id } },
    });
    const made = await compiled(job, new Map([[id, broken]]));
    const { resources } = made;
    const found = await allFindings(made.compiled, { platform: nodePlatform, resources });
    expect(found.filter(({ severity }) => severity === 'blocker')).toMatchObject([
      { code: 'art-missing', values: { piece: 'Label', damaged: 'leaf' } },
    ]);
    const files = await exportFiles(made.compiled, {
      say,
      platform: nodePlatform,
      resources,
      formats: ['pdf', 'png'],
      choices: { smallPictures: true, dpi: 72 },
    });
    expect(files).toHaveLength(2);
  }
});
