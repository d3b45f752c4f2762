import { shapeSize } from '../shape/index.ts';
import {
  differenceWords,
  readStockQuery,
  searchStock,
  SHIPPED_STOCK,
  type FoundStock,
  type StockQuery,
} from './index.ts';

const first = (text: string, unit: 'mm' | 'in' = 'mm'): FoundStock => {
  const [found] = searchStock(SHIPPED_STOCK, readStockQuery(text, unit));
  if (!found) throw new Error('nothing found');
  return found;
};

test.each<[string, Partial<StockQuery>]>([
  ['2 x 4 in', { sides: [50.8, 101.6], count: undefined }],
  ['2x4in', { sides: [50.8, 101.6] }],
  ['2" x 4"', { sides: [50.8, 101.6] }],
  ['round 40 mm', { sides: [40], shape: 'round' }],
  ['round 40', { sides: [40], shape: 'round' }],
  ['24 on A4', { sides: [], count: 24, words: ['a4'] }],
  ['70 × 37', { sides: [70, 37] }],
  ['38,1 mm', { sides: [38.1] }],
  ['3/4 in', { sides: [19.05] }],
  ['7 cm x 3.7 cm', { sides: [70, 37] }],
  ['oval', { sides: [], shape: 'oval' }],
  ['', { sides: [], count: undefined, words: [] }],
  ['24 labels of 40 mm', { sides: [40], count: 24 }],
])('“%s” is read', (text, wanted) => {
  const query = readStockQuery(text);
  expect({
    ...query,
    sides: query.sides.map((side) => Math.round(side * 1000) / 1000),
  }).toMatchObject(wanted);
});

// What a person types and which sheet has to come first.
test.each([
  ['2 x 4 in', 'US letter die-cut, 10 labels of 4 x 2 in'],
  ['4 x 2 in', 'US letter die-cut, 10 labels of 4 x 2 in'],
  ['4x2"', 'US letter die-cut, 10 labels of 4 x 2 in'],
  ['1 x 2 5/8 in', 'US letter die-cut, 30 labels of 2 5/8 x 1 in'],
  ['round 40 mm', 'A4 die-cut, 24 round labels of 40 mm'],
  ['40 mm round', 'A4 die-cut, 24 round labels of 40 mm'],
  ['ø 40 mm', 'A4 die-cut, 24 round labels of 40 mm'],
  ['40 mm', 'A4 die-cut, 24 round labels of 40 mm'],
  ['4 cm round', 'A4 die-cut, 24 round labels of 40 mm'],
  ['round 2 in', 'US letter die-cut, 12 round labels of 2 in'],
  ['2 in circle', 'US letter die-cut, 12 round labels of 2 in'],
  ['round 1.5 in letter', 'US letter die-cut, 24 round labels of 1 1/2 in'],
  ['24 round on A4', 'A4 die-cut, 24 round labels of 45 mm'],
  ['70 x 37 mm', 'A4 die-cut, 24 labels of 70 x 37 mm'],
  ['37 x 70', 'A4 die-cut, 24 labels of 70 x 37 mm'],
  ['70x35.4', 'A4 die-cut, 24 labels of 70 x 35 mm'],
  ['99 x 38', 'A4 die-cut, 14 labels of 99.1 x 38.1 mm'],
  ['63.5 x 38.1 mm', 'A4 die-cut, 21 labels of 63.5 x 38.1 mm'],
  ['180 x 38', 'A4 die-cut, 7 labels of 180 x 38 mm'],
  ['65 on A4', 'A4 die-cut, 65 labels of 38.1 x 21.2 mm'],
  ['30 on letter', 'US letter die-cut, 30 labels of 2 5/8 x 1 in'],
  ['80 letter', 'US letter die-cut, 80 labels of 1 3/4 x 1/2 in'],
  ['oval 63 x 42', 'A4 die-cut, 18 oval labels of 63.5 x 42.3 mm'],
  ['oval 2.5 x 1.5 in', 'US letter die-cut, 18 oval labels of 2 1/2 x 1 1/2 in'],
  ['disc 117 mm', 'A4 die-cut, 2 discs of 117 mm'],
  ['disc 120 mm carrier', 'Disc carrier, one disc of 120 mm'],
  ['arched 60 x 80', 'A4 die-cut, 9 arched labels of 60 x 80 mm'],
  ['bent', 'A4 die-cut, 4 bent labels of 180 x 58.8 mm'],
  ['A4', 'A4'],
  ['letter', 'US letter'],
  ['legal', 'US legal'],
  ['a3', 'A3'],
  ['roll', 'Roll of 100 mm'],
  ['189', 'A4 die-cut, 189 labels of 25.4 x 10 mm'],
  ['staggered', 'A4 die-cut, 54 round labels of 30 mm, staggered'],
])('“%s” finds %s first', (text, name) => {
  expect(first(text).stock.name).toBe(name);
});

test('nearer sizes come before farther ones', () => {
  const found = searchStock(SHIPPED_STOCK, readStockQuery('70 x 37 mm'), 10);
  const far = found.map(({ off }) => off.reduce((sum, by) => sum + Math.abs(by), 0));
  expect([...far].sort((one, other) => one - other)).toEqual(far);
});

test('the difference is told in words and in the reader’s unit', () => {
  expect(differenceWords(first('70 x 37'), 'mm')).toBe('exactly');
  expect(differenceWords(first('70 x 36.2'), 'mm')).toBe('0.8 mm higher');
  expect(differenceWords(first('100 x 38'), 'mm')).toBe('0.9 mm narrower, 0.1 mm higher');
  expect(differenceWords(first('41 mm'), 'mm')).toBe('1 mm smaller');
  expect(differenceWords(first('2.1 x 4 in'), 'in')).toBe('0.1 in narrower');
  expect(differenceWords({ ...first('70 x 37'), countOff: -3 }, 'mm')).toBe('3 fewer on a sheet');
});

test('the difference is measured against the label turned the better way', () => {
  const found = first('37 x 70');
  const size = found.stock.spots ? shapeSize(found.stock.spots.shape) : undefined;
  expect(size).toEqual({ width: 70, height: 37 });
  expect(found.off).toEqual([0, 0]);
});
