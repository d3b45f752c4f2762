import * as z from 'zod';
import { artSchema } from '../art/index.ts';
import { apart, calendarDate, plainId } from '../base/index.ts';
import { listSchema, NAMED_FIELDS, pieceSchema } from '../piece/index.ts';
import { lookSchema, ownLookSchema } from './look.ts';
import { oneOffSchema } from './one-offs.ts';
import { planSchema } from '../sheet/index.ts';
import { materialSchema, stockSchema } from '../stock/index.ts';
import { thingSchema } from '../things/index.ts';
import { emphasisSchema, ownTypefaceSchema } from '../type/index.ts';

/** The one version of `.peel` files, backups and storage. */
export const VERSION = 15;

/** How much of what a finding names is kept when it is accepted. */
export const ACCEPTED_LIMITS = { letters: 200, items: 20 } as const;

const noteSchema = z.string().max(300);

/** A finding that was taken as it is: what it named, or up to version 11 the sentence that it said. */
const acceptedValuesSchema = z.record(z.string().max(40), z.json());
export type AcceptedValues = z.infer<typeof acceptedValuesSchema>;
const acceptedSchema = z.union([
  z.object({ values: acceptedValuesSchema, note: noteSchema }),
  z.object({ sentence: z.string().max(1000), note: noteSchema }),
]);

/** How fields are printed on all labels of a job. */
export const labelFieldsSchema = z.object({
  /** The language of their names, as BCP 47 has it. */
  language: z.string().max(35).optional(),
  /** What is printed before the fields that have a name. */
  names: z.record(z.enum(NAMED_FIELDS), z.string().max(80)).optional(),
  /** Words that are set stronger among the ingredients. */
  emphasis: emphasisSchema.optional(),
});

/** How many pieces a thing may have. */
export const MOST_PIECES = 200;

/** What each thing of a job has for itself. Lengths in mm. */
const thingFields = {
  thing: thingSchema,
  pieces: z.array(pieceSchema).min(1).max(MOST_PIECES).check(apart('id')),
  /** A copy of the stock as it was when it was chosen. */
  stock: stockSchema,
  /** A copy of what the sheets are made of. */
  material: materialSchema,
  plan: planSchema,
  /** Where it is kept as a starting design: the elements that may be changed, by their ids. */
  design: z.object({ open: z.array(z.string()).max(500) }).optional(),
  /** What single copies have of their own, by their names. */
  oneOffs: z.record(z.string(), oneOffSchema).optional(),
  /** Findings that were taken as they are, by their keys, and why. */
  accepted: z.record(z.string(), acceptedSchema).optional(),
};

/** How long the name of a thing may be. */
export const THING_NAME_LETTERS = 60;

const setThingName = {
  id: plainId,
  /** What it is called among the others: `Lid`. */
  name: z.string().min(1).max(THING_NAME_LETTERS),
  /** What it has in the place of what is shared. */
  own: ownLookSchema.optional(),
};

const setThingSchema = z.object({
  ...setThingName,
  /** The thing on whose sheets it lies, of whose stock and material it then is. */
  on: plainId.optional(),
  ...thingFields,
});
/** One of the things of a set, with all that it has for itself. */
export type SetThing = z.infer<typeof setThingSchema>;

/** How many things a set may have beside its first. */
export const MOST_OTHER_THINGS = 11;

const setSchema = z.object({
  /** The first thing, whose pieces and plan are those of the job. */
  ...setThingName,
  others: z.array(setThingSchema).max(MOST_OTHER_THINGS).check(apart('id')),
  look: lookSchema,
  /** How many of the whole set are wanted, where its things follow one number. */
  count: z.number().int().min(0).max(5000).optional(),
});

/** One project: a thing or a set of several, its pieces, the sheets they are laid on. A plain value. */
export const jobSchema = z.object({
  version: z.literal(VERSION),
  id: plainId,
  name: z.string().min(1).max(120),
  /** The job's own calendar date, YYYY-MM-DD. */
  today: calendarDate,
  ...thingFields,
  fields: labelFieldsSchema.optional(),
  /** Fills the placeholders of copies, a row a copy. */
  list: listSchema.optional(),
  /** What is known of the art that the pieces name, by its hash. */
  art: z.record(z.string(), artSchema),
  /** The typefaces that words are set in and that do not ship, by their hash. */
  typefaces: z.record(z.string(), ownTypefaceSchema).optional(),
  /** Where it is of several things: the others, and what they share. */
  set: setSchema.optional(),
});
export type Job = z.infer<typeof jobSchema>;
