import { findRgb, toHex } from '../color/index.ts';
import { solid, type GradientPaint, type Paint, type Stroke } from '../drawing/index.ts';
import {
  apply,
  boxOfRings,
  compose,
  flatten,
  IDENTITY,
  type Affine,
  type Path,
} from '../geometry/index.ts';
import { findPx, readTransform, type Attributes } from './svg-shapes.ts';
import { declarations } from './svg-styles.ts';

/** The style that an element hands down to what stands in it. */
export interface SvgStyle {
  readonly fill: string;
  readonly stroke: string;
  readonly fillOpacity: number;
  readonly strokeOpacity: number;
  readonly strokeWidth: number;
  readonly cap: NonNullable<Stroke['cap']>;
  readonly join: NonNullable<Stroke['join']>;
  readonly dash: readonly number[];
  readonly evenOdd: boolean;
  readonly color: string;
}

/** What SVG starts with. */
export const FIRST_STYLE: SvgStyle = {
  fill: '#000000',
  stroke: 'none',
  fillOpacity: 1,
  strokeOpacity: 1,
  strokeWidth: 1,
  cap: 'butt',
  join: 'miter',
  dash: [],
  evenOdd: false,
  color: '#000000',
};

/** A gradient as it is written in a file, before it meets the shape it fills. */
export interface SvgGradient {
  readonly name: 'linearGradient' | 'radialGradient';
  readonly attributes: Attributes;
  readonly stops: { at: number; color: string }[];
}

/** The `style` attribute's declarations over the plain attributes. */
export function withDeclarations(attributes: Attributes): Attributes {
  return { ...attributes, ...declarations(attributes.style ?? '') };
}

const oneOf = <T extends string>(value: string | undefined, known: readonly T[], other: T): T =>
  known.find((one) => one === value) ?? other;
const share = (text: string | undefined, other: number): number => {
  const value = text?.endsWith('%') ? Number(text.slice(0, -1)) / 100 : Number(text ?? NaN);
  return Number.isFinite(value) ? Math.min(1, Math.max(0, value)) : other;
};

/** The style of an element from its attributes and what it inherits. */
export function inheritStyle(parent: SvgStyle, at: Attributes): SvgStyle {
  const color = at.color ?? parent.color;
  const dash = at['stroke-dasharray'];
  return {
    fill: at.fill ?? parent.fill,
    stroke: at.stroke ?? parent.stroke,
    fillOpacity: share(at['fill-opacity'], parent.fillOpacity),
    strokeOpacity: share(at['stroke-opacity'], parent.strokeOpacity),
    strokeWidth: findPx(at['stroke-width']) ?? parent.strokeWidth,
    cap: oneOf(at['stroke-linecap'], ['butt', 'round', 'square'], parent.cap),
    join: oneOf(at['stroke-linejoin'], ['miter', 'round', 'bevel'], parent.join),
    dash:
      dash === undefined
        ? parent.dash
        : dash
            .split(/[\s,]+/)
            .map((part) => findPx(part) ?? 0)
            .filter(Boolean),
    evenOdd: at['fill-rule'] === undefined ? parent.evenOdd : at['fill-rule'] === 'evenodd',
    color,
  };
}

const NAMED: Record<string, string> = {
  black: '#000000',
  white: '#ffffff',
  red: '#ff0000',
  green: '#008000',
  blue: '#0000ff',
  yellow: '#ffff00',
  orange: '#ffa500',
  purple: '#800080',
  pink: '#ffc0cb',
  brown: '#a52a2a',
  gray: '#808080',
  grey: '#808080',
  silver: '#c0c0c0',
  gold: '#ffd700',
  navy: '#000080',
  teal: '#008080',
  olive: '#808000',
  maroon: '#800000',
  lime: '#00ff00',
  cyan: '#00ffff',
  magenta: '#ff00ff',
  beige: '#f5f5dc',
  ivory: '#fffff0',
  tan: '#d2b48c',
  coral: '#ff7f50',
};

/** Reads a CSS colour in hex, `rgb()` or a common name; undefined for anything else. */
export function findCssColor(text: string): string | undefined {
  const plain = text.trim().toLowerCase();
  const parts = /^rgba?\(\s*([\d.]+%?)[\s,]+([\d.]+%?)[\s,]+([\d.]+%?)/.exec(plain);
  if (parts) {
    const channel = (part = '0'): number => parseFloat(part) / (part.endsWith('%') ? 100 : 255);
    return toHex({ r: channel(parts[1]), g: channel(parts[2]), b: channel(parts[3]) });
  }
  if (NAMED[plain]) return NAMED[plain];
  const rgb = plain.startsWith('#')
    ? findRgb(plain.length === 9 ? plain.slice(0, 7) : plain)
    : undefined;
  return rgb && toHex(rgb);
}

/** The paint of a shape; undefined when it has none. Gradients are laid over the shape's own box. */
export function svgPaint(
  value: string,
  style: SvgStyle,
  gradients: ReadonlyMap<string, SvgGradient>,
  shape: { path: Path; opacity: number; map: Affine },
): Paint | undefined {
  if (value === 'none' || value === 'transparent' || shape.opacity === 0) return undefined;
  const link = /url\(\s*['"]?#([^'")]+)/.exec(value)?.[1];
  if (link !== undefined) {
    const gradient = gradients.get(link);
    return gradient && laidGradient(gradient, gradients, shape);
  }
  const color = findCssColor(value === 'currentColor' ? style.color : value) ?? '#000000';
  return solid(color, shape.opacity);
}

function laidGradient(
  gradient: SvgGradient,
  gradients: ReadonlyMap<string, SvgGradient>,
  { path, map }: { path: Path; map: Affine },
): GradientPaint | undefined {
  const inherited = gradients.get(
    (gradient.attributes.href ?? gradient.attributes['xlink:href'] ?? '').slice(1),
  );
  const stops = gradient.stops.length ? gradient.stops : (inherited?.stops ?? []);
  const at = { ...inherited?.attributes, ...gradient.attributes };
  const box = boxOfRings(flatten(path, 0.5));
  if (stops.length === 0 || !box) return undefined;
  const ofBox = at.gradientUnits !== 'userSpaceOnUse';
  const unit: Affine = ofBox
    ? [box.right - box.left, 0, 0, box.bottom - box.top, box.left, box.top]
    : IDENTITY;
  const whole = compose(map, compose(unit, readTransform(at.gradientTransform)));
  const n = (key: string, other: number): number => {
    const text = at[key];
    if (text === undefined) return other;
    return text.endsWith('%') ? parseFloat(text) / 100 : (findPx(text) ?? other);
  };
  const linear = gradient.name === 'linearGradient';
  const from = linear ? { x: n('x1', 0), y: n('y1', 0) } : { x: n('cx', 0.5), y: n('cy', 0.5) };
  const to = linear ? { x: n('x2', 1), y: n('y2', 0) } : { x: from.x + n('r', 0.5), y: from.y };
  return {
    kind: 'gradient',
    shape: linear ? 'linear' : 'radial',
    from: apply(whole, from),
    to: apply(whole, to),
    stops: stops.map((stop) => ({ ...stop })),
  };
}
