import { createJob, compileJob, type CommandCall } from '../job/index.ts';
import { createCompiler } from '../piece/index.ts';
import { runAll } from '../testing/example-job.ts';
import { usualThing } from '../things/index.ts';
import { cropMarks, trimPlan, type SheetCopy, type TrimPlan } from './index.ts';

const none = createCompiler({ typeface: () => undefined, vector: () => undefined });
const SHEET = { width: 210, height: 297 };

/** Copies of a label of 60 x 40 mm with their middles at places, mm. */
function copiesAt(places: readonly (readonly [number, number, number?])[]): readonly SheetCopy[] {
  const job = runAll(
    createJob('own', { id: 'j', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: { ...usualThing('own'), shape: 'rectangle', width: 60, height: 40 } },
    } as CommandCall,
    { name: 'want', args: { piece: 'piece-1', count: places.length } },
    {
      name: 'nest-sheets',
      args: { sheets: [places.map(([x, y, angle = 0]) => ({ piece: 'piece-1', x, y, angle }))] },
    },
  );
  return compileJob(job, none).sheets[0]?.copies ?? [];
}
const planOf = (places: Parameters<typeof copiesAt>[0]): TrimPlan => {
  const plan = trimPlan(copiesAt(places), SHEET);
  if (typeof plan === 'string') throw new Error(plan);
  return plan;
};

test('one label is freed by four cuts, each told from the part in the hand', () => {
  const { cuts } = planOf([[100, 100]]);
  expect(cuts.map(({ axis, at, measure }) => [axis, at, measure])).toEqual([
    ['level', 80, 80],
    ['level', 120, 40],
    ['upright', 70, 70],
    ['upright', 130, 60],
  ]);
  // The upright cuts go through the strip that the level ones have left.
  expect(cuts[2]).toMatchObject({ from: 80, to: 120 });
});

test('without a gap neighbours are parted by one cut, with a gap by two', () => {
  const grid = (pitch: number) =>
    [0, 1].flatMap((row) =>
      [0, 1, 2].map((column) => [35 + column * 60, 50 + row * pitch] as const),
    );
  // 3 level cuts, then 4 upright ones in each of 2 rows.
  expect(planOf(grid(40)).cuts).toHaveLength(3 + 2 * 4);
  expect(planOf(grid(44)).cuts).toHaveLength(4 + 2 * 4);
});

test('the direction that needs fewer cuts comes first', () => {
  // Two columns of three: upright cuts first are 3 + 2 * 4 instead of 4 + 3 * 3.
  const columns = [0, 1, 2].flatMap((row) =>
    [0, 1].map((column) => [40 + column * 60, 50 + row * 40] as const),
  );
  const { cuts } = planOf(columns);
  expect(cuts).toHaveLength(11);
  expect(cuts[0]?.axis).toBe('upright');
});

test('a pinwheel and turned labels have no plan', () => {
  const wheel = [
    [80, 70],
    [130, 80, 90],
    [120, 130],
    [70, 120, 90],
  ] as const;
  expect(trimPlan(copiesAt(wheel), SHEET)).toBe('crossed');
  expect(trimPlan(copiesAt([[100, 100, 12]]), SHEET)).toBe('shapes');
});

test('crop marks stand beside the labels and keep out of what is kept clear', () => {
  const room = { left: 5, top: 5, right: 205, bottom: 292 };
  const marks = cropMarks(copiesAt([[100, 100]]), { room, zones: [] });
  expect(marks).toHaveLength(8);
  expect(marks[0]).toEqual({ x1: 70, y1: 80 - 2 - 1.5 - 5, x2: 70, y2: 80 - 2 - 1.5 });
  const kept = cropMarks(copiesAt([[100, 100]]), {
    room,
    zones: [{ left: 0, top: 0, right: 75, bottom: 79 }],
  });
  expect(kept).toHaveLength(7);
});
