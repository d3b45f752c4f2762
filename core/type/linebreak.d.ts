declare module 'linebreak' {
  /** Finds where lines of a text may end (UAX 14). */
  export default class LineBreaker {
    constructor(text: string);
    /** The next place, counted in UTF-16 units; null behind the last. */
    nextBreak(): { readonly position: number; readonly required: boolean } | null;
  }
}
