import type { Job } from './schema.ts';

/** A job as it was, and what was done next. */
export interface Step {
  readonly job: Job;
  /** Reads well behind “Undo”. */
  readonly label: string;
}

/** A job with the values before and after it; they share structure. */
export interface History {
  readonly now: Job;
  readonly past: readonly Step[];
  readonly future: readonly Step[];
  /** Steps of the same key follow each other as one, such as the taps of a nudge. */
  readonly key?: string;
}

const MOST_STEPS = 300;

/** A history that starts here. */
export function startHistory(job: Job): History {
  return { now: job, past: [], future: [] };
}

/** The history after a step. A step that changes nothing is none. */
export function afterStep(history: History, job: Job, label: string, key?: string): History {
  if (job === history.now) return history;
  const merges = key !== undefined && key === history.key && history.past.length > 0;
  const past = merges ? history.past : [...history.past, { job: history.now, label }];
  return {
    now: job,
    past: past.slice(-MOST_STEPS),
    future: [],
    ...(key === undefined ? {} : { key }),
  };
}

/** One step back; the same history when there is none. */
export function undo(history: History): History {
  const step = history.past[history.past.length - 1];
  if (!step) return history;
  return {
    now: step.job,
    past: history.past.slice(0, -1),
    future: [{ job: history.now, label: step.label }, ...history.future],
  };
}

/** One step forward again; the same history when there is none. */
export function redo(history: History): History {
  const [step, ...future] = history.future;
  if (!step) return history;
  return {
    now: step.job,
    past: [...history.past, { job: history.now, label: step.label }],
    future,
  };
}
