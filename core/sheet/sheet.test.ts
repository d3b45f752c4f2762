import fc from 'fast-check';
import { createCompiler, type CompiledPiece, type Piece } from '../piece/index.ts';
import { firstStock, spotPlaces, USUAL_MARKS, type Stock } from '../stock/index.ts';
import { copiesUpperBound, tryPack } from '../packing/index.ts';
import { problemText } from '../../messages/index.ts';
import {
  arrange,
  compileSheet,
  findPrintClip,
  type Arrangeable,
  type CopySource,
  type Plan,
} from './index.ts';

const [A4, DIE_CUT]: [Stock, Stock] = [firstStock(false), firstStock(true)];
const piece = (id: string, edge: Piece['edge'], bleed = 2): Piece => ({
  id,
  name: id,
  edge,
  bleed,
  safe: 2,
  ground: '#f4e9d4',
  elements: [],
});
const SEAL: Piece['edge'] = { kind: 'circle', diameter: 58 };
const plan = (changes: Partial<Plan> = {}): Plan => ({
  arrangement: 'step',
  gap: 3,
  marks: { ...USUAL_MARKS, on: false, inset: 10, insetEnds: 10 },
  cut: 'kiss',
  wanted: {},
  usedLabels: [],
  handPlaces: {},
  ...changes,
});
const job = (changes: Partial<Arrangeable>): Arrangeable => ({
  pieces: [piece('seal', SEAL)],
  stock: A4,
  plan: plan(),
  ...changes,
});

/** A source whose copies are all alike. */
const alike = (compiled: CompiledPiece): CopySource => ({ find: () => ({ compiled, look: '' }) });

test('twelve seals of 58 mm and a gap of 3 stand on A4; thirteen need a second sheet', () => {
  const layout = arrange(job({ plan: plan({ wanted: { seal: 13 } }) }));
  expect(layout.perSheet).toBe(12);
  expect(layout.sheets.map(({ placements }) => placements.length)).toEqual([12, 1]);
  expect(layout.sheets[1]?.placements[0]?.copy).toBe('seal#13');
});

test('the better of both directions is taken', () => {
  // 200 x 287 of A4: upright 2 x 2 with 3 mm, lying 1 x 3 … and 100 x 60 lies 2 x 4 against 3 x 2.
  const tall = piece('tag', { kind: 'rectangle', width: 60, height: 140, radius: 0 });
  const layout = arrange(job({ pieces: [tall], plan: plan({ wanted: { tag: 9 } }) }));
  expect(layout.perSheet).toBe(6);
  const wide = piece('band', { kind: 'rectangle', width: 190, height: 90, radius: 0 });
  expect(arrange(job({ pieces: [wide], plan: plan({ wanted: { band: 3 } }) })).perSheet).toBe(3);
  const turned = piece('strip', { kind: 'rectangle', width: 280, height: 30, radius: 0 });
  const lying = arrange(job({ pieces: [turned], plan: plan({ wanted: { strip: 1 } }) }));
  expect(lying.sheets[0]?.placements[0]?.angle).toBe(90);
  expect(lying.perSheet).toBe(6);
});

test('varieties of one size share a grid, one after the other', () => {
  const pieces = ['a', 'b', 'c', 'd'].map((id) => piece(id, SEAL));
  const { sheets } = arrange(job({ pieces, plan: plan({ wanted: { a: 3, b: 3, c: 3, d: 3 } }) }));
  expect(sheets).toHaveLength(1);
  expect(sheets[0]?.placements.map((placement) => placement.piece).join('')).toBe('aaabbbcccddd');
});

test('spots of a die-cut sheet are filled row by row and no more than there are', () => {
  const pieces = [piece('dot', { kind: 'circle', diameter: 40 })];
  const { sheets, perSheet } = arrange(
    job({ pieces, stock: DIE_CUT, plan: plan({ arrangement: 'spots', wanted: { dot: 30 } }) }),
  );
  expect(perSheet).toBe(24);
  expect(sheets.map(({ placements }) => placements.length)).toEqual([24, 6]);
  expect(sheets[0]?.placements[1]).toMatchObject({ x: 81, y: 33.5 });
});

test('a copy moved by hand keeps its place under a new arrangement', () => {
  const handPlaces = { 'seal#2': { sheet: 0, x: 100, y: 100, angle: 15 } };
  for (const gap of [3, 9]) {
    const { sheets } = arrange(job({ plan: plan({ gap, wanted: { seal: 4 }, handPlaces }) }));
    const copy = sheets[0]?.placements.find((placement) => placement.copy === 'seal#2');
    expect(copy).toMatchObject({ x: 100, y: 100, angle: 15, byHand: true });
  }
});

test('what is larger than the sheet is left over and does not hang', () => {
  const { sheets, left } = arrange(
    job({
      pieces: [piece('big', { kind: 'circle', diameter: 400 })],
      plan: plan({ wanted: { big: 2 } }),
    }),
  );
  expect(sheets).toEqual([]);
  expect(left).toEqual({ big: 2 });
});

test('no copy meets another, a mark or the margin, whatever the size', () => {
  let looked = 0;
  const sides = fc.double({ min: 12, max: 120, noNaN: true });
  fc.assert(
    fc.property(sides, sides, fc.double({ min: 0, max: 6, noNaN: true }), (width, height, gap) => {
      const tag = piece('t', { kind: 'rectangle', width, height, radius: 0 });
      const arranged = job({
        pieces: [tag],
        plan: plan({
          gap,
          wanted: { t: 200 },
          marks: { ...USUAL_MARKS, inset: 10, insetEnds: 10 },
        }),
      });
      const [sheet] = arrange(arranged).sheets;
      if (!sheet) throw new Error(`${width} x ${height} has no place on A4`);
      const compiled = createCompiler({
        typeface: () => undefined,
        vector: () => undefined,
      }).compile(tag, { pieces: [tag], art: {} });
      const { copies, zones } = compileSheet(arranged, sheet, alike(compiled));
      looked += copies.length;
      const apart = (
        a: { left: number; top: number; right: number; bottom: number },
        b: typeof a,
      ): number => Math.max(a.left - b.right, b.left - a.right, a.top - b.bottom, b.top - a.bottom);
      return copies.every(
        ({ box }, index) =>
          box.left > 4.999 &&
          box.top > 4.999 &&
          box.right < 205.001 &&
          box.bottom < 292.001 &&
          zones.every((zone) => apart(box, zone) > -1e-3) &&
          copies.slice(index + 1).every((other) => apart(box, other.box) > gap - 1e-3),
      );
    }),
    { numRuns: 25 },
  );
  expect(looked).toBeGreaterThan(25);
});

test('a piece is drawn once and used for each copy; bleeds that would meet end half way', () => {
  const arranged = job({ plan: plan({ gap: 1, wanted: { seal: 6 } }) });
  const seal = arranged.pieces[0] as Piece;
  const compiled = createCompiler({ typeface: () => undefined, vector: () => undefined }).compile(
    seal,
    { pieces: [seal], art: {} },
  );
  const [sheet] = arrange(arranged).sheets;
  const made = compileSheet(
    arranged,
    sheet ?? { placements: [], stock: arranged.stock },
    alike(compiled),
  );
  expect(Object.keys(made.drawing.symbols)).toEqual(['piece-seal']);
  expect(made.copies.map(({ bleed }) => bleed)).toEqual(
    new Array(6).fill(0.5).map((v: number) => expect.closeTo(v, 6) as number),
  );
  expect(made.cuts.every(({ kind }) => kind === 'kiss')).toBe(true);
});

test('bleed does not print into a keep-clear zone', () => {
  const handPlaces = { 'seal#1': { sheet: 0, x: 45, y: 45, angle: 0 } };
  const arranged = job({
    plan: plan({
      wanted: { seal: 1 },
      handPlaces,
      marks: { ...USUAL_MARKS, inset: 14, insetEnds: 14 },
    }),
  });
  const seal = arranged.pieces[0] as Piece;
  const compiled = createCompiler({ typeface: () => undefined, vector: () => undefined }).compile(
    seal,
    { pieces: [seal], art: {} },
  );
  const made = compileSheet(
    arranged,
    arrange(arranged).sheets[0] ?? { placements: [], stock: arranged.stock },
    alike(compiled),
  );
  const clip =
    made.copies[0] && findPrintClip(made.copies[0], [{ left: 0, top: 40, right: 20, bottom: 50 }]);
  const xs = (clip ?? []).flatMap((step) => (step[0] === 'Z' ? [] : [step[1] + 45]));
  expect(Math.min(...xs)).toBeGreaterThan(14.3);
});

test('the bounds hold for arrangements known to be optimal', () => {
  const area = { left: 0, top: 0, right: 100, bottom: 100 };
  expect(copiesUpperBound({ width: 25, height: 20, round: false }, area, 0)).toBe(20);
  expect(copiesUpperBound({ width: 101, height: 20, round: false }, area, 0)).toBe(0);
  expect(copiesUpperBound({ width: 50, height: 50, round: true }, area, 0)).toBeGreaterThanOrEqual(
    4,
  );
  expect(copiesUpperBound({ width: 101, height: 101, round: true }, area, 0)).toBe(0);
});

test('a pack request is answered with origins as documented', async () => {
  const packed = await tryPack({
    sheet: { width: 200, height: 100 },
    gap: 0,
    pieces: [{ id: 'a', shape: { rect: [100, 200] }, quantity: 'max', turns: 'quarter' }],
  });
  expect(packed.ok && packed.value).toMatchObject({
    sheets: [{ placements: [{ id: 'a', x: 200, y: 0, angle: 90 }] }],
    placed: { a: 1 },
    left: {},
    bound: { a: 1 },
    proved: true,
    used: 1,
  });
  const circle = await tryPack({
    sheet: { width: 60, height: 60, margin: [1, 1, 1, 1] },
    pieces: [{ id: 'c', shape: { circle: 58 }, quantity: 3 }],
  });
  expect(circle.ok && circle.value).toMatchObject({
    sheets: [{ placements: [{ x: 30, y: 30 }] }],
    left: { c: 2 },
    proved: true,
  });
});

test('several lots that want as many as fit share a sheet by area', async () => {
  const packed = await tryPack(
    {
      sheet: { width: 100, height: 100 },
      pieces: [
        { id: 'a', shape: { rect: [20, 10] }, quantity: 'max' },
        { id: 'b', shape: { rect: [10, 10] }, quantity: 'max' },
      ],
    },
    { rounds: 1 },
  );
  expect(packed.ok && packed.value.placed).toEqual({ a: 25, b: 50 });
});

test.each([
  [{}, 'pack/request'],
  [
    {
      sheet: { width: 10, height: 10, margin: [6, 0, 6, 0] },
      pieces: [{ id: 'a', shape: { circle: 1 }, quantity: 1 }],
    },
    'pack/no-room',
  ],
  [
    {
      sheet: { width: 10, height: 10 },
      pieces: [
        {
          id: 'a',
          shape: {
            rings: [
              [
                [0, 0],
                [1, 0],
                [2, 0],
              ],
            ],
          },
          quantity: 1,
        },
      ],
    },
    'pack/flat',
  ],
  [
    {
      sheet: { width: 10, height: 10 },
      sheets: 'any',
      pieces: [{ id: 'a', shape: { circle: 1 }, quantity: 'max' }],
    },
    'pack/endless',
  ],
  [
    {
      sheet: { width: 10, height: 10 },
      pieces: [{ id: 'a', shape: { circle: 1 }, quantity: 6000 }],
    },
    'pack/too-many',
  ],
])('a bad request is refused: %j', async (request, code) => {
  const packed = await tryPack(request);
  expect(!packed.ok && packed.problem.code).toBe(code);
});

test('an outline with too many points is refused with the limit in the sentence', async () => {
  const ring = Array.from({ length: 10_001 }, (_, at) => [at % 100, at / 100]);
  const packed = await tryPack({
    sheet: { width: 100, height: 100 },
    pieces: [{ id: 'lace', shape: { rings: [ring] }, quantity: 1 }],
  });
  expect(!packed.ok && problemText(packed.problem).what).toBe(
    'The outline of “lace” has 10001 points; at most 10000 are accepted.',
  );
});

test('a started sheet is filled from its first label that is there; the next one is whole', () => {
  const spots = DIE_CUT.spots;
  if (!spots) throw new Error('no die-cut sheet');
  const usedLabels = Array.from({ length: 11 }, (_, at) => at);
  const layout = arrange({
    pieces: [{ ...piece('seal', spots.shape), bleed: 1 }],
    stock: DIE_CUT,
    plan: plan({ arrangement: 'spots', wanted: { seal: 20 }, usedLabels }),
  });
  const [first, second] = layout.sheets.map(({ placements }) => placements);
  const twelfth = spotPlaces(spots)[11];
  expect(first).toHaveLength(13);
  expect(first?.[0]).toMatchObject({ x: twelfth?.x, y: twelfth?.y });
  expect(second).toHaveLength(7);
  expect(second?.[0]).toMatchObject({ ...spotPlaces(spots)[0] });
  expect([layout.perSheet, layout.freePlaces]).toEqual([24, 17]);
});

test('a started sheet with nothing left is passed over', () => {
  const layout = arrange({
    pieces: [piece('seal', { kind: 'circle', diameter: 40 })],
    stock: DIE_CUT,
    plan: plan({
      arrangement: 'spots',
      wanted: { seal: 3 },
      usedLabels: Array.from({ length: 24 }, (_, at) => at),
    }),
  });
  expect(layout.sheets.map(({ placements }) => placements.length)).toEqual([3]);
  expect(layout.freePlaces).toBe(21);
});
