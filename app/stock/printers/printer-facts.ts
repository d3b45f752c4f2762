import { farthest, mapFacts, type Calibration } from '../../../core/register/index.ts';
import type { CalibratedSheet } from '../../../core/register/index.ts';
import { texts } from '../../texts/index.ts';

const words = texts.printers;
/** Lengths of a calibration are small: hundredths of a mm count. */
export const hundredths = (mm: number): string => `${mm.toFixed(2)} mm`;

/** What stands beside the corner crosses of a calibration sheet, clockwise from the top left. */
export const CROSS_NAMES = ['A', 'B', 'C', 'D'];

/** Below and above that a calibration is trusted fairly, or well. */
const TRUST = { some: 0.5, well: 0.8 } as const;

/** What was found, a name and a value each. */
export function calibrationFacts(
  { map, residual, confidence, found, of }: Calibration,
  sheet: CalibratedSheet,
): (readonly [string, string])[] {
  const { right, down, turn, across, along, skew } = mapFacts(map, sheet);
  const angle = Math.abs(turn).toFixed(2);
  const trust = confidence > TRUST.well ? 'well' : confidence > TRUST.some ? 'some' : 'not';
  return [
    [words.acrossBy, right < 0 ? words.left(hundredths(-right)) : words.right(hundredths(right))],
    [words.downBy, down < 0 ? words.up(hundredths(-down)) : words.down(hundredths(down))],
    [words.turned, turn < 0 ? words.against(angle) : words.clockwise(angle)],
    [words.width, hundredths(100 * across)],
    [words.height, hundredths(100 * along)],
    [words.skew, `${skew.toFixed(2)}°`],
    [words.farthest, hundredths(farthest(map, sheet))],
    [words.marks, words.marksOf(found, of)],
    [words.residual, hundredths(residual)],
    [words.trust, words.trusts[trust]],
  ];
}
