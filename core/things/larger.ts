import type { MeasuredThing } from './thing.ts';

/**
 * The thing as it would be measured for a label that is larger by `by` mm: across a flat label, around
 * a wall or box. Smaller when negative.
 */
export function largerThing(thing: MeasuredThing, by: number): MeasuredThing {
  const plus = (mm: number, more: number): number =>
    Math.max(0.5, Math.round((mm + more) * 1e6) / 1e6);
  switch (thing.kind) {
    case 'lid':
      return {
        ...thing,
        size: plus(thing.size, thing.measured === 'diameter' ? by : by * Math.PI),
      };
    case 'wrap':
      return {
        ...thing,
        size: plus(thing.size, thing.measured === 'circumference' ? by : by / Math.PI),
      };
    case 'taper':
      return {
        ...thing,
        top: plus(thing.top, by / Math.PI),
        bottom: plus(thing.bottom, by / Math.PI),
      };
    case 'band':
      // Half of it on each of the two panels that are the same.
      return thing.around === 'w'
        ? { ...thing, height: plus(thing.height, by / 2) }
        : { ...thing, width: plus(thing.width, by / 2) };
    case 'disc':
      return { ...thing, outer: plus(thing.outer, by) };
    case 'picture':
      return { ...thing, size: plus(thing.size, by) };
    default:
      return { ...thing, width: plus(thing.width, by), height: plus(thing.height, by) };
  }
}
