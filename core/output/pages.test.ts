import { parsePages } from './index.ts';

test.each([
  ['', [0, 1, 2, 3, 4]],
  ['2', [1]],
  ['1-3, 5', [0, 1, 2, 4]],
  ['5 1–2', [0, 1, 4]],
  ['3,3', [2]],
])('“%s” of five sheets', (text, pages) => {
  expect(parsePages(text, 5)).toEqual({ ok: true, value: pages });
});

test.each(['6', '0', '3-2', 'two', '1-9'])('“%s” is refused in a sentence', (text) => {
  expect(parsePages(text, 5)).toMatchObject({ ok: false, problem: { code: 'output/pages' } });
});
