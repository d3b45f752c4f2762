import type { CommandCall, Job } from '../job/index.ts';
import { elementSize } from '../piece/index.ts';
import { compiled } from '../testing/example-job.ts';
import { code, PIECE, plain, words } from '../testing/proof-jobs.ts';
import { usualThing, zoneAt, zonesOf, type MeasuredThing } from '../things/index.ts';
import { quickFindings, type Finding } from './index.ts';

const measured = (thing: MeasuredThing, ...calls: readonly CommandCall[]): Job =>
  plain({ name: 'measure-thing', args: { thing } }, ...calls);

async function found(job: Job, kind: Finding['code']): Promise<Finding[]> {
  const all = quickFindings((await compiled(job, new Map())).compiled);
  return all.filter(({ code: one }) => one === kind);
}

// Its panels are 30, 60, 30 and 60 mm long, with an overlap of 12: top, front, bottom, back.
const OVER = usualThing('band', { width: 90, depth: 30, height: 60, around: 'w', overlap: 12 });
const FROM = -192 / 2;

test.each([
  ['small print below', { x: FROM + 105, size: 9 }, 1],
  ['larger letters below', { x: FROM + 105, size: 9.5 }, 0],
  ['small print in front', { x: FROM + 60, size: 7 }, 0],
])('%s', async (_, at, count) => {
  const line = words({ text: 'Keep dry', y: 0, width: 22, height: 8, angle: 270, ...at });
  expect(await found(measured(OVER, line), 'on-the-ground')).toHaveLength(count);
});

test('what lies across a fold is moved to the side on which its middle is, turned as that is read', async () => {
  // The back begins 24 mm right of the middle.
  const job = measured(
    OVER,
    words({ text: 'Thistle & Fen', x: 24 + 3, y: 0, size: 10, width: 28, height: 8 }),
  );
  const [finding] = await found(job, 'across-fold');
  expect(finding?.fix).toMatchObject({ code: 'move-to-zone', values: { zone: 'back' } });
  expect(finding?.fix?.call.args).toMatchObject({ piece: PIECE, doing: 'move' });
  const [changes] = Object.values(
    (finding?.fix?.call.args as { changes: Record<string, object> }).changes,
  );
  // 8 mm high and 2 mm safe, it stands at 24 + 2 + 4 at least; the rest of it is as it was.
  expect(changes).toMatchObject({ angle: 90 });
  expect((changes as { x: number }).x).toBeGreaterThanOrEqual(24 + 4);
  expect(Object.keys(changes ?? {})).not.toContain('text');
});

test('what is meant to go around may lie across a fold, but not in the overlap', async () => {
  const around = { text: 'Thistle & Fen', y: 0, size: 10, width: 28, height: 8, acrossFolds: true };
  expect(await found(measured(OVER, words({ ...around, x: 24 + 3 })), 'across-fold')).toEqual([]);
  const last = measured(OVER, words({ ...around, x: 192 / 2 - 6 }));
  expect(await found(last, 'across-fold')).toEqual([]);
  expect(await found(last, 'in-overlap')).toHaveLength(1);
});

test('what stands in the overlap of a pot is moved to its front, bent with it', async () => {
  const thing = usualThing('taper', { overlap: 14 });
  const [piece] = measured(thing).pieces;
  if (!piece) throw new Error('no piece');
  const zones = zonesOf(thing, piece.edge);
  const overlap = zones.find(({ name }) => name === 'overlap')?.rings[0] ?? [];
  const middle = (axis: 'x' | 'y'): number =>
    overlap.reduce((sum, point) => sum + point[axis], 0) / overlap.length;
  const job = measured(
    thing,
    words({ text: 'Fen', x: middle('x'), y: middle('y'), size: 8, width: 10, height: 5 }),
  );
  const [finding] = await found(job, 'in-overlap');
  const { changes } = finding?.fix?.call.args as { changes: Record<string, object> };
  const [moved] = Object.values(changes) as { x: number; y: number; path?: object }[];
  if (!moved) throw new Error('no fix');
  expect(zoneAt(zones, moved)?.name).toBe('front');
  expect(moved.path).toMatchObject({ kind: 'arc', edge: true });
});

test('a code may go around a wall as far as its chord is a third of a module shorter', async () => {
  const size = async (diameter: number, angle = 0): Promise<Finding | undefined> => {
    const thing = usualThing('wrap', { size: diameter, height: 60 });
    return (await found(measured(thing, code({ angle })), 'code-bent'))[0];
  };
  // 20 mm of a code of 25 modules with 4 clear ones on each side: 0.606 mm each, a third is 0.202 mm.
  // On a wall of 83 mm the chord is 20³ / (24 · 41.5²) = 0.194 mm shorter, on one of 80 mm 0.208 mm.
  expect(await size(83)).toBeUndefined();
  expect((await size(80))?.values).toMatchObject({ short: 0.21, most: 0.2 });
  expect((await size(80, 90))?.values).toMatchObject({ short: 0.21 });
  // Of 70 mm 0.272 mm are missing: with the square root of 0.202 / 0.272 it is 17.2 mm wide.
  const fix = (await size(70))?.fix;
  const [changes] = Object.values(
    (fix?.call.args as { changes: Record<string, { width: number }> }).changes,
  );
  expect(changes?.width).toBeGreaterThan(16);
  expect(changes?.width).toBeLessThan(17.5);
  expect((await size(30))?.fix).toBeUndefined();
});

test('bars that go up the wall are never bent', async () => {
  const bars = { symbology: 'code-128', text: 'TF-2048', width: 40, height: 14 } as const;
  const thing = usualThing('wrap', { size: 40, height: 60 });
  const lying = measured(thing, code(bars));
  const [finding] = await found(lying, 'code-bent');
  expect(finding?.fix?.code).toBe('turn-code');
  expect(await found(measured(thing, code({ ...bars, angle: 90 })), 'code-bent')).toEqual([]);
  const [element] = lying.pieces[0]?.elements ?? [];
  expect(element && elementSize(element)).toEqual({ width: 40, height: 14 });
});
