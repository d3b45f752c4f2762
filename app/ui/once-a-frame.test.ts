import { onceAFrame } from './once-a-frame.ts';

/** A page whose frames come when they are told to. */
function page(): { frame(): void; press(): void; waiting(): number } {
  const frames = new Map<number, () => void>();
  const listeners = new Set<() => void>();
  let last = 0;
  Object.assign(globalThis, {
    requestAnimationFrame: (run: () => void): number => {
      frames.set(++last, run);
      return last;
    },
    cancelAnimationFrame: (id: number): void => void frames.delete(id),
    addEventListener: (_: string, run: () => void): void => void listeners.add(run),
    removeEventListener: (_: string, run: () => void): void => void listeners.delete(run),
  });
  return {
    frame: () => {
      for (const [id, run] of [...frames]) {
        frames.delete(id);
        run();
      }
    },
    press: () => {
      for (const run of [...listeners]) run();
    },
    waiting: () => frames.size + listeners.size,
  };
}

test('what several events ask for is done once, with the frame', () => {
  const { frame, waiting } = page();
  let done = 0;
  const { ask } = onceAFrame(() => done++);
  ask();
  ask();
  ask();
  expect(done).toBe(0);
  frame();
  expect(done).toBe(1);
  frame();
  expect(done).toBe(1);
  expect(waiting()).toBe(0);
  ask();
  frame();
  expect(done).toBe(2);
});

test('it is done before what relies on it, and then not again', () => {
  const { frame, press, waiting } = page();
  let done = 0;
  const { ask, now } = onceAFrame(() => done++);
  now();
  expect(done).toBe(0);
  ask();
  now();
  expect(done).toBe(1);
  ask();
  press();
  expect(done).toBe(2);
  frame();
  press();
  expect(done).toBe(2);
  expect(waiting()).toBe(0);
});
