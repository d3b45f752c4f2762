import { compiled, exampleWords, plainPng, runAll } from '../testing/example-job.ts';
import { readArt } from '../art/index.ts';
import { expectOk } from '../base/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { createJob, type CommandCall, type Job } from '../job/index.ts';
import { elementSize } from '../piece/index.ts';
import { findLegibility } from './index.ts';

const PIECE = 'piece-1';
const plain = (...calls: CommandCall[]): Job =>
  runAll(
    createJob('lid', { id: 'j', today: '2026-04-18' }),
    { name: 'change-piece', args: { piece: PIECE, changes: { ground: '#f4e9d4' } } },
    ...calls,
  );
const words = (changes: Parameters<typeof exampleWords>[0]): CommandCall => ({
  name: 'add-element',
  args: { piece: PIECE, element: exampleWords(changes) },
});

async function legibilityOf(job: Job): ReturnType<typeof findLegibility> {
  const made = await compiled(job, new Map());
  const where = { piece: PIECE, element: 'words-1' };
  return findLegibility(made.compiled, where, {
    platform: nodePlatform,
    resources: made.resources,
  });
}

test('words that are read well have no ways to mend; size and distance to the edge are told', async () => {
  const found = await legibilityOf(plain(words({ text: 'HHH', y: 0 })));
  expect(found?.ways).toEqual([]);
  expect(found?.ratio).toBeGreaterThan(9);
  expect(found?.size).toBe(14);
  // The disc has a radius of 29 mm; half of three capitals of 14 pt is some 8 mm.
  expect(found?.toEdge).toBeGreaterThan(20);
  expect(found?.toEdge).toBeLessThan(23);
});

test('pale words on a busy pattern are offered a plate, an outline and a calmer ground, each measured', async () => {
  const ground = {
    kind: 'pattern' as const,
    pattern: 'stripes' as const,
    ground: '#f4e9d4',
    inks: ['#2a1b2e'],
    scale: 0.5,
    angle: 0,
  };
  const job = plain(
    { name: 'change-piece', args: { piece: PIECE, changes: { ground } } },
    words({ color: '#2a1b2e', y: 0 }),
  );
  const found = await legibilityOf(job);
  expect(found?.ratio).toBeLessThan(1.5);
  expect(found?.ways.map(({ code }) => code)).toEqual([
    'put-plate-behind',
    'outline-letters',
    'calm-ground',
  ]);
  for (const { ratio } of found?.ways ?? []) expect(ratio).toBeGreaterThan(found?.ratio ?? 99);
  expect(found?.ways[0]?.ratio).toBeGreaterThan(4.5);
  expect(found?.ways[1]?.ratio).toBeGreaterThan(4.5);
});

test('the plate is a ribbon in the outline of the words: no wider than they and a little more', async () => {
  const job = plain(
    { name: 'change-piece', args: { piece: PIECE, changes: { ground: '#777777' } } },
    words({ text: 'HHH', color: '#6f6f6f', y: 0 }),
  );
  const [way] = (await legibilityOf(job))?.ways ?? [];
  const args = way?.call.name === 'add-element' ? way.call.args : undefined;
  const element = args?.element;
  if (element?.kind !== 'plate') throw new Error('no plate');
  const { width } = elementSize(element);
  const made = await compiled(job, new Map());
  const ink = made.compiled.pieces.get(PIECE)?.elements[0]?.compiled.words?.ink;
  const wide = (ink?.right ?? 0) - (ink?.left ?? 0);
  expect(width).toBeGreaterThan(wide + 1.5);
  expect(width).toBeLessThan(wide + 3.2);
});

test('pale letters with a dark outline are read by the outline', async () => {
  const job = plain(
    words({ color: '#f4e9d4', y: 0, outlines: [{ color: '#2a1b2e', width: 0.4 }] }),
  );
  expect((await legibilityOf(job))?.ratio).toBeGreaterThan(9);
});

test('words over a photograph far finer than print are measured against its true colour', async () => {
  const png = plainPng(2400, [0x76, 0x76, 0x76]);
  const { art, bytes } = expectOk(await readArt(nodePlatform, png, 'grey.png'));
  const picture = { kind: 'picture' as const, art: art.id, fit: 'cover' as const };
  const place = { id: '', x: 0, y: 0, angle: 0, locked: false, width: 60, height: 60 };
  const job = plain(
    { name: 'add-element', args: { piece: PIECE, element: { ...place, ...picture }, art } },
    words({ text: 'HHH', color: '#ffffff', y: 0 }),
  );
  const made = await compiled(job, new Map([[art.id, bytes]]));
  const where = { piece: PIECE, element: 'words-1' };
  const { resources } = made;
  const found = await findLegibility(made.compiled, where, { platform: nodePlatform, resources });
  expect(found?.ratio).toBeCloseTo(4.54, 1); // WCAG 2.2: white on #767676
});
