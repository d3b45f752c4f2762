import * as z from 'zod';
import {
  materialFromVersion9,
  materialSchema,
  cutterSchema,
  printerSchema,
  stockFromVersion2,
  stockSchema,
  supplySchema,
  type Cutter,
  type Material,
  type PrinterProfile,
  type Stock,
  type Supply,
} from '../../core/stock/index.ts';
import { database } from './database.ts';
import { leaving } from './leaving.ts';

/** What the Stock room keeps of its own, beside what ships. */
export interface StockRoom {
  /** Sheets that were measured or found, the latest first. */
  readonly sheets: readonly Stock[];
  /** Materials of one's own, and shipped ones that were changed, by the same id. */
  readonly materials: readonly Material[];
  /** What is on hand. */
  readonly supplies: readonly Supply[];
  /** Printers, with how each of their trays puts a page on paper. */
  readonly printers: readonly PrinterProfile[];
  readonly cutters: readonly Cutter[];
  /** Ids of sheets. */
  readonly favourites: readonly string[];
  /** Ids of sheets that jobs were last laid on, the latest first. */
  readonly recent: readonly string[];
}

export const EMPTY_STOCK_ROOM: StockRoom = {
  sheets: [],
  materials: [],
  supplies: [],
  printers: [],
  cutters: [],
  favourites: [],
  recent: [],
};

const KEY = 'stock-room';
const LEFT = 'little-peel-stock-room';
/** Where measured sheets stood before there was more to keep. */
const OLD_SHEETS = 'own-sheets';

/** A list of which what cannot be read is passed over, so that one bad entry takes no other with it. */
function listOf<T>(schema: z.ZodType<T>, found: unknown, heal = (one: unknown) => one): T[] {
  return (Array.isArray(found) ? found : []).flatMap((one) => {
    const read = schema.safeParse(one);
    const healed = read.success ? read : schema.safeParse(heal(one));
    return healed.success ? [healed.data] : [];
  });
}

/** Reads a Stock room as it was kept, or as a backup brings it. */
export function readStockRoom(kept: unknown): StockRoom {
  const found = (typeof kept === 'object' && kept !== null ? kept : {}) as Record<string, unknown>;
  return {
    sheets: listOf(stockSchema, found.sheets, stockFromVersion2),
    materials: listOf(materialSchema, found.materials, materialFromVersion9),
    supplies: listOf(supplySchema, found.supplies),
    printers: listOf(printerSchema, found.printers),
    cutters: listOf(cutterSchema, found.cutters),
    favourites: listOf(z.string(), found.favourites),
    recent: listOf(z.string(), found.recent),
  };
}

/** Keeps what a page left behind that could not wait for the database. */
async function keepWhatWasLeft(): Promise<void> {
  const left = globalThis.localStorage?.getItem(LEFT);
  if (!left) return;
  try {
    await database.workshop.setItem(KEY, readStockRoom(JSON.parse(left)));
  } finally {
    localStorage.removeItem(LEFT);
  }
}

/** The Stock room of this workshop. */
export async function stockRoom(): Promise<StockRoom> {
  await keepWhatWasLeft();
  const kept = await database.workshop.getItem<unknown>(KEY);
  if (kept !== null) return readStockRoom(kept);
  return readStockRoom({ sheets: await database.workshop.getItem<unknown>(OLD_SHEETS) });
}

/** Keeps the Stock room. */
export async function keepStockRoom(room: StockRoom): Promise<void> {
  // The database answers later than a page that is left can wait.
  if (leaving()) localStorage.setItem(LEFT, JSON.stringify(room));
  await database.workshop.setItem(KEY, room);
  if (leaving()) localStorage.removeItem(LEFT);
}

const together = <T extends { readonly id: string }>(
  first: readonly T[],
  second: readonly T[],
): T[] => [...first, ...second.filter(({ id }) => !first.some((one) => one.id === id))];

/** Two Stock rooms as one; where both have something of the same id, that of the first stays. */
export function mergedStockRoom(first: StockRoom, second: StockRoom): StockRoom {
  return {
    sheets: together(first.sheets, second.sheets),
    materials: together(first.materials, second.materials),
    supplies: together(first.supplies, second.supplies),
    printers: together(first.printers, second.printers),
    cutters: together(first.cutters, second.cutters),
    favourites: [...new Set([...first.favourites, ...second.favourites])],
    recent: [...new Set([...first.recent, ...second.recent])],
  };
}
