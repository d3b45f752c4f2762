import { isProblem } from '../base/index.ts';
import { editOneCopy, type Job } from '../job/index.ts';
import { plainBuild } from '../shape/index.ts';
import { keepClear, MATT_PAPER, type Cutter } from '../stock/index.ts';
import { trySize, usualThing } from '../things/index.ts';
import { examplePicture } from './example-job.ts';
import {
  code,
  DIE_CUT,
  edge,
  lined,
  listed,
  move,
  ornament,
  PIECE,
  plain,
  scissors,
  stickerSheet,
  words,
} from './proof-jobs.ts';

/** Where the first fold of a usual band begins, mm from its middle. */
function firstFold(): { x: number; y: number } {
  const size = trySize(usualThing('band'));
  const [fold] = size.ok ? size.value.folds : [];
  return fold?.[0] ?? { x: NaN, y: NaN };
}

/** The first copy of the round label that far from the zone of the first mark, mm. */
function besideMark(away: number): ReturnType<typeof move> {
  const job = plain();
  const [zone] = keepClear(job.stock, job.plan.marks);
  const aside = (58 / 2 + away) * Math.SQRT1_2;
  return move((zone?.right ?? 0) + aside, (zone?.bottom ?? 0) + aside);
}

/** For each kind: a job that has it, and the number that its sentence must name. */
export const PROOF_CASES: Readonly<
  Record<string, { job: () => Job; says: RegExp; mends?: boolean; machine?: Partial<Cutter> }>
> = {
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
          element: examplePicture('c'.repeat(64)),
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
        args: { piece: PIECE, element: examplePicture('a'.repeat(64)) },
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
  'placeholder-unread': {
    job: () => plain(words({ text: 'best by {today+90d:DD.MM.YYYY}' })),
    says: /\{today\+90d:DD\.MM\.YYYY\} on “Label” is printed as it is typed; \{today\+90d:dd\.MM\.yyyy\}/,
    mends: true,
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
      const done = editOneCopy(plain(words({})), 'piece-1#1', {
        name: 'change-elements',
        args: { piece: PIECE, changes: call },
      });
      if (isProblem(done)) throw new Error(done.code);
      return done;
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
    job: () =>
      plain(
        { name: 'copy-piece', args: { piece: PIECE, name: 'Other' } },
        { name: 'change-piece', args: { piece: 'piece-2', changes: { ground: '#203020' } } },
        { name: 'want', args: { piece: PIECE, count: 5 } },
        { name: 'want', args: { piece: 'piece-2', count: 5 } },
        { name: 'change-plan', args: { changes: { gap: 1 } } },
      ),
    says: /leave 0\.5 mm of bleed instead of 2 mm/,
    mends: true,
  },
  'bleed-cut-off': {
    job: () => plain(besideMark(0.5)),
    says: /“Label”, no\. 1 lacks 1\.5 mm of its bleed beside a mark/,
  },
  'bleed-missing': {
    job: () => plain({ name: 'change-piece', args: { piece: PIECE, changes: { bleed: 0 } } }),
    says: /“Label” is printed up to its edge with 0 mm of bleed/,
    mends: true,
  },
  'across-fold': {
    job: () =>
      plain(
        { name: 'measure-thing', args: { thing: usualThing('band') } },
        words({ text: 'Winter aconite', x: firstFold().x, y: 0, size: 10, width: 30 }),
      ),
    says: /“Winter aconite” on “Label” lies across a fold/,
    mends: true,
  },
  'in-overlap': {
    job: () => {
      const thing = usualThing('wrap');
      return plain(
        { name: 'measure-thing', args: { thing } },
        code({ x: (Math.PI * thing.size + thing.overlap) / 2 - 12, width: 20, height: 20 }),
      );
    },
    says: /“QR code https.*” on “Label” stands in the overlap/,
    mends: true,
  },
  'under-hole': {
    job: () =>
      plain(
        { name: 'measure-thing', args: { thing: usualThing('tag', { width: 50, height: 90 }) } },
        code({ x: 0, y: -34, width: 20, height: 20 }),
      ),
    says: /A hole takes a part of “QR code https.*” on “Label”/,
    mends: true,
  },
  'on-the-ground': {
    job: () => {
      const thing = usualThing('band', { around: 'w', depth: 30, height: 60, overlap: 12 });
      // The bottom follows the top and the front: 30 and 60 mm from the beginning of 192.
      const x = -192 / 2 + 30 + 60 + 30 / 2;
      return plain(
        { name: 'measure-thing', args: { thing } },
        words({ text: 'Keep dry', x, y: 0, size: 7, width: 20, angle: 270 }),
      );
    },
    says: /“Keep dry” on “Label” is on the side on which the thing stands/,
    mends: true,
  },
  'code-bent': {
    job: () =>
      plain(
        { name: 'measure-thing', args: { thing: usualThing('wrap', { size: 40 }) } },
        code({ symbology: 'ean-13', text: '5901234123457', width: 38, height: 26 }),
      ),
    says: /“Bar code 5901234123457” goes so far around the wall that it looks 5\.46 mm shorter/,
    mends: true,
  },
  'pattern-too-fine': {
    job: () =>
      plain(
        { name: 'measure-thing', args: { thing: usualThing('own', { width: 900, height: 900 }) } },
        {
          name: 'change-piece',
          args: {
            piece: PIECE,
            changes: {
              ground: {
                kind: 'pattern',
                pattern: 'dots',
                ground: '#ffffff',
                inks: ['#2a1b2e'],
                scale: 0.1,
                angle: 0,
              },
            },
          },
        },
      ),
    says: /The ground of “Label” has its pattern at 10 %; it is drawn at \d+ %/,
  },
  hairline: {
    job: () => plain(lined(0.05)),
    says: /A line of “.+” is 0\.05 mm thin/,
    mends: true,
  },
  'tight-curve': {
    job: () => plain(edge([{ x: 0 }], { x: 0, y: 0, width: 0.6, height: 0.6, angle: 0 })),
    says: /The edge of “Label” turns too tightly for a knife/,
  },
  'larger-than-machine': {
    job: () => plain(),
    machine: { width: 150 },
    says: /Sheet 1 of 210 mm x 297 mm does not go into “Bench cutter”/,
  },
  'mark-too-small': {
    job: () => plain(),
    machine: { smallestMark: 6 },
    says: /Marks of 5 mm are too small for the sensor of “Bench cutter”/,
    mends: true,
  },
  'force-out-of-range': {
    job: () => plain(),
    machine: { mostForce: 60 },
    says: /The kiss cut of Matt paper wants a force of 80 g; “Bench cutter” has 10 to 60 g/,
  },
};
