import { jest } from '@jest/globals';
import { askToWrite, type WriterLock } from './writer-lock.ts';

// On plain-http addresses browsers have no Web Locks: tabs share a lease in local storage.
const kept = new Map<string, string>();
const open: WriterLock[] = [];

beforeEach(() => {
  jest.useFakeTimers({ now: 1_000_000 });
  kept.clear();
  Object.assign(globalThis, {
    localStorage: {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    },
  });
  Object.defineProperty(globalThis, 'navigator', { value: {}, configurable: true });
});
afterEach(() => {
  for (const lock of open.splice(0)) lock.release();
  jest.useRealTimers();
});

/** A tab that asks to write and notes what it is told. */
function tab(job: string, take = false): { told: string[]; lock: WriterLock } {
  const told: string[] = [];
  const watch = { onWriter: () => told.push('writes'), onReader: () => told.push('reads') };
  const lock = askToWrite(job, watch as never, take);
  open.push(lock);
  return { told, lock };
}

test('the first tab writes and the second reads', () => {
  const [first, second] = [tab('seals'), tab('seals')];
  expect([first.told, second.told]).toEqual([['writes'], ['reads']]);
  jest.advanceTimersByTime(20_000);
  expect([first.told, second.told]).toEqual([['writes'], ['reads']]);
});

test('jobs do not stand in each other’s way', () => {
  expect([tab('seals').told, tab('tags').told]).toEqual([['writes'], ['writes']]);
});

test('when the writing tab closes, the other one writes within a few seconds', () => {
  const [first, second] = [tab('seals'), tab('seals')];
  first.lock.release();
  jest.advanceTimersByTime(1500);
  expect(second.told).toEqual(['reads', 'writes']);
});

test('a tab that crashed is waited for no longer than its lease', () => {
  kept.set('little-peel-writer:seals', JSON.stringify({ tab: 'gone', until: Date.now() + 4000 }));
  const { told } = tab('seals');
  expect(told).toEqual(['reads']);
  jest.advanceTimersByTime(3000);
  expect(told).toEqual(['reads']);
  jest.advanceTimersByTime(3000);
  expect(told).toEqual(['reads', 'writes']);
});

test('taking over pushes the other tab aside, and back again', () => {
  const first = tab('seals');
  const second = tab('seals', true);
  expect(second.told).toEqual(['writes']);
  jest.advanceTimersByTime(1500);
  expect(first.told).toEqual(['writes', 'reads']);
  first.lock.release();
  const again = tab('seals', true);
  jest.advanceTimersByTime(1500);
  expect(again.told).toEqual(['writes']);
  expect(second.told).toEqual(['writes', 'reads']);
});

test('a reader that gives up leaves the writer’s lease alone', () => {
  const [first, second] = [tab('seals'), tab('seals')];
  second.lock.release();
  jest.advanceTimersByTime(10_000);
  expect(first.told).toEqual(['writes']);
  expect(kept.size).toBe(1);
});
