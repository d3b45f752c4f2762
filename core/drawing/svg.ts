import { onceFor } from '../base/index.ts';
import {
  apply,
  compose,
  dataFromPen,
  grown,
  rotation,
  scaling,
  type Affine,
  type Box,
  type Path,
} from '../geometry/index.ts';
import { findBounds, SHADOW_REACH } from './bounds.ts';
import type {
  BlendMode,
  Drawing,
  DrawingNode,
  GlyphsNode,
  GradientPaint,
  Mask,
  Paint,
  PathNode,
  ShadowNode,
  Stroke,
  TilePaint,
} from './drawing.ts';
import { letterPaths, type Outlines } from './letters.ts';
import { nodesInTile } from './tiles.ts';
import { written, writtenAll } from './number.ts';

/** Where the writer gets what a drawing only names. */
export interface SvgSources {
  /** A typeface; letters of one that is missing are left out. */
  typeface(id: string): Outlines | undefined;
  /** The address of a picture; undefined draws an empty frame. */
  imageUrl(art: string): string | undefined;
  /** Put before every id, so that several drawings can stand in one page. */
  prefix: string;
}

/** SVG markup of parts of a drawing: what goes into `<defs>` and what is drawn. */
export interface SvgParts {
  readonly defs: string;
  readonly body: string;
}

const escapeText = (text: string): string =>
  text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;').replace(/"/g, '&quot;');
const blending = (mode: BlendMode | undefined): string =>
  mode === undefined
    ? ''
    : mode === 'normal'
      ? ' style="isolation:isolate"'
      : ` style="mix-blend-mode:${mode}"`;
const matrix = (map: Affine): string => `matrix(${writtenAll(map, 5)})`;

const boxed = ({ left, top, right, bottom }: Box): string =>
  `x="${written(left)}" y="${written(top)}" width="${written(right - left)}" height="${written(bottom - top)}"`;

/** SVG path data of a path. */
export const pathData = onceFor((path: Path): string =>
  path.map(([letter, ...values]) => letter + writtenAll(values as number[])).join(''),
);

/** An outline as SVG path data from wherever the pen stands. */
const outlineData = onceFor((path: Path): string => dataFromPen(pathData(path)));

/** Writes nodes as SVG markup, symbols as `<g>` of that id in the defs. */
export function nodesToSvg(
  nodes: readonly DrawingNode[],
  symbols: Drawing['symbols'],
  sources: SvgSources,
): SvgParts {
  const writer = new SvgWriter(sources);
  const drawn = Object.entries(symbols).map(
    ([id, children]) => `<g id="${sources.prefix}${escapeText(id)}">${writer.nodes(children)}</g>`,
  );
  const body = writer.nodes(nodes);
  return { defs: writer.defs.join('') + drawn.join(''), body };
}

/** A whole drawing as an SVG file with its size in mm. */
export function drawingToSvg(drawing: Drawing, sources: SvgSources): string {
  const { defs, body } = nodesToSvg(drawing.nodes, drawing.symbols, sources);
  const [width, height] = [written(drawing.width), written(drawing.height)];
  return (
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" ` +
    `viewBox="0 0 ${width} ${height}">${defs ? `<defs>${defs}</defs>` : ''}${body}</svg>`
  );
}

class SvgWriter {
  readonly defs: string[] = [];
  private readonly sources: SvgSources;
  private count = 0;

  constructor(sources: SvgSources) {
    this.sources = sources;
  }

  nodes(nodes: readonly DrawingNode[]): string {
    return nodes.map((node) => this.node(node)).join('');
  }

  private node(node: DrawingNode): string {
    switch (node.kind) {
      case 'group': {
        const clip = node.clip
          ? ` clip-path="url(#${this.clip(node.clip, node.clipEvenOdd)})"`
          : '';
        const mask = node.mask ? ` mask="url(#${this.mask(node.mask, node.children)})"` : '';
        const opacity = node.opacity === undefined ? '' : ` opacity="${written(node.opacity)}"`;
        const moved = node.transform ? ` transform="${matrix(node.transform)}"` : '';
        return `<g${moved}${clip}${mask}${opacity}${blending(node.blend)}>${this.nodes(node.children)}</g>`;
      }
      case 'path':
        return this.path(node);
      case 'glyphs':
        return this.glyphs(node);
      case 'image':
        return this.image(node.art, node.map);
      case 'use':
        return `<use href="#${this.sources.prefix}${escapeText(node.symbol)}" transform="${matrix(node.transform)}"/>`;
      case 'shadow':
        return this.shadow(node);
    }
  }

  private path({ path, fill, stroke, evenOdd }: PathNode): string {
    const lines = stroke ? this.stroke(stroke) : '';
    if (fill?.kind === 'tile' && fill.once) {
      const box = findBounds([{ kind: 'path', path }]);
      const filled = box ? this.once(fill, this.clip(path, evenOdd), box) : '';
      return filled + (lines && `<path d="${pathData(path)}" fill="none"${lines}/>`);
    }
    const rule = evenOdd ? ' fill-rule="evenodd"' : '';
    const paint = fill ? this.paint('fill', fill) : ' fill="none"';
    return `<path d="${pathData(path)}"${paint}${rule}${lines}/>`;
  }

  /** A tile that is drawn once, where a clip path lets it show; its ground fills the box about that. */
  private once({ ground, map, nodes }: TilePaint, clip: string, box: Box): string {
    const filled = ground ? `<rect ${boxed(box)} fill="${ground}"/>` : '';
    const drawn = `<g transform="${matrix(map)}">${this.nodes(nodes)}</g>`;
    return `<g clip-path="url(#${clip})">${filled}${drawn}</g>`;
  }

  private shadow({ children, blur, opacity }: ShadowNode): string {
    const box = findBounds(children);
    if (!box) return '';
    const id = this.id();
    const room = boxed(grown(box, blur * SHADOW_REACH));
    this.defs.push(
      `<filter id="${id}" filterUnits="userSpaceOnUse" color-interpolation-filters="sRGB" ${room}><feGaussianBlur stdDeviation="${written(blur)}"/></filter>`,
    );
    return `<g filter="url(#${id})" opacity="${written(opacity)}">${this.nodes(children)}</g>`;
  }

  private glyphs(node: GlyphsNode): string {
    const { fill, stroke, size } = node;
    const label = `<g role="img" aria-label="${escapeText(node.text)}"`;
    if (fill && fill.kind !== 'solid' && fill.kind !== 'ink') {
      // Other paints are in mm, and would be scaled with the letters.
      const path = letterPaths(node, this.sources.typeface(node.typeface)).flat();
      return `${label}>${this.path({ kind: 'path', path, fill, ...(stroke && { stroke }) })}</g>`;
    }
    const lines = stroke ? this.stroke({ ...stroke, width: stroke.width / size }) : '';
    const paints = (fill ? this.paint('fill', fill) : ' fill="none"') + lines;
    return `${label}${paints}>${this.letters(node)}</g>`;
  }

  /** Letters in ems, so that each is written once and for all; those that stand alike are one path. */
  private letters({ typeface: id, size, glyphs }: GlyphsNode): string {
    const typeface = this.sources.typeface(id);
    if (!typeface) return '';
    const alike = new Map<number, string>();
    for (const { id, x, y, angle } of glyphs) {
      const outline = outlineData(typeface.outline(id));
      if (!outline) continue;
      const at = apply(compose(scaling(1 / size), rotation(-angle)), { x, y });
      const start = `M${written(at.x, 6)} ${written(at.y, 6)}`;
      alike.set(angle, (alike.get(angle) ?? '') + start + outline);
    }
    return [...alike]
      .map(([angle, data]) => {
        const map = writtenAll(compose(rotation(angle), scaling(size)), 6);
        return `<path d="${data}" transform="matrix(${map})"/>`;
      })
      .join('');
  }

  private image(art: string, map: Affine): string {
    const url = art.startsWith('data:') ? art : this.sources.imageUrl(art);
    const place = `width="1" height="1" transform="${matrix(map)}"`;
    return url
      ? `<image href="${escapeText(url)}" preserveAspectRatio="none" ${place}/>`
      : `<rect fill="#8A7A8F" fill-opacity="0.2" ${place}/>`;
  }

  private stroke(stroke: Stroke): string {
    const offset = stroke.dashOffset ? ` stroke-dashoffset="${written(stroke.dashOffset)}"` : '';
    const dash = stroke.dash?.length
      ? ` stroke-dasharray="${writtenAll(stroke.dash)}"${offset}`
      : '';
    const cap = stroke.cap ? ` stroke-linecap="${stroke.cap}"` : '';
    const limit =
      stroke.miterLimit === undefined ? '' : ` stroke-miterlimit="${written(stroke.miterLimit)}"`;
    const join = (stroke.join ? ` stroke-linejoin="${stroke.join}"` : '') + limit;
    return `${this.paint('stroke', stroke.paint)} stroke-width="${written(stroke.width)}"${dash}${cap}${join}`;
  }

  private paint(use: 'fill' | 'stroke', paint: Paint): string {
    switch (paint.kind) {
      case 'solid': {
        const alpha = paint.alpha === undefined ? '' : ` ${use}-opacity="${written(paint.alpha)}"`;
        return ` ${use}="${paint.color}"${alpha}`;
      }
      case 'ink':
        return ` ${use}="${paint.color}"`;
      case 'gradient':
        return ` ${use}="url(#${this.gradient(paint)})"`;
      case 'tile':
        return ` ${use}="url(#${this.tile(paint)})"`;
    }
  }

  private gradient({ shape, from, to, stops, focus, spread, map }: GradientPaint): string {
    const id = this.id();
    const marks = stops
      .map(({ at, color, alpha }) => {
        const clear = alpha === undefined ? '' : ` stop-opacity="${written(alpha)}"`;
        return `<stop offset="${written(at)}" stop-color="${color}"${clear}/>`;
      })
      .join('');
    const placed = map ? ` gradientTransform="${matrix(map)}"` : '';
    const beyond = spread ? ` spreadMethod="${spread}"` : '';
    const common = `id="${id}" gradientUnits="userSpaceOnUse"${placed}${beyond}`;
    const radius = written(Math.hypot(to.x - from.x, to.y - from.y));
    const inner = focus ? ` fx="${written(focus.x)}" fy="${written(focus.y)}"` : '';
    this.defs.push(
      shape === 'linear'
        ? `<linearGradient ${common} x1="${written(from.x)}" y1="${written(from.y)}" x2="${written(to.x)}" y2="${written(to.y)}">${marks}</linearGradient>`
        : `<radialGradient ${common} cx="${written(from.x)}" cy="${written(from.y)}" r="${radius}"${inner}>${marks}</radialGradient>`,
    );
    return id;
  }

  private tile(tile: TilePaint): string {
    const id = this.id();
    const [width, height] = [written(tile.width), written(tile.height)];
    const ground = tile.ground
      ? `<rect width="${width}" height="${height}" fill="${tile.ground}"/>`
      : '';
    this.defs.push(
      `<pattern id="${id}" patternUnits="userSpaceOnUse" width="${width}" height="${height}" patternTransform="${matrix(tile.map)}">${ground}${this.nodes(nodesInTile(tile))}</pattern>`,
    );
    return id;
  }

  private mask({ nodes, by }: Mask, masked: readonly DrawingNode[]): string {
    const id = this.id();
    const box = findBounds(masked);
    const room = box ? ` ${boxed(grown(box, 1))}` : '';
    this.defs.push(
      `<mask id="${id}" maskUnits="userSpaceOnUse"${room} style="mask-type:${by}">${this.nodes(nodes)}</mask>`,
    );
    return id;
  }

  private clip(path: Path, evenOdd = false): string {
    const id = this.id();
    const rule = evenOdd ? ' clip-rule="evenodd"' : '';
    this.defs.push(`<clipPath id="${id}"><path d="${pathData(path)}"${rule}/></clipPath>`);
    return id;
  }

  private id(): string {
    return `${this.sources.prefix}p${this.count++}`;
  }
}
