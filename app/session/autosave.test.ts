import { autosave } from './autosave.ts';

const pause = (ms: number): Promise<void> => new Promise((go) => setTimeout(go, ms));

test('the newest value is kept once things are quiet', async () => {
  const kept: number[] = [];
  const told: string[] = [];
  const saving = autosave<number>(
    async (value) => void kept.push(value),
    (state) => told.push(state),
  );
  saving.changed(1);
  saving.changed(2);
  await pause(400);
  expect(kept).toEqual([2]);
  expect(told).toEqual(['keeping', 'keeping', 'kept']);
});

test('a change waits less than a second even when others keep coming', async () => {
  const kept: number[] = [];
  const saving = autosave<number>(
    async (value) => void kept.push(value),
    () => undefined,
  );
  for (let at = 0; at < 10; at++) {
    saving.changed(at);
    await pause(100);
  }
  expect(kept.length).toBeGreaterThanOrEqual(1);
});

test('what could not be kept is tried again with the next change or at once', async () => {
  const kept: number[] = [];
  const told: string[] = [];
  let full = true;
  const saving = autosave<number>(
    (value) => (full ? Promise.reject(new Error('full')) : Promise.resolve(void kept.push(value))),
    (state) => told.push(state),
  );
  saving.changed(1);
  await saving.flush();
  expect(told).toEqual(['keeping', 'failed']);
  full = false;
  await saving.flush();
  expect(kept).toEqual([1]);
});
