import fc from 'fast-check';
import { changedAt, seededRandom } from '../base/index.ts';
import type { PieceElement } from '../piece/index.ts';
import { exampleJob, exampleWords } from '../testing/example-job.ts';
import { leftOutTexts } from '../../messages/index.ts';
import { createJob, mendJob, parseJob, runCommand, type Job } from './index.ts';

type Plain = Record<string, unknown>;
const plainly = (job: Job): Plain => JSON.parse(JSON.stringify(job)) as Plain;
const broken = (job: Job, path: (string | number)[], value: unknown): Plain =>
  changedAt(plainly(job), path, () => value) as Plain;
const mended = (document: unknown): { job: Job; leftOut: readonly string[] } => {
  const read = mendJob(document);
  if (!read.ok) throw new Error(read.problem.code);
  return { job: read.value.job, leftOut: leftOutTexts(read.value.leftOut) };
};

test('a whole job is read as it is, and nothing is said', async () => {
  const { job } = await exampleJob();
  expect(mended(plainly(job))).toEqual({ job, leftOut: [] });
});

test('a number beyond its limits stands at the limit, and is named', async () => {
  const { job } = await exampleJob();
  const document = broken(job, ['pieces', 0, 'elements', 2, 'size'], 0.01);
  expect(parseJob(document).ok).toBe(false);
  const made = mended(document);
  expect(made.job.pieces[0]?.elements[2]).toMatchObject({ text: 'Sea Holly', size: 0.5 });
  expect(made.leftOut).toEqual(['“Label”, words “Sea Holly”, size']);
});

test('an element that cannot be read goes alone', async () => {
  const { job } = await exampleJob();
  const made = mended(broken(job, ['pieces', 0, 'elements', 1, 'width'], 'wide'));
  expect(made.job.pieces[0]?.elements.map(({ id }) => id)).toEqual([
    'plate-1',
    'words-1',
    'words-2',
  ]);
  expect(made.leftOut).toHaveLength(1);
});

test('a field that need not be there goes alone', async () => {
  const { job } = await exampleJob();
  const made = mended(broken(job, ['pieces', 0, 'elements', 2, 'opacity'], 'thin'));
  expect(made.job.pieces[0]?.elements[2]).toEqual(job.pieces[0]?.elements[2]);
});

test('too many of something are cut, doubled ids get one of their own', async () => {
  const { job } = await exampleJob();
  const [first] = job.pieces[0]?.elements ?? [];
  const many = mended(broken(job, ['pieces', 0, 'elements'], Array(520).fill(first)));
  expect(many.job.pieces[0]?.elements).toHaveLength(500);
  const twice = mended(broken(job, ['pieces', 0, 'elements'], [first, first]));
  expect(twice.job.pieces[0]?.elements).toMatchObject([{ id: 'plate-1' }, { id: 'mended-1' }]);
});

test('a piece that holds itself holds nothing of it any more', async () => {
  const { job } = await exampleJob();
  const own = {
    kind: 'piece',
    piece: 'piece-1',
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    width: 5,
    height: 5,
  };
  const parts = ['a', 'b', 'c'].map((id) => ({ ...own, id }));
  const document = broken(job, ['pieces', 0, 'elements'], parts);
  expect(mended(document).job.pieces[0]?.elements).toEqual([]);
  expect(mended(document).leftOut).toEqual(['“Label”, piece (3)']);
  const read = parseJob(document);
  expect(read.ok && read.value.pieces[0]?.elements).toEqual([]);
});

test('whatever is damaged in it, a job of this version opens', async () => {
  const { job } = await exampleJob();
  const values = fc.constantFrom(
    null,
    'x',
    '',
    -1,
    1e9,
    NaN,
    [],
    {},
    [null],
    'y'.repeat(9000),
    true,
  );
  const paths: (string | number)[][] = [];
  const walk = (value: unknown, path: (string | number)[]): void => {
    if (path.length) paths.push(path);
    if (typeof value === 'object' && value !== null)
      for (const [key, inner] of Object.entries(value))
        walk(inner, [...path, Array.isArray(value) ? Number(key) : key]);
  };
  walk(plainly(job), []);
  const some = fc.constantFrom(...paths.filter(([key]) => key !== 'version'));
  fc.assert(
    fc.property(fc.array(fc.tuple(some, values), { minLength: 1, maxLength: 4 }), (damages) => {
      const document = damages.reduce<unknown>(
        (now, [path, value]) => changedAt(now, path, () => value),
        plainly(job),
      );
      const made = mended(document);
      return parseJob(plainly(made.job)).ok && (made.leftOut.length > 0 || parseJob(document).ok);
    }),
    { numRuns: 60, seed: 3 },
  );
});

test('what is no job, or a later one, is told', () => {
  expect(mendJob(null)).toMatchObject({ ok: false, problem: { code: 'job/unread' } });
  const later = { ...createJob('lid', { id: 'a', today: '2026-01-01' }), version: 999 };
  expect(mendJob(later)).toMatchObject({ ok: false, problem: { code: 'job/newer' } });
});

test('a tangled outline, or more letters than can be drawn, is refused and left out where it is read', async () => {
  const { job } = await exampleJob();
  const random = seededRandom(5);
  const tangle = Array.from({ length: 9999 }, () => ({
    x: random.next() * 90,
    y: random.next() * 90,
  }));
  const plate = {
    ...job.pieces[0]?.elements[0],
    id: 'tangle',
    shape: { kind: 'outline', rings: [tangle] },
  } as PieceElement;
  const before = performance.now();
  const refused = runCommand(job, {
    name: 'add-element',
    args: { piece: 'piece-1', element: plate },
  });
  expect(refused).toMatchObject({ code: 'job/invalid' });
  const words = exampleWords({
    text: 'moss '.repeat(999),
    repeat: { kind: 'line', times: 120, dx: 1, dy: 0 },
  });
  const many = runCommand(job, { name: 'add-element', args: { piece: 'piece-1', element: words } });
  expect(many).toMatchObject({ code: 'job/refused' });
  const document = broken(
    job,
    ['pieces', 0, 'elements'],
    [plate, { ...words, id: 'many' }, job.pieces[0]?.elements[2]],
  );
  const made = mended(document);
  expect(made.job.pieces[0]?.elements.map(({ id }) => id)).toEqual(['words-1']);
  expect(performance.now() - before).toBeLessThan(60_000);
});
