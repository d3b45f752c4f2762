import type { Nudge } from './words-style.ts';

/**
 * Letters moved by hand after their text has been changed: what stands before the change and behind
 * it keeps its place, and letters that are gone take theirs along.
 */
export function movedNudges(
  nudges: readonly Nudge[],
  before: string,
  after: string,
): readonly Nudge[] {
  if (nudges.length === 0 || before === after) return nudges;
  const shorter = Math.min(before.length, after.length);
  let start = 0;
  while (start < shorter && before[start] === after[start]) start++;
  let end = 0;
  while (end < shorter - start && before[before.length - 1 - end] === after[after.length - 1 - end])
    end++;
  const gone = before.length - end;
  return nudges.flatMap((nudge) => {
    if (nudge.at < start) return [nudge];
    return nudge.at < gone ? [] : [{ ...nudge, at: nudge.at + after.length - before.length }];
  });
}

/** Letters of a part of a text moved alike; those that stand where they belong are left out. */
export function withNudge(
  nudges: readonly Nudge[],
  letters: readonly number[],
  change: Partial<Omit<Nudge, 'at'>>,
): Nudge[] {
  const others = nudges.filter(({ at }) => !letters.includes(at));
  const moved = letters.map((at) => ({
    at,
    x: 0,
    y: 0,
    turn: 0,
    ...nudges.find((one) => one.at === at),
    ...change,
  }));
  return [...others, ...moved]
    .filter(({ x, y, turn }) => x !== 0 || y !== 0 || turn !== 0)
    .sort((one, other) => one.at - other.at);
}
