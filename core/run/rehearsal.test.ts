import { compiled, exampleJob, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { asPrinted, type CompiledJob, type JobResources } from '../job/index.ts';
import { printPdf } from '../output/index.ts';
import { renderPdf } from '../pdf/index.ts';
import type { SheetPicture } from '../register/index.ts';
import {
  allChances,
  chanceBeyond,
  rehearse,
  rehearseSheet,
  strayFor,
  type Rehearsed,
} from './index.ts';

const STILL = {
  printer: { offset: 0, turn: 0, scale: 0 },
  cutter: { offset: 0, turn: 0, noise: 0 },
};
let job: CompiledJob;
let resources: JobResources;
let picture: SheetPicture;
beforeAll(async () => {
  const made = await exampleJob();
  ({ compiled: job, resources } = await compiled(made.job, made.art));
  const pdf = await printPdf(nodePlatform, asPrinted(job), resources);
  picture = { image: await renderPdf(nodePlatform, { pdf, page: 0, dpi: 200 }), dpi: 200 };
});
const sheetOf = (one: CompiledJob) => {
  const [sheet] = asPrinted(one).sheets;
  if (!sheet) throw new Error('no sheet');
  return sheet;
};
const times = (count: number, more: Partial<Rehearsed> = {}) =>
  rehearse(sheetOf(job), picture, { times: count, seed: 1, ...more });

test('devices that are never off leave the whole bleed, and no label shows paper', async () => {
  const done = await times(2, STILL);
  expect(done.refused).toBe(0);
  for (const { sliver, least } of done.copies) {
    expect(sliver).toBe(0);
    // 1.5 mm, less half a pixel of 0.127 mm and a step of 0.1 mm.
    expect(least).toBeGreaterThan(1.35);
    expect(least).toBeLessThan(1.65);
  }
  expect(Math.max(...done.deviations)).toBeLessThan(0.05);
});

test('a label whose print ends at its edge shows paper about as often as not; with bleed it does not', async () => {
  const made = await exampleJob();
  const bare = runAll(made.job, {
    name: 'change-piece',
    args: { piece: 'piece-1', changes: { bleed: 0 } },
  });
  const without = await compiled(bare, made.art);
  const one = { platform: nodePlatform, seed: 3, times: 20, sheet: 0 };
  const done = await rehearseSheet(without.compiled, { ...one, resources: without.resources });
  if (!done.ok) throw new Error(done.problem.code);
  expect(Math.min(...done.value.copies.map(({ sliver }) => sliver))).toBeGreaterThan(0.5);
  const bled = await rehearseSheet(job, { ...one, resources });
  expect(bled.ok && Math.max(...bled.value.copies.map(({ sliver }) => sliver))).toBe(0);
});

test('the same seed gives the same chances, and parts of a rehearsal come together as one', async () => {
  const [first, again] = [await times(4, { seed: 5 }), await times(4, { seed: 5 })];
  expect(first).toEqual(again);
  const second = await times(4, { seed: 50 });
  const both = allChances([first, second]);
  expect(both.times).toBe(8);
  expect(both.strays).toHaveLength(first.strays.length + second.strays.length);
  expect(both.bleedFor99).toBeCloseTo(Math.max(first.bleedFor99, second.bleedFor99), 1);
});

test('the smallest gap between labels is told, and how often a cut gets over it', async () => {
  const made = await exampleJob();
  const near = await compiled(
    runAll(made.job, { name: 'change-plan', args: { changes: { gap: 0.04 } } }),
    made.art,
  );
  const one = { platform: nodePlatform, seed: 3, times: 20, sheet: 0 };
  const done = await rehearseSheet(near.compiled, { ...one, resources: near.resources });
  if (!done.ok) throw new Error(done.problem.code);
  const { gap = NaN, outs } = done.value;
  expect(gap).toBeCloseTo(0.04, 2);
  // As many values as cuts, one after the other, and the nearer the neighbour the more get into it.
  expect(outs).toHaveLength(20 * sheetOf(near.compiled).copies.length);
  expect(chanceBeyond(outs, 0)).toBeGreaterThan(0.5);
  expect(chanceBeyond(outs, gap)).toBeLessThan(chanceBeyond(outs, 0.001));
  expect(chanceBeyond(outs, 4)).toBe(0);
});

test('marks that are not there stop every rehearsal, and nothing is said to be cut', async () => {
  const blank = {
    ...picture,
    image: { ...picture.image, data: new Uint8ClampedArray(picture.image.data.length).fill(250) },
  };
  const done = await rehearse(sheetOf(job), blank, { times: 3, seed: 1 });
  expect([done.refused, done.strays.length]).toEqual([3, 0]);
});

test('by strays of known lengths: the bleed for a share of labels, and the chance with a bleed', () => {
  const strays = Float32Array.from({ length: 100 }, (_, at) => (at + 1) / 100);
  expect(strayFor(strays, 0.99)).toBeCloseTo(0.99, 5);
  expect(chanceBeyond(strays, 0.895)).toBeCloseTo(0.11, 5);
  expect(chanceBeyond(strays, 2)).toBe(0);
  expect(chanceBeyond(strays, -1)).toBe(1);
  expect(chanceBeyond(new Float32Array(), 1)).toBe(0);
});
