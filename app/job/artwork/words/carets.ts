import type { Point } from '../../../../core/geometry/index.ts';
import type { Caret } from '../../../../core/type/index.ts';

/** The caret at an index of the text; where a line wraps, that at the beginning of the next. */
export function boundsOf(carets: readonly Caret[], at: number): Caret | undefined {
  let best: Caret | undefined;
  for (const caret of carets) if (caret.at <= at && caret.at >= (best?.at ?? 0)) best = caret;
  return best ?? carets[0];
}

/** The index of the caret nearest to a place on the words. */
export function nearestCaret(
  carets: readonly Caret[],
  place: Point,
  em: number,
): number | undefined {
  let best: { at: number; off: number } | undefined;
  for (const { at, x, y, angle } of carets) {
    const turn = (angle * Math.PI) / 180;
    // Measured from the middle of the caret, a third of an em above its foot.
    const [dx, dy] = [
      place.x - x - 0.33 * em * Math.sin(turn),
      place.y - y + 0.33 * em * Math.cos(turn),
    ];
    const off = dx * dx + dy * dy;
    if (off < (best?.off ?? Infinity)) best = { at, off };
  }
  return best?.at;
}

/** The index nearest above or below; the ends of the text where there is no such line. */
export function nextLine(carets: readonly Caret[], at: number, step: -1 | 1): number {
  const from = boundsOf(carets, at);
  if (!from) return at;
  const there = carets.filter(({ line }) => line === from.line + step);
  if (there.length === 0) return step < 0 ? 0 : (carets[carets.length - 1]?.at ?? at);
  return there.reduce((best, one) =>
    Math.abs(one.x - from.x) < Math.abs(best.x - from.x) ? one : best,
  ).at;
}

/** The index at the beginning or the end of the line that a caret stands in. */
export function lineEnd(carets: readonly Caret[], at: number, end: boolean): number {
  const from = boundsOf(carets, at);
  const line = carets.filter((one) => one.line === from?.line).map((one) => one.at);
  return line.length ? (end ? Math.max(...line) : Math.min(...line)) : at;
}
