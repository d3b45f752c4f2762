import { jest } from '@jest/globals';
import { shallowRef } from 'vue';
import { useHistory } from './recipe-history.ts';

beforeEach(() => {
  jest.useFakeTimers({ now: 1000 });
});
afterEach(() => {
  jest.useRealTimers();
});

test('each stroke is a step, however fast they follow; back and forth they are the same values', () => {
  const value = shallowRef<{ strokes: number[]; light: number }>({ strokes: [], light: 0 });
  const history = useHistory(value);
  const seen = [value.value];
  for (const stroke of [1, 2, 3]) {
    history.step({ strokes: [...value.value.strokes, stroke] });
    seen.push(value.value);
  }
  for (const before of [2, 1, 0]) {
    history.undo();
    expect(value.value).toBe(seen[before]);
  }
  history.undo();
  expect(value.value).toBe(seen[0]);
  for (const after of [1, 2, 3]) {
    history.redo();
    expect(value.value).toBe(seen[after]);
  }
  history.redo();
  expect(value.value).toBe(seen[3]);
});

test('a slider that is dragged is one step; one that is taken up again later is another', () => {
  const value = shallowRef({ light: 0, contrast: 0 });
  const history = useHistory(value);
  for (const light of [0.1, 0.2, 0.3]) {
    history.change({ light });
    jest.advanceTimersByTime(100);
  }
  history.change({ contrast: 0.5 });
  jest.advanceTimersByTime(5000);
  history.change({ contrast: 0.6 });
  history.undo();
  expect(value.value).toEqual({ light: 0.3, contrast: 0.5 });
  history.undo();
  expect(value.value).toEqual({ light: 0.3, contrast: 0 });
  history.undo();
  expect(value.value).toEqual({ light: 0, contrast: 0 });
});

test('what is changed after going back leads on from there', () => {
  const value = shallowRef({ light: 0 });
  const history = useHistory(value);
  history.step({ light: 1 });
  history.undo();
  history.step({ light: 2 });
  history.redo();
  expect(value.value).toEqual({ light: 2 });
  history.forget();
  history.undo();
  expect(value.value).toEqual({ light: 2 });
});
