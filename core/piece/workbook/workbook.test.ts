import { strToU8, zipSync } from 'fflate';
import { expectOk } from '../../base/index.ts';
import { readListFile, type ReadList } from '../read-list.ts';

const packed = (files: Readonly<Record<string, string>>): Uint8Array =>
  zipSync(Object.fromEntries(Object.entries(files).map(([name, xml]) => [name, strToU8(xml)])));
const read = async (file: Uint8Array, table?: string): Promise<ReadList> =>
  expectOk(await readListFile(file, { table }));
const rowsOf = async (file: Uint8Array, table?: string): Promise<(readonly string[])[]> =>
  (await read(file, table)).list.rows.map(({ fields }) => fields);

const FORMATS = [
  ['yyyy-mm-dd', 45992, '2025-12-01'],
  ['d\\. mmmm yyyy', 45992, '1. December 2025'],
  ['0%', 0.125, '13%'],
  ['0.00%', 0.125, '12.50%'],
  ['"£"#,##0.00', 1234.5, '£1,234.50'],
  ['[$€-407] #,##0.00', 3.5, '€ 3,50'],
  ['_-* #,##0.00 "kr"_-', 4.5, '4.50 kr'],
  ['00000', 42, '00042'],
  ['# ?/?', 1.5, '1 1/2'],
  ['h:mm', 0.75, '18:00'],
  ['0.0;[Red]-0.0', -2.25, '-2.3'],
  ['General', 0.30000000000000004, '0.3'],
  ['broken " format', 7, '7'],
] as const;

/** A workbook (ECMA-376) of one column: a format and a value a row, after a head. */
function formatted(rows: readonly (readonly [string, number, string])[], more = ''): Uint8Array {
  const escaped = (text: string): string => text.replace(/"/g, '&quot;');
  const cells = rows.map(
    ([, value], at) => `<row r="${at + 2}"><c r="A${at + 2}" s="${at}"><v>${value}</v></c></row>`,
  );
  return packed({
    'xl/workbook.xml': `<workbook xmlns:r="r">${more}<sheets><sheet name="Prices" sheetId="1" r:id="rId9"/></sheets></workbook>`,
    'xl/_rels/workbook.xml.rels':
      '<Relationships><Relationship Id="rId9" Target="/xl/worksheets/one.xml"/></Relationships>',
    'xl/styles.xml': `<styleSheet><numFmts>${rows.map(([code], at) => `<numFmt numFmtId="${170 + at}" formatCode="${escaped(code)}"/>`).join('')}</numFmts><cellStyleXfs><xf numFmtId="9"/></cellStyleXfs><cellXfs>${rows.map((_, at) => `<xf numFmtId="${170 + at}"/>`).join('')}</cellXfs></styleSheet>`,
    'xl/worksheets/one.xml': `<worksheet><sheetData><row r="1"><c r="A1" t="inlineStr"><is><t>price</t></is></c></row>${cells.join('')}</sheetData></worksheet>`,
  });
}

test.each(FORMATS)('a cell of format %j with %f shows %j', async (code, value, shown) => {
  expect(await rowsOf(formatted([[code, value, shown]]))).toEqual([[shown]]);
});

test('days are counted from the calendar that the workbook names', async () => {
  const file = formatted([['yyyy-mm-dd', 44530, '']], '<workbookPr date1904="1"/>');
  expect(await rowsOf(file)).toEqual([['2025-12-01']]);
});

test('formats that have a number alone, shared texts, truths and gaps', async () => {
  const file = packed({
    'xl/workbook.xml':
      '<x:workbook xmlns:x="x" xmlns:r="r"><x:sheets><x:sheet name="Beds" r:id="a"/></x:sheets></x:workbook>',
    'xl/_rels/workbook.xml.rels':
      '<Relationships><Relationship Id="a" Target="worksheets/s.xml"/></Relationships>',
    'xl/sharedStrings.xml':
      '<sst><si><t>name</t></si><si><r><t>Bär</t></r><r><t>lauch</t></r><rPh><t>aside</t></rPh></si><si><t>when</t></si><si><t>share</t></si><si><t>organic</t></si></sst>',
    'xl/styles.xml':
      '<styleSheet><cellXfs><xf/><xf numFmtId="14"/><xf numFmtId="10"/></cellXfs></styleSheet>',
    'xl/worksheets/s.xml': `<worksheet><sheetData>
      <row r="2"><c r="A2" t="s"><v>0</v></c><c r="C2" t="s"><v>2</v></c><c r="D2" t="s"><v>3</v></c><c r="E2" t="s"><v>4</v></c></row>
      <row r="5"><c r="A5" t="s"><v>1</v></c><c r="C5" s="1"><v>45992</v></c><c r="D5" s="2"><v>0.5</v></c><c r="E5" t="b"><v>1</v></c></row>
      </sheetData></worksheet>`,
  });
  const { list } = await read(file);
  expect(list.columns).toEqual(['name', 'column 2', 'when', 'share', 'organic']);
  expect(list.rows.map(({ fields }) => fields)).toEqual([
    ['Bärlauch', '', '2025-12-01', '50.00%', 'TRUE'],
  ]);
});

/** A spreadsheet (OpenDocument 1.3, part 3). */
const ods = (tables: string): Uint8Array =>
  packed({
    mimetype: 'application/vnd.oasis.opendocument.spreadsheet',
    'content.xml': `<office:document-content xmlns:office="o" xmlns:table="t" xmlns:text="x"><office:body><office:spreadsheet>${tables}</office:spreadsheet></office:body></office:document-content>`,
  });
const cell = (shown: string, attributes = ''): string =>
  `<table:table-cell ${attributes}><text:p>${shown}</text:p></table:table-cell>`;

test('an OpenDocument table gives what its cells show, however they are repeated', async () => {
  const file = ods(
    `<table:table table:name="Empty"/><table:table table:name="Beds">
     <table:table-row>${cell('name')}${cell('price')}${cell('note')}<table:table-cell table:number-columns-repeated="16000"/></table:table-row>
     <table:table-row table:number-rows-repeated="2">${cell('Sage', 'office:value-type="string"')}${cell('4,50&#160;€', 'office:value="4.5"')}<table:table-cell><office:annotation><text:p>a remark</text:p></office:annotation><text:p>two<text:s text:c="2"/>words</text:p><text:p>and more</text:p></table:table-cell></table:table-row>
     <table:table-row table:number-rows-repeated="1048000"><table:table-cell table:number-columns-repeated="16384"/></table:table-row>
     <table:table-row>${cell('', 'table:number-columns-repeated="3"')}</table:table-row></table:table>`,
  );
  const found = await read(file);
  expect([found.tables, found.table]).toEqual([['Empty', 'Beds'], 'Beds']);
  const row = ['Sage', '4,50\u00a0€', 'two  words\nand more'];
  expect(found.list.rows.map(({ fields }) => fields)).toEqual([row, row]);
});

test('a table that is too large is refused, whatever its file repeats', async () => {
  const many = ods(
    `<table:table table:name="Many"><table:table-row>${cell('name')}</table:table-row><table:table-row table:number-rows-repeated="900000">${cell('Sage')}</table:table-row></table:table>`,
  );
  expect(await readListFile(many)).toMatchObject({
    ok: false,
    problem: { code: 'list/too-large' },
  });
});

test('a damaged workbook is refused', async () => {
  const broken = packed({ 'xl/workbook.xml': '<workbook><sheets>' });
  expect(await readListFile(broken)).toMatchObject({ ok: false, problem: { code: 'list/unread' } });
});
