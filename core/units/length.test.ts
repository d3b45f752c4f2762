import fc from 'fast-check';
import { problemText } from '../../messages/index.ts';
import { formatLength, parseLength, UNITS } from './index.ts';

test.each([
  ['58', 58],
  ['85.7', 85.7],
  ['7,4 cm', 74],
  ['3 3/8 in', 85.725],
  ['1/4"', 6.35],
  ['2½ in', 63.5],
  ['½″', 12.7],
  ['12pt', 4.2333],
  ['  .5 in ', 12.7],
  ['-3 mm', -3],
  ['10 INCHES', 254],
  ['1-1/2 in', 38.1],
  ['1 – 1/2 in', 38.1],
  ['⅓ in', 8.4667],
  ['2⅔″', 67.7333],
  ['1′′', 25.4],
  ['-1/2 in', -12.7],
])('%s is read as %d mm', (text, mm) => {
  const read = parseLength(text);
  expect(read.ok && read.value).toBeCloseTo(mm, 3);
});

test('a bare number takes the unit that is asked for', () => {
  const read = parseLength('2 1/4', 'in');
  expect(read.ok && read.value).toBeCloseTo(57.15, 6);
});

test.each([
  ['', 'length/empty'],
  ['5\' 3"', 'length/feet'],
  ['2 ft', 'length/feet'],
  ['wide', 'length/unread'],
  ['5 bananas', 'length/unit'],
  ['1/0 in', 'length/unread'],
  ['1 2 mm', 'length/unread'],
  ['1.5 1/2 in', 'length/unread'],
  ['1.5½ in', 'length/unread'],
  ['1′ 2′′', 'length/feet'],
  ['3.4.5', 'length/unit'],
])('"%s" is refused with %s', (text, code) => {
  const read = parseLength(text);
  expect(!read.ok && read.problem.code).toBe(code);
});

test('what could not be read is quoted', () => {
  const read = parseLength('wide');
  expect(!read.ok && problemText(read.problem).what).toContain('“wide”');
});

test.each([
  [58, 'mm', '58 mm'],
  [58.04, 'mm', '58 mm'],
  [74, 'cm', '7.4 cm'],
  [85.725, 'in', '3 3/8 in'],
  [6.35, 'in', '1/4 in'],
  [58, 'in', '2.283 in'],
  [-0.01, 'mm', '0 mm'],
  [100, 'mm', '100 mm'],
] as const)('%d mm in %s is written %s', (mm, unit, text) => {
  expect(formatLength(mm, unit)).toBe(text);
});

test('what is written is read back within its digits', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 2000, noNaN: true }),
      fc.constantFrom(...UNITS),
      (mm, unit) => {
        const read = parseLength(formatLength(mm, unit));
        return read.ok && Math.abs(read.value - mm) <= 0.06;
      },
    ),
  );
});
