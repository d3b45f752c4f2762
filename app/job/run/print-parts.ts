import type { AlikeSheets } from '../../../core/job/index.ts';

/** What is sent to a printer at once: sheets of a job by their numbers from 0, all of them so often. */
export interface PrintPart {
  readonly sheets: readonly number[];
  readonly copies: number;
}

/**
 * The sheets of a run as they are sent: those that are alike once, to be copied by the printer, others
 * together.
 * @param from the first sheet that is still to be printed, from 0
 * @param most how many copies the printer makes by itself
 */
export function printParts(
  alike: readonly AlikeSheets[],
  { from, most }: { readonly from: number; readonly most: number },
): PrintPart[] {
  const parts: { sheets: number[]; copies: number }[] = [];
  for (const { first, count } of alike) {
    const begin = Math.max(first, from);
    let left = first + count - begin;
    while (left > 0) {
      const copies = Math.min(left, Math.max(1, most));
      const last = parts[parts.length - 1];
      if (copies === 1 && last?.copies === 1) last.sheets.push(first + count - left);
      else parts.push({ sheets: [first + count - left], copies });
      left -= copies;
    }
  }
  return parts;
}
