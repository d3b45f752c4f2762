import { supplySheets, type Material, type Stock, type Supply } from '../../core/stock/index.ts';
import { formatLength, formatNumber, type Unit } from '../../core/units/index.ts';
import { texts } from '../texts/index.ts';

/** How large a sheet is: `210 × 297 mm`. */
export function sheetSize({ width, height }: Pick<Stock, 'width' | 'height'>, unit: Unit): string {
  return `${formatNumber(width, unit)} × ${formatLength(height, unit)}`;
}

/** What tells a material from others at a glance: `Inkjet · dries 20 min`. */
export function materialNote({ ink, drying }: Material): string {
  const words = texts.stock.material;
  const printer = ink === 'any' ? words.anyPrinter : words.inks[ink];
  return `${printer} · ${drying > 0 ? words.dries(drying) : words.dry}`;
}

/** How much is on hand: whole sheets, or else started ones. */
export function supplyFact(supply: Supply): string {
  const words = texts.stock.supply;
  const whole = supplySheets(supply);
  return whole === 0 && supply.started.length > 0
    ? words.started(supply.started.length)
    : words.whole(whole);
}
