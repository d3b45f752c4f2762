import { movedFeatures } from './features.ts';
import { movedNudges } from './nudges.ts';
import type { WordsStyle } from './words-style.ts';

type Lettered = Pick<WordsStyle, 'text' | 'nudges' | 'features'>;

/** What changes with the text of words: what was done to single letters keeps to them. */
export function textChanges({ text: before, nudges, features }: Lettered, text: string): Lettered {
  return {
    text,
    ...(nudges ? { nudges: [...movedNudges(nudges, before, text)] } : {}),
    ...(features ? { features: [...movedFeatures(features, before, text)] } : {}),
  };
}
