import { z } from 'zod';
import { bad, good, type Result } from '../base/index.ts';
import type { EdgeShape } from '../shape/index.ts';
import { formatLength } from '../units/index.ts';

const mm = z.number().positive().max(2000);
const clearance = z.number().min(0).max(100);

/** A round lid or tin, measured across its flat top or around it. */
export const lidSchema = z.object({
  kind: z.literal('lid'),
  measured: z.enum(['diameter', 'circumference']),
  /** mm, across or around as `measured` says. */
  size: mm,
  /** What stays bare between the label and the rim, mm. */
  clearance,
});

/** A flat four-cornered face: a box's side, a packet, a bar. */
export const faceSchema = z.object({
  kind: z.literal('face'),
  width: mm,
  height: mm,
  radius: z.number().min(0).max(1000),
  clearance,
});

/** A bought label sheet: its labels are the size. */
export const labelSheetSchema = z.object({ kind: z.literal('label-sheet') });

/** The thing in the hand and its measurements. */
export const thingSchema = z.discriminatedUnion('kind', [lidSchema, faceSchema, labelSheetSchema]);
export type Thing = z.infer<typeof thingSchema>;
/** A thing whose label follows from measuring it. */
export type MeasuredThing = Exclude<Thing, { kind: 'label-sheet' }>;

/** The flat label that a thing asks for. */
export interface FlatSize {
  readonly shape: EdgeShape;
  /** mm */
  readonly width: number;
  readonly height: number;
  /** Sentences about what may go wrong on the real thing. */
  readonly warnings: readonly string[];
}

/** The flat size of the label that a thing asks for, or what is wrong with its measurements. */
export function trySize(thing: MeasuredThing): Result<FlatSize> {
  return thing.kind === 'lid' ? lidSize(thing) : faceSize(thing);
}

/** A round face less the clearance all round; a circumference is divided by π. */
function lidSize(lid: z.infer<typeof lidSchema>): Result<FlatSize> {
  const across = lid.measured === 'diameter' ? lid.size : lid.size / Math.PI;
  const diameter = across - 2 * lid.clearance;
  if (diameter < 1) return nothingLeft(across, lid.clearance);
  const warnings =
    lid.clearance < 0.5 && lid.clearance > 0
      ? ['A clearance below 0.5 mm is less than most hands can place a label by.']
      : [];
  return good({ shape: { kind: 'circle', diameter }, width: diameter, height: diameter, warnings });
}

/** A face less the clearance on every side; round corners follow inwards. */
function faceSize(face: z.infer<typeof faceSchema>): Result<FlatSize> {
  const width = face.width - 2 * face.clearance;
  const height = face.height - 2 * face.clearance;
  if (Math.min(width, height) < 1) {
    return nothingLeft(Math.min(face.width, face.height), face.clearance);
  }
  const radius = Math.min(Math.max(0, face.radius - face.clearance), width / 2, height / 2);
  const warnings =
    face.radius > Math.min(face.width, face.height) / 2
      ? ['The corner radius is more than half of the shorter side; the ends become half circles.']
      : [];
  return good({ shape: { kind: 'rectangle', width, height, radius }, width, height, warnings });
}

const nothingLeft = (across: number, gap: number): Result<never> =>
  bad(
    'size/nothing-left',
    `A clearance of ${formatLength(gap, 'mm')} on each side leaves nothing of ${formatLength(across, 'mm')}.`,
    'Make the clearance smaller or measure again.',
  );
