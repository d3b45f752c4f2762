import fc from 'fast-check';
import { artSize, type Art } from '../art/index.ts';
import { isProblem } from '../base/index.ts';
import { ellipsePath, rectanglePath } from '../geometry/index.ts';
import { picturePiece, pieceSize, type Piece } from '../piece/index.ts';
import { leftOutside, pathPart, plainBuild } from '../shape/index.ts';
import { arrange } from '../sheet/index.ts';
import { runAll } from '../testing/example-job.ts';
import {
  createJob,
  mostOfEach,
  parseJob,
  pieceArea,
  runCommand,
  withBuild,
  type Job,
  type SizedBy,
} from './index.ts';

const art = (name: string, width: number, height: number): Art => ({
  kind: 'vector',
  id: name.repeat(64),
  name,
  tags: [],
  width,
  height,
});
const LEAF = art('a', 30, 20);
const POT = art('b', 24, 48);
const look = { bleed: 2, safe: 1, ground: null };

/** A picture cut around an oval in it, with a rim. */
function oval(of: Art): Piece {
  const bare = picturePiece(of, { id: 'x', look });
  const { width, height } = artSize(of);
  const path = ellipsePath({ x: 0, y: 0 }, width / 2, height / 2);
  const build = { ...plainBuild(bare.edge, of.name), parts: [pathPart(path, of.name)], offset: 2 };
  const made = withBuild(bare, build);
  if (isProblem(made)) throw new Error(made.code);
  return made;
}

/** Two cut pictures and one that is a plain box. */
const start = runAll(createJob('own', { id: 'job-1', today: '2026-04-18' }), {
  name: 'add-pieces',
  args: {
    pieces: [oval(LEAF), oval(POT), picturePiece(LEAF, { id: 'x', look })],
    art: [LEAF, POT],
    wanted: 1,
    instead: 'piece-1',
  },
});
const ids = start.pieces.map(({ id }) => id);
const sizes = (job: Job) => job.pieces.map(pieceSize);
const size = (by: SizedBy, value: number, of = start): Job =>
  runAll(of, { name: 'size-pieces', args: { pieces: ids, by, value } });

test.each([
  ['height', 40, (piece: Piece) => pieceSize(piece).height],
  ['width', 25, (piece: Piece) => pieceSize(piece).width],
  ['longer', 60, (piece: Piece) => Math.max(pieceSize(piece).width, pieceSize(piece).height)],
  ['area', 900, pieceArea],
] as const)('all of one %s', (by, value, measured) => {
  const job = size(by, value);
  expect(job.pieces).toHaveLength(3);
  for (const piece of job.pieces) expect(measured(piece) / value).toBeCloseTo(1, 3);
  // In proportion, and the rim as wide as it was.
  expect(job.pieces[0]?.build?.offset).toBe(2);
  expect(parseJob(JSON.parse(JSON.stringify(job))).ok).toBe(true);
});

test('the area of an oval is π a b, with its rim around it', () => {
  const plain = runAll(start, {
    name: 'share-edge',
    args: { pieces: ids, changes: { offset: 0 } },
  });
  expect(pieceArea(plain.pieces[0] as Piece)).toBeCloseTo(Math.PI * 15 * 10, 0);
  expect(pieceArea(plain.pieces[2] as Piece)).toBeCloseTo(30 * 20, 6);
});

test('as large as their pictures came in', () => {
  const job = size('own', 0, size('height', 17));
  const before = sizes(start);
  sizes(job).forEach(({ width, height }, at) => {
    expect(width).toBeCloseTo(before[at]?.width ?? NaN, 1);
    expect(height).toBeCloseTo(before[at]?.height ?? NaN, 1);
  });
});

test('sized twice is sized once, whatever by', () => {
  const by = fc.constantFrom<SizedBy>('height', 'width', 'longer', 'area');
  fc.assert(
    fc.property(by, fc.double({ min: 30, max: 160, noNaN: true }), (way, value) => {
      const sized = (of: Job) => sizes(size(way, way === 'area' ? value * 10 : value, of));
      const once = size(way, way === 'area' ? value * 10 : value);
      sized(once).forEach(({ width }, at) =>
        expect(width).toBeCloseTo(sizes(once)[at]?.width ?? NaN, 1),
      );
    }),
    { numRuns: 12 },
  );
});

test('a size that no piece can have is refused, and nothing is changed', () => {
  for (const value of [0, -3, 1e9, NaN]) {
    const done = runCommand(start, {
      name: 'size-pieces',
      args: { pieces: ids, by: 'height', value },
    });
    expect(isProblem(done) && done.code).toBe('job/refused');
  }
});

test('one rim for all, where each stays around its own shape', () => {
  const job = runAll(start, {
    name: 'share-edge',
    args: { pieces: ids.slice(0, 2), changes: { offset: 5, holes: 'fill' } },
  });
  sizes(job).forEach(({ width }, at) => {
    const more = at < 2 ? 6 : 0;
    expect(width).toBeCloseTo((sizes(start)[at]?.width ?? NaN) + more, 1);
  });
  expect(job.pieces[2]).toBe(start.pieces[2]);
  const bad = { pieces: ids, changes: { offset: 900 } };
  expect(isProblem(runCommand(start, { name: 'share-edge', args: bad }))).toBe(true);
});

test('a calm edge tells how far it leaves the art outside', () => {
  // A bar 2 mm thick stands out of a square: smoothed by 3 mm it goes, all but where it joins.
  const parts = [rectanglePath({ x: 0, y: 0 }, 30, 30), rectanglePath({ x: 20, y: 0 }, 20, 2)];
  const build = {
    ...plainBuild({ kind: 'circle', diameter: 10 }, 'x'),
    parts: parts.map((path) => pathPart(path, 'x')),
  };
  const shaped = (smooth: number) => {
    const made = withBuild(picturePiece(LEAF, { id: 'x', look }), { ...build, smooth });
    if (isProblem(made) || !made.build) throw new Error('no edge');
    return leftOutside(made.build, made.edge);
  };
  expect(shaped(0)).toBeLessThan(0.02);
  expect(shaped(3)).toBeGreaterThan(11);
  expect(shaped(3)).toBeLessThan(15.1);
});

test('so many of each, or so many in all', () => {
  const wanted = (args: { each?: number; sum?: number }): number[] =>
    Object.values(
      runAll(start, { name: 'want-pieces', args: { pieces: ids, ...args } }).plan.wanted,
    );
  expect(wanted({ each: 3 })).toEqual([3, 3, 3]);
  expect(wanted({ sum: 10 })).toEqual([4, 3, 3]);
  expect(wanted({ sum: 2 })).toEqual([1, 1, 0]);
  expect(wanted({ sum: 0 })).toEqual([0, 0, 0]);
  for (const args of [{ each: 5001 }, { each: -1 }, { sum: 99_999 }, { each: NaN }])
    expect(
      isProblem(runCommand(start, { name: 'want-pieces', args: { pieces: ids, ...args } })),
    ).toBe(true);
});

test('as many as a sheet takes is one more than it does not', () => {
  const each = mostOfEach(start, ids);
  const sheets = (count: number): number =>
    arrange(runAll(start, { name: 'want-pieces', args: { pieces: ids, each: count } })).sheets
      .length;
  expect(each).toBeGreaterThan(2);
  expect([sheets(each), sheets(each + 1)]).toEqual([1, 2]);
  expect(mostOfEach(size('longer', 900), ids)).toBe(1);
});
