import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { alikeSheets, createJob, type CommandCall, type Job } from './index.ts';

/** Seals of 58 mm, 15 on each sheet of A4, with words. */
const seals = (count: number, text: string, ...more: CommandCall[]): Job =>
  runAll(
    createJob('lid', { id: 'seals', today: '2026-04-18' }),
    { name: 'add-element', args: { piece: 'piece-1', element: exampleWords({ text }) } },
    { name: 'want', args: { piece: 'piece-1', count } },
    ...more,
  );
const groupsOf = async (job: Job) => {
  const { compiled: made } = await compiled(job, new Map());
  return { sizes: made.sheets.map(({ copies }) => copies.length), alike: alikeSheets(made) };
};

test('full sheets of one label are alike, a last one with fewer is another', async () => {
  const { sizes, alike } = await groupsOf(seals(40, 'Sea Holly'));
  const [full = 0, ...others] = sizes;
  const last = others.pop();
  expect(others.every((size) => size === full)).toBe(true);
  expect(last).toBeLessThan(full);
  expect(alike).toEqual([
    { first: 0, count: sizes.length - 1 },
    { first: sizes.length - 1, count: 1 },
  ]);
});

test('labels that are numbered, or one that differs, make a sheet of its own', async () => {
  const numbered = await groupsOf(seals(30, 'No. {#1}'));
  expect(numbered.alike).toEqual(numbered.sizes.map((_, first) => ({ first, count: 1 })));
  const other = await groupsOf(
    seals(60, 'Sea Holly', { name: 'leave-out', args: { copies: ['piece-1#1'], out: true } }),
  );
  expect(other.alike[0]).toEqual({ first: 0, count: 1 });
});
