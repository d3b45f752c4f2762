import { err, ok, type Result } from '../base/index.ts';
import { findRgb, toHex } from './color.ts';

/** A palette that a file names: `#rrggbb`, in its order, each once. */
export interface FilePalette {
  readonly name: string;
  readonly colors: readonly string[];
  /** How many more the file names than a palette holds. */
  readonly over: number;
}

/** How many colours a palette holds. */
export const MOST_PALETTE_COLORS = 12;

const LONGEST = 2e6; // letters

/**
 * Reads a palette from a text: colours as hex anywhere in it (style sheets, JSON, SVG, plain lists), or
 * one to a line as three numbers up to 255 with a name behind them.
 */
export function parsePalette(text: string, file: string): Result<FilePalette> {
  const triples = [...text.slice(0, LONGEST).matchAll(/^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})\b/gm)]
    .map(([, ...three]) => three.map(Number))
    .filter((three) => three.every((part) => part <= 255))
    .map(([r = 0, g = 0, b = 0]) => toHex({ r: r / 255, g: g / 255, b: b / 255 }));
  const named = [...text.slice(0, LONGEST).matchAll(/#(?:[\da-f]{6}|[\da-f]{3})\b/gi)].flatMap(
    ([found]) => findRgb(found.toLowerCase()) ?? [],
  );
  const bare = [...text.slice(0, LONGEST).matchAll(/^\s*([\da-f]{6})\s*$/gim)].flatMap(
    ([, found = '']) => findRgb(`#${found.toLowerCase()}`) ?? [],
  );
  const [most = []] = [triples, named.map(toHex), bare.map(toHex)].sort(
    (one, other) => other.length - one.length,
  );
  const colors = [...new Set(most)];
  if (colors.length < 2) return err('palette/none', { file });
  const titled = /^\s*name\s*:\s*(.+)$/im.exec(text)?.[1]?.trim();
  const name = (titled || file.replace(/\.[^.]+$/, '') || 'Palette').slice(0, 50);
  return ok({
    name,
    colors: colors.slice(0, MOST_PALETTE_COLORS),
    over: Math.max(0, colors.length - MOST_PALETTE_COLORS),
  });
}
