import { compiled, exampleJob, exampleWords, plainPng, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { expectGood, isProblem } from '../base/index.ts';
import { readArt } from '../art/index.ts';
import { runForCopy, type CommandCall, type Job } from '../job/index.ts';
import { plainBuild } from '../shape/index.ts';
import { MATT_PAPER } from '../stock/index.ts';
import { allFindings, FINDING_KINDS, quickFindings, type Finding } from './index.ts';
import { usualThing } from '../things/index.ts';
import {
  DIE_CUT,
  PIECE,
  code,
  edge,
  listed,
  move,
  ornament,
  plain,
  scissors,
  stickerSheet,
  words,
} from '../testing/proof-jobs.ts';

async function findings(job: Job, art = new Map<string, Uint8Array>()): Promise<Finding[]> {
  const made = await compiled(job, art);
  return allFindings(made.compiled, { platform: nodePlatform, resources: made.resources });
}
/** For each kind: a job that has it, and the number that its sentence must name. */
const CASES: Record<string, { job: () => Job; says: RegExp; mends?: boolean }> = {
  'does-not-fit': {
    job: () =>
      plain({
        name: 'measure-thing',
        args: { thing: usualThing('lid', { size: 300, clearance: 0 }) },
      }),
    says: /12 of “Label” \(300 mm x 300 mm\)/,
  },
  'nothing-wanted': {
    job: () => plain({ name: 'want', args: { piece: PIECE, count: 0 } }),
    says: /No copies/,
  },
  'loose-parts': {
    job: () => plain(edge([{ x: 0 }, { x: 30 }])),
    says: /“Label” falls into 2 parts/,
    mends: true,
  },
  'thin-rim': {
    job: () => plain(edge([{ x: 0 }], { x: 0, y: -7.5, width: 4, height: 4, angle: 0 })),
    says: /Hole 1 of “Label” leaves 0\.5 mm/,
  },
  licence: {
    job: () =>
      plain({
        name: 'add-element',
        args: {
          piece: PIECE,
          element: {
            id: '',
            kind: 'picture',
            art: 'c'.repeat(64),
            x: 0,
            y: 0,
            angle: 0,
            locked: false,
            width: 20,
            height: 20,
            fit: 'contain',
          },
          art: {
            kind: 'vector',
            id: 'c'.repeat(64),
            name: 'Foxglove',
            tags: [],
            width: 20,
            height: 20,
            licence: 'private',
          },
        },
      }),
    says: /“Foxglove” is noted as for private use only/,
  },
  'art-missing': {
    job: () =>
      plain({
        name: 'add-element',
        args: {
          piece: PIECE,
          element: {
            id: '',
            kind: 'picture',
            x: 0,
            y: 0,
            angle: 0,
            locked: false,
            art: 'a'.repeat(64),
            width: 9,
            height: 9,
            fit: 'cover',
          },
        },
      }),
    says: /picture.*missing/,
  },
  overlap: { job: () => plain(move(105, 150)), says: /copies lie over each other/, mends: true },
  'in-keep-clear': { job: () => plain(move(35, 35)), says: /keep-clear/, mends: true },
  'outside-printable': {
    job: () => plain(move(20, 150)),
    says: /over the edge of the sheet/,
    mends: true,
  },
  'spot-shape-differs': {
    job: () => plain({ name: 'choose-stock', args: { stock: DIE_CUT } }),
    says: /58 mm x 58 mm; .* 40 mm x 40 mm/,
    mends: true,
  },
  'missing-glyph': { job: () => plain(words({ text: '漢' })), says: /“漢”/ },
  'column-missing': {
    job: () => plain(words({ text: '{name}' })),
    says: /{name} on “Label” waits for a list/,
  },
  'value-missing': {
    job: () => listed('name\tbed\nRue\tNorth\nIvy\t\nYarrow\t', words({ text: '{name} {bed}' })),
    says: /2 rows have no bed: “Ivy”, “Yarrow”\./,
    mends: true,
  },
  'quantity-unread': {
    job: () =>
      listed('name\tmany\nRue\t2\nIvy\tplenty', words({ text: '{name}' }), {
        name: 'bind-quantity',
        args: { column: 'many' },
      }),
    says: /“plenty” is no number of copies for “Ivy”/,
    mends: true,
  },
  'too-many-copies': {
    job: () =>
      listed(
        'name\tmany\nRue\t900\nIvy\t900',
        {
          name: 'bind-quantity',
          args: { column: 'many' },
        },
        { name: 'want-rows', args: { piece: PIECE, each: 3 } },
      ),
    says: /asks for 5400 copies; a job makes 5000 of a piece/,
  },
  'picture-unfound': {
    job: () =>
      listed('name\tphoto\nRue\true.jpg\nIvy\t', ornament({}), {
        name: 'bind-picture',
        args: { piece: PIECE, element: 'ornament-1', column: 'photo' },
      }),
    says: /No picture is called “rue.jpg”/,
  },
  'color-unread': {
    job: () =>
      listed('name\tink\nRue\tteal\nIvy\tbluish', words({}), {
        name: 'bind-color',
        args: { color: '#2a1b2e', column: 'ink' },
      }),
    says: /“bluish” in ink is no colour/,
  },
  'pale-without-white': {
    job: () =>
      plain(words({ color: '#fbe3c8' }), {
        name: 'choose-material',
        args: { material: { ...MATT_PAPER, name: 'Clear film', needsWhite: true } },
      }),
    says: /The ground of “Label” is pale \(#f4e9d4, #fbe3c8\), and clear film shows through it/,
  },
  'one-off-empty': {
    job: () => {
      const call = { 'words-1': { text: '' } };
      const done = runForCopy(plain(words({})), 'piece-1#1', {
        name: 'change-elements',
        args: { piece: PIECE, changes: call },
      });
      if (isProblem(done)) throw new Error(done.what);
      return done.job;
    },
    says: /One copy of “Label” has words of its own that say nothing/,
    mends: true,
  },
  'words-near-edge': {
    job: () => plain(words({ text: 'Sea', y: 26 })),
    says: /from the edge; 2 mm is safe|cut off/,
    mends: true,
  },
  'words-do-not-fit': {
    job: () => plain(words({ width: 12, fit: 'fixed' })),
    says: /too long for its room at 14\.0 pt/,
    mends: true,
  },
  'words-too-small': {
    job: () => plain(words({ size: 5 })),
    says: /prints at 5\.0 pt/,
    mends: true,
  },
  'low-contrast': {
    job: () => plain(words({ color: '#d9c9a8' })),
    says: /stands out by 1\.\d : 1 .* 3 : 1|4\.5 : 1/,
    mends: true,
  },
  'words-run-into': {
    job: () => plain(ornament({ width: 12, height: 12, y: 6 }), words({ y: 10 })),
    says: /“Sea Holly” runs into “Burst”/,
  },
  'code-unread': {
    job: () => plain(code({ symbology: 'ean-13', text: '2000000000011', width: 40 })),
    says: /check digit of 2000000000011 should be 5/,
    mends: true,
  },
  'code-crowded': {
    job: () => plain(code({}), words({ y: 0 })),
    says: /“Sea Holly” stands in the clear zone of “QR code https/,
  },
  'code-pale': {
    job: () => plain(code({ color: '#c9b9a8' })),
    says: /is not dark enough/,
    mends: true,
  },
  'code-too-small': {
    job: () => plain(code({ width: 9, height: 9 })),
    says: /smallest bar of “QR code https:\/\/a\.example” is 0\.2\d mm; 0\.35 mm can be read/,
    mends: true,
  },
  'low-resolution': { job: () => plain(), says: /prints at 122 dpi/, mends: true },
  'doubled-cuts': {
    job: () => plain({ name: 'change-plan', args: { changes: { gap: 0 } } }),
    says: /copies run so close to each other that the knife cuts twice/,
    mends: true,
  },
  'scissors-gap': {
    job: () => plain(scissors),
    says: /With a gap of 4 mm scissors cut into the neighbours/,
    mends: true,
  },
  'scissors-shape': {
    job: () =>
      plain(scissors, {
        name: 'build-edge',
        args: {
          piece: PIECE,
          build: plainBuild({ kind: 'heart', width: 50, height: 46, dip: 14 }, 'heart'),
        },
      }),
    says: /“Label” has inner corners that scissors cannot follow/,
    mends: true,
  },
  'sticker-outside': {
    job: () => stickerSheet({ x: 45, y: 0 }),
    says: /A sticker of “Sticker sheet” comes nearer than 1 mm to its outline/,
    mends: true,
  },
  'stickers-touch': {
    job: () => stickerSheet({ x: 26, y: 0 }),
    says: /A sticker of “Sticker sheet” lies nearer than 1 mm to another/,
    mends: true,
  },
  'gap-too-small': {
    job: () =>
      plain(
        { name: 'want', args: { piece: PIECE, count: 2 } },
        {
          name: 'nest-sheets',
          args: { sheets: [[60, 120.5].map((x) => ({ piece: PIECE, x, y: 60, angle: 0 }))] },
        },
      ),
    says: /2 copies lie nearer to another than the gap of 4 mm/,
    mends: true,
  },
  'bleeds-meet': {
    job: () => plain({ name: 'change-plan', args: { changes: { gap: 1 } } }),
    says: /leave 0\.5 mm of bleed instead of 2 mm/,
    mends: true,
  },
};

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
  expect(Object.keys(CASES).sort()).toEqual(FINDING_KINDS.map(({ code }) => code).sort());
});

test.each(FINDING_KINDS.map(({ code }) => code))(
  '%s is found, told in a sentence, and its fix removes it',
  async (code) => {
    const { job: make, says, mends } = CASES[code] as (typeof CASES)[string];
    let job = make();
    const art = new Map<string, Uint8Array>();
    if (code === 'low-resolution') {
      const read = expectGood(await readArt(nodePlatform, plainPng(240, [9, 9, 9]), 'small.png'));
      art.set(read.art.id, read.bytes);
      job = runAll(job, {
        name: 'add-element',
        args: {
          piece: PIECE,
          art: read.art,
          element: {
            id: '',
            kind: 'picture',
            x: 0,
            y: 0,
            angle: 0,
            locked: false,
            art: read.art.id,
            width: 50,
            height: 50,
            fit: 'cover',
          },
        },
      });
    }
    const found = (await findings(job, art)).find((one) => one.code === code);
    expect(found?.what).toMatch(says);
    expect(found?.what.endsWith('.') && found.why.endsWith('.')).toBe(true);
    expect(found?.fix !== undefined).toBe(mends ?? false);
    if (found?.fix) {
      const mended = await findings(runAll(job, found.fix.call), art);
      expect(mended.some((one) => one.code === code)).toBe(false);
    }
  },
);

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
