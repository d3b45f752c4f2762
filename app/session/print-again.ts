import { defineStore } from 'pinia';
import { shallowRef } from 'vue';

/** A thing of a set that is to be printed again, and how many of each of its labels; as many as before without a number. */
export interface Again {
  readonly thing: string;
  readonly name: string;
  readonly count: number | undefined;
}

/** Which things of a set are printed again, one after the other. */
export const usePrintAgain = defineStore('print-again', () => {
  const asked = shallowRef<{ readonly job: string; readonly left: readonly Again[] }>();
  let isNew = false;

  function start(job: string, left: readonly Again[]): void {
    asked.value = { job, left };
    isNew = true;
  }

  /** The first of them, once: where it begins. */
  function begin(job: string): string | undefined {
    if (!isNew || asked.value?.job !== job) return undefined;
    isNew = false;
    return asked.value.left[0]?.thing;
  }

  /** Those of a job that are still to come. */
  const left = (job: string): readonly Again[] =>
    asked.value?.job === job ? asked.value.left : [];

  /** The turn of one that is due; undefined where it is not. It is not due any more. */
  function take(job: string, thing: string): Again | undefined {
    const due = left(job).find((one) => one.thing === thing);
    if (due) asked.value = { job, left: left(job).filter((one) => one !== due) };
    return due;
  }

  return { start, begin, left, take };
});
