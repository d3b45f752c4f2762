import type { CopyId, SheetLayout } from '../../../core/sheet/index.ts';
import { PLAIN_SHEETS, type Stock } from '../../../core/stock/index.ts';
import { alikeSheets } from './alike-sheets.ts';

const [A4, LETTER] = PLAIN_SHEETS as unknown as [Stock, Stock];
let next = 1;
const sheet = (x: number, piece = 'seal', stock = A4): SheetLayout => ({
  stock,
  placements: [{ copy: `${piece}#${next++}` as CopyId, piece, x, y: 40, angle: 0, byHand: false }],
});
const spans = (sheets: readonly SheetLayout[], isOwn = (): boolean => false) =>
  alikeSheets(sheets, isOwn).map(({ first, last }) => [first, last]);

test('sheets alike are counted as one, whichever copies lie on them', () => {
  expect(spans([sheet(40), sheet(40), sheet(40), sheet(90), sheet(40)])).toEqual([
    [0, 2],
    [3, 3],
    [4, 4],
  ]);
});

test('another piece or another stock is another sheet', () => {
  expect(spans([sheet(40), sheet(40, 'tag'), sheet(40, 'tag', LETTER)])).toHaveLength(3);
});

test('where copies count up no sheet is like another', () => {
  expect(spans([sheet(40), sheet(40)], () => true)).toHaveLength(2);
  expect(spans([])).toEqual([]);
});
