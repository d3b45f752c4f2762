import { editOf } from './edited-text.ts';
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
  const { moved } = editOf(before, after);
  return nudges.flatMap((nudge) => {
    const at = moved(nudge.at);
    return at === undefined ? [] : [{ ...nudge, at }];
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
