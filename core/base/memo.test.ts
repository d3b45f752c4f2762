import { isSameItems, latestFor, onceFor, onceForEach } from './index.ts';

test('what is made of a value is made once, even where it is nothing', () => {
  const asked: object[] = [];
  const sizeOf = onceFor((key: { size?: number }) => {
    asked.push(key);
    return key.size;
  });
  const [a, b] = [{ size: 3 }, {}];
  expect([sizeOf(a), sizeOf(b), sizeOf(a), sizeOf(b)]).toEqual([3, undefined, 3, undefined]);
  expect(asked).toEqual([a, b]);
});

test('beside a number or text all that were asked for are kept', () => {
  let made = 0;
  const scaled = onceForEach((key: { size: number }, by: number) => {
    made++;
    return by === 0 ? undefined : { size: key.size * by };
  });
  const key = { size: 2 };
  const twice = scaled(key, 2);
  expect(twice).toEqual({ size: 4 });
  expect(scaled(key, 3)).toEqual({ size: 6 });
  expect(scaled(key, 0)).toBeUndefined();
  expect(scaled(key, 0)).toBeUndefined();
  expect(scaled(key, 2)).toBe(twice);
  expect(made).toBe(3);
});

test('with dependencies the latest is kept while each of them is the same value', () => {
  const made: unknown[][] = [];
  const joined = latestFor((key: { name: string }, ...more: readonly (object | undefined)[]) => {
    made.push([...more]);
    return { key, more };
  });
  const key = { name: 'a' };
  const [one, two] = [{}, {}];
  const first = joined(key, one, undefined);
  expect(joined(key, one, undefined)).toBe(first);
  expect(joined(key, two, undefined)).not.toBe(first);
  // Fewer, or an equal but other value, is another.
  joined(key, two);
  joined(key, {});
  expect(made).toHaveLength(4);
  expect(joined(key, one, undefined)).not.toBe(first);
});

test('items are the same by identity', () => {
  const item = {};
  expect(isSameItems([item, Number.NaN], [item, Number.NaN])).toBe(true);
  expect(isSameItems([item], [{}])).toBe(false);
  expect(isSameItems([item], [item, undefined])).toBe(false);
});
