import type { Stock } from '../../core/stock/index.ts';
import { formatLength, formatNumber, type Unit } from '../../core/units/index.ts';

/** How large a sheet is: `210 × 297 mm`. */
export function sheetSize({ width, height }: Pick<Stock, 'width' | 'height'>, unit: Unit): string {
  return `${formatNumber(width, unit)} × ${formatLength(height, unit)}`;
}
