import * as z from 'zod';
import { err, ok, type Result } from '../base/index.ts';

/** Where a cutter counts from; its axes run from there into the sheet. */
export const CUT_ORIGINS = ['bottom-left', 'bottom-right', 'top-left', 'top-right'] as const;

/** How lines of text end. */
export const LINE_ENDS = { lf: '\n', crlf: '\r\n', cr: '\r', none: '' } as const;

/** How a serial port is set, and how a cutter stops what comes too fast. */
export const serialLineSchema = z.strictObject({
  /** Bits a second. */
  speed: z.int().min(300).max(1_000_000).default(9600),
  bits: z.literal([7, 8]).default(8),
  parity: z.enum(['none', 'even', 'odd']).default('none'),
  stopBits: z.literal([1, 2]).default(1),
  flow: z.enum(['none', 'hardware', 'xon-xoff']).default('xon-xoff'),
});
export type SerialLine = z.infer<typeof serialLineSchema>;

/** Commands as they are sent: so many printable letters of ASCII and ends of lines. */
export const cutCommandsSchema = (most: number): z.ZodString =>
  z
    .string()
    .max(most)
    .regex(/^[\x20-\x7e\r\n]*$/);
const commands = cutCommandsSchema(400);

/** A value for each kind of cut. */
const byKind = (schema: z.ZodDefault<z.ZodNumber>) =>
  z.strictObject({ kiss: schema, through: schema, crease: schema });

const shared = {
  origin: z.enum(CUT_ORIGINS).default('bottom-left'),
  /** Whether the first number runs along the height of the sheet, and the second along its width. */
  turned: z.boolean().default(false),
  /** Whether the numbers grow smaller into the sheet. */
  mirrorX: z.boolean().default(false),
  mirrorY: z.boolean().default(false),
  lineEnd: z.enum(['lf', 'crlf', 'cr', 'none']).default('lf'),
  /** What is sent first and last, besides what belongs to every file. */
  before: commands.default(''),
  after: commands.default(''),
  line: serialLineSchema.prefault({}),
  /** How many bytes the cutter takes in before it cuts them. */
  buffer: z.int().min(0).max(1_000_000).default(1024),
};

export const hpglProfileSchema = z.strictObject({
  language: z.literal('hpgl'),
  ...shared,
  unitsPerMm: z.number().min(1).max(4000).default(40),
  /** What wakes the cutter. */
  initialise: commands.default('IN;\nPA;\n'),
  /** Whether it is told speed (`VS`, cm a second) and force (`FS`, grams). */
  settings: z.enum(['vs-fs', 'none']).default('vs-fs'),
  /** Whether the pen is lifted after each line, not only before the next. */
  penUpAfter: z.boolean().default(false),
  /** The longest command, bytes; 0 where it takes any. */
  longest: z
    .int()
    .max(100_000)
    .refine((bytes) => bytes === 0 || bytes >= 40)
    .default(0),
});

export const gcodeProfileSchema = z.strictObject({
  language: z.literal('gcode'),
  ...shared,
  lineEnd: z.enum(['lf', 'crlf', 'cr']).default('lf'),
  /** What works: `M3` and `M5`, as for beams and pens on a magnet, or the height of the head. */
  tool: z.enum(['m3', 'z']).default('m3'),
  /** What `M3` is told (`S`), by kind of cut; 0 tells nothing. */
  power: byKind(z.number().min(0).max(100_000).default(0)).prefault({}),
  /** Of the head, mm: lifted, and working by kind of cut. Several passes go deeper one by one. */
  lifted: z.number().min(0).max(200).default(5),
  depth: byKind(z.number().min(-50).max(50).default(0)).prefault({}),
  /** How fast it works where the material says nothing, mm a minute. */
  feed: z.number().min(1).max(100_000).default(1200),
  /** Whether it answers each line with `ok`, and more is sent only then. */
  answers: z.boolean().default(true),
});

/** How a cutter is spoken to, where it is not as every other. */
export const cutProfileSchema = z.discriminatedUnion('language', [
  hpglProfileSchema,
  gcodeProfileSchema,
]);
export type CutProfile = z.infer<typeof cutProfileSchema>;
export type HpglProfile = z.infer<typeof hpglProfileSchema>;
export type GcodeProfile = z.infer<typeof gcodeProfileSchema>;

/** A cutter that takes cut files as they are exported. */
export const USUAL_PROFILE: HpglProfile = hpglProfileSchema.parse({ language: 'hpgl' });

const FILE = { kind: 'cut-profile', version: 1 } as const;
const MOST = 20_000; // letters

/** A profile as a file to hand on. */
export const writeCutProfile = (profile: CutProfile): string =>
  `${JSON.stringify({ ...FILE, ...profile }, undefined, 2)}\n`;

/** Reads a profile; what it does not say is as usual. What cannot be is told by its place. */
export function parseCutProfile(text: string, name: string): Result<CutProfile> {
  const refuse = (at: string): Result<never> => err('profile/unread', { name, at }, name);
  let said: unknown;
  try {
    said = text.length > MOST ? undefined : JSON.parse(text);
  } catch {
    return refuse('');
  }
  if (typeof said !== 'object' || said === null || Array.isArray(said)) return refuse('');
  const { kind = FILE.kind, version = FILE.version, ...profile } = said as Record<string, unknown>;
  if (kind !== FILE.kind) return refuse('kind');
  if (version !== FILE.version) return refuse('version');
  const read = cutProfileSchema.safeParse(profile);
  if (read.success) return ok(read.data);
  const [issue] = read.error.issues;
  const unknown = issue?.code === 'unrecognized_keys' ? issue.keys.slice(0, 1) : [];
  return refuse([...(issue?.path ?? []), ...unknown].join('.') || 'language');
}
