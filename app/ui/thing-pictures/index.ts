import { trySize, type FlatSize, type MeasuredThing } from '../../../core/things/index.ts';
import { boxPicture } from './box.ts';
import { flatPicture } from './flat.ts';
import { lidPicture } from './lid.ts';
import type { SeenFrom, ThingLine, ThingPicture } from './picture.ts';
import { roundPicture } from './round.ts';

export { FRAME, type SeenFrom, type ThingLine, type ThingPicture } from './picture.ts';

type Tag = Extract<MeasuredThing, { kind: 'tag' }>;

/** A thing with its label and its measurements, drawn in a frame of 360 by 300. */
export function thingPicture(
  thing: MeasuredThing,
  flat: FlatSize,
  seen: SeenFrom = 'front',
): ThingPicture {
  switch (thing.kind) {
    case 'lid':
      return lidPicture(thing, flat);
    case 'wrap':
    case 'taper':
      return roundPicture(thing, seen === 'back');
    case 'band':
      return boxPicture(thing, flat, seen);
    case 'tag': {
      // A fold-over is drawn as it hangs.
      const single = trySize({ ...thing, sides: '1' });
      return flatPicture(thing, single.ok ? single.value : flat, leafOf(thing, seen));
    }
    default:
      return flatPicture(thing, flat);
  }
}

/** From where the label of a thing can be seen: its front, and what shows only when it is turned. */
export function seenFrom(thing: MeasuredThing): readonly SeenFrom[] {
  if (thing.kind === 'band' && thing.around === 'w') return ['front', 'back', 'below'];
  const hasBack = ['wrap', 'taper', 'band'].includes(thing.kind) || isFolded(thing);
  return hasBack ? ['front', 'back'] : ['front'];
}

const isFolded = (thing: MeasuredThing): boolean => thing.kind === 'tag' && thing.sides === 'fold';

/** Where in the flat label the leaf that is seen of a tag has its middle, and whether it stands upside down there. */
function leafOf(tag: Tag, seen: SeenFrom): { y: number; isUpsideDown: boolean } {
  if (!isFolded(tag)) return { y: 0, isUpsideDown: false };
  return seen === 'back'
    ? { y: tag.height / 2, isUpsideDown: true }
    : { y: -tag.height / 2, isUpsideDown: false };
}

/** The same without its measurements and as it is used: the case of a disc is closed, seen from its back. */
export function usedPicture(
  thing: MeasuredThing,
  flat: FlatSize,
  seen: SeenFrom = 'front',
): readonly ThingLine[] {
  const { lines } =
    thing.kind === 'case' && flat.folds.length > 0
      ? boxPicture({ ...thing, depth: thing.spine, around: 'h', strip: null }, flat)
      : thingPicture(thing, flat, seen);
  return lines.filter(({ look }) => look !== 'dimension' && look !== 'arrow');
}
