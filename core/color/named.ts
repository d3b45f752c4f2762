import names from 'color-name';
import { findRgb, toHex } from './color.ts';

/** Reads `#rgb`, `#rrggbb` or an English name of CSS (CSS Color 4, 6.1) as `#rrggbb`; undefined for anything else. */
export function findNamedColor(typed: string): string | undefined {
  const plain = typed.trim().toLowerCase().replace(/\s+/g, '');
  const named = Object.hasOwn(names, plain) ? names[plain] : undefined;
  if (named) return toHex({ r: named[0] / 255, g: named[1] / 255, b: named[2] / 255 });
  const found = findRgb(plain);
  return found && toHex(found);
}
