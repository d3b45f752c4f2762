import { jest } from '@jest/globals';
import { effectScope, nextTick, ref } from 'vue';
import { useWhenQuiet } from './when-quiet.ts';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('what changes often is followed once it rests', async () => {
  const typed = ref('');
  const scope = effectScope();
  const rested = scope.run(() => useWhenQuiet(() => typed.value, 100));
  const seen: (string | undefined)[] = [];
  for (const text of ['b', 'bu', 'bul']) {
    typed.value = text;
    await nextTick();
    jest.advanceTimersByTime(60);
    seen.push(rested?.value);
  }
  expect(seen).toEqual(['', '', '']);
  jest.advanceTimersByTime(60);
  expect(rested?.value).toBe('bul');
  // What is closed meanwhile is left alone.
  typed.value = 'bulb';
  await nextTick();
  scope.stop();
  jest.advanceTimersByTime(500);
  expect(rested?.value).toBe('bul');
});
