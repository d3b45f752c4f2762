import { stockSchema, type Stock } from '../../core/stock/index.ts';
import { database } from './database.ts';

const KEY = 'own-sheets';

/** The sheets that were measured here, the latest first; what cannot be read is passed over. */
export async function ownSheets(): Promise<Stock[]> {
  const kept = await database.workshop.getItem<unknown>(KEY);
  return Array.isArray(kept)
    ? kept.flatMap((one) => {
        const read = stockSchema.safeParse(one);
        return read.success ? [read.data] : [];
      })
    : [];
}

/** Keeps a measured sheet; one of the same id is replaced. */
export async function keepOwnSheet(stock: Stock): Promise<Stock[]> {
  const others = (await ownSheets()).filter(({ id }) => id !== stock.id);
  const all = [stock, ...others];
  await database.workshop.setItem(KEY, all);
  return all;
}

/** Forgets a measured sheet; jobs on it keep their copy. */
export async function forgetOwnSheet(id: string): Promise<Stock[]> {
  const left = (await ownSheets()).filter((one) => one.id !== id);
  await database.workshop.setItem(KEY, left);
  return left;
}
