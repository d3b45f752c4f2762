import { trySize, type FlatSize, type MeasuredThing } from '../../../core/things/index.ts';
import { boxPicture } from './box.ts';
import { flatPicture } from './flat.ts';
import { lidPicture } from './lid.ts';
import type { ThingLine, ThingPicture } from './picture.ts';
import { roundPicture } from './round.ts';

export { FRAME, type ThingLine, type ThingPicture } from './picture.ts';
export { FLAT } from './round.ts';

/** A thing with its label and its measurements, drawn in a frame of 360 by 300. */
export function thingPicture(thing: MeasuredThing, flat: FlatSize, turned = false): ThingPicture {
  switch (thing.kind) {
    case 'lid':
      return lidPicture(thing);
    case 'wrap':
    case 'taper':
      return roundPicture(thing, turned);
    case 'band':
      return boxPicture(thing, flat, turned);
    case 'tag': {
      // A fold-over is drawn as it hangs.
      const single = trySize({ ...thing, sides: '1' });
      return flatPicture(thing, single.ok ? single.value : flat);
    }
    default:
      return flatPicture(thing, flat);
  }
}

/** Whether a thing has a label on a side that is seen only when it is turned. */
export const canTurn = ({ kind }: MeasuredThing): boolean =>
  kind === 'wrap' || kind === 'taper' || kind === 'band';

/** The same without its measurements and as it is used: the case of a disc is closed, seen from its back. */
export function usedPicture(
  thing: MeasuredThing,
  flat: FlatSize,
  turned = false,
): readonly ThingLine[] {
  const { lines } =
    thing.kind === 'case' && flat.folds.length > 0
      ? boxPicture({ ...thing, depth: thing.spine, around: 'h', strip: null }, flat)
      : thingPicture(thing, flat, turned);
  return lines.filter(({ look }) => look !== 'dimension' && look !== 'arrow');
}
