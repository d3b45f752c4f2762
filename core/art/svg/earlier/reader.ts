import type { ArtOmission } from '../../omissions.ts';
import { err, ok, problem, ProblemError, type Result } from '../../../base/index.ts';
import type { DrawingNode } from '../../../drawing/index.ts';
import {
  compose,
  mapPath,
  scaling,
  translation,
  type Affine,
  type Path,
} from '../../../geometry/index.ts';
import { ART_LIMITS } from '../../limits.ts';
import {
  findCssColor,
  FIRST_STYLE,
  inheritStyle,
  isSvgPaint,
  svgPaint,
  withDeclarations,
  type SvgGradient,
  type SvgStyle,
} from './paint.ts';
import { findOutline, findPx, readTransform, type Attributes } from '../shapes.ts';
import { readStyles, type StyleRules } from '../styles.ts';
import type { SvgPicture } from '../picture.ts';
import { parseSvgTree, type SvgElement } from '../tree.ts';

interface Level {
  readonly name: string;
  readonly style: SvgStyle;
  readonly map: Affine;
  readonly children: DrawingNode[];
  readonly opacity: number;
}

interface Shape {
  readonly name: string;
  readonly attributes: Attributes;
  readonly style: SvgStyle;
  readonly map: Affine;
  readonly into: DrawingNode[];
}

const SILENT = new Set([
  'svg',
  'g',
  'a',
  'defs',
  'title',
  'desc',
  'metadata',
  'stop',
  'linearGradient',
  'radialGradient',
  'style',
  'use',
  'clipPath',
]);
const SHAPES = new Set(['path', 'rect', 'circle', 'ellipse', 'line', 'polyline', 'polygon']);
const HIDDEN_PARENTS = new Set([
  'defs',
  'clipPath',
  'mask',
  'pattern',
  'symbol',
  'marker',
  'metadata',
]);

/** How deep references may name each other. */
const MOST_REFERENCES = 8;

/** Elements that are looked at, with all that references bring again and again. */
const MOST_VISITS = 5 * ART_LIMITS.shapes;

/**
 * The reader that art was taken in by before there was the one of `take.ts`: what jobs hold as it was
 * read then stays as it is. Also for SVG that we write ourselves from plain shapes, and for templates.
 *
 * Known by an allow list of elements and attributes: scripts,
 * outside references, entities and event handlers are never looked at. Of style sheets the plain
 * rules for classes, names and ids count; references inside the file are followed.
 */
export function parseSvg(text: string, name: string): Result<SvgPicture> {
  const reader = new SvgReader(name);
  try {
    return reader.read(text);
  } catch (error) {
    if (error instanceof ProblemError) return { ok: false, problem: error.problem };
    return err('art/broken', { name, kind: 'svg' }, name);
  }
}

class SvgReader {
  private readonly name: string;
  private readonly levels: Level[] = [];
  private readonly shapes: Shape[] = [];
  private readonly gradients = new Map<string, SvgGradient>();
  private readonly leftOut = new Map<string, ArtOmission>();
  private ids: ReadonlyMap<string, SvgElement> = new Map();
  private rules: StyleRules = readStyles('');
  private visits = 0;
  private gradient: SvgGradient | undefined;
  private root: Attributes | undefined;
  private nodes: DrawingNode[] = [];

  constructor(name: string) {
    this.name = name;
  }

  read(text: string): Result<SvgPicture> {
    const tree = parseSvgTree(text, this.name);
    this.ids = tree.ids;
    this.rules = readStyles(tree.styles);
    if (tree.root) this.visit(tree.root);
    if (!this.root)
      return err('art/broken', { name: this.name, kind: 'svg-without-drawing' }, this.name);
    for (const shape of this.shapes) this.draw(shape);
    return this.sized(this.root);
  }

  private visit(element: SvgElement, depth = 0): void {
    if (++this.visits > MOST_VISITS) this.refuseShapes();
    const name = element.name.replace(/^svg:/, '');
    const attributes = withDeclarations(this.rules.over(name, element.attributes));
    this.open(name, attributes);
    if (name === 'use') this.follow(attributes, depth);
    for (const child of element.children) this.visit(child, depth);
    this.close();
  }

  /** Draws what a reference inside the file names, at the place of the reference. */
  private follow(attributes: Attributes, depth: number): void {
    const reference = attributes.href ?? attributes['xlink:href'] ?? '';
    const found = reference.startsWith('#') ? this.ids.get(reference.slice(1)) : undefined;
    if (!found || depth >= MOST_REFERENCES) {
      this.leaveOut('use');
      return;
    }
    const [x, y] = [findPx(attributes.x) ?? 0, findPx(attributes.y) ?? 0];
    this.open('g', { transform: `translate(${x} ${y})` });
    // A symbol is drawn as a group; its own view box is not taken into account.
    if (found.name === 'symbol') for (const child of found.children) this.visit(child, depth + 1);
    else this.visit(found, depth + 1);
    this.close();
  }

  /** The outline that a `clip-path` names, at its place; undefined for none. */
  private findClip(reference: string | undefined, map: Affine): Path | undefined {
    const id = /^url\(\s*["']?#([^"')]+)["']?\s*\)$/.exec(reference ?? '')?.[1];
    const clip = id === undefined ? undefined : this.ids.get(id);
    if (!clip || clip.name !== 'clipPath') return undefined;
    if (clip.attributes.clipPathUnits === 'objectBoundingBox') {
      this.leaveOut('clipPath');
      return undefined;
    }
    const outlines = clip.children.flatMap((child) => {
      const shape =
        child.name === 'use'
          ? this.ids.get((child.attributes.href ?? child.attributes['xlink:href'] ?? '').slice(1))
          : child;
      const path = shape && findOutline(shape.name, withDeclarations(shape.attributes));
      const own = readTransform(shape?.attributes.transform);
      return path ? mapPath(path, compose(map, own)) : [];
    });
    return outlines.length > 1 ? outlines : undefined;
  }

  private open(name: string, attributes: Attributes): void {
    const parent = this.levels[this.levels.length - 1];
    if (name === 'svg' && !parent) {
      this.root = attributes;
      this.levels.push({
        name,
        style: inheritStyle(FIRST_STYLE, attributes),
        map: [1, 0, 0, 1, 0, 0],
        children: this.nodes,
        opacity: 1,
      });
      return;
    }
    if (!parent) throw new Error('no svg element');
    const hidden =
      this.levels.some((level) => HIDDEN_PARENTS.has(level.name)) ||
      attributes.display === 'none' ||
      parent.name === 'hidden';
    this.define(name, attributes);
    if (SHAPES.has(name) || name === 'g' || name === 'stop') this.noteColors(attributes);
    const style = inheritStyle(parent.style, attributes);
    const map = compose(parent.map, readTransform(attributes.transform));
    const opacity = Number(attributes.opacity ?? 1);
    let children = parent.children;
    if (name === 'g' && !hidden) {
      const inner: DrawingNode[] = [];
      children.push({ kind: 'group', children: inner });
      children = inner;
    }
    const clip = hidden ? undefined : this.findClip(attributes['clip-path'], map);
    if (clip) {
      const clipped: DrawingNode[] = [];
      children.push({ kind: 'group', clip, children: clipped });
      children = clipped;
    }
    if (!hidden && (SHAPES.has(name) || name === 'g') && opacity < 1 && opacity >= 0) {
      const faint: DrawingNode[] = [];
      children.push({ kind: 'group', opacity, children: faint });
      children = faint;
    }
    if (SHAPES.has(name) && !hidden)
      this.shapes.push({ name, attributes, style, map, into: this.slot(children) });
    // What an editor keeps for itself, in a namespace of its own, is no part of the drawing.
    else if (!SILENT.has(name) && !hidden && !name.includes(':')) this.leaveOut(name);
    const known = SILENT.has(name) || SHAPES.has(name) || HIDDEN_PARENTS.has(name);
    this.levels.push({
      name: hidden || !known ? (HIDDEN_PARENTS.has(name) ? name : 'hidden') : name,
      style,
      map,
      children,
      opacity,
    });
    if (this.shapes.length > ART_LIMITS.shapes) this.refuseShapes();
  }

  private refuseShapes(): never {
    throw new ProblemError(
      problem('art/too-many-shapes', { name: this.name, most: ART_LIMITS.shapes }, this.name),
    );
  }

  /** Notes the colours of an element that nobody knows: what has them is painted as what holds it. */
  private noteColors({ fill, stroke, 'stop-color': stop }: Attributes): void {
    for (const value of [fill, stroke, stop])
      if (value !== undefined && !isSvgPaint(value))
        this.leftOut.set(`colour ${value}`, { code: 'colour', values: { value } });
  }

  private leaveOut(name: string): void {
    this.leftOut.set(name, { code: 'element', values: { name } });
  }

  /** Keeps the place of a shape among its siblings until the gradients are all known. */
  private slot(children: DrawingNode[]): DrawingNode[] {
    const into: DrawingNode[] = [];
    children.push({ kind: 'group', children: into });
    return into;
  }

  private define(name: string, attributes: Attributes): void {
    if (name === 'linearGradient' || name === 'radialGradient') {
      this.gradient = { name, attributes, stops: [] };
      if (attributes.id) this.gradients.set(attributes.id, this.gradient);
    }
    if (name === 'stop' && this.gradient) {
      const offset = attributes.offset ?? '0';
      const at = parseFloat(offset) / (offset.endsWith('%') ? 100 : 1);
      this.gradient.stops.push({
        at: at || 0,
        color: findCssColor(attributes['stop-color'] ?? '#000') ?? '#000000',
      });
    }
  }

  private close(): void {
    const level = this.levels.pop();
    if (level && (level.name === 'linearGradient' || level.name === 'radialGradient'))
      this.gradient = undefined;
  }

  private draw({ name, attributes, style, map, into }: Shape): void {
    const path = findOutline(name, attributes);
    if (!path || path.length < 2) return;
    const scale = Math.sqrt(Math.abs(map[0] * map[3] - map[1] * map[2]));
    const fill = svgPaint(style.fill, style, this.gradients, {
      path,
      map,
      opacity: style.fillOpacity,
    });
    const paint = svgPaint(style.stroke, style, this.gradients, {
      path,
      map,
      opacity: style.strokeOpacity,
    });
    if (!fill && !paint) return;
    into.push({
      kind: 'path',
      path: mapPath(path, map),
      ...(fill && name !== 'line' ? { fill } : {}),
      ...(style.evenOdd ? { evenOdd: true } : {}),
      ...(paint
        ? {
            stroke: {
              paint,
              width: style.strokeWidth * scale,
              cap: style.cap,
              join: style.join,
              ...(style.dash.length ? { dash: style.dash.map((part) => part * scale) } : {}),
            },
          }
        : {}),
    });
  }

  private sized(root: Attributes): Result<SvgPicture> {
    const view = (root.viewBox ?? '')
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    const [x = 0, y = 0, viewWidth, viewHeight] =
      view.length === 4 && view.every(Number.isFinite) ? view : [];
    const width = findPx(root.width) ?? viewWidth;
    const height = findPx(root.height) ?? viewHeight;
    if (!width || !height || width <= 0 || height <= 0) {
      return err('art/no-size', { name: this.name }, this.name);
    }
    const mm = 25.4 / 96;
    const fit = Math.min(width / (viewWidth ?? width), height / (viewHeight ?? height));
    const map = compose(scaling(mm * fit), translation(-x, -y));
    return ok({
      width: width * mm,
      height: height * mm,
      nodes: [{ kind: 'group', transform: map, children: this.nodes }],
      leftOut: [...this.leftOut.values()],
    });
  }
}
