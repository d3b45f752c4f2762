import * as z from 'zod';
import { luminanceOfBytes, toHex } from '../color/index.ts';
import { recoloredPaint, type DrawingNode, type Paint, type PathNode } from '../drawing/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { clearingSchema } from './background.ts';
import { freeingSchema, freeSubject, type SubjectFinder } from '../subject/index.ts';
import { clearBackground } from './clear.ts';

const hex = z.string().regex(/^#[0-9a-f]{6}$/i);

/** A stroke of a brush, in pixels of the picture as it is seen. */
const strokeSchema = z.object({
  /** Restore brings back what the picture had, erase makes it clear. */
  mode: z.enum(['restore', 'erase']),
  radius: z.number().positive().max(2000),
  points: z
    .array(z.tuple([z.number(), z.number()]))
    .min(1)
    .max(5000),
});
export type BrushStroke = z.infer<typeof strokeSchema>;

/** What was done to a picture of pixels; the picture itself stays as it came. */
export const pixelRecipeSchema = z.object({
  kind: z.literal('pixels'),
  /** How the subject is freed from what is around it. */
  free: freeingSchema.optional(),
  clear: clearingSchema.nullable(),
  strokes: z.array(strokeSchema).max(500),
  /** From -1 (black) over 0 to 1 (white). */
  light: z.number().min(-1).max(1),
  /** From -1 (none) over 0 to 1 (doubled). */
  contrast: z.number().min(-1).max(1),
  grey: z.boolean(),
  mirror: z.boolean(),
});
export type PixelRecipe = z.infer<typeof pixelRecipeSchema>;

/** What was done to a vector picture. Its shapes are numbered from the one that prints first. */
export const vectorRecipeSchema = z.object({
  kind: z.literal('vector'),
  /** Shapes that are left out. */
  hidden: z.array(z.number().int().min(0)).max(20_000),
  /** Colours of single shapes. */
  shapes: z.record(z.string(), hex),
  /** Colours that became others wherever they are. */
  colors: z.record(z.string(), hex),
  mirror: z.boolean(),
});
export type VectorRecipe = z.infer<typeof vectorRecipeSchema>;

/** Art grown outwards for the bleed: by how many mm at its own size. */
export const spreadRecipeSchema = z.object({
  kind: z.literal('spread'),
  by: z.number().positive().max(200),
});

/** How art was made from other art. */
export const recipeSchema = z.discriminatedUnion('kind', [
  pixelRecipeSchema,
  vectorRecipeSchema,
  spreadRecipeSchema,
]);
export type Recipe = z.infer<typeof recipeSchema>;

/** Recipes that do nothing. */
export const PLAIN_PIXELS: PixelRecipe = {
  kind: 'pixels',
  clear: null,
  strokes: [],
  light: 0,
  contrast: 0,
  grey: false,
  mirror: false,
};
export const PLAIN_VECTOR: VectorRecipe = {
  kind: 'vector',
  hidden: [],
  shapes: {},
  colors: {},
  mirror: false,
};

/**
 * A picture made by a recipe from another as it is seen.
 * @param finder of the picture at its own size where this one is smaller; its subject is named in pixels of that
 */
export function makePixels(
  image: RgbaImage,
  recipe: PixelRecipe,
  finder?: SubjectFinder,
): RgbaImage {
  const freed = recipe.free ? freeSubject(image, recipe.free, finder) : undefined;
  // Both give pixels of their own, which may be painted on.
  const made = recipe.clear
    ? clearBackground(freed ?? image, recipe.clear).image
    : (freed ?? { ...image, data: image.data.slice() });
  for (const stroke of recipe.strokes) brush(made, image, stroke);
  tone(made, recipe);
  if (recipe.mirror) mirror(made);
  return made;
}

/** Paints a stroke with a soft rim of one pixel. */
function brush({ width, height, data }: RgbaImage, from: RgbaImage, stroke: BrushStroke): void {
  const { mode, radius, points } = stroke;
  const dab = (cx: number, cy: number): void => {
    const [left, right] = [
      Math.max(0, Math.floor(cx - radius - 1)),
      Math.min(width - 1, Math.ceil(cx + radius + 1)),
    ];
    const [top, bottom] = [
      Math.max(0, Math.floor(cy - radius - 1)),
      Math.min(height - 1, Math.ceil(cy + radius + 1)),
    ];
    for (let y = top; y <= bottom; y++) {
      for (let x = left; x <= right; x++) {
        const inside = radius + 0.5 - Math.hypot(x + 0.5 - cx, y + 0.5 - cy);
        if (inside <= 0) continue;
        const share = Math.min(1, inside);
        const at = (y * width + x) * 4;
        const own = from.data[at + 3] as number;
        const now = data[at + 3] as number;
        if (mode === 'erase') data[at + 3] = Math.min(now, own * (1 - share));
        else if (own * share >= now) {
          for (let c = 0; c < 3; c++) data[at + c] = from.data[at + c] as number;
          data[at + 3] = own * share;
        }
      }
    }
  };
  points.forEach(([x, y], index) => {
    const [fromX, fromY] = points[index - 1] ?? [x, y];
    const steps = Math.max(
      1,
      Math.ceil(Math.hypot(x - fromX, y - fromY) / Math.max(1, radius / 3)),
    );
    for (let step = 1; step <= steps; step++)
      dab(fromX + ((x - fromX) * step) / steps, fromY + ((y - fromY) * step) / steps);
  });
}

function tone({ data }: RgbaImage, { light, contrast, grey }: PixelRecipe): void {
  if (light === 0 && contrast === 0 && !grey) return;
  const table = Uint8ClampedArray.from({ length: 256 }, (_, value) => {
    const stretched = (value - 127.5) * (1 + contrast) + 127.5;
    return light > 0 ? stretched + (255 - stretched) * light : stretched * (1 + light);
  });
  for (let at = 0; at < data.length; at += 4) {
    let [r, g, b] = [data[at] as number, data[at + 1] as number, data[at + 2] as number];
    if (grey) {
      const linear = luminanceOfBytes(r, g, b);
      r =
        g =
        b =
          255 * (linear <= 0.0031308 ? 12.92 * linear : 1.055 * linear ** (1 / 2.4) - 0.055);
    }
    data[at] = table[Math.round(r)] as number;
    data[at + 1] = table[Math.round(g)] as number;
    data[at + 2] = table[Math.round(b)] as number;
  }
}

function mirror({ width, height, data }: RgbaImage): void {
  const pixels = new Uint32Array(data.buffer, data.byteOffset, width * height);
  for (let y = 0; y < height; y++) pixels.subarray(y * width, (y + 1) * width).reverse();
}

/** A vector picture made by a recipe; groups that nothing is left of go. */
export function makeVector(
  nodes: readonly DrawingNode[],
  recipe: VectorRecipe,
  width: number,
): readonly DrawingNode[] {
  const hidden = new Set(recipe.hidden);
  let number = 0;
  const made = (list: readonly DrawingNode[]): DrawingNode[] =>
    list.flatMap((node): DrawingNode[] => {
      if (node.kind === 'group') {
        const children = made(node.children);
        return children.length ? [{ ...node, children }] : [];
      }
      if (node.kind !== 'path') return [node];
      const own = number++;
      return hidden.has(own) ? [] : [recoloured(node, recipe, String(own))];
    });
  const kept = made(nodes);
  return recipe.mirror
    ? [{ kind: 'group', transform: [-1, 0, 0, 1, width, 0], children: kept }]
    : kept;
}

function recoloured(node: PathNode, { shapes, colors }: VectorRecipe, own: string): PathNode {
  const color = shapes[own];
  const paint = (from: Paint): Paint => {
    if (color !== undefined)
      return { ...(from.kind === 'solid' ? from : {}), kind: 'solid', color };
    return recoloredPaint(from, (was) => colors[was] ?? was);
  };
  return {
    ...node,
    ...(node.fill ? { fill: paint(node.fill) } : {}),
    ...(node.stroke && (!node.fill || color === undefined)
      ? { stroke: { ...node.stroke, paint: paint(node.stroke.paint) } }
      : {}),
  };
}

/** A shape of a vector picture, at its place. */
export interface VectorShape {
  readonly node: DrawingNode;
  readonly shape: PathNode;
  /** The groups that it stands in, from the outermost, by their numbers in the file. */
  readonly groups: readonly number[];
}

/** The shapes of a vector picture in the order in which they print. */
export function shapesOf(nodes: readonly DrawingNode[]): VectorShape[] {
  const found: VectorShape[] = [];
  let number = 0;
  const walk = (
    list: readonly DrawingNode[],
    groups: readonly number[],
    wrap: (node: DrawingNode) => DrawingNode,
  ): void => {
    for (const node of list) {
      if (node.kind === 'path') found.push({ node: wrap(node), shape: node, groups });
      if (node.kind !== 'group') continue;
      // A group of one is only how a file was written.
      const own = node.children.length > 1 ? [...groups, number++] : groups;
      walk(node.children, own, (inner) => wrap({ ...node, children: [inner] }));
    }
  };
  walk(nodes, [], (node) => node);
  return found;
}

/** The plain colours of a vector picture, the most used first. */
export function colorsOf(nodes: readonly DrawingNode[]): string[] {
  const counts = new Map<string, number>();
  const count = (color: string): void => void counts.set(color, (counts.get(color) ?? 0) + 1);
  const see = (paint: Paint | undefined): void => {
    if (paint?.kind === 'solid') count(paint.color);
    if (paint?.kind === 'gradient') for (const { color } of paint.stops) count(color);
    if (paint?.kind === 'tile') for (const color of colorsOf(paint.nodes)) count(color);
  };
  for (const { shape } of shapesOf(nodes)) {
    see(shape.fill);
    see(shape.stroke?.paint);
  }
  return [...counts].sort((one, other) => other[1] - one[1]).map(([color]) => color);
}

/** The colour of a pixel, `#rrggbb`. */
export function colorAt({ width, data }: RgbaImage, x: number, y: number): string {
  const at = (Math.floor(y) * width + Math.floor(x)) * 4;
  const [r = 0, g = 0, b = 0] = data.subarray(at, at + 3);
  return toHex({ r: r / 255, g: g / 255, b: b / 255 });
}
