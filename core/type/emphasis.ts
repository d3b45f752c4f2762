import * as z from 'zod';
import type { TextRange } from './features.ts';

/** How many words may be set stronger, and how long each may be. */
export const EMPHASIS_LIMITS = { words: 120, letters: 60 } as const;

export const emphasisSchema = z
  .array(z.string().min(1).max(EMPHASIS_LIMITS.letters))
  .max(EMPHASIS_LIMITS.words);

/** Words of a list as it is typed, apart by commas, semicolons or lines; each once, as many as may be. */
export function typedEmphasis(typed: string): string[] {
  const found = typed
    .split(/[,;\n]/)
    .map((word) => word.trim().slice(0, EMPHASIS_LIMITS.letters).trim())
    .filter((word) => word !== '');
  const once = new Map(found.map((word) => [word.toLowerCase(), word]));
  return [...once.values()].slice(0, EMPHASIS_LIMITS.words);
}

/** Where a text has the words of a list: whole words, in any case, the longest of several. */
export function emphasized(text: string, words: readonly string[] = []): TextRange[] {
  if (words.length === 0) return [];
  const either = [...words]
    .sort((one, other) => other.length - one.length)
    .map((word) => word.replace(/[.*+?^${}()|[\]\\]/g, '\\$&'))
    .join('|');
  const whole = new RegExp(`(?<![\\p{L}\\p{M}\\p{N}])(?:${either})(?![\\p{L}\\p{M}\\p{N}])`, 'giu');
  return [...text.matchAll(whole)].map(({ index, 0: found }) => ({
    start: index,
    end: index + found.length,
  }));
}
