import * as z from 'zod';
import {
  artSize,
  orientationMap,
  patternOf,
  PATTERNS,
  type Art,
  type VectorNodes,
} from '../art/index.ts';
import { mixed } from '../color/index.ts';
import { solid, type DrawingNode, type Paint } from '../drawing/index.ts';
import { nested, placed, rotation, scaling, translation } from '../geometry/index.ts';

/** `#rrggbb` */
export const color = z.string().regex(/^#[0-9a-f]{6}$/i);

/** Colours along a line across what is filled, or from its middle to its rim. */
export const gradientSchema = z.object({
  kind: z.literal('gradient'),
  shape: z.enum(['linear', 'radial']),
  /** Of the line: 0 runs from the left to the right, 90 from the top down. */
  angle: z.number(),
  stops: z
    .array(z.object({ at: z.number().min(0).max(1), color }))
    .min(2)
    .max(6),
});

/** A pattern of our own in chosen colours. */
export const patternFillSchema = z.object({
  kind: z.literal('pattern'),
  pattern: z.enum(PATTERNS),
  /** Null lets what lies beneath show. */
  ground: color.nullable(),
  inks: z.array(color).min(1).max(3),
  /** 1 is the pattern's usual size. */
  scale: z.number().min(0.1).max(20),
  angle: z.number(),
});

/** A picture that shows through, or is repeated as a tile. */
export const pictureFillSchema = z.object({
  kind: z.literal('picture'),
  art: z.string(),
  /** Width of one tile in mm; none fills once, as large as is needed. */
  tile: z.number().min(1).max(1000).optional(),
  angle: z.number(),
  /** Which part shows where it fills once: moved by shares of the box, and enlarged. */
  view: z.object({
    x: z.number().min(-5).max(5),
    y: z.number().min(-5).max(5),
    zoom: z.number().min(1).max(20),
  }),
});

/** What fills words, a plate, a band or the ground: a plain colour `#rrggbb`, or more. */
export const fillSchema = z.union([color, gradientSchema, patternFillSchema, pictureFillSchema]);
export type Fill = z.infer<typeof fillSchema>;
export type Gradient = z.infer<typeof gradientSchema>;
export type PatternFill = z.infer<typeof patternFillSchema>;
export type PictureFill = z.infer<typeof pictureFillSchema>;

/** Whether a fill is one plain colour. */
export const isPlain = (fill: Fill): fill is string => typeof fill === 'string';

/** Where a fill finds the pictures that it names. */
export interface FillSource {
  art(id: string): Art | undefined;
  vector(art: string): VectorNodes | undefined;
}

/**
 * The paint of a fill in a box about the origin, mm; undefined while its picture is missing.
 * @param alpha how opaque a plain colour is
 */
export function findPaint(
  fill: Fill,
  box: { readonly width: number; readonly height: number },
  source: FillSource,
  alpha?: number,
): Paint | undefined {
  if (isPlain(fill)) return solid(fill, alpha);
  switch (fill.kind) {
    case 'gradient':
      return gradientPaint(fill, box);
    case 'pattern':
      return patternPaint({ ...fill, scale: drawnScale(fill, box) });
    case 'picture':
      return findPicturePaint(fill, box, source);
  }
}

function gradientPaint(
  { shape, angle, stops }: Gradient,
  { width, height }: { width: number; height: number },
): Paint {
  const turn = (angle * Math.PI) / 180;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  // As long as the box is in that direction, so that both end colours are met at its corners.
  const reach = (Math.abs(cos) * width + Math.abs(sin) * height) / 2;
  return shape === 'linear'
    ? {
        kind: 'gradient',
        shape,
        from: { x: -cos * reach, y: -sin * reach },
        to: { x: cos * reach, y: sin * reach },
        stops,
      }
    : {
        kind: 'gradient',
        shape,
        from: { x: 0, y: 0 },
        to: { x: Math.hypot(width, height) / 2, y: 0 },
        stops,
      };
}

/** Tiles of one fill at most: what is finer is no pattern to the eye, and takes minutes to draw. */
const MOST_TILES = 20_000;

/** The side of a tile of a shape below which more tiles than can be drawn fill a box; mm. */
const leastTile = (
  { width, height }: { readonly width: number; readonly height: number },
  ratio: number,
): number => Math.sqrt((width * height) / MOST_TILES / ratio);

/** The scale at which a pattern is drawn in a box: coarser than it says where its tiles would be too many. */
export function drawnScale(
  { pattern, scale, inks }: PatternFill,
  box: { readonly width: number; readonly height: number },
): number {
  const tile = patternOf(pattern).tile(inks);
  return Math.max(scale, leastTile(box, tile.height / tile.width) / tile.width);
}

function patternPaint({ pattern, ground, inks, scale, angle }: PatternFill): Paint {
  const kind = patternOf(pattern);
  const last = inks[inks.length - 1] ?? '#000000';
  const taken = Array.from({ length: kind.inks }, (_, at) => inks[at] ?? last);
  return {
    kind: 'tile',
    ...kind.tile(taken),
    map: nested(rotation(angle), scaling(scale)),
    ...(ground === null ? {} : { ground }),
  };
}

function findPicturePaint(
  { art: id, tile: asked, angle, view }: PictureFill,
  box: { width: number; height: number },
  source: FillSource,
): Paint | undefined {
  const art = source.art(id);
  const nodes = art && findPictureNodes(art, source);
  if (!art || !nodes) return undefined;
  const own = artSize(art);
  const tile = asked && Math.max(asked, leastTile(box, own.height / own.width));
  if (tile !== undefined)
    return {
      kind: 'tile',
      ...own,
      nodes,
      map: nested(
        rotation(angle),
        scaling(tile / own.width),
        translation(-own.width / 2, -own.height / 2),
      ),
    };
  const turned = Math.abs(Math.sin((angle * Math.PI) / 180));
  const straight = Math.abs(Math.cos((angle * Math.PI) / 180));
  const [across, down] = [
    box.width * straight + box.height * turned,
    box.width * turned + box.height * straight,
  ];
  const scale = Math.max(across / own.width, down / own.height) * view.zoom;
  return {
    kind: 'tile',
    once: true,
    ...own,
    nodes,
    map: nested(
      placed(view.x * box.width, view.y * box.height, angle),
      scaling(scale),
      translation(-own.width / 2, -own.height / 2),
    ),
  };
}

/** A picture as nodes in its own mm, from its top left corner. */
function findPictureNodes(art: Art, source: FillSource): readonly DrawingNode[] | undefined {
  if (art.kind === 'vector') return source.vector(art.id);
  const { width, height } = artSize(art);
  return [
    {
      kind: 'image',
      art: art.id,
      map: nested(scaling(width, height), orientationMap(art.orientation)),
    },
  ];
}

/** The art that a fill names. */
export const artOfFill = (fill: Fill | null | undefined): string[] =>
  fill && !isPlain(fill) && fill.kind === 'picture' ? [fill.art] : [];

/** The colours of a fill, the one that covers most first. */
export function colorsOfFill(fill: Fill): string[] {
  if (isPlain(fill)) return [fill];
  if (fill.kind === 'gradient') return fill.stops.map((stop) => stop.color);
  if (fill.kind === 'pattern')
    return [...(fill.ground === null ? [] : [fill.ground]), ...fill.inks];
  return [];
}

/** One colour that stands for a fill: its own, its first, or a middle grey for a picture. */
export const leadColor = (fill: Fill): string => colorsOfFill(fill)[0] ?? '#808080';

/** A fill with its colours replaced. */
export function recoloredFill(fill: Fill, recolor: (color: string) => string): Fill {
  if (isPlain(fill)) return recolor(fill);
  if (fill.kind === 'gradient')
    return { ...fill, stops: fill.stops.map((stop) => ({ ...stop, color: recolor(stop.color) })) };
  if (fill.kind === 'pattern')
    return {
      ...fill,
      ground: fill.ground === null ? null : recolor(fill.ground),
      inks: fill.inks.map(recolor),
    };
  return fill;
}

/** A gradient that begins with a colour. */
export const usualGradient = (from: string): Gradient => ({
  kind: 'gradient',
  shape: 'linear',
  angle: 90,
  stops: [
    { at: 0, color: from },
    { at: 1, color: mixed(from, '#ffffff', 0.6) },
  ],
});
