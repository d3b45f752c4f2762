import { houseStyleSchema, NO_HOUSE_STYLE, type HouseStyle } from '../../core/designs/index.ts';
import { database } from './database.ts';

const KEY = 'house-style';

/** Reads a house style as it was kept, or as a backup brings it; what cannot be read is none. */
export function readHouseStyle(kept: unknown): HouseStyle {
  const read = houseStyleSchema.safeParse(kept);
  return read.success ? read.data : NO_HOUSE_STYLE;
}

/** The house style of this workshop. */
export async function houseStyle(): Promise<HouseStyle> {
  return readHouseStyle(await database.workshop.getItem<unknown>(KEY));
}

/** Keeps the house style. */
export async function keepHouseStyle(style: HouseStyle): Promise<void> {
  await database.workshop.setItem(KEY, style);
}
