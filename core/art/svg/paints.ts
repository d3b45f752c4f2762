import { findCssColor } from './earlier/paint.ts';
import { solid, type GradientPaint, type GradientStop, type Paint } from '../../drawing/index.ts';
import { apply, compose, IDENTITY, scaleOf, type Affine, type Box } from '../../geometry/index.ts';
import { findPx, readTransform, type Attributes } from './shapes.ts';
import type { SvgElement } from './tree.ts';

/** A share from 0 to 1, as a number or in percent. */
export function share(text: string | undefined, other = 1): number {
  const value = text?.endsWith('%') ? Number(text.slice(0, -1)) / 100 : Number(text ?? NaN);
  return Number.isFinite(value) ? Math.min(1, Math.max(0, value)) : other;
}

/** The id that `url(#id)` names; undefined for anything else. */
export const findLink = (value: string | undefined): string | undefined =>
  /^\s*url\(\s*["']?#([^"')]+)["']?\s*\)/.exec(value ?? '')?.[1];

/** Where a paint is laid: the shape's box in its own coordinates, and from these to mm. */
export interface PaintPlace {
  readonly box: Box;
  readonly map: Affine;
  readonly opacity: number;
}

/** From the unit square of a box. */
export const unitOf = ({ left, top, right, bottom }: Box): Affine => [
  right - left,
  0,
  0,
  bottom - top,
  left,
  top,
];

/** A plain colour; undefined for none. */
export function plainPaint(value: string, opacity: number): Paint | undefined {
  const color = value === 'none' ? undefined : findCssColor(value);
  return color === undefined || opacity === 0 ? undefined : solid(color, opacity);
}

/** A gradient laid over a shape; undefined where it paints nothing. */
export function gradientPaint(
  { name, attributes, children }: SvgElement,
  { box, map, opacity }: PaintPlace,
): Paint | undefined {
  const stops = stopsOf(children, opacity);
  const [last] = stops.slice(-1);
  if (!last) return undefined;
  const ofBox = attributes.gradientUnits !== 'userSpaceOnUse';
  if (ofBox && (box.right <= box.left || box.bottom <= box.top)) return undefined;
  const whole = compose(
    compose(map, ofBox ? unitOf(box) : IDENTITY),
    readTransform(attributes.gradientTransform),
  );
  if (Math.abs(whole[0] * whole[3] - whole[1] * whole[2]) < 1e-12)
    return solid(last.color, last.alpha);
  const spread = attributes.spreadMethod;
  const common: Pick<GradientPaint, 'kind' | 'stops' | 'spread'> = {
    kind: 'gradient',
    stops,
    ...(spread === 'reflect' || spread === 'repeat' ? { spread } : {}),
  };
  return name === 'linearGradient'
    ? { ...common, shape: 'linear', ...linearEnds(attributes, whole) }
    : radial(attributes, whole, common);
}

function stopsOf(children: readonly SvgElement[], opacity: number): GradientStop[] {
  let least = 0;
  return children
    .filter(({ name }) => name === 'stop')
    .map(({ attributes }) => {
      // A stop before the one that it follows stands at the same place.
      const at = (least = Math.max(least, share(attributes.offset, 0)));
      const alpha = share(attributes['stop-opacity']) * opacity;
      const color = findCssColor(attributes['stop-color'] ?? '#000000') ?? '#000000';
      return { at, color, ...(alpha < 1 ? { alpha } : {}) };
    });
}

/** A length in px, or a share of a box: as a number or in percent. */
export const pxOrShare = (at: Attributes, key: string, other: number): number => {
  const text = at[key];
  return text?.endsWith('%') ? parseFloat(text) / 100 : (findPx(text) ?? other);
};

/**
 * The ends of a linear gradient in mm. Where its coordinates are skewed, the lines of one colour are no
 * longer across the way from end to end: the end is moved along its line until they are.
 */
function linearEnds(at: Attributes, map: Affine): Pick<GradientPaint, 'from' | 'to'> {
  const [x1, y1, x2, y2] = [
    pxOrShare(at, 'x1', 0),
    pxOrShare(at, 'y1', 0),
    pxOrShare(at, 'x2', 1),
    pxOrShare(at, 'y2', 0),
  ];
  const from = apply(map, { x: x1, y: y1 });
  const end = apply(map, { x: x2, y: y2 });
  const across = apply(map, { x: x1 - (y2 - y1), y: y1 + (x2 - x1) });
  const [ax, ay] = [across.x - from.x, across.y - from.y];
  const [nx, ny] = [-ay, ax];
  const length = nx * nx + ny * ny;
  if (length === 0) return { from, to: end };
  const along = ((end.x - from.x) * nx + (end.y - from.y) * ny) / length;
  return { from, to: { x: from.x + nx * along, y: from.y + ny * along } };
}

/** A radial gradient: in mm where its circles stay circles, else in those of its rim. */
function radial(
  at: Attributes,
  map: Affine,
  common: Pick<GradientPaint, 'kind' | 'stops' | 'spread'>,
): Paint {
  const centre = { x: pxOrShare(at, 'cx', 0.5), y: pxOrShare(at, 'cy', 0.5) };
  const r = pxOrShare(at, 'r', 0.5);
  const focus = { x: pxOrShare(at, 'fx', centre.x), y: pxOrShare(at, 'fy', centre.y) };
  const aside = Math.hypot(focus.x - centre.x, focus.y - centre.y);
  if (r <= 0) {
    const last = common.stops[common.stops.length - 1];
    return solid(last?.color ?? '#000000', last?.alpha);
  }
  // A focus on the rim or beyond it is drawn just inside.
  const inside = aside > r * 0.99 ? (r * 0.99) / aside : 1;
  const seen = {
    x: centre.x + (focus.x - centre.x) * inside,
    y: centre.y + (focus.y - centre.y) * inside,
  };
  const [a, b, c, d] = map;
  const round = Math.abs(a - d) + Math.abs(b + c) < 1e-6 * scaleOf(map);
  const to = round ? map : IDENTITY;
  const place = (x: number, y: number): { x: number; y: number } =>
    round ? apply(to, { x, y }) : { x: (x - centre.x) / r, y: (y - centre.y) / r };
  return {
    ...common,
    shape: 'radial',
    from: place(centre.x, centre.y),
    to: place(centre.x + r, centre.y),
    ...(aside > 0 ? { focus: place(seen.x, seen.y) } : {}),
    ...(round ? {} : { map: compose(map, [r, 0, 0, r, centre.x, centre.y]) }),
  };
}
