import { onceFor } from '../../base/index.ts';
import { rgbOf } from '../../color/index.ts';
import {
  written,
  writtenAll,
  cellsOf,
  findBounds,
  type BlendMode,
  type Drawing,
  type DrawingNode,
  type GlyphsNode,
  type GradientPaint,
  type GroupNode,
  type Mask,
  type Paint,
  type PathNode,
  type ShadowNode,
  type Stroke,
  type TilePaint,
} from '../../drawing/index.ts';
import {
  compose,
  IDENTITY,
  placed,
  scaling,
  type Affine,
  type Box,
  type Path,
} from '../../geometry/index.ts';
import { glyphRuns, textString, type EmbeddedFont } from './fonts.ts';
import { isClear, isFading, shadingOf } from './gradients.ts';
import type { PdfObjects, PdfRef, PdfValue } from './objects.ts';

/** The objects that content streams name: each made once for the whole file. */
export interface PdfParts {
  readonly objects: PdfObjects;
  font(typeface: string): EmbeddedFont | undefined;
  picture(art: string): PdfRef | undefined;
  /** A blurred shadow as a picture, and where it stands: from the unit square to mm. */
  shadow(node: ShadowNode): { picture: PdfRef; map: Affine } | undefined;
  symbols: Drawing['symbols'];
  /** Form objects of symbols made so far. */
  readonly forms: Map<string, PdfRef>;
  /** Symbols that one place uses: they stand in its stream. */
  once: ReadonlySet<string>;
}

/** What is drawn in it is drawn together, on nothing. */
const TRANSPARENCY_GROUP = { S: '/Transparency', CS: '/DeviceRGB', I: true };

type Resources = Record<
  'Font' | 'XObject' | 'Pattern' | 'ExtGState' | 'ColorSpace',
  Map<string, PdfValue>
>;

/** A content stream and the resources that it names. */
export interface Content {
  readonly bytes: Uint8Array;
  readonly resources: { readonly [key: string]: PdfValue };
}

/** Writes nodes as a content stream. `base` maps mm (y down) to the space of the stream. */
export function writeContent(
  nodes: readonly DrawingNode[],
  parts: PdfParts,
  base: Affine,
): Content {
  const writer = new ContentWriter(parts, base);
  if (base !== IDENTITY) writer.operators.push(`${writtenAll(base, 6)} cm`);
  writer.nodes(nodes);
  return writer.content();
}

class ContentWriter {
  readonly operators: string[] = [];
  private readonly parts: PdfParts;
  private readonly resources: Resources = {
    Font: new Map(),
    XObject: new Map(),
    Pattern: new Map(),
    ExtGState: new Map(),
    ColorSpace: new Map(),
  };
  private readonly names = new Map<unknown, string>();
  /** From mm at this place to the space of the stream, which patterns are laid in. */
  private map: Affine;

  constructor(parts: PdfParts, base: Affine) {
    this.parts = parts;
    this.map = base;
  }

  content(): Content {
    const resources: Record<string, PdfValue> = {};
    for (const [kind, entries] of Object.entries(this.resources)) {
      if (entries.size) resources[kind] = Object.fromEntries(entries);
    }
    return { bytes: new TextEncoder().encode(`${this.operators.join('\n')}\n`), resources };
  }

  nodes(nodes: readonly DrawingNode[]): void {
    for (const node of nodes) this.node(node);
  }

  private node(node: DrawingNode): void {
    switch (node.kind) {
      case 'group':
        if (node.children.length === 0) return;
        return this.inside(node.transform, () => this.group(node));
      case 'path':
        return this.inside(undefined, () => this.path(node));
      case 'glyphs':
        return this.glyphs(node);
      case 'image': {
        const picture = this.parts.picture(node.art);
        if (!picture) return;
        return this.inside(compose(node.map, [1, 0, 0, -1, 0, 1]), () => this.draw(picture));
      }
      case 'use':
        return this.inside(node.transform, () => {
          const nodes = this.parts.once.has(node.symbol) && this.parts.symbols[node.symbol];
          if (nodes) this.nodes(nodes);
          else this.draw(this.symbol(node.symbol));
        });
      case 'shadow': {
        const made = this.parts.shadow(node);
        if (!made) return;
        return this.inside(compose(made.map, [1, 0, 0, -1, 0, 1]), () => {
          if (node.opacity < 1) this.operators.push(`/${this.alpha(node.opacity)} gs`);
          this.draw(made.picture);
        });
      }
    }
  }

  private group({ children, clip, clipEvenOdd, opacity = 1, mask, blend }: GroupNode): void {
    if (clip) this.operators.push(pathOperators(clip), clipEvenOdd ? 'W* n' : 'W n');
    if (opacity >= 1 && !mask && !blend) return this.nodes(children);
    if (opacity < 1) this.operators.push(`/${this.alpha(opacity)} gs`);
    if (mask) this.operators.push(`/${this.mask(mask, children)} gs`);
    if (blend && blend !== 'normal') this.operators.push(`/${this.blend(blend)} gs`);
    this.form(children, { Group: TRANSPARENCY_GROUP });
  }

  private inside(transform: Affine | undefined, draw: () => void): void {
    const before = this.map;
    this.operators.push('q');
    if (transform) {
      this.map = compose(this.map, transform);
      this.operators.push(`${writtenAll(transform, 6)} cm`);
    }
    draw();
    this.operators.push('Q');
    this.map = before;
  }

  private path({ path, fill, stroke, evenOdd }: PathNode): void {
    if (path.length === 0 || (!fill && !stroke)) return;
    if (fill?.kind === 'tile') {
      const box = findBounds([{ kind: 'path', path }]);
      if (box)
        this.inside(undefined, () => {
          this.operators.push(pathOperators(path), evenOdd ? 'W* n' : 'W n');
          this.tiles(fill, box);
        });
      if (stroke) this.path({ kind: 'path', path, stroke });
      return;
    }
    // Painted at once, a line takes away the fill below it, and one mask holds for both.
    if (fill && stroke && (isFading(fill) || isClear(stroke.paint))) {
      this.inside(undefined, () => this.path({ kind: 'path', path, fill, evenOdd: !!evenOdd }));
      return this.path({ kind: 'path', path, stroke });
    }
    const box = findBounds([{ kind: 'path', path, ...(stroke && { stroke }) }]);
    if (fill) this.paint(fill, false, box);
    if (stroke) this.stroke(stroke, box);
    this.operators.push(
      pathOperators(path),
      `${fill && stroke ? 'B' : fill ? 'f' : 'S'}${fill && evenOdd ? '*' : ''}`,
    );
  }

  private stroke(stroke: Stroke, box?: Box): void {
    const { paint, width, dash, dashOffset = 0, cap, join, miterLimit = 4 } = stroke;
    this.paint(paint, true, box);
    this.operators.push(
      `${written(width)} w ${{ butt: 0, round: 1, square: 2 }[cap ?? 'butt']} J ${{ miter: 0, round: 1, bevel: 2 }[join ?? 'miter']} j`,
    );
    if (join === undefined || join === 'miter') this.operators.push(`${written(miterLimit)} M`);
    if (dash?.length) this.operators.push(`[${writtenAll(dash)}] ${written(dashOffset)} d`);
  }

  private glyphs(node: GlyphsNode): void {
    const { fill, stroke } = node;
    const font = this.parts.font(node.typeface);
    if (!font || node.glyphs.length === 0) return;
    this.inside(undefined, () => {
      if (fill?.kind !== 'tile') {
        const box = findBounds([node]);
        if (fill) this.paint(fill, false, box);
        if (stroke) this.stroke(stroke, box);
        this.text(node, font, fill ? (stroke ? 2 : 0) : 1);
        return;
      }
      const box = findBounds([node]);
      this.text(node, font, 7);
      if (box) this.tiles(fill, box);
    });
    if (fill?.kind === 'tile' && stroke) this.glyphs({ ...omitFill(node), stroke });
  }

  /** Shows letters; `mode` 0 fills them, 1 strokes, 2 does both, 7 clips by them (ISO 32000-1, 9.3.6). */
  private text(node: GlyphsNode, font: EmbeddedFont, mode: number): void {
    const name = this.name('Font', font.ref, font.ref);
    this.operators.push(
      `/Span <</ActualText ${textString(node.text)}>> BDC`,
      'BT',
      `/${name} 1 Tf ${mode} Tr`,
    );
    for (const { x, y, angle, shown } of glyphRuns(node, font)) {
      const map = compose(placed(x, y, angle), scaling(node.size, -node.size));
      this.operators.push(`${writtenAll(map, 6)} Tm ${shown}`);
    }
    this.operators.push('ET', 'EMC');
  }

  /**
   * Fills the clip with a tile, drawn at each of its places. PDF has patterns for this, but viewers
   * draw them from a small bitmap at whole pixels, which shows as seams.
   */
  private tiles(tile: TilePaint, box: Box): void {
    if (tile.ground) {
      this.paint({ kind: 'solid', color: tile.ground }, false);
      const { left, top, right, bottom } = box;
      this.operators.push(`${writtenAll([left, top, right - left, bottom - top])} re f`);
    }
    const cells = cellsOf(tile, box);
    if (cells.length === 0) return;
    const form = this.makeForm(tile.nodes, {});
    this.inside(tile.map, () => {
      for (const { column, row } of cells)
        this.inside([1, 0, 0, 1, column * tile.width, row * tile.height], () => this.draw(form));
    });
  }

  /** Sets what is painted with; `box` holds what will be painted. */
  private paint(paint: Paint, forStroke: boolean, box?: Box): void {
    switch (paint.kind) {
      case 'solid': {
        const { r, g, b } = rgbOf(paint.color);
        this.operators.push(`${writtenAll([r, g, b])} ${forStroke ? 'RG' : 'rg'}`);
        if (paint.alpha !== undefined && paint.alpha < 1)
          this.operators.push(`/${this.alpha(paint.alpha, forStroke ? 'CA' : 'ca')} gs`);
        return;
      }
      case 'ink': {
        const { r, g, b } = rgbOf(paint.color);
        const tint = { FunctionType: 2, Domain: [0, 1], C0: [1, 1, 1], C1: [r, g, b], N: 1 };
        const space = this.name('ColorSpace', `ink:${paint.name}`, [
          '/Separation',
          `/${paint.name}`,
          '/DeviceRGB',
          tint,
        ]);
        this.operators.push(forStroke ? `/${space} CS 1 SCN` : `/${space} cs 1 scn`);
        return;
      }
      case 'gradient':
        if (box && isFading(paint)) this.operators.push(`/${this.fading(paint, box)} gs`);
        return this.pattern(this.gradient(paint, box), forStroke);
      case 'tile':
        // Lines have plain paints; what a tile leaves of a line is its ground.
        return this.paint({ kind: 'solid', color: paint.ground ?? '#000000' }, forStroke);
    }
  }

  private pattern(pattern: PdfRef, forStroke: boolean): void {
    const name = this.name('Pattern', pattern, pattern);
    this.operators.push(forStroke ? `/Pattern CS /${name} SCN` : `/Pattern cs /${name} scn`);
  }

  private gradient(paint: GradientPaint, box: Box | undefined): PdfRef {
    return this.parts.objects.add({
      Type: '/Pattern',
      PatternType: 2,
      Matrix: [...(paint.map ? compose(this.map, paint.map) : this.map)],
      Shading: shadingOf(paint, box, ({ color }) => Object.values(rgbOf(color))),
    });
  }

  /** A state in which a gradient's transparency holds: as much as a grey gradient is light. */
  private fading(paint: GradientPaint, box: Box): string {
    const grey = shadingOf(paint, box, ({ alpha = 1 }) => [alpha]);
    const place = paint.map ? `${writtenAll(paint.map, 6)} cm ` : '';
    const form = this.parts.objects.stream(
      {
        Type: '/XObject',
        Subtype: '/Form',
        BBox: [box.left, box.top, box.right, box.bottom],
        Group: { ...TRANSPARENCY_GROUP, CS: '/DeviceGray' },
        Resources: { Shading: { S: grey } },
      },
      new TextEncoder().encode(`${place}/S sh\n`),
    );
    return this.softMask(form, 'luminance');
  }

  private mask({ nodes, by }: Mask, masked: readonly DrawingNode[]): string {
    const room = findBounds(masked);
    return this.softMask(this.makeForm(nodes, { Group: TRANSPARENCY_GROUP }, room), by);
  }

  /** Source: ISO 32000-1, 11.6.5.3. */
  private softMask(form: PdfRef, by: Mask['by']): string {
    return this.name('ExtGState', form, {
      SMask: { Type: '/Mask', S: by === 'alpha' ? '/Alpha' : '/Luminosity', G: form },
    });
  }

  private blend(mode: BlendMode): string {
    const name = mode.replace(/(^|-)(.)/g, (_, __, letter: string) => letter.toUpperCase());
    return this.name('ExtGState', `blend:${mode}`, { BM: `/${name}` });
  }

  private symbol(id: string): PdfRef | undefined {
    const known = this.parts.forms.get(id);
    const nodes = this.parts.symbols[id];
    if (known || !nodes) return known;
    const made = this.makeForm(nodes, {});
    this.parts.forms.set(id, made);
    return made;
  }

  private form(nodes: readonly DrawingNode[], extra: { readonly [key: string]: PdfValue }): void {
    this.draw(this.makeForm(nodes, extra));
  }

  private makeForm(
    nodes: readonly DrawingNode[],
    extra: { readonly [key: string]: PdfValue },
    room = findBounds(nodes),
  ): PdfRef {
    const { bytes, resources } = writeContent(nodes, this.parts, IDENTITY);
    const box = room ?? { left: 0, top: 0, right: 0, bottom: 0 };
    return this.parts.objects.stream(
      {
        Type: '/XObject',
        Subtype: '/Form',
        BBox: [box.left, box.top, box.right, box.bottom],
        Resources: resources,
        ...extra,
      },
      bytes,
    );
  }

  private draw(object: PdfRef | undefined): void {
    if (object) this.operators.push(`/${this.name('XObject', object, object)} Do`);
  }

  /** A state in which what is drawn is that opaque: fills (`ca`), lines (`CA`), or both. */
  private alpha(alpha: number, only?: 'ca' | 'CA'): string {
    const key = `alpha:${only ?? ''}${written(alpha)}`;
    return this.name('ExtGState', key, only ? { [only]: alpha } : { ca: alpha, CA: alpha });
  }

  private name(kind: keyof Resources, key: unknown, value: PdfValue): string {
    const known = this.names.get(key);
    if (known) return known;
    const made = `${kind[0]}${this.names.size}`;
    this.names.set(key, made);
    this.resources[kind].set(made, value);
    return made;
  }
}

function omitFill({ fill, ...rest }: GlyphsNode): GlyphsNode {
  void fill;
  return rest;
}

/** A path as operators; copies that are alike have the same, so it is written out once. */
const pathOperators = onceFor((path: Path): string =>
  path
    .map(([letter, ...values]) => {
      if (letter === 'Z') return 'h';
      return `${writtenAll(values as number[])} ${{ M: 'm', L: 'l', C: 'c' }[letter]}`;
    })
    .join('\n'),
);
