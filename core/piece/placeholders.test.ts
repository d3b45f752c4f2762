import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { createJob } from '../job/index.ts';
import { countsUp, filledText, hasPlaceholders, unreadPlaceholders } from './placeholders.ts';

const facts = { today: '2026-04-18', number: 3 };

test.each([
  ['No. {#1}', 'No. 3'],
  ['{#001}', '003'],
  ['{#098}', '100'],
  ['{#10+5}', '20'],
  ['{today}', '18 Apr 2026'],
  ['{today+90d}', '17 Jul 2026'],
  ['{today-1w:dd.MM.yyyy}', '11.04.2026'],
  ['{today+1m:MMMM yyyy}', 'May 2026'],
  ['best by {today+2y:yyyy}', 'best by 2028'],
  ['{Name} for {Bed 2}', 'Borage for {Bed 2}'],
  ['a } b { c', 'a } b { c'],
  ['{today:nonsense bbbbbbbbb}', '{today:nonsense bbbbbbbbb}'],
  ['{today:dd.mm.yyyy}', '{today:dd.mm.yyyy}'],
  ['{today:HH}', '{today:HH}'],
  ['{today:zzz}', '{today:zzz}'],
  ["{today:d 'm' MMM}", '18 m Apr'],
  ['{#9007199254740993}', '9007199254740995'],
  ['{#000000000000000000000000000009}', '000000000000000000000000000011'],
  ['{constructor} {toString} {__proto__}', '{constructor} {toString} {__proto__}'],
  ['{Größe}', '{Größe}'],
])('“%s” of the third copy is “%s”', (text, says) => {
  expect(filledText(text, { ...facts, row: { Name: 'Borage' } })).toBe(says);
});

test('a leap day and the end of a month are dates that exist', () => {
  expect(filledText('{today+1y}', { today: '2028-02-29', number: 1 })).toBe('28 Feb 2029');
  expect(filledText('{today+1m}', { today: '2026-01-31', number: 1 })).toBe('28 Feb 2026');
});

test('only what counts up makes copies differ', () => {
  expect([countsUp('{#1}'), countsUp('{today}'), countsUp('#1')]).toEqual([true, false, false]);
  expect([hasPlaceholders('{name}'), hasPlaceholders('{}'), hasPlaceholders('a { b')]).toEqual([
    true,
    false,
    false,
  ]);
});

test('on a sheet each copy has its number, copies of others stay one drawing', async () => {
  const job = runAll(
    createJob('lid', { id: 'j', today: '2026-04-18' }),
    {
      name: 'add-element',
      args: { piece: 'piece-1', element: exampleWords({ text: 'Pot {#01}, {today:yyyy}' }) },
    },
    { name: 'copy-piece', args: { piece: 'piece-1', name: 'Plain' } },
    {
      name: 'change-elements',
      args: { piece: 'piece-2', changes: { 'words-1': { text: 'Always the same' } } },
    },
    { name: 'want', args: { piece: 'piece-1', count: 3 } },
    { name: 'want', args: { piece: 'piece-2', count: 3 } },
  );
  const made = await compiled(job, new Map());
  const [sheet] = made.compiled.sheets;
  const said = Object.values(sheet?.drawing.symbols ?? {}).map((nodes) => JSON.stringify(nodes));
  expect(said).toHaveLength(4);
  for (const text of ['Pot 01, 2026', 'Pot 02, 2026', 'Pot 03, 2026', 'Always the same'])
    expect(said.filter((nodes) => nodes.includes(text))).toHaveLength(1);
  expect(new Set(sheet?.copies.map(({ symbol }) => symbol)).size).toBe(4);
});

test.each([
  ['{today:dd.mm.yyyy}', '{today:dd.MM.yyyy}'],
  ['{today:DD.MM.YYYY}', '{today:dd.MM.yyyy}'],
  ['{today+90 days}', '{today+90d}'],
  ['{today+1x}', '{today+1d}'],
  ['{Today}', '{today}'],
  ['{#}', '{#1}'],
  ['{# 001}', '{#001}'],
  ['{2 for 1}', undefined],
])('%s is not understood; %s may be meant', (typed, meant) => {
  const [found, ...more] = unreadPlaceholders(`No ${typed}!`);
  expect([found?.typed, found?.meant, more]).toEqual([typed, meant, []]);
  if (meant) expect(unreadPlaceholders(meant)).toEqual([]);
});

test('what is understood is not told', () => {
  const fine = '{name} {Größe} {#001} {#1+5} {today} {today-1w:EEE d MMM} {today:yyyy} a { b } {}';
  expect(unreadPlaceholders(fine)).toEqual([{ typed: '{ b }' }]);
});
