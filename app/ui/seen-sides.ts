import type { MeasuredThing } from '../../core/things/index.ts';
import { texts } from '../texts/index.ts';
import { seenFrom, type SeenFrom } from './thing-pictures/index.ts';

/** From where the label of a thing can be seen, as choices with their words. */
export const sidesOf = (thing: MeasuredThing): Partial<Record<SeenFrom, string>> =>
  Object.fromEntries(seenFrom(thing).map((from) => [from, texts.size.seen[from]]));
