import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asThing, changeThing, writePeel, type Job } from '../core/job/index.ts';
import { SHIPPED_MATERIALS, type Material } from '../core/stock/index.ts';
import { exampleJob, runAll } from '../core/testing/example-job.ts';
import { usualThing } from '../core/things/index.ts';
import { check } from './commands/check.ts';
import { exportCommand } from './commands/export.ts';
import { run } from './commands/run.ts';
import { plainReader } from './reader.ts';

const KRAFT_PAPER = SHIPPED_MATERIALS.find(({ id }) => id === 'kraft-paper') as Material;
const folder = mkdtempSync(join(tmpdir(), 'peel-groups-'));
const [setFile, singleFile, lidFile] = ['set', 'single', 'lid'].map((name) =>
  join(folder, `${name}.peel`),
) as [string, string, string];

interface Stated {
  readonly sheets: readonly Record<string, unknown>[];
}
interface Document {
  readonly findings: readonly { readonly group?: string; readonly code: string }[];
  readonly files: readonly { readonly name: string }[];
  readonly sheets: readonly { readonly group?: string; readonly copies: readonly object[] }[];
}
let set: Job;

beforeAll(async () => {
  const { job, art } = await exampleJob();
  const made = runAll(
    job,
    { name: 'want', args: { piece: 'piece-1', count: 2 } },
    { name: 'add-thing', args: { name: 'Gift tag', first: 'Lid', thing: usualThing('tag') } },
    { name: 'want-sets', args: { count: 2 } },
  );
  const kraft = changeThing(made, 'thing-2', {
    name: 'choose-material',
    args: { material: KRAFT_PAPER },
  });
  set = kraft as Job;
  writeFileSync(setFile, writePeel({ job: set, art }));
  writeFileSync(singleFile, writePeel({ job, art }));
  writeFileSync(lidFile, writePeel({ job: asThing(set, 'thing-1'), art }));
});

const into = (name: string): string => join(folder, name);
const stated = (out: string, name: string): Stated =>
  JSON.parse(readFileSync(join(into(out), name), 'utf8')) as Stated;
const documentOf = ({ document }: { readonly document?: unknown }): Document =>
  document as Document;

test('files of a set are named by its things, and one statement names all groups in order', async () => {
  await exportCommand.run([setFile, '--out', into('all')], plainReader);
  expect(readdirSync(into('all')).sort()).toEqual(
    [
      ...['dxf', 'hpgl', 'svg'].map((end) => `pot-lid-seals-gift-tag-1.${end}`),
      'pot-lid-seals-gift-tag.pdf',
      ...['dxf', 'hpgl', 'svg'].map((end) => `pot-lid-seals-lid-1.${end}`),
      'pot-lid-seals-lid.pdf',
      'pot-lid-seals.json',
    ].sort(),
  );
  const { sheets } = stated('all', 'pot-lid-seals.json');
  expect(
    sheets.map(({ group, thing, stock, material }) => [group, thing, stock, material]),
  ).toEqual([
    ['Lid', 'lid', set.stock.name, set.material.name],
    ['Gift tag', 'tag', set.stock.name, KRAFT_PAPER.name],
  ]);
  expect(sheets.map(({ files }) => (files as { pdf: string }).pdf)).toEqual([
    'pot-lid-seals-lid.pdf',
    'pot-lid-seals-gift-tag.pdf',
  ]);
});

test('one group is written alone, the same to the byte as a job of that thing; others are named', async () => {
  await exportCommand.run([setFile, '--out', into('tag'), '--group', 'gift TAG'], plainReader);
  expect(stated('tag', 'pot-lid-seals.json').sheets).toHaveLength(1);
  await exportCommand.run([setFile, '--out', into('lid'), '--group', 'lid'], plainReader);
  await exportCommand.run([lidFile, '--out', into('alone')], plainReader);
  for (const end of ['.pdf', '-1.svg', '-1.dxf', '-1.hpgl'])
    expect(readFileSync(join(into('lid'), `pot-lid-seals-lid${end}`))).toEqual(
      readFileSync(join(into('alone'), `pot-lid-seals${end}`)),
    );
  await expect(
    exportCommand.run([setFile, '--out', into('no'), '--group', 'Box'], plainReader),
  ).rejects.toThrow('--group: there is no “Box” in this job. Accepted: Lid, Gift tag.');
});

test('a job of one thing is written as ever: nothing speaks of groups', async () => {
  await exportCommand.run([singleFile, '--out', into('single')], plainReader);
  const text = readFileSync(join(into('single'), 'pot-lid-seals.json'), 'utf8');
  expect(text).not.toContain('"group"');
  const found = documentOf(await check.run([singleFile], plainReader)).findings;
  expect(found.every((one) => !('group' in one))).toBe(true);
});

test('findings name their group, and a run takes the groups in turn or one of them', async () => {
  const found = documentOf(await check.run([setFile], plainReader)).findings;
  expect(found.length).toBeGreaterThan(0);
  expect(found.every(({ group }) => group === 'Lid' || group === 'Gift tag')).toBe(true);
  const accept = ['--accept', found.map(({ code }) => code).join(',')];
  const done = await run.run([setFile, '--out', into('run'), ...accept], plainReader);
  expect(documentOf(done).sheets.map(({ group, copies }) => [group, copies.length])).toEqual([
    ['Lid', 2],
    ['Gift tag', 2],
  ]);
  expect(readdirSync(into('run'))).toEqual(
    expect.arrayContaining(['pot-lid-seals-lid.pdf', 'pot-lid-seals-gift-tag-1-cut.png']),
  );
  const one = await run.run(
    [setFile, '--out', into('run-one'), '--group', 'Gift tag', ...accept],
    plainReader,
  );
  expect(documentOf(one).sheets).toHaveLength(1);
});

test('nothing of a set is sent while one of its things may not be', async () => {
  const broken = changeThing(set, 'thing-2', {
    name: 'want',
    args: { piece: 'piece-1', count: 0 },
  }) as Job;
  const { art } = await exampleJob();
  const file = join(folder, 'broken.peel');
  writeFileSync(file, writePeel({ job: broken, art }));
  const done = await run.run([file, '--out', into('broken')], plainReader);
  expect(done.exit).toBe(1);
  expect(done.text).toContain('Not run.');
});

test('things that share sheets are one group, found by its name and by that of each of them', async () => {
  const { job, art } = await exampleJob();
  const together = runAll(
    job,
    { name: 'want', args: { piece: 'piece-1', count: 2 } },
    { name: 'add-thing', args: { name: 'Gift tag', first: 'Lid', thing: usualThing('tag') } },
    { name: 'want-sets', args: { count: 2 } },
    { name: 'share-sheets', args: { thing: 'thing-2', on: 'thing-1' } },
  );
  const file = into('together.peel');
  writeFileSync(file, writePeel({ job: together, art }));
  for (const [at, name] of ['lid + gift tag', 'gift tag'].entries()) {
    await exportCommand.run([file, '--out', into(`shared-${at}`), '--group', name], plainReader);
    const { sheets } = stated(`shared-${at}`, 'pot-lid-seals.json');
    expect(sheets.map(({ group }) => group)).toEqual(['Lid + Gift tag']);
    expect(readdirSync(into(`shared-${at}`))).toContain('pot-lid-seals-lid-gift-tag.pdf');
  }
});
