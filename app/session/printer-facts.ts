import {
  farthest,
  mapFacts,
  type CalibratedSheet,
  type Calibration,
} from '../../core/register/index.ts';
import type { PrinterOffers } from '../../core/stock/index.ts';
import type { PrinterTold } from '../../devices/protocol/index.ts';
import { texts } from '../texts/index.ts';

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

/** A name of the printing standards in plain words. */
export function nameOf(keyword: string): string {
  const plain = keyword.replace(/[-_]+/g, ' ');
  return texts.devices.print.names[keyword] ?? plain.charAt(0).toUpperCase() + plain.slice(1);
}

/** A size of paper by its standard name (PWG 5101.1), as people say it: “A4”, “Letter”. */
const paperName = (name: string): string => nameOf(name.split('_')[1] ?? name);

/** What a printer says that it can, a name and a value each. */
export function offeredFacts({ papers = [], trays, margins }: PrinterOffers): [string, string][] {
  const facts: [string, string][] = [
    [words.papers, papers.map(paperName).join(', ')],
    [words.trays, trays.join(', ')],
    [words.leavesFree, margins ? margins.map((side) => `${side} mm`).join(', ') : ''],
  ];
  return facts.filter(([, value]) => value !== '');
}

/** What is kept of what a printer says that it can. */
export function offersOf({
  media,
  trays,
  types,
  color,
  copies,
  margins,
}: Pick<PrinterTold, 'media' | 'trays' | 'types' | 'color' | 'copies' | 'margins'>): PrinterOffers {
  return {
    papers: media.filter((name) => !name.startsWith('custom_')),
    trays: trays.filter((name) => name !== 'auto'),
    types: types.filter((name) => name !== 'auto'),
    color,
    copies,
    ...(margins ? { margins: [...margins] } : {}),
  };
}
