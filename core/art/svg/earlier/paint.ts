import { findNamedColor, toHex } from '../../../color/index.ts';
import { solid, type GradientPaint, type Paint, type Stroke } from '../../../drawing/index.ts';
import {
  apply,
  boxOfRings,
  compose,
  flatten,
  IDENTITY,
  type Affine,
  type Path,
} from '../../../geometry/index.ts';
import { findPx, readTransform, type Attributes } from '../shapes.ts';
import { declarations } from '../styles.ts';

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

const paintOf = (value: string | undefined, parent: string): string =>
  value === undefined || value === 'inherit' || !isSvgPaint(value) ? parent : value;

/** The style of an element from its attributes and what it inherits. */
export function inheritStyle(parent: SvgStyle, at: Attributes): SvgStyle {
  const color = at.color ?? parent.color;
  const dash = at['stroke-dasharray'];
  return {
    fill: paintOf(at.fill, parent.fill),
    stroke: paintOf(at.stroke, parent.stroke),
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

const NUMBER = String.raw`([-+]?[\d.]+(?:e[-+]?\d+)?)`;
const RGB = new RegExp(`^rgba?\\(\\s*${NUMBER}(%?)[\\s,]+${NUMBER}(%?)[\\s,]+${NUMBER}(%?)`);
const HSL = new RegExp(`^hsla?\\(\\s*${NUMBER}(?:deg)?[\\s,]+${NUMBER}%?[\\s,]+${NUMBER}%?`);

/** Reads a colour of CSS in hex, `rgb()`, `hsl()` or by its name; undefined for anything else. */
export function findCssColor(text: string): string | undefined {
  const plain = text.trim().toLowerCase();
  const rgb = RGB.exec(plain);
  if (rgb) {
    const channel = (at: number): number =>
      Math.min(1, Math.max(0, Number(rgb[at]) / (rgb[at + 1] === '%' ? 100 : 255)));
    return toHex({ r: channel(1), g: channel(3), b: channel(5) });
  }
  const hsl = HSL.exec(plain);
  if (hsl) return hslColor(Number(hsl[1]), Number(hsl[2]) / 100, Number(hsl[3]) / 100);
  // An alpha at its end is that of the shape's paint, which is told by its opacity.
  const opaque = /^#([0-9a-f]{8}|[0-9a-f]{4})$/.test(plain)
    ? plain.slice(0, plain.length === 9 ? 7 : 4)
    : plain;
  return findNamedColor(opaque);
}

/** Source: CSS Color 4, 7.1. */
function hslColor(hue: number, saturation: number, lightness: number): string {
  const [s, l] = [saturation, lightness].map((part) => Math.min(1, Math.max(0, part))) as [
    number,
    number,
  ];
  const channel = (n: number): number => {
    const k = (((n + hue / 30) % 12) + 12) % 12;
    return l - s * Math.min(l, 1 - l) * Math.max(-1, Math.min(k - 3, 9 - k, 1));
  };
  return toHex({ r: channel(0), g: channel(8), b: channel(4) });
}

/** Whether a value says how something is painted; what does not is as if it was not there. */
export const isSvgPaint = (value: string): boolean =>
  /^(none|transparent|currentcolor|inherit|context-(fill|stroke))$|^url\(/i.test(value.trim()) ||
  findCssColor(value) !== undefined;

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
  const color = findCssColor(/^currentcolor$/i.test(value) ? style.color : value) ?? '#000000';
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
