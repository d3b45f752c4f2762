import { effectScope, nextTick, ref } from 'vue';
import { useGradually } from './gradually.ts';

/** Frames that come when they are told to. */
function frames(): () => Promise<void> {
  const waiting: (() => void)[] = [];
  Object.assign(globalThis, {
    requestAnimationFrame: (run: () => void): number => waiting.push(run),
    cancelAnimationFrame: (id: number): void => void waiting.splice(id - 1, 1),
  });
  return async () => {
    for (const run of waiting.splice(0)) run();
    await nextTick();
  };
}

test('some are there at once, and some more with each frame until all are', async () => {
  const next = frames();
  const list = ref([1, 2, 3, 4, 5]);
  const scope = effectScope();
  const shown = scope.run(() => useGradually(() => list.value, 2));
  const counts: (number | undefined)[] = [];
  for (let frame = 0; frame < 4; frame++) {
    counts.push(shown?.value.length);
    await next();
  }
  expect(counts).toEqual([2, 4, 5, 5]);
  // What comes later comes gradually as well; what goes is gone at once.
  list.value = Array.from({ length: 12 }, (_, at) => at);
  await nextTick();
  expect(shown?.value).toHaveLength(6);
  await next();
  expect(shown?.value).toHaveLength(8);
  list.value = [7];
  expect(shown?.value).toEqual([7]);
  scope.stop();
});
