import { compose, placed, scaling, type Affine, type Path } from '../geometry/index.ts';
import type { Drawing, DrawingNode, GlyphsNode, GradientPaint, Paint, Stroke } from './drawing.ts';
import { written, writtenAll } from './number.ts';

/** Where the writer gets what a drawing only names. */
export interface SvgSources {
  /** SVG path data of a glyph, in em units with y down; empty when the typeface is missing. */
  glyph(typeface: string, id: number): string;
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
const matrix = (map: Affine): string => `matrix(${writtenAll(map, 5)})`;

const writtenPaths = new WeakMap<Path, string>();

/** SVG path data of a path. */
export function pathData(path: Path): string {
  const known = writtenPaths.get(path);
  if (known !== undefined) return known;
  const data = writtenPath(path);
  writtenPaths.set(path, data);
  return data;
}

function writtenPath(path: Path): string {
  return path.map(([letter, ...values]) => letter + writtenAll(values as number[])).join('');
}

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
        const clip = node.clip ? ` clip-path="url(#${this.clip(node.clip)})"` : '';
        const opacity = node.opacity === undefined ? '' : ` opacity="${written(node.opacity)}"`;
        const moved = node.transform ? ` transform="${matrix(node.transform)}"` : '';
        return `<g${moved}${clip}${opacity}>${this.nodes(node.children)}</g>`;
      }
      case 'path': {
        const rule = node.evenOdd ? ' fill-rule="evenodd"' : '';
        const fill = node.fill ? this.paint('fill', node.fill) : ' fill="none"';
        const stroke = node.stroke ? this.stroke(node.stroke) : '';
        return `<path d="${pathData(node.path)}"${fill}${rule}${stroke}/>`;
      }
      case 'glyphs':
        return this.glyphs(node);
      case 'image':
        return this.image(node.art, node.map);
      case 'use':
        return `<use href="#${this.sources.prefix}${escapeText(node.symbol)}" transform="${matrix(node.transform)}"/>`;
    }
  }

  private glyphs(node: GlyphsNode): string {
    const drawn = node.glyphs.map(({ id, x, y, angle }) => {
      const path = this.sources.glyph(node.typeface, id);
      if (!path) return '';
      const map = compose(placed(x, y, angle), scaling(node.size));
      return `<path d="${path}" transform="matrix(${writtenAll(map, 6)})"/>`;
    });
    // Paints are in mm: a fill on each glyph would be scaled with it, so only plain fills go inward.
    return `<g role="img" aria-label="${escapeText(node.text)}"${this.paint('fill', node.fill)}>${drawn.join('')}</g>`;
  }

  private image(art: string, map: Affine): string {
    const url = this.sources.imageUrl(art);
    const place = `width="1" height="1" transform="${matrix(map)}"`;
    return url
      ? `<image href="${escapeText(url)}" preserveAspectRatio="none" ${place}/>`
      : `<rect fill="#8A7A8F" fill-opacity="0.2" ${place}/>`;
  }

  private stroke(stroke: Stroke): string {
    const dash = stroke.dash?.length ? ` stroke-dasharray="${writtenAll(stroke.dash)}"` : '';
    const cap = stroke.cap ? ` stroke-linecap="${stroke.cap}"` : '';
    const join = stroke.join ? ` stroke-linejoin="${stroke.join}"` : '';
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
      case 'tile': {
        const inner = this.nodes(paint.nodes);
        return ` ${use}="url(#${this.pattern(paint.width, paint.height, paint.map, inner)})"`;
      }
      case 'image':
        return ` ${use}="url(#${this.pattern(1, 1, paint.map, this.image(paint.art, [1, 0, 0, 1, 0, 0]))})"`;
    }
  }

  private gradient({ shape, from, to, stops }: GradientPaint): string {
    const id = this.id();
    const marks = stops
      .map(({ at, color }) => `<stop offset="${written(at)}" stop-color="${color}"/>`)
      .join('');
    const radius = written(Math.hypot(to.x - from.x, to.y - from.y));
    this.defs.push(
      shape === 'linear'
        ? `<linearGradient id="${id}" gradientUnits="userSpaceOnUse" x1="${written(from.x)}" y1="${written(from.y)}" x2="${written(to.x)}" y2="${written(to.y)}">${marks}</linearGradient>`
        : `<radialGradient id="${id}" gradientUnits="userSpaceOnUse" cx="${written(from.x)}" cy="${written(from.y)}" r="${radius}">${marks}</radialGradient>`,
    );
    return id;
  }

  private pattern(width: number, height: number, map: Affine, inner: string): string {
    const id = this.id();
    this.defs.push(
      `<pattern id="${id}" patternUnits="userSpaceOnUse" width="${written(width)}" height="${written(height)}" patternTransform="${matrix(map)}">${inner}</pattern>`,
    );
    return id;
  }

  private clip(path: Path): string {
    const id = this.id();
    this.defs.push(`<clipPath id="${id}"><path d="${pathData(path)}"/></clipPath>`);
    return id;
  }

  private id(): string {
    return `${this.sources.prefix}p${this.count++}`;
  }
}
