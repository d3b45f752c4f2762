import * as z from 'zod';
import { LETTER_CASES } from './cased.ts';
import { emphasisSchema } from './emphasis.ts';
import { featureSchema } from './features.ts';

/** How words lie: in straight lines, or bent. */
export const wordsPathSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('straight') }),
  z.object({
    kind: z.literal('circle'),
    /** Of the baseline, mm. */
    radius: z.number().positive().max(1000),
    /** Inside: the letters' heads point to the centre, to be read along the bottom. */
    side: z.enum(['outside', 'inside']),
    /** Where the middle of the words stands: degrees clockwise from the top. */
    angle: z.number(),
    /** The part of the circle the words may take, degrees. */
    reach: z.number().min(5).max(360),
  }),
  z.object({
    kind: z.literal('arc'),
    /** Of the arc through the middle of the room, mm. */
    radius: z.number().min(1).max(5000),
    /** Up: the middle stands highest. */
    bow: z.enum(['up', 'down']),
    /** Follows the bend of its piece's edge wherever it stands in it. */
    edge: z.boolean().optional(),
  }),
  z.object({
    kind: z.literal('wave'),
    /** From the middle to a crest, mm. */
    height: z.number().min(0).max(100),
    /** From crest to crest, mm. */
    length: z.number().min(2).max(1000),
    /** How far along a wave the middle of the words stands, 0 to 1. */
    start: z.number().min(0).max(1),
  }),
]);
export type WordsPath = z.infer<typeof wordsPathSchema>;

/** What stands between the items of a list that is run on. */
export const LIST_MARKS = [', ', ' · ', '; ', ' – ', ' '] as const;

export type ListMark = (typeof LIST_MARKS)[number];

/** A letter moved by hand: by hundredths of an em in its own upright, and degrees. */
export const nudgeSchema = z.object({
  /** Index of its first character in the text. */
  at: z.number().int().min(0),
  x: z.number().min(-1000).max(1000),
  y: z.number().min(-1000).max(1000),
  turn: z.number().min(-360).max(360),
});
export type Nudge = z.infer<typeof nudgeSchema>;

/** How words are set. */
export const wordsStyleSchema = z.object({
  text: z.string().max(5000),
  typeface: z.string(),
  /** pt */
  size: z.number().min(0.5).max(1000),
  /** Added between letters, in hundredths of an em. */
  tracking: z.number().min(-50).max(200),
  /** From baseline to baseline, in ems. */
  leading: z.number().min(0.5).max(5),
  align: z.enum(['left', 'centre', 'right']),
  /** Where a block that is lower than its room stands in it; in the middle unless given. */
  settle: z.enum(['top', 'middle', 'bottom']).optional(),
  case: z.enum(LETTER_CASES).optional(),
  /** What happens when the words are too long for their room. */
  fit: z.enum(['fixed', 'shrink', 'wrap', 'wrap-shrink']),
  /** Whether the lines of a wrapped paragraph are made about equally long. */
  balanced: z.boolean().optional(),
  /** The size in pt below which words do not shrink. */
  least: z.number().min(0.5).max(1000),
  /** Lines are run on as a list under a heading of their own: small print. */
  list: z
    .object({
      /** Empty for none. */
      heading: z.string().max(80),
      between: z.enum(LIST_MARKS),
      /** The heading begins the first line, before a colon, instead of standing above it. */
      runsIn: z.boolean().optional(),
    })
    .optional(),
  /** Words in the text that are set stronger, in whatever case they are written. */
  emphasis: emphasisSchema.optional(),
  path: wordsPathSchema,
  nudges: z.array(nudgeSchema).max(500).optional(),
  /** Other forms that the typeface has, for runs of letters. */
  features: z.array(featureSchema).max(500).optional(),
});
export type WordsStyle = z.infer<typeof wordsStyleSchema>;
