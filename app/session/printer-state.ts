import type { PrinterReason } from '../../core/base/index.ts';
import type { PrinterTold } from '../../devices/protocol/index.ts';
import { isReason, reasonText } from '../../messages/index.ts';
import { texts } from '../texts/index.ts';

/** What is to be known of a printer before it prints. */
export interface PrinterNotes {
  /** What keeps it from printing until somebody sees to it. */
  readonly stops: readonly string[];
  /** What is worth knowing. */
  readonly notes: readonly string[];
}

/** What has to be seen to before anything is printed. */
const STOPS: ReadonlySet<PrinterReason['code']> = new Set([
  'cover-open',
  'ink-empty',
  'media-empty',
  'media-jam',
]);

/** What a printer says of itself that matters before a run. */
export function printerNotes({ reasons, supplies }: PrinterTold): PrinterNotes {
  const words = texts.devices.supplies;
  const told = reasons.filter(isReason);
  const stops = told.filter(({ code }) => STOPS.has(code)).map(reasonText);
  const notes = told.filter(({ code }) => !STOPS.has(code) && code !== 'ink-low').map(reasonText);
  const named = (state: 'low' | 'out'): string[] =>
    supplies.filter((one) => one.state === state).map(({ name }) => name);
  const [low, out] = [named('low'), named('out')];
  if (low.length) notes.push(words.isLow(low));
  else if (told.some(({ code }) => code === 'ink-low')) notes.push(words.inkLow);
  if (out.length && !told.some(({ code }) => code === 'ink-empty')) stops.push(words.isOut(out));
  return { stops, notes };
}
