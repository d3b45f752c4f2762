import type { ElementTitle } from './title.ts';
import * as z from 'zod';
import type { Result } from '../../base/index.ts';
import type { EncodedCode } from '../../code/index.ts';
import type { Art, VectorNodes } from '../../art/index.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import type { EdgeRings } from '../../shape/index.ts';
import type { SetWords, Typeface } from '../../type/index.ts';
import { LABEL_FIELDS } from '../label-fields.ts';

/** How an element is drawn more than once; places are in mm of the piece. */
export const repeatSchema = z.discriminatedUnion('kind', [
  /** Around a point, at equal angles; the copies turn with it or stay upright. */
  z.object({
    kind: z.literal('around'),
    times: z.number().int().min(2).max(120),
    x: z.number(),
    y: z.number(),
    turned: z.boolean(),
  }),
  /** In equal steps from where it stands. */
  z.object({
    kind: z.literal('line'),
    times: z.number().int().min(2).max(120),
    dx: z.number(),
    dy: z.number(),
  }),
  /** Mirrored about an upright line, a level one, or both, through a point. */
  z.object({
    kind: z.literal('mirror'),
    axes: z.enum(['across', 'down', 'both']),
    x: z.number(),
    y: z.number(),
  }),
]);
export type Repeat = z.infer<typeof repeatSchema>;

/** What every element has: its place is that of its centre, in mm from the centre of the piece. */
export const placeFields = {
  id: z.string().min(1),
  x: z.number().min(-2000).max(2000),
  y: z.number().min(-2000).max(2000),
  /** Degrees, clockwise. */
  angle: z.number(),
  locked: z.boolean(),
  /** What it is called in the stack; its kind says it otherwise. */
  name: z.string().max(60).optional(),
  /** Left out of the print and the desk. */
  hidden: z.boolean().optional(),
  /** Elements of the same group are selected and moved together. */
  group: z.string().max(40).optional(),
  /** From 0.02 (almost clear) to 1; whole unless given. */
  opacity: z.number().min(0.02).max(1).optional(),
  /** Mirrored about its own upright, level or both axes. */
  flip: z.enum(['across', 'down', 'both']).optional(),
  repeat: repeatSchema.optional(),
  /**
   * What becomes of it when the piece is of another size: unless given it grows along; `edge` keeps its
   * size and its distance to the nearest sides; `room` takes as much of the width and height as before.
   */
  adapt: z.enum(['edge', 'room']).optional(),
  /** Meant to go around: from one side of the thing over a fold to the next. */
  acrossFolds: z.boolean().optional(),
  /** Which of the label's fields its words or code say. */
  field: z.enum(LABEL_FIELDS).optional(),
};

/** A side of an element, mm. */
export const side = z.number().positive().max(4000);

/** What a piece needs that has not been loaded. */
export interface Need {
  readonly kind: 'typeface' | 'art' | 'piece';
  readonly id: string;
}

/** Where compiling finds what elements only name; undefined for what is not there (yet). */
export interface Resources {
  typeface(id: string): Typeface | undefined;
  /** The nodes of vector art. Pictures of pixels need none: they are drawn by name. */
  vector(art: string): VectorNodes | undefined;
}

/** An element as a drawing, about its own centre and unturned. */
export interface CompiledElement {
  readonly nodes: readonly DrawingNode[];
  readonly width: number;
  readonly height: number;
  readonly needs: readonly Need[];
  /** Where every letter stands, for words. */
  readonly words?: SetWords;
  /** Words as they are read: the letters and their outlines, without the shadow. */
  readonly letters?: readonly DrawingNode[];
  /** How far it reaches beyond its size, mm. */
  readonly reach?: number;
  /** Edges within it that are kiss-cut where it is used. */
  readonly kissCuts?: EdgeRings;
  /** What a code says on this copy, and how that is encoded, or why it cannot be. */
  readonly code?: { readonly said: string; readonly made: Result<EncodedCode> };
  /** The characters that no letter could be drawn for. */
  readonly missing?: readonly string[];
}

/** Another piece as a drawing, for a piece in a piece. */
export interface CompiledPart {
  readonly rings: EdgeRings;
  readonly kissCuts: EdgeRings;
  readonly nodes: readonly DrawingNode[];
  readonly width: number;
  readonly height: number;
  readonly needs: readonly Need[];
}

/** What an element may look up while it is compiled. */
export interface ElementContext extends Resources {
  art(id: string): Art | undefined;
  part(piece: string): CompiledPart | undefined;
}

/** What each kind of element can do. */
export interface ElementKind<E> {
  /** Size in mm before turning. */
  size(element: E): { width: number; height: number };
  /** The element at another size; a kind that keeps its proportions takes the width. */
  resized(element: E, width: number, height: number): E;
  /** The element so many times as large, with all that is measured in mm on it; its place stays. */
  scaled(element: E, factor: number): E;
  compile(element: E, context: ElementContext): CompiledElement;
  /** How the element is called in lists. */
  title(element: E, art: (id: string) => Art | undefined): ElementTitle;
}

/** A box of elements that are nothing but as wide and high as they are. */
export const scaledBox = <E extends { readonly width: number; readonly height: number }>(
  element: E,
  factor: number,
): E => ({ ...element, width: element.width * factor, height: element.height * factor });

/** What is drawn while something is missing: an empty frame of the known size. */
export function emptyFrame(width: number, height: number, needs: readonly Need[]): CompiledElement {
  return { nodes: [], width, height, needs };
}
