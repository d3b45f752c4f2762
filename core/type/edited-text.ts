/** What was changed between two states of a text: one stretch of it, as far as its ends tell. */
export interface TextEdit {
  /** Where the change begins, and where what was there before it ended. */
  readonly start: number;
  readonly gone: number;
  /** By how much what stands behind it has moved. */
  readonly by: number;
  /** Where a character is now; undefined where it is gone. */
  moved(at: number): number | undefined;
}

/** Finds what was changed: what is alike at both ends of the texts has stayed. */
export function editOf(before: string, after: string): TextEdit {
  const shorter = Math.min(before.length, after.length);
  let start = 0;
  while (start < shorter && before[start] === after[start]) start++;
  let end = 0;
  while (end < shorter - start && before[before.length - 1 - end] === after[after.length - 1 - end])
    end++;
  const gone = before.length - end;
  const by = after.length - before.length;
  return {
    ...{ start, gone, by },
    moved(at) {
      if (at < start) return at;
      return at < gone ? undefined : at + by;
    },
  };
}
