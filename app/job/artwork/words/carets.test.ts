import type { Caret } from '../../../../core/type/index.ts';
import { boundsOf, lineEnd, nearestCaret, nextLine } from './carets.ts';

/** Two lines, “ab” above “cde”, each letter 2 mm wide; the space between them is not drawn. */
const carets: readonly Caret[] = [
  ...[0, 1, 2].map((at) => ({ at, x: at * 2, y: 0, angle: 0, line: 0 })),
  ...[3, 4, 5, 6].map((at) => ({ at, x: (at - 3) * 2, y: 5, angle: 0, line: 1 })),
];

test('a press finds the nearest place between two letters, on the line it was made on', () => {
  expect(nearestCaret(carets, { x: 2.9, y: -1 }, 3)).toBe(1);
  expect(nearestCaret(carets, { x: 3.1, y: -1 }, 3)).toBe(2);
  expect(nearestCaret(carets, { x: 40, y: 4.5 }, 3)).toBe(6);
  expect(nearestCaret([], { x: 0, y: 0 }, 3)).toBeUndefined();
});

test('up and down keep to the column; beyond the first and last line they go to the ends', () => {
  expect(nextLine(carets, 1, 1)).toBe(4);
  expect(nextLine(carets, 6, -1)).toBe(2);
  expect(nextLine(carets, 1, -1)).toBe(0);
  expect(nextLine(carets, 4, 1)).toBe(6);
});

test('home and end go to the ends of the line', () => {
  expect(lineEnd(carets, 4, false)).toBe(3);
  expect(lineEnd(carets, 4, true)).toBe(6);
  expect(lineEnd(carets, 1, true)).toBe(2);
});

test('an index inside a ligature has the caret before it', () => {
  const joined = carets.filter(({ at }) => at !== 5);
  expect(boundsOf(joined, 5)?.at).toBe(4);
  expect(boundsOf(joined, 99)?.at).toBe(6);
});
