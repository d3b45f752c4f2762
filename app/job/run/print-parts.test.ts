import { printParts } from './print-parts.ts';

const ALIKE = [
  { first: 0, count: 1 },
  { first: 1, count: 1 },
  { first: 2, count: 20 },
  { first: 22, count: 1 },
];

test('alike sheets are sent once, to be copied; others go together', () => {
  expect(printParts(ALIKE, { from: 0, most: 99 })).toEqual([
    { sheets: [0, 1], copies: 1 },
    { sheets: [2], copies: 20 },
    { sheets: [22], copies: 1 },
  ]);
});

test('what is left of a run begins within alike sheets', () => {
  expect(printParts(ALIKE, { from: 15, most: 99 })).toEqual([
    { sheets: [15], copies: 7 },
    { sheets: [22], copies: 1 },
  ]);
  expect(printParts(ALIKE, { from: 23, most: 99 })).toEqual([]);
});

test('a printer that makes fewer copies, or none, still prints every sheet once', () => {
  expect(
    printParts(ALIKE, { from: 0, most: 8 }).map(({ sheets, copies }) => [sheets, copies]),
  ).toEqual([
    [[0, 1], 1],
    [[2], 8],
    [[10], 8],
    [[18], 4],
    [[22], 1],
  ]);
  const [all, ...others] = printParts(ALIKE, { from: 0, most: 1 });
  expect(all).toEqual({ sheets: Array.from({ length: 23 }, (_, at) => at), copies: 1 });
  expect(others).toEqual([]);
});
