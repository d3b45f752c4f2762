import * as z from 'zod';

const text = z.string().max(300);
const count = z.number().int().min(0).max(1_000_000);

/** One run of a job as the ledger keeps it. Runs from before there was one have less. */
export const runRecordSchema = z.object({
  id: text,
  job: text,
  /** Which thing of a set it was; undefined for a job of one. */
  thing: text.optional(),
  /** ISO time at which it was begun. */
  at: z.string().max(40),
  sheets: count,
  /** Labels that were to be made. */
  copies: count,
  /** The first sheet as it was printed, small: a PNG as a data address. */
  picture: z.string().startsWith('data:image/png;base64,').max(300_000).optional(),
  /** What each copy looked like that was printed, by its name. */
  printed: z.record(z.string(), z.string()).optional(),
  /** The copies that were spoiled. */
  spoiled: z.array(z.string()).optional(),
  /** Labels of other jobs among them, and which pieces these are; apart from it once it is done. */
  guests: z
    .array(
      z.object({
        job: text,
        jobName: text,
        thing: text.optional(),
        pieces: z.array(text).max(200),
      }),
    )
    .max(200)
    .optional(),
  /** The spoiled copies that are booked to other jobs. */
  spoiledGuests: z.array(z.string()).optional(),
  /** The run on whose sheets these labels lay as guests: the job as it was called. */
  guestOf: text.optional(),
  /** How many sheets are paid for by these labels, where labels of other jobs lay on them, too. */
  paidSheets: z.number().min(0).optional(),
  /** The job, its stock and its material as they were called. */
  jobName: text.optional(),
  stock: text.optional(),
  material: text.optional(),
  /** What a sheet cost; undefined where no price was known. */
  sheetPrice: z.number().min(0).optional(),
  /** How long the devices worked and hands were busy, seconds. */
  seconds: z.number().min(0).optional(),
  /** How far it has come, while it is under way. */
  open: z
    .object({
      /** Steps that are done, by their keys. */
      done: z.array(z.string()).max(2000),
    })
    .optional(),
});
export type RunRecord = z.infer<typeof runRecordSchema>;

/** How many labels of a run are good. */
export const goodOf = ({ copies, spoiled = [] }: RunRecord): number =>
  Math.max(0, copies - spoiled.length);

/** The share of labels that were spoiled. */
export const spoilage = (runs: readonly RunRecord[]): number => {
  const made = runs.reduce((sum, { copies }) => sum + copies, 0);
  const good = runs.reduce((sum, run) => sum + goodOf(run), 0);
  return made ? (made - good) / made : 0;
};

/**
 * A run that is done as each of its jobs has it: the job that was run, with its sheets, and those whose
 * labels lay on them, each with its own good and spoiled ones and its part of the paper.
 */
export function bookedRuns({ guests = [], ...run }: RunRecord): RunRecord[] {
  if (guests.length === 0) return [run];
  const names = Object.keys(run.printed ?? {});
  const of = (copies: readonly string[], pieces: readonly string[]): string[] =>
    copies.filter((copy) => pieces.includes(copy.slice(0, copy.lastIndexOf('#'))));
  const paid = (copies: number): number => (run.sheets * copies) / Math.max(1, run.copies);
  const all = guests.flatMap(({ pieces }) => pieces);
  const isOwn = (copy: string): boolean => of([copy], all).length === 0;
  const booked = guests.map(({ job, jobName, thing, pieces }, at): RunRecord => {
    const copies = of(names, pieces).length;
    const { stock, material, sheetPrice } = run;
    return {
      id: `${run.id}/${at + 1}`,
      job,
      jobName,
      ...(thing === undefined ? {} : { thing }),
      at: run.at,
      sheets: 0,
      copies,
      spoiled: of(run.spoiled ?? [], pieces),
      guestOf: run.jobName ?? '',
      paidSheets: paid(copies),
      ...(stock === undefined ? {} : { stock }),
      ...(material === undefined ? {} : { material }),
      ...(sheetPrice === undefined ? {} : { sheetPrice }),
    };
  });
  const copies = run.copies - booked.reduce((sum, one) => sum + one.copies, 0);
  const own = Object.entries(run.printed ?? {}).filter(([copy]) => isOwn(copy));
  const spoiledGuests = run.spoiled?.filter((copy) => !isOwn(copy)) ?? [];
  return [
    {
      ...run,
      copies,
      printed: Object.fromEntries(own),
      ...(run.spoiled ? { spoiled: run.spoiled.filter(isOwn) } : {}),
      ...(spoiledGuests.length ? { spoiledGuests } : {}),
      paidSheets: paid(copies),
    },
    ...booked.filter((one) => one.copies > 0),
  ];
}

/** What a good label cost in paper; undefined where no price was known, or nothing came out. */
export function costPerGood(runs: readonly RunRecord[]): number | undefined {
  const priced = runs.filter(({ sheetPrice }) => sheetPrice !== undefined);
  const good = priced.reduce((sum, run) => sum + goodOf(run), 0);
  const cost = priced.reduce(
    (sum, { sheets, paidSheets = sheets, sheetPrice = 0 }) => sum + paidSheets * sheetPrice,
    0,
  );
  return good > 0 ? cost / good : undefined;
}

/** What the runs on sheets of one pack came to: of a stock and material that cost the same a sheet. */
export interface PackTotal {
  readonly stock: string;
  readonly material: string;
  /** Of one sheet; undefined where it was not known. */
  readonly sheetPrice: number | undefined;
  readonly runs: number;
  readonly sheets: number;
  readonly good: number;
  readonly spoiled: number;
  readonly cost: number | undefined;
}

/** The runs by the packs that their sheets came from, the one with the most sheets first. */
export function byPack(runs: readonly RunRecord[]): PackTotal[] {
  const groups = new Map<string, RunRecord[]>();
  for (const run of runs) {
    const price = run.sheetPrice?.toFixed(4) ?? '';
    const key = `${run.stock ?? ''}\n${run.material ?? ''}\n${price}`;
    groups.set(key, [...(groups.get(key) ?? []), run]);
  }
  return [...groups.values()]
    .map((all): PackTotal => {
      const good = all.reduce((sum, run) => sum + goodOf(run), 0);
      return {
        stock: all[0]?.stock ?? '',
        material: all[0]?.material ?? '',
        sheetPrice: all[0]?.sheetPrice,
        runs: all.filter(({ guestOf }) => guestOf === undefined).length,
        sheets: all.reduce((sum, { sheets }) => sum + sheets, 0),
        good,
        spoiled: all.reduce((sum, { copies }) => sum + copies, 0) - good,
        cost: costPerGood(all),
      };
    })
    .sort((one, other) => other.sheets - one.sheets);
}

const DAY = 24 * 60 * 60 * 1000;

/**
 * In how many days stock runs out when it is used on as in the time that the runs span; undefined
 * where there is no telling: fewer than two days of runs, or none on this stock.
 * @param now milliseconds since 1970
 */
export function daysLeft(
  { stock, onHand }: { readonly stock: string; readonly onHand: number },
  runs: readonly RunRecord[],
  now: number,
): number | undefined {
  const own = runs.filter((run) => run.stock === stock);
  const first = Math.min(...own.map(({ at }) => Date.parse(at)));
  const days = (now - first) / DAY;
  const used = own.reduce((sum, { sheets }) => sum + sheets, 0);
  return Number.isFinite(days) && days >= 2 && used > 0 ? onHand / (used / days) : undefined;
}

const COLUMNS = [
  'date',
  'job',
  'stock',
  'material',
  'sheets',
  'labels',
  'good',
  'spoiled',
  'seconds',
  'cost per good label',
] as const;

/** The runs as CSV (RFC 4180), one a line, under their names. */
export function ledgerCsv(runs: readonly RunRecord[]): string {
  const lines = runs.map((run) => [
    run.at.slice(0, 10),
    run.jobName ?? '',
    run.stock ?? '',
    run.material ?? '',
    run.sheets,
    run.copies,
    goodOf(run),
    run.copies - goodOf(run),
    run.seconds === undefined ? '' : Math.round(run.seconds),
    costPerGood([run])?.toFixed(4) ?? '',
  ]);
  return [COLUMNS, ...lines].map((line) => `${line.map(field).join(',')}\r\n`).join('');
}

/** A field as a spreadsheet reads it: never as a formula. */
function field(value: string | number): string {
  const plain = String(value);
  const safe = typeof value === 'string' && /^[=+\-@\t\r]/.test(plain) ? `'${plain}` : plain;
  return /[",\r\n]/.test(safe) ? `"${safe.replaceAll('"', '""')}"` : safe;
}
