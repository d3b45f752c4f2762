import { unwatched } from '../base/index.ts';
import { pieceSize } from '../piece/index.ts';
import { MATT_PAPER } from '../stock/index.ts';
import { usualThing } from '../things/index.ts';
import { runAll } from '../testing/example-job.ts';
import {
  compareSheets,
  copiesAtScale,
  createJob,
  scaledAlike,
  scaleThatFits,
  type CommandCall,
  type Job,
} from './index.ts';

/** Plain labels of 60 x 40 mm on A4 with 5 mm of margin all round: a room of 200 x 287 mm. */
const job = (...calls: CommandCall[]): Job =>
  runAll(
    createJob('own', { id: 'j', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: { ...usualThing('own'), shape: 'rectangle', width: 60, height: 40 } },
    } as CommandCall,
    {
      name: 'choose-material',
      args: { material: { ...MATT_PAPER, pack: { sheets: 10, price: 5 } } },
    },
    { name: 'change-plan', args: { changes: { gap: 0 } } },
    { name: 'want', args: { piece: 'piece-1', count: 50 } },
    ...calls,
  );
const bare = (of: Job): Job =>
  runAll(of, {
    name: 'change-plan',
    args: { changes: { marks: { ...of.plan.marks, on: false } } },
  });

test('copies by size are those of rows and columns', () => {
  const plain = bare(job());
  expect(copiesAtScale(plain, 1)).toBe(21); // 3 x 7 upright, 5 x 4 lying
  expect(copiesAtScale(plain, 0.5)).toBe(90); // 6 x 14 upright, 10 x 9 lying
  expect(copiesAtScale(plain, 6)).toBe(0);
});

test.each([
  [24, 57.4], // lying, five high: 287 / 5
  [21, 61.5], // upright, seven high: 287 / 7 for the shorter side
  [1, 287],
])('%d fit at a longest side of %d mm and no larger', (count, side) => {
  const plain = bare(job());
  const scale = scaleThatFits(plain, count) ?? 0;
  expect(scale * 60).toBeCloseTo(side, 1);
  expect(copiesAtScale(plain, scale)).toBeGreaterThanOrEqual(count);
});

test('what would be too small for a label is not offered', () => {
  expect(scaleThatFits(bare(job()), 5000)).toBeUndefined();
});

test('pieces of one size are scaled together and keep their looks', () => {
  const two = job({ name: 'copy-piece', args: { piece: 'piece-1', name: 'Other' } });
  const half = runAll(two, scaledAlike(two, 0.5));
  expect(half.pieces.map((piece) => pieceSize(piece))).toEqual([
    { width: 30, height: 20 },
    { width: 30, height: 20 },
  ]);
});

test('ways are compared with sheets and money, one thing changed in each', async () => {
  const { ways, sizes } = await compareSheets(job(), [], unwatched);
  const [now] = ways;
  expect(now).toMatchObject({ kind: 'now', left: 0, cost: (now?.sheets ?? 0) * 0.5 });
  const kinds = ways.map(({ kind }) => kind);
  expect(new Set(kinds)).toEqual(new Set(['now', 'arrangement', 'gap', 'marks', 'stock', 'size']));
  for (const way of ways) expect(way.sheets).toBe(way.left ? 0 : Math.ceil(50 / way.perSheet));
  expect(sizes[0]?.copies).toBeGreaterThan(sizes[sizes.length - 1]?.copies ?? 0);
});

test('a sheet on hand is compared with its own material', async () => {
  const { stock } = job();
  const onHand = {
    stock: { ...stock, id: 'own', name: 'Wide', width: 400 },
    material: { ...MATT_PAPER, pack: { sheets: 1, price: 3 } },
  };
  const { ways } = await compareSheets(job(), [onHand], unwatched);
  const wide = ways.find(({ kind, value }) => kind === 'stock' && String(value).startsWith('Wide'));
  expect(wide?.cost).toBe((wide?.sheets ?? 0) * 3);
});
