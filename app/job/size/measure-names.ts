import type { MeasuredThing } from '../../../core/things/index.ts';
import { texts } from '../../texts/index.ts';

/** How a thing is measured, where there are two ways. */
const wayOf = (thing: MeasuredThing): string | undefined =>
  'measured' in thing ? thing.measured : undefined;

/** What a measurement of a thing is called on screen. */
export function measureName(thing: MeasuredThing, key: string): string {
  const special =
    key === 'size'
      ? texts.size.nameOf[`${thing.kind} ${wayOf(thing) ?? ''}`]
      : texts.size.nameOf[`${thing.kind} ${key}`];
  return special ?? texts.size.names[key] ?? key;
}

/** Where to hold the ruler. */
export function measureHint(thing: MeasuredThing): string {
  const { hints } = texts.size;
  return hints[`${thing.kind} ${wayOf(thing) ?? ''}`] ?? hints[thing.kind] ?? '';
}
