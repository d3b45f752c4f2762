import { artSize, type Art } from '../../../../core/art/index.ts';
import {
  labelRooms,
  makeDesign,
  type DesignColors,
  type DesignFaces,
  type DesignName,
  type HouseStyle,
  type LabelRooms,
} from '../../../../core/designs/index.ts';
import {
  ownPieces,
  thingAlone,
  thingsOf,
  type CommandArgs,
  type Job,
} from '../../../../core/job/index.ts';
import { fieldsSaid, thingOf, type LabelSays, type Piece } from '../../../../core/piece/index.ts';
import type { Thing } from '../../../../core/things/index.ts';
import { printedFields } from '../fields/printed-fields.ts';

/** What a label is designed from beside its own room. */
export interface DesignedFrom {
  readonly job: Job | undefined;
  readonly house: HouseStyle;
  readonly look: { readonly colors: DesignColors; readonly faces: DesignFaces };
  readonly art: Art | undefined;
}

/** A starting design in the rooms of a label, in a look, with what it says. */
export function designedLabel(
  design: DesignName,
  rooms: LabelRooms,
  { job, house, look, art, says }: DesignedFrom & { readonly says: LabelSays },
) {
  const size = art && artSize(art);
  const picture = art && size ? { art: art.id, ratio: size.width / size.height } : undefined;
  return makeDesign(design, { ...look, ...printedFields(job, house), says, picture }, rooms);
}

/** The rooms of a piece on what it is for. */
export const roomsOf = (piece: Piece, ofJob: Thing): LabelRooms =>
  labelRooms(thingOf(piece, ofJob), piece.edge, piece.safe);

/**
 * All things of a set in one design: the one that is worked on with what is typed for it, each other with
 * what it says already.
 */
export function designedSet(
  set: Job,
  design: DesignName,
  { here, says, ...from }: DesignedFrom & { readonly here: string; readonly says: LabelSays },
): CommandArgs<'design-things'> {
  const labels = thingsOf(set).flatMap(({ id }) => {
    const job = thingAlone(set, id);
    const [piece] = ownPieces(job);
    if (!piece) return [];
    const own = id === here ? says : { ...says, ...fieldsSaid(piece.elements) };
    const made = designedLabel(design, roomsOf(piece, job.thing), { ...from, says: own });
    return [{ thing: id, ...made }];
  });
  return { labels, design, ...(from.art ? { art: [from.art] } : {}) };
}
