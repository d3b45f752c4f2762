import {
  compose,
  IDENTITY,
  mapPath,
  type Affine,
  type Path,
  type Point,
} from '../geometry/index.ts';

/**
 * What everything visible is compiled to: a closed list of nodes in mm, y down, from which the
 * screen's SVG, the PDF and every file are made.
 */
export interface Drawing {
  readonly width: number;
  readonly height: number;
  readonly nodes: readonly DrawingNode[];
  /** Drawn once, used many times. */
  readonly symbols: Readonly<Record<string, readonly DrawingNode[]>>;
}

export type DrawingNode = GroupNode | PathNode | GlyphsNode | ImageNode | UseNode | ShadowNode;

/** Several nodes moved, clipped, masked and made translucent together. */
export interface GroupNode {
  readonly kind: 'group';
  readonly children: readonly DrawingNode[];
  readonly transform?: Affine;
  /** From 0 (clear) to 1. */
  readonly opacity?: number;
  /** In the coordinates of the children; non-zero rule unless `clipEvenOdd`. */
  readonly clip?: Path;
  readonly clipEvenOdd?: boolean;
  /** In the coordinates of the children. */
  readonly mask?: Mask;
  /**
   * How the colours of the children, drawn together, mix with those below. `normal` lays them over it
   * as any group does, but keeps the mixing of its children among themselves.
   */
  readonly blend?: BlendMode;
}

/** What shows of a group: as much as the nodes are light, or as they are opaque. */
export interface Mask {
  readonly nodes: readonly DrawingNode[];
  /** Nodes of a mask by luminance are grey. */
  readonly by: 'luminance' | 'alpha';
}

/** Source: W3C Compositing and Blending Level 1, 5. */
export const BLEND_MODES = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
] as const;
export type BlendMode = (typeof BLEND_MODES)[number];

/** A filled and stroked outline. */
export interface PathNode {
  readonly kind: 'path';
  readonly path: Path;
  readonly fill?: Paint;
  readonly stroke?: Stroke;
  /** Non-zero unless this is true. */
  readonly evenOdd?: boolean;
}

export interface Stroke {
  readonly paint: Paint;
  /** mm */
  readonly width: number;
  /** Lengths of dashes and gaps in mm; none for a solid line. */
  readonly dash?: readonly number[];
  /** How far into the dashes a line begins, mm. */
  readonly dashOffset?: number;
  readonly cap?: 'butt' | 'round' | 'square';
  readonly join?: 'miter' | 'round' | 'bevel';
  /** How long a mitre may be, in widths; 4 unless given. */
  readonly miterLimit?: number;
}

/** Letters at their places. */
export interface GlyphsNode {
  readonly kind: 'glyphs';
  readonly typeface: string;
  /** The em in mm. */
  readonly size: number;
  readonly glyphs: readonly PlacedGlyph[];
  readonly fill?: Paint;
  /** Lines about the letters, half of them inside; with a plain paint. */
  readonly stroke?: Stroke;
  /** What the letters say, for searching and reading aloud. */
  readonly text: string;
}

export interface PlacedGlyph {
  /** The glyph's number in its typeface. */
  readonly id: number;
  readonly x: number;
  readonly y: number;
  /** Degrees, clockwise. */
  readonly angle: number;
  /** The characters that this glyph stands for; empty for the later glyphs of a cluster. */
  readonly text: string;
}

/** A picture of pixels. */
export interface ImageNode {
  readonly kind: 'image';
  /** The id of its art, or the `data:` address of a picture that a vector picture holds itself. */
  readonly art: string;
  /** From the unit square, with (0, 0) the stored picture's top left, to mm. */
  readonly map: Affine;
}

/** A symbol at a place. */
export interface UseNode {
  readonly kind: 'use';
  readonly symbol: string;
  readonly transform: Affine;
}

/** The outline of what it covers, filled in one colour and blurred. */
export interface ShadowNode {
  readonly kind: 'shadow';
  readonly children: readonly DrawingNode[];
  /** The standard deviation of the blur, mm. */
  readonly blur: number;
  readonly color: string;
  /** From 0 (clear) to 1. */
  readonly opacity: number;
}

export type Paint = SolidPaint | GradientPaint | TilePaint | InkPaint;

export interface SolidPaint {
  readonly kind: 'solid';
  /** `#rrggbb` */
  readonly color: string;
  readonly alpha?: number;
}

/** Colours along a line, or from a centre to a rim. */
export interface GradientPaint {
  readonly kind: 'gradient';
  readonly shape: 'linear' | 'radial';
  /** The start, or the centre. */
  readonly from: Point;
  /** The end, or a point of the rim. */
  readonly to: Point;
  readonly stops: readonly GradientStop[];
  /** Where the first colour is, inside the rim; the centre unless given. */
  readonly focus?: Point;
  /** Goes on beyond the ends mirrored or again; in the end colours unless given. */
  readonly spread?: 'reflect' | 'repeat';
  /** From the gradient's own coordinates to the drawing's mm. */
  readonly map?: Affine;
}

export interface GradientStop {
  /** From 0 to 1. */
  readonly at: number;
  readonly color: string;
  readonly alpha?: number;
}

/** A small drawing repeated in rows and columns, or a large one that fills a shape once. */
export interface TilePaint {
  readonly kind: 'tile';
  readonly width: number;
  readonly height: number;
  /** From the tile's mm to the drawing's. */
  readonly map: Affine;
  /** May reach over the sides by less than a tile: what does is drawn whole, over the neighbour. */
  readonly nodes: readonly DrawingNode[];
  /** Fills what the nodes leave. */
  readonly ground?: string;
  /** Drawn a single time and not repeated. */
  readonly once?: boolean;
}

/** A named ink of its own, such as the cutter's; `color` is how it looks where there is none. */
export interface InkPaint {
  readonly kind: 'ink';
  readonly name: string;
  readonly color: string;
}

/** A plain colour. */
export function solid(color: string, alpha?: number): SolidPaint {
  return alpha === undefined || alpha === 1
    ? { kind: 'solid', color }
    : { kind: 'solid', color, alpha };
}

/** Calls `see` with each node, outer before inner, tiles, masks and symbols included. */
export function walkDrawing(
  drawing: Pick<Drawing, 'nodes' | 'symbols'>,
  see: (node: DrawingNode) => void,
): void {
  const paint = (found: Paint | undefined): void => {
    if (found?.kind === 'tile') all(found.nodes);
  };
  const all = (nodes: readonly DrawingNode[]): void => {
    for (const node of nodes) {
      see(node);
      if (node.kind === 'group' || node.kind === 'shadow') all(node.children);
      if (node.kind === 'group' && node.mask) all(node.mask.nodes);
      if (node.kind === 'path' || node.kind === 'glyphs') paint(node.fill);
      if (node.kind === 'path') paint(node.stroke?.paint);
    }
  };
  all(drawing.nodes);
  for (const nodes of Object.values(drawing.symbols)) all(nodes);
}

/** The outlines of all paths in nodes, at their places; words and pictures have none. */
export function outlinesOf(nodes: readonly DrawingNode[], map: Affine = IDENTITY): Path[] {
  return nodes.flatMap((node): Path[] => {
    if (node.kind === 'path') return [mapPath(node.path, map)];
    if (node.kind !== 'group') return [];
    return outlinesOf(node.children, node.transform ? compose(map, node.transform) : map);
  });
}
