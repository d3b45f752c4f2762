import { expectOk } from '../base/index.ts';
import { createJob } from '../job/index.ts';
import { quickFindings } from '../proof/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { findingText } from '../../messages/index.ts';
import { listText, parseList } from './index.ts';

const BEDS = 'name,bed\nSea Holly,North\n"Fern, hart\u2019s tongue",Shade\n';

test.each([
  ['commas', BEDS],
  ['tabs', 'name\tbed\r\nSea Holly\tNorth\r\nFern, hart\u2019s tongue\tShade\r\n'],
  ['semicolons', '\uFEFFname;bed\nSea Holly;North\nFern, hart\u2019s tongue;Shade\n\n'],
])('a table with %s is read', (_, text) => {
  expect(expectOk(parseList(text))).toEqual({
    columns: ['name', 'bed'],
    rows: [
      { key: 'r1', fields: ['Sea Holly', 'North'] },
      { key: 'r2', fields: ['Fern, hart\u2019s tongue', 'Shade'] },
    ],
  });
});

test('names of columns become ones that placeholders can have, no two alike', () => {
  const { columns } = expectOk(parseList('Name (new)\tName new\t\t2nd bed\na\tb\tc\td'));
  expect(columns).toEqual(['Name new', 'Name new 2', 'column 3', 'nd bed']);
});

test('short rows are filled up, and a list comes back from its own text', () => {
  const list = expectOk(parseList('a\tb\none\ttwo\nthree'));
  expect(list.rows[1]?.fields).toEqual(['three', '']);
  expect(expectOk(parseList(listText(list)))).toEqual(list);
});

test('a single column keeps its commas', () => {
  const { rows } = expectOk(parseList('name\nFern, male\nIvy'));
  expect(rows.map(({ fields }) => fields)).toEqual([['Fern, male'], ['Ivy']]);
});

test('no table, and too large a one, are refused in a sentence', () => {
  expect(parseList('  \n ')).toMatchObject({ ok: false, problem: { code: 'list/empty' } });
  const rows = Array.from({ length: 5001 }, (_, at) => `${at},x`).join('\n');
  expect(parseList(`a,b\n${rows}`)).toMatchObject({
    ok: false,
    problem: { code: 'list/too-large', values: { columns: 2, rows: 5001 } },
  });
});

test('each copy on the sheet takes its row, and copies of a row count on', async () => {
  const job = runAll(
    createJob('lid', { id: 'beds', today: '2026-04-18' }),
    {
      name: 'add-element',
      args: { piece: 'piece-1', element: exampleWords({ text: '{name} {#01}', width: 50 }) },
    },
    { name: 'set-list', args: { list: expectOk(parseList(BEDS)) } },
    { name: 'want', args: { piece: 'piece-1', count: 3 } },
  );
  const { compiled: made } = await compiled(job, new Map());
  const said = made.sheets.flatMap(({ copies }) =>
    copies.map(({ piece }) =>
      piece.elements[0]?.compiled.words?.glyphs.map(({ text }) => text).join(''),
    ),
  );
  expect(said).toEqual(['Sea Holly 01', 'Fern, hart\u2019s tongue 02', 'Sea Holly 03']);
  expect(quickFindings(made).map(({ code }) => code)).not.toContain('column-missing');
});

test('the row that is worst off is named by the proof', async () => {
  const job = runAll(
    createJob('lid', { id: 'beds', today: '2026-04-18' }),
    {
      name: 'add-element',
      args: { piece: 'piece-1', element: exampleWords({ text: '{name}', width: 20, least: 12 }) },
    },
    { name: 'set-list', args: { list: expectOk(parseList(BEDS)) } },
    { name: 'want', args: { piece: 'piece-1', count: 2 } },
  );
  const found = quickFindings((await compiled(job, new Map())).compiled);
  expect(found).toContainEqual(
    expect.objectContaining({
      code: 'words-do-not-fit',
      values: expect.objectContaining({ words: 'Fern, hart’s tongue' }) as object,
    }),
  );
});

test('a placeholder that no list fills is found, with and without a list', async () => {
  const job = runAll(createJob('lid', { id: 'beds', today: '2026-04-18' }), {
    name: 'add-element',
    args: { piece: 'piece-1', element: exampleWords({ text: '{plant} {today}', width: 50 }) },
  });
  const what = async (one: typeof job): Promise<string[]> =>
    quickFindings((await compiled(one, new Map())).compiled).flatMap((finding) =>
      finding.code === 'column-missing' ? findingText(finding).what : [],
    );
  expect(await what(job)).toEqual(['{plant} on “Label” waits for a list.']);
  const listed = runAll(job, { name: 'set-list', args: { list: expectOk(parseList(BEDS)) } });
  expect(await what(listed)).toEqual(['The list has no column for {plant} on “Label”.']);
});
