/** What was found and why it matters: a sentence each. */
export interface FindingSentences {
  readonly what: string;
  readonly why: string;
}

/** What is wrong and what to do about it: a sentence each. */
export interface Sentences {
  readonly what: string;
  readonly remedy: string;
}
