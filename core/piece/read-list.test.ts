import { strToU8, zipSync } from 'fflate';
import { expectOk } from '../base/index.ts';
import { problemText } from '../../messages/index.ts';
import { parseList, parseTable, readListFile } from './index.ts';

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);
const latin = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0));
const fields = async (file: Uint8Array, choices = {}): Promise<readonly string[][]> => {
  const { list } = expectOk(await readListFile(file, choices));
  return [list.columns, ...list.rows.map((row) => row.fields)];
};

const utf16 = (text: string): Uint8Array => {
  const units = Uint16Array.from(`\uFEFF${text}`, (letter) => letter.charCodeAt(0));
  return new Uint8Array(units.buffer);
};

test.each([
  ['UTF-8', bytes('name;bed\nRübe;Küche\n'), 'utf-8'],
  ['UTF-8 with a mark', bytes('\uFEFFname;bed\nRübe;Küche\n'), 'utf-8'],
  ['UTF-16', utf16('name;bed\nRübe;Küche\n'), 'utf-16le'],
  ['one byte a letter', latin('name;bed\nRübe;Küche\n'), 'windows-1252'],
])('letters in %s are found', async (_, file, encoding) => {
  const read = expectOk(await readListFile(file));
  expect([read.encoding, read.separator]).toEqual([encoding, ';']);
  expect(read.list.rows[0]?.fields).toEqual(['Rübe', 'Küche']);
});

test('what was found can be chosen otherwise', async () => {
  // ž is 0x9e and š is 0x9a in the Central European page, as in the Western one; ě is 0xec only there.
  const file = latin('name\nz\xeclen\xfd');
  expect(await fields(file, { encoding: 'windows-1250' })).toEqual([['name'], ['zělený']]);
  expect(await fields(bytes('a;b\n1,2;3'), { separator: ',' })).toEqual([['a b'], ['1']]);
});

/** A workbook (ECMA-376) with tables of words, numbers and a date. */
function workbook(tables: Readonly<Record<string, string>>): Uint8Array {
  const main = 'http://schemas.openxmlformats.org/spreadsheetml/2006/main';
  const office = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const names = Object.keys(tables);
  const files: Record<string, string> = {
    'xl/workbook.xml': `<workbook xmlns="${main}" xmlns:r="${office}"><sheets>${names
      .map((name, at) => `<sheet name="${name}" sheetId="${at + 1}" r:id="rId${at + 1}"/>`)
      .join('')}</sheets></workbook>`,
    'xl/_rels/workbook.xml.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships">${names
      .map(
        (_, at) =>
          `<Relationship Id="rId${at + 1}" Type="${office}/worksheet" Target="worksheets/sheet${at + 1}.xml"/>`,
      )
      .join('')}</Relationships>`,
  };
  names.forEach((name, at) => {
    files[`xl/worksheets/sheet${at + 1}.xml`] =
      `<worksheet xmlns="${main}"><sheetData>${tables[name] ?? ''}</sheetData></worksheet>`;
  });
  return zipSync(
    Object.fromEntries(Object.entries(files).map(([name, xml]) => [name, strToU8(xml)])),
  );
}
const word = (at: string, text: string): string =>
  `<c r="${at}" t="inlineStr"><is><t>${text}</t></is></c>`;
const TABLES = {
  Notes: '',
  Beds: `<row r="1">${word('A1', 'name')}${word('B1', 'copies')}</row><row r="2">${word('A2', 'Rübe')}<c r="B2"><v>12</v></c></row>`,
  Prices: `<row r="1">${word('A1', 'price')}</row><row r="2"><c r="A2"><v>0.30000000000000004</v></c></row>`,
};

test('a workbook gives its first table with anything in it, or the one that is chosen', async () => {
  const read = expectOk(await readListFile(workbook(TABLES)));
  expect([read.tables, read.table]).toEqual([['Notes', 'Beds', 'Prices'], 'Beds']);
  expect(read.list).toMatchObject({ columns: ['name', 'copies'], quantity: 'copies' });
  expect(read.list.rows[0]?.fields).toEqual(['Rübe', '12']);
  expect(await fields(workbook(TABLES), { table: 'Prices' })).toEqual([['price'], ['0.3']]);
});

test('what is no table is refused in a sentence', async () => {
  const code = async (file: Uint8Array): Promise<string | undefined> => {
    const read = await readListFile(file);
    return read.ok ? undefined : read.problem.code;
  };
  expect(await code(bytes(' \n'))).toBe('list/empty');
  expect(await code(zipSync({ 'a.txt': strToU8('no workbook') }))).toBe('list/unread');
  expect(await code(bytes('PK\u0003\u0004 broken'))).toBe('list/unread');
  expect(await code(new Uint8Array(20_000_001))).toBe('list/too-large');
});

test('a column of whole numbers that is named like a quantity counts copies, others do not', () => {
  const quantity = (table: string): string | undefined => expectOk(parseList(table)).quantity;
  expect(quantity('name\tQty\nRue\t3\nIvy\t')).toBe('Qty');
  expect(quantity('name\tcopies\nRue\tsome')).toBeUndefined();
  expect(quantity('name\tbed\nRue\t3')).toBeUndefined();
});

test('cells that are pasted keep their empty fields and quoted breaks', () => {
  expect(expectOk(parseTable('a\t\tc\n"two\nlines"\tx\t', '\t'))).toEqual([
    ['a', '', 'c'],
    ['two\nlines', 'x'],
  ]);
});

const utf16Bare = (text: string): Uint8Array => utf16(text).slice(2);
const swapped = (file: Uint8Array): Uint8Array =>
  file.map((_, at) => file[at % 2 === 0 ? at + 1 : at - 1] ?? 0);

test.each([
  ['UTF-16', utf16Bare('name;bed\nРепа;Küche\n'), 'utf-16le'],
  ['UTF-16, the other way round', swapped(utf16Bare('name;bed\nРепа;Küche\n')), 'utf-16be'],
])('%s without a mark is found by its zeros', async (_, file, encoding) => {
  const read = expectOk(await readListFile(file));
  expect([read.encoding, read.list.rows[0]?.fields]).toEqual([encoding, ['Репа', 'Küche']]);
});

test('names of columns may have line ends between quotes, and keep their marks', () => {
  const quoted = expectOk(parseList('"plant\nname";"bed; row"\nRue;3\nIvy;4'));
  expect(quoted.columns).toEqual(['plant name', 'bed row']);
  expect(quoted.rows.map(({ fields: row }) => row)).toEqual([
    ['Rue', '3'],
    ['Ivy', '4'],
  ]);
  expect(expectOk(parseList('Gro\u0308ße\tनाम\n1\t2')).columns).toEqual(['Größe', 'नाम']);
});

test('a line that tells the separator is no header', () => {
  const list = expectOk(parseList('sep=;\r\nname, full;bed\r\nRue;3'));
  expect([list.columns, list.rows[0]?.fields]).toEqual([
    ['name full', 'bed'],
    ['Rue', '3'],
  ]);
});

test.each([
  ['name;note\nRue;fine\nIvy;"5 inch\nSage;dry', /row 3 .*never ends/],
  ['name;note\nRue;"fine" indeed\nIvy;dry', /row 2 .*behind a closed quote/],
])('a quote that swallows rows is told: %j', (text, says) => {
  const read = parseList(text);
  expect(!read.ok && problemText(read.problem).what).toMatch(says);
});

test('a file that is no text is told', async () => {
  const file = Uint8Array.from({ length: 999 }, (_, at) => (at % 7 ? at % 256 : 0));
  const read = await readListFile(file, { encoding: 'utf-8' });
  expect(!read.ok && problemText(read.problem).what).toContain('no text');
});

test('with a separator that is told, quotes that do not close are signs like others', () => {
  const text = 'name;size\n"Ivy; dark";3\nRue;"5 inch';
  expect(expectOk(parseTable(text, ','))).toEqual([
    ['name;size'],
    ['"Ivy; dark";3'],
    ['Rue;"5 inch'],
  ]);
});
