import { compileJob, createJob, type CommandCall } from '../job/index.ts';
import { createCompiler } from '../piece/index.ts';
import { runAll } from '../testing/example-job.ts';
import { usualThing } from '../things/index.ts';
import { copyAt, judgeCopy, nearestPlace, surroundingsOf, type SheetCopy } from './index.ts';

const none = createCompiler({ typeface: () => undefined, vector: () => undefined });
// Labels of 40 x 30 mm on A4 with margins of 5 mm, marks in the corners and a gap of 3 mm.
const job = runAll(
  createJob('own', { id: 'j', today: '2026-04-18' }),
  {
    name: 'measure-thing',
    args: { thing: { ...usualThing('own'), shape: 'rectangle', width: 40, height: 30 } },
  } as CommandCall,
  { name: 'change-plan', args: { changes: { gap: 3 } } },
  { name: 'want', args: { piece: 'piece-1', count: 2 } },
  {
    name: 'nest-sheets',
    args: { sheets: [[60, 150].map((x) => ({ piece: 'piece-1', x, y: 100, angle: 0 }))] },
  },
);
const [one, other] = (compileJob(job, none).sheets[0]?.copies ?? []) as [SheetCopy, SheetCopy];
const around = surroundingsOf(job, [other]);
const judged = (x: number, y: number) => judgeCopy(copyAt(one, { x, y }), around, 12);

test.each([
  ['far from all', 60, 100, { state: 'fine', gap: undefined }],
  ['at the gap beside another', 107, 100, { state: 'fine', gap: 3 }],
  ['nearer than the gap', 108, 100, { state: 'look', gap: 2 }],
  ['over another', 120, 100, { state: 'stop' }],
  ['over the margin', 20, 100, { state: 'look' }],
  ['on a mark', 30, 24, { state: 'stop' }],
])('a copy %s is judged so', (_, x, y, wanted) => {
  const { state, gap } = judged(x, y);
  expect(state).toBe(wanted.state);
  if (!('gap' in wanted)) return;
  if (wanted.gap === undefined) expect(gap).toBeUndefined();
  else expect(gap).toBeCloseTo(wanted.gap, 2);
});

test.each([
  [125, 100, 107, 100],
  [18, 100, 25, 100],
  [150, 75, 150, 67],
])('from %d, %d the nearest place is straight beside: %d, %d', (x, y, toX, toY) => {
  const at = nearestPlace(copyAt(one, { x, y }), around, 60);
  expect(at?.x).toBeCloseTo(toX, 1);
  expect(at?.y).toBeCloseTo(toY, 1);
  expect(judged(at?.x ?? 0, at?.y ?? 0).state).toBe('fine');
});

test('out of a mark the place is free of it, and out of reach there is none', () => {
  const at = nearestPlace(copyAt(one, { x: 26, y: 21 }), around, 40);
  expect(judged(at?.x ?? 0, at?.y ?? 0).state).toBe('fine');
  expect(nearestPlace(copyAt(one, { x: 150, y: 100 }), around, 10)).toBeUndefined();
});
