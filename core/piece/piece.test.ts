import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import {
  elementSchema,
  ELEMENT_KINDS,
  elementSize,
  resizedElement,
  createCompiler,
  findTooMuch,
  findPictureDpi,
  pictureSize,
  type Piece,
  type PieceElement,
} from './index.ts';
import { createJob, runCommand, type CommandCall, type Job } from '../job/index.ts';
import type { Art } from '../art/index.ts';

const place = { id: 'a', x: 1, y: 2, angle: 0, locked: false };
const EXAMPLES: Record<PieceElement['kind'], PieceElement> = {
  picture: {
    ...place,
    kind: 'picture',
    art: 'f'.repeat(64),
    width: 20,
    height: 10,
    fit: 'contain',
  },
  words: { ...(exampleWords() as Extract<PieceElement, { kind: 'words' }>), ...place },
  plate: {
    ...place,
    kind: 'plate',
    shape: { kind: 'rectangle', width: 20, height: 10, radius: 2 },
    fill: { color: '#ffffff', opacity: 0.5 },
    line: null,
  },
  ornament: {
    ...place,
    kind: 'ornament',
    ornament: 'sprig',
    width: 12,
    height: 20,
    count: 4,
    weight: 0.3,
    inks: ['#2c4a2f', '#7a9a5f'],
  },
  line: {
    ...place,
    kind: 'line',
    nodes: [
      { x: -10, y: -5 },
      { x: 10, y: 5 },
    ],
    closed: false,
    line: { color: '#000000', width: 0.5, style: 'solid' },
    fill: null,
  },
  code: {
    ...place,
    kind: 'code',
    symbology: 'code-128',
    text: 'LOT 24',
    width: 30,
    height: 12,
    color: '#000000',
    ground: null,
    caption: true,
  },
  combined: {
    ...place,
    kind: 'combined',
    parts: [
      {
        how: 'join',
        element: {
          ...(exampleWords() as Extract<PieceElement, { kind: 'words' }>),
          ...{ ...place, x: 0, y: 0 },
        },
      },
    ],
    fill: '#2c4a2f',
    line: null,
  },
  piece: { ...place, kind: 'piece', piece: 'other', width: 20, height: 10 },
};
const none = createCompiler({ typeface: () => undefined, vector: () => undefined });
const withElement = (element: PieceElement): Job =>
  runAll(createJob('lid', { id: 'j', today: '2026-04-18' }), {
    name: 'add-element',
    args: { piece: 'piece-1', element },
  } satisfies CommandCall);

test.each(ELEMENT_KINDS)(
  'a %s is valid, resizes, and draws an empty frame of its size when something is missing',
  (kind) => {
    const element = EXAMPLES[kind];
    expect(elementSchema.safeParse(element).success).toBe(true);
    const { width, height } = elementSize(element);
    const doubled = elementSize(resizedElement(element, width * 2, height * 2));
    expect([doubled.width, doubled.height]).toEqual([width * 2, height * 2]);
    const job = withElement(element);
    const [placedElement] = none.compile(job.pieces[0] as Job['pieces'][0], job).elements;
    expect([placedElement?.compiled.width, placedElement?.compiled.height]).toEqual([
      width,
      height,
    ]);
    expect(placedElement?.compiled.needs.length).toBe(
      ['plate', 'ornament', 'line'].includes(kind) ? 0 : 1,
    );
  },
);

test('what has not changed is compiled once', () => {
  const job = withElement(EXAMPLES.plate);
  const piece = job.pieces[0] as Job['pieces'][0];
  expect(none.compile(piece, job)).toBe(none.compile(piece, job));
  const renamed = runAll(job, { name: 'rename-job', args: { name: 'Other' } });
  expect(none.compile(renamed.pieces[0] as Job['pieces'][0], renamed)).toBe(
    none.compile(piece, job),
  );
});

test('a piece is clipped at its bleed only when something reaches beyond it', () => {
  const nodes = (element: PieceElement) => {
    const job = withElement(element);
    return none.compile(job.pieces[0] as Job['pieces'][0], job).nodes;
  };
  expect(nodes(EXAMPLES.plate).some((node) => node.kind === 'group' && node.clip)).toBe(false);
  expect(
    nodes({ ...EXAMPLES.plate, x: 24 }).some((node) => node.kind === 'group' && node.clip),
  ).toBe(true);
});

test('a piece in a piece is drawn at its width, and one that holds itself does not hang', async () => {
  let job = withElement(EXAMPLES.plate);
  job = runAll(
    job,
    { name: 'copy-piece', args: { piece: 'piece-1', name: 'Holder' } },
    {
      name: 'add-element',
      args: {
        piece: 'piece-2',
        element: { ...EXAMPLES.piece, piece: 'piece-1', width: 29, height: 29 } as PieceElement,
      },
    },
  );
  const drawn = await compiled(job, new Map());
  const [, holder] = drawn.compiled.pieces.get('piece-2')?.elements ?? [];
  expect(JSON.stringify(holder?.node)).toContain('"transform":[0.5,0,0,0.5,0,0]');
  const [first] = job.pieces as [Piece];
  const own = { ...EXAMPLES.piece, piece: 'piece-1' } as PieceElement;
  const [one, other, third] = ['a', 'b', 'c'].map((id) => ({ ...own, id }));
  const made = [one, other, third] as PieceElement[];
  const endless = { ...job, pieces: [{ ...first, elements: made }] };
  // It cannot be made, is not read, and is drawn with an end.
  expect(
    runCommand(job, { name: 'add-element', args: { piece: 'piece-1', element: own } }),
  ).toMatchObject({ code: 'job/refused' });
  expect([...findTooMuch(endless.pieces)]).toEqual(made);
  expect(none.compile({ ...first, elements: [own] }, endless).elements).toHaveLength(1);
});

test('a picture covers, stands whole in, or is stretched to its frame, and knows its dpi there', () => {
  const art: Art = {
    kind: 'pixels',
    id: 'f'.repeat(64),
    name: 'a',
    tags: [],
    format: 'png',
    pixelWidth: 600,
    pixelHeight: 300,
    orientation: 1,
    dpi: 300,
    dpiKnown: true,
  };
  const picture = EXAMPLES.picture as Extract<PieceElement, { kind: 'picture' }>;
  const square = { ...picture, width: 20, height: 20 };
  expect(pictureSize(square, art)).toEqual({ width: 20, height: 10 });
  expect(pictureSize({ ...square, fit: 'cover' }, art)).toEqual({ width: 40, height: 20 });
  expect(pictureSize({ ...square, fit: 'free' }, art)).toEqual({ width: 20, height: 20 });
  expect(findPictureDpi(square, art)).toBeCloseTo((600 / 20) * 25.4, 6);
  expect(findPictureDpi({ ...square, fit: 'free' }, art)).toBeCloseTo((300 / 20) * 25.4, 6);
  expect(
    findPictureDpi(square, {
      kind: 'vector',
      id: art.id,
      name: 'v',
      tags: [],
      width: 9,
      height: 9,
    }),
  ).toBeUndefined();
});
