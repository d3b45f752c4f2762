import * as z from 'zod';
import { marksSchema, stockSchema } from '../stock/index.ts';

/** A copy's name: its piece and its number or the row that gives it, wherever it lies. */
export type CopyId = `${string}#${string}`;

/** The name of the n-th copy of a piece, from 1, or of one that a row of the list gives. */
export function copyId(piece: string, which: number | string): CopyId {
  return `${piece}#${which}`;
}

/** The piece that a copy is of, and which copy of it it is. */
export function copyParts(copy: string): { piece: string; which: string } {
  const at = copy.lastIndexOf('#');
  return { piece: copy.slice(0, at), which: copy.slice(at + 1) };
}

/** Where a copy was put by hand: its centre on a sheet, mm and degrees. */
export const handPlaceSchema = z.object({
  sheet: z.number().int().min(0).max(10_000),
  x: z.number().min(-5000).max(5000),
  y: z.number().min(-5000).max(5000),
  angle: z.number(),
  /** It stays when the others are laid anew: they are laid around it. */
  pinned: z.boolean().optional(),
});
export type HandPlace = z.infer<typeof handPlaceSchema>;

/** How copies may be turned where they are nested. */
export const TURNS = ['none', 'half', 'quarter', 'any'] as const;
export type Turns = (typeof TURNS)[number];

/** A copy of a piece where it was nested: its centre, mm and degrees. */
export const nestedCopySchema = z.object({
  piece: z.string(),
  x: z.number().min(-5000).max(5000),
  y: z.number().min(-5000).max(5000),
  angle: z.number(),
});
export type NestedCopy = z.infer<typeof nestedCopySchema>;

/** How the sheets of a job are filled. */
export const planSchema = z.object({
  /**
   * Rows and columns with a gap, both directions mixed, nested by their outlines, or one in each label
   * of a die-cut sheet.
   */
  arrangement: z.enum(['step', 'best', 'nest', 'spots']),
  /** How copies may be turned where they are nested; by quarters unless given. */
  turns: z.enum(TURNS).optional(),
  /** What nesting found, sheet by sheet. */
  nested: z.array(z.array(nestedCopySchema).max(5000)).max(2000).optional(),
  /** Between copies, edge to edge, mm. */
  gap: z.number().min(0).max(100),
  marks: marksSchema,
  /** How the edges are cut. */
  cut: z.enum(['kiss', 'through']),
  /** How many copies of each piece are wanted. */
  wanted: z.record(z.string(), z.number().int().min(0).max(5000)),
  /** How many copies each row of the list gives of a piece, times its own quantity; other pieces are counted. */
  copiesPerRow: z.record(z.string(), z.number().int().min(1).max(500)).optional(),
  /** Prints short lines beside the labels where straight cuts go. */
  cropMarks: z.boolean().optional(),
  /** How many more are made than wanted, percent of each. */
  spares: z.number().int().min(0).max(100).optional(),
  /** Labels of the first sheet that are gone already, by their number from 0: a started sheet. */
  usedLabels: z.array(z.number().int().min(0).max(20_000)).max(20_000),
  /** The order of the sheets: which of them, as they were filled, comes first, second and so on. */
  order: z.array(z.number().int().min(0).max(2000)).max(2000).optional(),
  /** Sheets that lie on another stock than the others, by their number from 0. */
  stocks: z.record(z.string().regex(/^\d{1,4}$/), stockSchema).optional(),
  /** The copies that are printed this time, by their names; all that are made unless given. */
  printOnly: z.array(z.string().max(200)).max(20_000).optional(),
  /** On which edge a sheet is turned over for its other side; the long one unless given. */
  turnOver: z.enum(['long', 'short']).optional(),
  /** Copies that were moved by hand. */
  handPlaces: z.record(z.string(), handPlaceSchema),
});
export type Plan = z.infer<typeof planSchema>;

/** Sheets, as they are filled, in the order in which they come. */
export function inOrder<T>(sheets: readonly T[], { order = [] }: Pick<Plan, 'order'>): T[] {
  const first = order.filter((at) => at < sheets.length);
  const rest = [...sheets.keys()].filter((at) => !first.includes(at));
  return [...first, ...rest].map((at) => sheets[at] as T);
}

/** Whether copies are to be nested by their outlines and are not yet. */
export const waitsForNest = ({ arrangement, nested }: Plan): boolean =>
  arrangement === 'nest' && !nested;

/** A plan whose copies are to be laid anew: nothing is known any more of where they were nested. */
export function withoutNested({ nested, ...plan }: Plan): Plan {
  void nested;
  return plan;
}
