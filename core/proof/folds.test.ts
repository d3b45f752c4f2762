import type { CommandCall } from '../job/index.ts';
import { compiled, examplePicture } from '../testing/example-job.ts';
import { PIECE, plain } from '../testing/proof-jobs.ts';
import { trySize, usualThing, type Thing } from '../things/index.ts';
import { quickFindings } from './index.ts';

const WIDTH = 20;

/** What is found of a picture of 20 mm whose right end is at x on the label of a thing. */
async function codesOf(thing: Thing, x: number): Promise<string[]> {
  const picture: CommandCall = {
    name: 'add-element',
    args: {
      piece: PIECE,
      element: examplePicture('a'.repeat(64), { x: x - WIDTH / 2, width: WIDTH, height: 10 }),
      art: {
        ...{ kind: 'vector', id: 'a'.repeat(64), name: 'Sedge', tags: [] },
        ...{ width: WIDTH, height: 10 },
      },
    },
  };
  const job = plain({ name: 'measure-thing', args: { thing } }, picture);
  return quickFindings((await compiled(job, new Map())).compiled).map(({ code }) => code);
}

/** Where the folds of a band stand, from left to right. */
function foldsOf(thing: Parameters<typeof trySize>[0]): number[] {
  const size = trySize(thing);
  if (!size.ok) throw new Error(size.problem.code);
  return size.value.folds.flatMap(([from]) => (from ? [from.x] : [])).sort((a, b) => a - b);
}

test.each([
  [0, false],
  [0.25, false],
  [0.35, true],
  [WIDTH - 0.35, true],
  [WIDTH - 0.25, false],
  [WIDTH, false],
])('a picture that reaches %f mm over a fold: told %s', async (over, told) => {
  const band = usualThing('band', { width: 60, depth: 60 });
  const [, fold = NaN] = foldsOf(band);
  expect((await codesOf(band, fold + over)).includes('across-fold')).toBe(told);
});

test.each([
  [0.25, false],
  [0.35, true],
  [8, true],
])('a picture that reaches %f mm into the overlap of a wrap: told %s', async (into, told) => {
  const wrap = usualThing('wrap', { size: 60, overlap: 8 });
  // The label is as long as the way around and the overlap together, and lies about its middle.
  const overlapFrom = (Math.PI * wrap.size + wrap.overlap) / 2 - wrap.overlap;
  expect((await codesOf(wrap, overlapFrom + into)).includes('in-overlap')).toBe(told);
});
