import * as z from 'zod';
import { err, type Result } from '../base/index.ts';
import { edgeShapeSchema } from '../shape/index.ts';
import type { FlatSize } from './flat.ts';
import { band, bandSchema } from './kinds/band.ts';
import { caseKind, caseSchema } from './kinds/case.ts';
import { disc, discSchema } from './kinds/disc.ts';
import { envelope, envelopeSchema } from './kinds/envelope.ts';
import { face, faceSchema } from './kinds/face.ts';
import type { ThingKind } from './kinds/kind.ts';
import { lid, lidSchema } from './kinds/lid.ts';
import { own, ownSchema } from './kinds/own.ts';
import { picture, pictureSchema } from './kinds/picture.ts';
import { tag, tagSchema } from './kinds/tag.ts';
import { taper, taperSchema } from './kinds/taper.ts';
import { wrap, wrapSchema } from './kinds/wrap.ts';

/** A bought label sheet: its labels are the size. */
export const labelSheetSchema = z.object({ kind: z.literal('label-sheet') });

/** A thing that is measured. */
export const measuredSchema = z.discriminatedUnion('kind', [
  lidSchema,
  wrapSchema,
  taperSchema,
  bandSchema,
  faceSchema,
  tagSchema,
  discSchema,
  caseSchema,
  envelopeSchema,
  pictureSchema,
  ownSchema,
]);

/** The thing in the hand and its measurements. */
export const thingSchema = z.discriminatedUnion('kind', [measuredSchema, labelSheetSchema]);
export type Thing = z.infer<typeof thingSchema>;
/** A thing whose label follows from measuring it. */
export type MeasuredThing = z.infer<typeof measuredSchema>;

/** Of a label, mm. */
const LONGEST = 2000;

const KINDS: { readonly [K in MeasuredThing['kind']]: unknown } = {
  lid,
  wrap,
  taper,
  band,
  face,
  tag,
  disc,
  case: caseKind,
  envelope,
  picture,
  own,
};

/** The kinds of thing that are measured, in the order in which they are offered. */
export const THING_KINDS = Object.keys(KINDS) as readonly MeasuredThing['kind'][];

const kindOf = (kind: MeasuredThing['kind']): ThingKind<MeasuredThing> =>
  KINDS[kind] as ThingKind<MeasuredThing>;

/** A kind of thing with usual measurements, or with those that are given instead. */
export function usualThing<K extends MeasuredThing['kind']>(
  kind: K,
  measured: Partial<Extract<MeasuredThing, { kind: K }>> = {},
): Extract<MeasuredThing, { kind: K }> {
  return { ...(kindOf(kind).usual as Extract<MeasuredThing, { kind: K }>), ...measured };
}

/** The flat label that a thing asks for, or what is wrong with its measurements. */
export function trySize(thing: MeasuredThing): Result<FlatSize> {
  const size = kindOf(thing.kind).size(thing);
  if (!size.ok) return size;
  const { shape, width, height } = size.value;
  if (edgeShapeSchema.safeParse(shape).success && Math.max(width, height) <= LONGEST) return size;
  return err('size/too-large', { width, height, longest: LONGEST });
}
