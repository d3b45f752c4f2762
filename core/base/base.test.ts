import {
  contentHash,
  freeId,
  isSame,
  cachingPlatform,
  seededRandom,
  watchedTask,
  Cancelled,
} from './index.ts';

test('an id is the lowest number that is free', () => {
  expect(freeId('piece', [])).toBe('piece-1');
  expect(freeId('piece', ['piece-1', 'piece-3'])).toBe('piece-2');
});

test('the hash of "abc" is the one published with the standard', () => {
  expect(contentHash(new TextEncoder().encode('abc'))).toBe(
    'ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad',
  );
});

test('chance repeats itself with its seed, and is even and normal', () => {
  const first = seededRandom(7);
  const again = seededRandom(7);
  const drawn = Array.from({ length: 20_000 }, () => first.next());
  expect(drawn.slice(0, 50)).toEqual(Array.from({ length: 50 }, () => again.next()));
  expect(seededRandom(8).next()).not.toBe(drawn[0]);
  const mean = drawn.reduce((sum, value) => sum + value, 0) / drawn.length;
  expect(mean).toBeCloseTo(0.5, 1);
  const normal = Array.from({ length: 20_000 }, () => first.normal());
  const spread = Math.sqrt(normal.reduce((sum, value) => sum + value * value, 0) / normal.length);
  expect(spread).toBeGreaterThan(0.98);
  expect(spread).toBeLessThan(1.02);
});

test('a platform asks once for each asset, and again after a failure', async () => {
  let asked = 0;
  const platform = cachingPlatform({
    asset: (name) => {
      asked++;
      return name === 'missing'
        ? Promise.reject(new Error(name))
        : Promise.resolve(new Uint8Array(1));
    },
    module: (name) => Promise.resolve({ name }),
  });
  await Promise.all([platform.asset('a'), platform.asset('a')]);
  expect(asked).toBe(1);
  await expect(platform.asset('missing')).rejects.toThrow();
  await expect(platform.asset('missing')).rejects.toThrow();
  expect(asked).toBe(3);
  expect(await platform.module('b')).toEqual({ name: 'b' });
});

test('a cancelled task stops at its next breath', async () => {
  const { task, cancel } = watchedTask(() => undefined);
  await task.yieldNow();
  cancel();
  await expect(task.yieldNow()).rejects.toBeInstanceOf(Cancelled);
});

test('plain values are the same whatever the order of their keys', () => {
  expect(isSame({ a: 1, b: [{ c: null }] }, { b: [{ c: null }], a: 1 })).toBe(true);
  expect(isSame({ a: 1 }, { a: 1, b: undefined })).toBe(false);
  expect(isSame([1, 2], [2, 1])).toBe(false);
  expect(isSame([], {})).toBe(false);
  expect(isSame(NaN, NaN)).toBe(true);
  expect(isSame(null, {})).toBe(false);
});
