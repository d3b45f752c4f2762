import { defineStore } from 'pinia';
import { ref } from 'vue';
import { ProblemError, type Problem } from '../../core/base/index.ts';
import { problemLine, type Sentences } from '../../messages/index.ts';
import { texts } from '../texts/index.ts';

/** A short word to the user, with at most one thing to do about it. */
export interface Message {
  readonly text: string;
  readonly kind: 'note' | 'problem';
  readonly action?: { readonly label: string; readonly run: () => void };
}

/** Messages shown one at a time at the foot of the window. */
export const useMessages = defineStore('messages', () => {
  const shown = ref<Message>();

  function say(text: string, action?: Message['action']): void {
    shown.value = { text, kind: 'note', ...(action ? { action } : {}) };
  }

  function sayProblem(problem: Problem): void {
    shown.value = { text: problemLine(problem), kind: 'problem' };
  }

  /** Tells what the page itself found to be wrong. */
  function sayTrouble({ what, remedy }: Sentences): void {
    shown.value = { text: `${what} ${remedy}`, kind: 'problem' };
  }

  /** Tells an error as a sentence; what is not a problem of ours is told without its stack. */
  function sayError(error: unknown): void {
    if (error instanceof ProblemError) return sayProblem(error.problem);
    console.warn(error);
    sayTrouble(texts.problem);
  }

  return { shown, say, sayProblem, sayTrouble, sayError };
});
