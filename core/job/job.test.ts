import { readFileSync } from 'node:fs';
import { strToU8, zipSync } from 'fflate';
import { contentHash, isProblem } from '../base/index.ts';
import type { PieceElement } from '../piece/index.ts';
import {
  VERSION,
  afterStep,
  createJob,
  parseBackup,
  parseJob,
  parsePeel,
  redo,
  runCommand,
  startHistory,
  undo,
  writeBackup,
  writePeel,
  type CommandCall,
  type Job,
} from './index.ts';
import { usualThing } from '../things/index.ts';
import { commandText, problemText } from '../../messages/index.ts';

const given = { id: 'job-1', today: '2026-04-18' };
const lid = (): Job => createJob('lid', given);
const run = (job: Job, ...calls: CommandCall[]): Job =>
  calls.reduce((now, call) => {
    const done = runCommand(now, call);
    if (isProblem(done)) throw new Error(done.code);
    return done;
  }, job);
const WORDS: PieceElement = {
  id: '',
  kind: 'words',
  x: 2,
  y: 10,
  angle: 0,
  locked: false,
  text: 'Sea Holly',
  typeface: 'fraunces-semibold',
  size: 12,
  tracking: 0,
  leading: 1.2,
  align: 'centre',
  fit: 'shrink',
  least: 6,
  path: { kind: 'straight' },
  color: '#44203d',
  width: 30,
  height: 8,
};
/** A document of an earlier version in which only what carriers are called has changed since. */
const asNow = (old: Job): unknown => {
  const { carrier, ...material } = old.material as Job['material'] & { carrier?: string };
  expect(carrier).toBe('none');
  const { moved, used, ...plan } = old.plan as Job['plan'] & { moved?: object; used?: number[] };
  return {
    ...old,
    version: VERSION,
    material: { ...material, tack: 'none' },
    plan: { ...plan, handPlaces: moved, usedLabels: used },
  };
};
const withWords = (): Job =>
  run(lid(), { name: 'add-element', args: { piece: 'piece-1', element: WORDS } });

test.each(['lid', 'face', 'label-sheet'] as const)('a new %s job is a valid job', (beginning) => {
  expect(parseJob(createJob(beginning, given)).ok).toBe(true);
});

test('measuring again scales the artwork with the label', () => {
  const job = run(withWords(), {
    name: 'measure-thing',
    args: { thing: usualThing('lid', { size: 38, clearance: 4.5 }) },
  });
  expect(job.pieces[0]?.edge).toEqual({ kind: 'circle', diameter: 29 });
  expect(job.pieces[0]?.elements[0]).toMatchObject({ x: 1, y: 5, width: 15, height: 4, size: 6 });
});

test('a refused command says why and leaves the job as it was', () => {
  const job = withWords();
  const before = JSON.stringify(job);
  const calls: CommandCall[] = [
    { name: 'rename-job', args: { name: '  ' } },
    {
      name: 'measure-thing',
      args: { thing: usualThing('lid', { size: 5, clearance: 4 }) },
    },
    { name: 'change-elements', args: { piece: 'piece-1', changes: { 'words-1': { size: -1 } } } },
    { name: 'change-plan', args: { changes: { gap: -3 } } },
    { name: 'want', args: { piece: 'piece-1', count: 1e9 } },
    { name: 'delete-piece', args: { piece: 'piece-1' } },
    { name: 'change-piece', args: { piece: 'gone', changes: {} } },
  ];
  for (const call of calls) {
    const done = runCommand(job, call);
    expect(isProblem(done) && problemText(done).remedy.length).toBeGreaterThan(5);
  }
  expect(JSON.stringify(job)).toBe(before);
});

test('elements are added, reordered, duplicated and deleted; locked ones stay', () => {
  let job = run(withWords(), {
    name: 'duplicate-elements',
    args: { piece: 'piece-1', elements: ['words-1'] },
  });
  expect(job.pieces[0]?.elements.map(({ id, x }) => [id, x])).toEqual([
    ['words-1', 2],
    ['words-2', 5],
  ]);
  job = run(job, {
    name: 'reorder-element',
    args: { piece: 'piece-1', element: 'words-2', to: 0 },
  });
  expect(job.pieces[0]?.elements.map(({ id }) => id)).toEqual(['words-2', 'words-1']);
  job = run(
    job,
    {
      name: 'change-elements',
      args: { piece: 'piece-1', changes: { 'words-1': { locked: true } } },
    },
    { name: 'delete-elements', args: { piece: 'piece-1', elements: ['words-1', 'words-2'] } },
  );
  expect(job.pieces[0]?.elements.map(({ id }) => id)).toEqual(['words-1']);
});

test('a die-cut sheet brings its shape to a job that starts from it, and its spots to any', () => {
  const sheet = createJob('label-sheet', given).stock;
  const job = run(lid(), { name: 'choose-stock', args: { stock: sheet } });
  expect(job.plan).toMatchObject({ arrangement: 'spots', marks: { on: false } });
  expect(job.pieces[0]?.edge).toEqual({ kind: 'circle', diameter: 58 });
});

test('a variety is a copy with its own number wanted', () => {
  const job = run(
    withWords(),
    { name: 'copy-piece', args: { piece: 'piece-1', name: 'Borage' } },
    { name: 'want', args: { piece: 'piece-2', count: 7 } },
  );
  expect(job.plan.wanted).toEqual({ 'piece-1': 12, 'piece-2': 7 });
  expect(run(job, { name: 'delete-piece', args: { piece: 'piece-1' } }).plan.wanted).toEqual({
    'piece-2': 7,
  });
});

test('undo and redo walk through labelled steps; taps of one key are one step', () => {
  const [a, b, c] = [
    lid(),
    withWords(),
    run(withWords(), { name: 'rename-job', args: { name: 'Seals' } }),
  ];
  let history = afterStep(startHistory(a), b, 'add words');
  history = afterStep(
    afterStep(history, c, 'nudge', 'nudge'),
    { ...c, name: 'Twice' },
    'nudge',
    'nudge',
  );
  expect(history.past.map(({ label }) => label)).toEqual(['add words', 'nudge']);
  expect(undo(history).now).toBe(b);
  expect(redo(undo(history)).now.name).toBe('Twice');
  expect(undo(undo(undo(history))).now).toBe(a);
  expect(afterStep(history, history.now, 'nothing')).toBe(history);
  expect(afterStep(undo(history), a, 'other').future).toEqual([]);
});

test('an element step is labelled with what it was done to', () => {
  const args = { piece: 'piece-1', changes: { 'words-1': { x: 0 } }, doing: 'move' };
  expect(commandText({ name: 'change-elements', args }, withWords())).toBe('move “Sea Holly”');
});

test('importing an export gives the same job and the same art; the same job gives the same bytes', () => {
  const svg = strToU8(
    '<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 10 10"><rect width="5" height="5"/></svg>',
  );
  const id = contentHash(svg);
  const job: Job = {
    ...withWords(),
    art: { [id]: { kind: 'vector', id, name: 'Leaf', tags: [], width: 3, height: 3 } },
  };
  const bytes = writePeel({ job, art: new Map([[id, svg]]) });
  const read = parsePeel(bytes, 'seals.peel');
  expect(read.ok && read.value.job).toEqual(job);
  expect(read.ok && read.value.art.get(id)).toEqual(svg);
  const shuffled = Object.fromEntries(Object.entries(job).reverse()) as Job;
  expect(writePeel({ job: shuffled, art: new Map([[id, svg]]) })).toEqual(bytes);
});

test('a job of the first version is read as one of today', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-1.json', 'utf8'));
  const read = parseJob(old);
  expect(read.ok && read.value.plan).toMatchObject({
    wanted: { 'sea-holly': 12, borage: 12 },
    handPlaces: {},
  });
  expect(read.ok && 'quantity' in read.value.plan).toBe(false);
});

test('a job of the second version has its material apart from its sheet, and marks as they were', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-2.json', 'utf8'));
  const read = parseJob(old);
  if (!read.ok) throw new Error(read.problem.code);
  const { stock, material, plan } = read.value;
  expect(stock).toMatchObject({ id: 'a4', name: 'A4', form: 'sheet', spots: null });
  expect('color' in stock).toBe(false);
  expect(material).toMatchObject({ id: 'matt-paper', color: '#ffffff', pack: null });
  expect(plan.usedLabels).toEqual([]);
  expect(plan.marks).toEqual({
    on: true,
    style: 'dot',
    size: 5,
    inset: 11,
    insetEnds: 11,
    number: 4,
    quiet: 4,
  });
});

test('a job of the fourth version keeps its creases and bands, and plain colours are still fills', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-4.json', 'utf8'));
  const read = parseJob(old);
  if (!read.ok) throw new Error(read.problem.code);
  const [piece] = read.value.pieces;
  expect(piece?.creases).toEqual([
    [
      { x: 0, y: -20 },
      { x: 0, y: 20 },
    ],
  ]);
  expect(piece?.elements.find(({ kind }) => kind === 'plate')).toMatchObject({
    fill: { color: '#c77f3a', opacity: 0.5 },
    rim: { inset: 4, to: 1.5 },
  });
  expect(read.value.version).toBe(VERSION);
});

test('a job of the fifth or sixth version keeps its sizes and what was changed on one of them', () => {
  const old = JSON.parse(readFileSync('core/job/examples/version-5.json', 'utf8')) as Job;
  const read = parseJob(old);
  if (!read.ok) throw new Error(read.problem.code);
  expect(read.value).toEqual(asNow(old));
  const sixth: unknown = JSON.parse(readFileSync('core/job/examples/version-6.json', 'utf8'));
  const later = parseJob(sixth);
  expect(later.ok && later.value.plan).toMatchObject({
    arrangement: 'best',
    wanted: old.plan.wanted,
  });
  const variants = read.value.pieces.flatMap(({ variant }) => variant ?? []);
  expect(variants.map(({ base }) => base)).toEqual(['piece-1', 'piece-1']);
  expect(variants.every(({ thing }) => thing?.kind === 'lid')).toBe(true);
});

test('a job of the seventh version keeps where its copies were nested', () => {
  const old = JSON.parse(readFileSync('core/job/examples/version-7.json', 'utf8')) as Job;
  const read = parseJob(old);
  expect(read.ok && read.value).toEqual(asNow(old));
  expect(read.ok && read.value.plan.nested?.[0]).toHaveLength(2);
});

test('rows of a list of the eighth version get keys by which their copies are known', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-8.json', 'utf8'));
  const read = parseJob(old);
  expect(read.ok && read.value.list).toEqual({
    columns: ['name', 'bed'],
    rows: [
      { key: 'r1', fields: ['Sea Holly', 'North'] },
      { key: 'r2', fields: ['Yarrow', 'Gravel'] },
    ],
  });
  expect(read.ok && read.value.plan.spares).toBe(10);
});

test('carriers of the ninth version have a tack, and slim cases no spine that nobody measured', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-9.json', 'utf8'));
  const read = parseJob(old);
  expect(read.ok && read.value.material).toMatchObject({ name: 'Card', tack: 'high' });
  expect(read.ok && read.value.thing).toMatchObject({ kind: 'case', spine: 0 });
  expect(read.ok && read.value.pieces[1]?.variant?.thing).toMatchObject({ width: 124, spine: 0 });
  const again =
    read.ok &&
    runCommand(read.value, { name: 'set-bleed', args: { pieces: ['piece-1'], bleed: 1 } });
  expect(again).toMatchObject({
    pieces: [{ edge: { width: 120 } }, { edge: { width: 124 } }],
  });
});

test('what a plan of the tenth version holds is there under the names of the eleventh', () => {
  const old = JSON.parse(readFileSync('core/job/examples/version-10.json', 'utf8')) as {
    plan: { used: number[]; only: string[]; moved: object };
  };
  const read = parseJob(old);
  const { used, only, moved } = old.plan;
  expect([used.length, only.length, Object.keys(moved).length]).toEqual([2, 2, 1]);
  expect(read.ok && read.value.plan).toMatchObject({
    usedLabels: used,
    printOnly: only,
    handPlaces: moved,
  });
  expect(read.ok && Object.keys(read.value.plan)).not.toEqual(expect.arrayContaining(['moved']));
});

test('what was accepted in the eleventh version is kept by its sentence until it is seen again', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-11.json', 'utf8'));
  const read = parseJob(old);
  expect(read.ok && Object.values(read.value.accepted ?? {})).toEqual([
    { sentence: expect.stringContaining('2.1 : 1') as string, note: 'meant so' },
    { sentence: '“Sea Holly” prints at 5.0 pt.', note: 'fine print' },
  ]);
});

test('a typeface of the twelfth version has the weight and slope that its style stood for', () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-12.json', 'utf8'));
  const read = parseJob(old);
  expect(read.ok && Object.values(read.value.typefaces ?? {})).toEqual([
    {
      ...{ id: 'ab'.repeat(32), family: 'Meadow', embedding: 'edit', licence: 'own' },
      ...{ weight: 700, width: 100, italic: true },
    },
  ]);
});

test('newer, damaged and foreign files are each refused in a sentence', () => {
  const refused = (bytes: Uint8Array): string | false => {
    const read = parsePeel(bytes, 'x.peel');
    return !read.ok && read.problem.code;
  };
  expect(refused(zipSync({ 'job.json': strToU8(JSON.stringify({ ...lid(), version: 99 })) }))).toBe(
    'job/newer',
  );
  expect(refused(zipSync({ 'job.json': strToU8('{"version": 2') }))).toBe('job/unread');
  expect(refused(zipSync({ 'job.json': strToU8(JSON.stringify({ ...lid(), pieces: [] })) }))).toBe(
    'job/unread',
  );
  expect(refused(zipSync({ 'letter.txt': strToU8('hello') }))).toBe('job/unread');
  expect(refused(writePeel({ job: lid(), art: new Map() }).slice(0, 200))).toBe('archive/broken');
});

test('a backup brings back every job, and a damaged one does not take the others with it', () => {
  const jobs = ['a', 'b'].map((id) => ({
    job: { ...lid(), id },
    art: new Map<string, Uint8Array>(),
  }));
  const bytes = writeBackup(jobs, { settings: { unit: 'in' } });
  const read = parseBackup(bytes, 'all.zip');
  expect(read.ok && read.value.jobs.map(({ job }) => job.id)).toEqual(['a', 'b']);
  expect(read.ok && read.value.documents.settings).toEqual({ unit: 'in' });
  const broken = zipSync({
    'jobs/a.peel': strToU8('no'),
    'jobs/b.peel': writePeel(jobs[1] ?? { job: lid(), art: new Map() }),
  });
  const rest = parseBackup(broken, 'all.zip');
  expect(rest.ok && rest.value.damaged).toEqual(['jobs/a.peel']);
  expect(rest.ok && rest.value.jobs).toHaveLength(1);
  const partly = zipSync({ 'job.json': strToU8(JSON.stringify({ ...lid(), today: 'now' })) });
  const mended = parseBackup(zipSync({ 'jobs/c.peel': partly }), 'all.zip');
  expect(mended.ok && [mended.value.jobs.length, mended.value.damaged.length]).toEqual([1, 1]);
});

test('a colour is changed wherever it is used, in one piece or in all, whatever its letters', () => {
  const two = run(withWords(), { name: 'copy-piece', args: { piece: 'piece-1', name: 'Other' } });
  const grounds = run(
    run(two, { name: 'change-piece', args: { piece: 'piece-1', changes: { ground: '#AABBCC' } } }),
    { name: 'change-piece', args: { piece: 'piece-2', changes: { ground: '#aabbcc' } } },
  );
  const one = run(grounds, {
    name: 'recolor',
    args: { piece: 'piece-1', colors: { '#aabbcc': '#112233' } },
  });
  expect(one.pieces.map(({ ground }) => ground)).toEqual(['#112233', '#aabbcc']);
  const all = run(grounds, { name: 'recolor', args: { colors: { '#aabbcc': '#112233' } } });
  expect(all.pieces.map(({ ground }) => ground)).toEqual(['#112233', '#112233']);
  const wrong = runCommand(grounds, { name: 'recolor', args: { colors: { '#aabbcc': 'red' } } });
  expect(isProblem(wrong) && problemText(wrong).what).toContain('red');
});

test('words are replaced in all pieces, whatever their case, and nothing found is said', () => {
  const job = withWords();
  const before = job.pieces[0]?.elements[0];
  const text = before?.kind === 'words' ? before.text : '';
  const part = text.slice(0, 3);
  const made = run(job, {
    name: 'replace-words',
    args: { find: part.toUpperCase(), by: '($&)' },
  });
  const after = made.pieces[0]?.elements[0];
  expect(after?.kind === 'words' && after.text).toBe(`($&)${text.slice(3)}`);
  const none = runCommand(job, { name: 'replace-words', args: { find: 'zzz', by: '' } });
  expect(isProblem(none) && problemText(none).what).toContain('zzz');
});

test('other artwork takes the place of all that stood in a piece; its sizes follow it', () => {
  const job = withWords();
  const words = job.pieces[0]?.elements[0];
  if (!words) throw new Error('no words');
  const made = run(job, {
    name: 'set-artwork',
    args: { piece: 'piece-1', ground: '#112233', elements: [words, { ...words, group: 'g' }] },
  });
  expect(made.pieces[0]?.elements.map(({ id }) => id)).toEqual(['words-1', 'words-2']);
  expect(made.pieces[0]?.ground).toBe('#112233');
  const bad = runCommand(job, {
    name: 'set-artwork',
    args: { piece: 'piece-1', ground: 'none' as never, elements: [] },
  });
  expect(isProblem(bad)).toBe(true);
});

test('elements that are pasted have ids and groups of their own', () => {
  const job = withWords();
  const words = job.pieces[0]?.elements[0];
  if (!words) throw new Error('no words');
  const pair = [
    { ...words, group: 'group-1' },
    { ...words, group: 'group-1' },
  ];
  const args = { piece: 'piece-1', elements: pair };
  const twice = run(run(job, { name: 'add-elements', args }), { name: 'add-elements', args });
  const groups = twice.pieces[0]?.elements.slice(1).map(({ group }) => group) ?? [];
  expect(groups[0]).toBe(groups[1]);
  expect(groups[2]).toBe(groups[3]);
  expect(groups[0]).not.toBe(groups[2]);
  expect(new Set(twice.pieces[0]?.elements.map(({ id }) => id)).size).toBe(5);
});
