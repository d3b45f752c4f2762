import * as z from 'zod';

/** What materials are, in the order in which they are offered. */
export const MATERIAL_KINDS = [
  'paper',
  'film',
  'clear',
  'holographic',
  'pearl',
  'metallic',
  'coloured',
  'card',
  'fabric',
  'transfer',
] as const;
export type MaterialKind = (typeof MATERIAL_KINDS)[number];

/** Steps between print and cut. */
export const FINISHES = ['none', 'laminate', 'foil'] as const;
export type Finish = (typeof FINISHES)[number];

/** How strongly carriers hold what lies on them; `none` where no carrier is needed. */
export const TACKS = ['none', 'low', 'medium', 'high'] as const;
export type Tack = (typeof TACKS)[number];

const OLD_TACKS: Readonly<Record<string, Tack>> = {
  light: 'low',
  standard: 'medium',
  strong: 'high',
};

/** A material as versions up to 9 kept it: carriers for cutting were mats of a grip. */
export function materialFromVersion9(old: unknown): unknown {
  if (typeof old !== 'object' || old === null || !('carrier' in old)) return old;
  const { carrier, ...rest } = old;
  return { ...rest, tack: OLD_TACKS[String(carrier)] ?? 'none' };
}

/** How a knife goes through a material, for one kind of cut. */
const cutSettingSchema = z.object({
  /** Of the knife on the material, grams of force; null where the tool has no setting for it. */
  force: z.number().min(1).max(2000).nullable(),
  /** Of the knife, mm a second. */
  speed: z.number().min(1).max(2000).nullable(),
  passes: z.number().int().min(1).max(10),
});
export type CutSetting = z.infer<typeof cutSettingSchema>;

/** How a pack of a material is sold. */
export const packSchema = z.object({
  sheets: z.number().int().min(1).max(10_000),
  /** In the workshop's currency. */
  price: z.number().min(0).max(100_000),
});
export type Pack = z.infer<typeof packSchema>;

const line = z.string().max(120);
const note = z.string().max(600);

/** What is printed on, with all that has to be known to print, cut and apply it. */
export const materialSchema = z.object({
  id: z.string().min(1).max(100),
  name: z.string().min(1).max(120),
  kind: z.enum(MATERIAL_KINDS),
  /** As it is seen, for the screen and for contrast. */
  color: z.string().regex(/^#[0-9a-f]{6}$/i),
  /** Whether light art vanishes on it without white under it. */
  needsWhite: z.boolean(),
  /** With its backing, mm. */
  thickness: z.number().min(0.02).max(10),
  ink: z.enum(['inkjet', 'laser', 'any']),
  /** Until it can be touched and cut, minutes. */
  drying: z.number().min(0).max(10_000),
  /** Printed the other way round, because it is turned over to be applied. */
  mirrored: z.boolean(),
  /** What to choose in the print dialog of another program. */
  print: z.object({ paper: line, quality: line }),
  tool: z.enum(['knife', 'scissors', 'trimmer']),
  /** How strongly the carrier holds it that it lies on while it is cut; on its own backing it needs none. */
  tack: z.enum(TACKS),
  /** What is done with the print before it is cut. */
  finish: z.enum(FINISHES).optional(),
  cut: z.object({
    kiss: cutSettingSchema.nullable(),
    through: cutSettingSchema.nullable(),
    crease: cutSettingSchema.nullable(),
  }),
  /** What the last test on a spare piece told. */
  tested: z
    .object({ date: z.string().max(10), kind: z.enum(['kiss', 'through']), note: line })
    .optional(),
  applying: note,
  wear: note,
  pack: packSchema.nullable(),
});
export type Material = z.infer<typeof materialSchema>;

/** What one label costs, in the currency of its pack; undefined where no price is known. */
export function labelCost(pack: Pack | null, perSheet: number): number | undefined {
  return pack && pack.price > 0 && perSheet > 0 ? pack.price / pack.sheets / perSheet : undefined;
}
