import type { Doing } from './doings.ts';

/** Thrown inside a heavy call when the person who asked for it has changed their mind. */
export class Cancelled extends Error {
  constructor() {
    super('Cancelled');
    this.name = 'Cancelled';
  }
}

/** What a heavy call is given so that it can be watched and stopped. */
export interface Task {
  /** Says how far the call has come: a share from 0 to 1, and what it is at. */
  progress(share: number, doing: Doing): void;
  /** Shows what has been found so far, where a call says that it does. */
  found?(part: unknown): void;
  /**
   * Lets messages in and throws {@link Cancelled} when one of them was a cancel. Called between
   * slices of at most 50 ms of work.
   */
  yieldNow(): Promise<void>;
}

/** A task that nobody watches. */
export const unwatched: Task = { progress: () => undefined, yieldNow: () => Promise.resolve() };

/** A task that can be stopped from outside and tells how far it is. */
export function watchedTask(
  watch: Task['progress'],
  found?: (part: unknown) => void,
): {
  task: Task;
  cancel: () => void;
} {
  let stopped = false;
  return {
    cancel: () => {
      stopped = true;
    },
    task: {
      progress: watch,
      ...(found ? { found } : {}),
      async yieldNow() {
        await new Promise<void>((go) => setTimeout(go, 0));
        if (stopped) throw new Cancelled();
      },
    },
  };
}
