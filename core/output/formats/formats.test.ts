import { compileJob, createJob, type Job } from '../../job/index.ts';
import { createCompiler } from '../../piece/index.ts';
import { compiled, exampleWords, runAll } from '../../testing/example-job.ts';
import { nodePlatform } from '../../testing/node-platform.ts';
import { exportFiles, FORMATS, type ExportChoices, type Format, type MadeFile } from '../index.ts';
import { say } from '../../../messages/index.ts';
import { FORMAT_WRITERS } from './index.ts';

/** Two pieces with hostile names on two sheets, the first of them with words on its back. */
function twoSheets(): Job {
  const job = runAll(
    createJob('tag', { id: 'tags', today: '2026-04-18' }),
    { name: 'copy-piece', args: { piece: 'piece-1', name: '..' } },
    { name: 'change-piece', args: { piece: 'piece-1', changes: { name: '../Täg / №1.svg' } } },
    { name: 'add-element', args: { piece: 'piece-1', element: exampleWords({ text: '{name}' }) } },
    { name: 'add-back', args: { piece: 'piece-1' } },
  );
  return { ...job, name: '../../Sea Holly: “tags” & more' };
}

const job = twoSheets();
const perSheet = async (): Promise<number> => {
  const made = await compiled(
    { ...job, plan: { ...job.plan, wanted: { 'piece-1': 400 } } },
    new Map(),
  );
  return made.compiled.layout.perSheet;
};
const full = await perSheet();
const many: Job = { ...job, plan: { ...job.plan, wanted: { 'piece-1': full, 'piece-2': full } } };
const { resources } = await compiled(many, new Map());
const whole = compileJob(many, createCompiler(resources));

const written = (
  formats: readonly Format[],
  choices: Partial<ExportChoices> = {},
): Promise<MadeFile[]> =>
  exportFiles(whole, {
    say,
    platform: nodePlatform,
    resources,
    formats,
    choices: { dpi: 30, approvalPictures: true, ...choices },
    artBytes: () => Promise.resolve(undefined),
  });

const named = (files: readonly MadeFile[]): string[] => files.map(({ name }) => name);

test('every format is in the table, and each says what it is written for', () => {
  expect(FORMATS).toHaveLength(12);
  const of = (scope: string): Format[] =>
    FORMATS.filter((format) => FORMAT_WRITERS[format].scope === scope);
  expect(of('all')).toEqual(['peel', 'json']);
  expect(of('job')).toEqual(['pdf', 'form', 'artwork', 'approval', 'contact']);
  expect(of('sheet')).toEqual(['svg', 'dxf', 'hpgl']);
  expect(of('page')).toEqual(['png', 'jpeg']);
});

test.each([
  [undefined, undefined],
  [[0], undefined],
  [[1], 'front'],
  [[1, 0], 'back'],
] as const)('sheets %j, side %s: names are safe and no two are alike', async (sheets, side) => {
  const files = await written(FORMATS, {
    ...(sheets ? { sheets } : {}),
    ...(side ? { side } : {}),
  });
  expect(new Set(files.map(({ format }) => format)).size).toBe(FORMATS.length);
  for (const name of named(files)) expect(name).toMatch(/^[a-z0-9][a-z0-9-]*\.[a-z]{3,4}$/);
  expect(new Set(named(files)).size).toBe(files.length);
  expect(files.every(({ bytes }) => bytes.length > 0)).toBe(true);
});

test('cut lines come once a sheet, pictures once a side', async () => {
  expect(whole.sheets).toHaveLength(2);
  expect(whole.backs.map((back) => back !== undefined)).toEqual([true, false]);
  const files = await written(['svg', 'png']);
  expect(named(files)).toEqual([
    'sea-holly-tags-more-1.svg',
    'sea-holly-tags-more-1.png',
    'sea-holly-tags-more-1-back.png',
    'sea-holly-tags-more-2.svg',
    'sea-holly-tags-more-2.png',
  ]);
  expect(named(await written(['svg'], { sheets: [1] }))).toEqual(['sea-holly-tags-more-1.svg']);
});

test('a format alone gives the very files that it gives among all', async () => {
  const all = await written(FORMATS);
  for (const format of FORMATS) {
    const alone = await written([format]);
    expect(alone.length).toBeGreaterThan(0);
    expect(alone).toEqual(all.filter((file) => file.format === format));
  }
});

test('the job itself is left out where its art cannot be had', async () => {
  const files = await exportFiles(whole, {
    say,
    platform: nodePlatform,
    resources,
    formats: ['peel'],
  });
  expect(files).toEqual([]);
});
