import { isProblem } from '../core/base/index.ts';
import { allFindings } from '../core/proof/index.ts';
import {
  artOfJob,
  compileJob,
  eachThing,
  loadResources,
  parseJob,
  parsePeel,
  runCommand,
  writePeel,
  type CommandCall,
  type JobWithArt,
} from '../core/job/index.ts';
import { createCompiler, elementSize } from '../core/piece/index.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { boxesMeet, flatten, grown, mapRing, placed } from '../core/geometry/index.ts';
import { shapePath } from '../core/shape/index.ts';
import { findLayoutViolations } from '../core/packing/index.ts';
import { arrange, copyCount } from '../core/sheet/index.ts';
import { keepClear, printable } from '../core/stock/index.ts';
import { usualThing, type MeasuredThing } from '../core/things/index.ts';
import { demoJobs } from './index.ts';

let jobs: JobWithArt[];
/** Each thing of them as a job of its own. */
let things: JobWithArt[];
beforeAll(async () => {
  jobs = await demoJobs(nodePlatform);
  things = jobs.flatMap(({ job, art }) => eachThing(job).map((one) => ({ job: one.job, art })));
});

const compiledOf = async ({ job, art }: JobWithArt) => {
  const resources = await loadResources(nodePlatform, job, (id) => Promise.resolve(art.get(id)));
  return { compiled: compileJob(job, createCompiler(resources)), resources };
};

test('the shelf begins with thirteen jobs of different kinds of thing and edge', () => {
  expect(jobs.map(({ job }) => job.name)).toEqual([
    'Balm tins',
    'Pot-lid seals',
    'Seed packet fronts',
    'Peat-free dots',
    'Basil pot wrap',
    'Bulb box bands',
    'Woodland stickers',
    'Plant tags',
    'Tea caddies',
    'Hedgerow stickers',
    'Seed packets',
    'Packet backs',
    'Windowsill stickers',
  ]);
  expect(jobs.map(({ job }) => job.thing.kind)).toEqual([
    'lid',
    'lid',
    'face',
    'label-sheet',
    'taper',
    'band',
    'own',
    'tag',
    'lid',
    'own',
    'face',
    'face',
    'own',
  ]);
  expect(jobs.map(({ job }) => job.pieces[0]?.edge.kind)).toEqual([
    'circle',
    'circle',
    'rectangle',
    'circle',
    'arc',
    'rectangle',
    'outline',
    'tag',
    'circle',
    'rectangle',
    'rectangle',
    'rectangle',
    'outline',
  ]);
  expect(jobs[1]?.job.pieces).toHaveLength(4);
  expect(jobs.map(({ job }) => eachThing(job).length)).toEqual([4, ...Array(12).fill(1)]);
});

test.each([
  ['demo-woodland-stickers', 36],
  ['demo-windowsill-stickers', 27],
])(
  'the copies of %s lie into each other, none nearer than the gap, by exact distances',
  (id, count) => {
    const job = jobs.find((one) => one.job.id === id)?.job;
    if (!job) throw new Error('no stickers');
    const { sheets } = arrange(job);
    expect(sheets.map(({ placements }) => placements.length)).toEqual([count]);
    const rings = (sheets[0]?.placements ?? []).map(({ piece, x, y, angle }) => {
      const edge = job.pieces.find(({ id }) => id === piece)?.edge;
      const [ring] = edge ? flatten(shapePath(edge)) : [];
      return mapRing(ring ?? [], placed(x, y, angle));
    });
    const room = { area: printable(job.stock), taken: keepClear(job.stock, job.plan.marks) };
    expect(findLayoutViolations(rings, { ...room, gap: job.plan.gap })).toEqual({
      outside: [],
      onTaken: [],
      near: [],
    });
  },
);

test('they are finished: nothing is missing and the proof has nothing to mend', async () => {
  for (const one of things) {
    const { compiled, resources } = await compiledOf(one);
    expect([...compiled.pieces.values()].flatMap(({ needs }) => needs)).toEqual([]);
    const findings = await allFindings(compiled, { platform: nodePlatform, resources });
    const open = findings.filter(
      ({ severity, accepted }) => severity !== 'note' && accepted === undefined,
    );
    expect([one.job.name, ...open]).toEqual([one.job.name]);
  }
});

test('measured anew, as small or as large as can be, each is a job that is read again', () => {
  const read: boolean[] = [];
  for (const { job } of jobs) {
    const piece = job.pieces[0]?.id ?? '';
    const measured = [
      { ...usualThing('lid'), size: 14 },
      { ...usualThing('face'), width: 20, height: 14 },
      { ...usualThing('own'), width: 6, height: 6 },
      { ...usualThing('own'), width: 1900, height: 1900 },
    ] as MeasuredThing[];
    const calls: CommandCall[] = [
      { name: 'scale-pieces', args: { pieces: [piece], scale: 5 } },
      { name: 'scale-pieces', args: { pieces: [piece], scale: 0.03 } },
      { name: 'size-edge', args: { piece, width: 10 } },
      ...measured.map((thing): CommandCall => ({ name: 'measure-thing', args: { thing } })),
    ];
    // Edges that are built take their time: a few measures stand for all.
    for (const call of calls.slice(0, job.pieces.some(({ build }) => build) ? 3 : undefined)) {
      const made = runCommand(job, call);
      read.push(!isProblem(made) && parseJob(JSON.parse(JSON.stringify(made))).ok);
    }
  }
  expect(read).toEqual(Array(79).fill(true));
});

test('all art in them is named by a piece, and all that is named is there', () => {
  for (const { job, art } of jobs) {
    // What a picture was made from comes along as well.
    const origins = Object.values(job.art).flatMap(({ made }) => made?.from ?? []);
    const named = [...artOfJob(job), ...origins];
    expect([...named].sort()).toEqual(Object.keys(job.art).sort());
    expect([...named].sort()).toEqual([...art.keys()].sort());
  }
});

test('words keep inside their piece: no box stands off the edge', async () => {
  for (const one of things) {
    const { compiled } = await compiledOf(one);
    for (const piece of compiled.pieces.values()) {
      for (const { element } of piece.elements.filter(
        ({ element: { kind } }) => kind === 'words',
      )) {
        const size = elementSize(element);
        const lying = element.angle % 180 !== 0;
        const [width, height] = lying ? [size.height, size.width] : [size.width, size.height];
        if (element.kind === 'words' && element.path.kind === 'circle') continue;
        expect(Math.abs(element.x) + width / 2).toBeLessThanOrEqual(piece.width / 2);
        expect(Math.abs(element.y) + height / 2).toBeLessThanOrEqual(piece.height / 2);
      }
    }
  }
});

test('they are the same at every build and survive a trip through a file', async () => {
  const again = await demoJobs(nodePlatform);
  for (const [index, one] of jobs.entries()) {
    const bytes = writePeel(one);
    const other = again[index];
    expect(other && writePeel(other)).toEqual(bytes);
    const read = parsePeel(bytes, 'demo.peel');
    expect(read.ok && read.value.job).toEqual(one.job);
  }
});

test('no bleed is cut off by a mark where the sheet has room', async () => {
  const backs = jobs.find(({ job: { id } }) => id === 'demo-packet-backs') as JobWithArt;
  const { compiled } = await compiledOf(backs);
  expect(compiled.sheets).toHaveLength(1);
  const [sheet] = compiled.sheets;
  expect(sheet?.copies).toHaveLength(6);
  const zones = keepClear(backs.job.stock, backs.job.plan.marks);
  expect(zones).toHaveLength(4);
  for (const copy of sheet?.copies ?? []) {
    expect(copy.bleed).toBe(2);
    expect(zones.some((zone) => boxesMeet(grown(copy.box, copy.bleed), zone, 0.01))).toBe(false);
  }
});

test('no copy wanted is left without a place', async () => {
  for (const one of things) {
    const { compiled } = await compiledOf(one);
    const wanted = one.job.pieces.reduce((sum, { id }) => sum + copyCount(one.job, id), 0);
    const placed = compiled.layout.sheets.reduce(
      (sum, { placements }) => sum + placements.length,
      0,
    );
    expect([one.job.name, placed]).toEqual([one.job.name, wanted]);
  }
});
