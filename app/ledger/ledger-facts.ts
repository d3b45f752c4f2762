import {
  daysLeft,
  goodOf,
  spoilage,
  type PackTotal,
  type RunRecord,
} from '../../core/run/index.ts';
import { supplySheets, type Supply } from '../../core/stock/index.ts';
import { dayOf } from '../ui/dates.ts';

export type Span = 'all' | 'year' | 'month';
const DAYS: Readonly<Record<Span, number>> = { all: Infinity, year: 365, month: 30 };
const DAY = 24 * 60 * 60 * 1000;

/** The finished runs of a span of time in which a text is found. */
export function runsFor(
  runs: readonly RunRecord[],
  { typed, span, now }: { typed: string; span: Span; now: number },
): RunRecord[] {
  const wanted = typed.trim().toLowerCase();
  return runs.filter(
    ({ open, at, jobName = '', stock = '', material = '' }) =>
      !open &&
      now - Date.parse(at) <= DAYS[span] * DAY &&
      `${jobName}\n${stock}\n${material}`.toLowerCase().includes(wanted),
  );
}

/** How the share of spoiled labels went, run by run, the earliest first: percent. */
export function spoilageOverTime(runs: readonly RunRecord[]): { day: string; percent: number }[] {
  return [...runs].reverse().map((run) => ({
    day: dayOf(run.at),
    percent: Math.round(spoilage([run]) * 1000) / 10,
  }));
}

/** A pack by its stock and material, and by what a sheet of it cost where others are called alike. */
export function packName(
  { stock, material, sheetPrice }: Pick<PackTotal, 'stock' | 'material' | 'sheetPrice'>,
  all: readonly PackTotal[],
  money: (amount: number) => string,
): string {
  const name = material ? `${stock}, ${material}` : stock;
  const alike = all.filter((one) => one.stock === stock && one.material === material);
  return alike.length > 1 && sheetPrice !== undefined ? `${name}, ${money(sheetPrice)}` : name;
}

/** What is on hand, and for how many days by the runs up to now. */
export function handFacts(
  supplies: readonly Supply[],
  runs: readonly RunRecord[],
  now: number,
): { id: string; stock: string; sheets: number; days: number | undefined }[] {
  return supplies.map((supply) => {
    const sheets = supplySheets(supply);
    const { name } = supply.stock;
    return {
      id: supply.id,
      stock: name,
      sheets,
      days: daysLeft({ stock: name, onHand: sheets }, runs, now),
    };
  });
}

/** Sums of runs. */
export const sums = (
  runs: readonly RunRecord[],
): { good: number; spoiled: number; sheets: number } => ({
  good: runs.reduce((all, run) => all + goodOf(run), 0),
  spoiled: runs.reduce((all, run) => all + run.copies - goodOf(run), 0),
  sheets: runs.reduce((all, { sheets }) => all + sheets, 0),
});
