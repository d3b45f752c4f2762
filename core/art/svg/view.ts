import { compose, scaling, translation, type Affine } from '../../geometry/index.ts';
import type { Attributes } from './shapes.ts';

/** A rectangle as SVG says it. */
export interface ViewBox {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The rectangle that a `viewBox` names; undefined for none and for one without room. */
export function findViewBox({ viewBox = '' }: Attributes): ViewBox | undefined {
  const [x = 0, y = 0, width = 0, height = 0] = viewBox
    .split(/[\s,]+/)
    .filter(Boolean)
    .map(Number);
  return width > 0 && height > 0 && Number.isFinite(x) && Number.isFinite(y)
    ? { x, y, width, height }
    : undefined;
}

const ALIGN = { Min: 0, Mid: 0.5, Max: 1 } as const;

/** How a box is laid into another, by `preserveAspectRatio` (SVG 2, 8.6). */
export function viewMap(from: ViewBox, to: ViewBox, aspect = ''): Affine {
  const [sx, sy] = [to.width / from.width, to.height / from.height];
  if (/^\s*none/.test(aspect))
    return compose(
      compose(translation(to.x, to.y), scaling(sx, sy)),
      translation(-from.x, -from.y),
    );
  const scale = isSliced(aspect) ? Math.max(sx, sy) : Math.min(sx, sy);
  const found = /x(Min|Mid|Max)Y(Min|Mid|Max)/.exec(aspect);
  const share = (word: string | undefined): number => ALIGN[(word ?? 'Mid') as keyof typeof ALIGN];
  const left = to.x + (to.width - from.width * scale) * share(found?.[1]);
  const top = to.y + (to.height - from.height * scale) * share(found?.[2]);
  return compose(compose(translation(left, top), scaling(scale)), translation(-from.x, -from.y));
}

/** Whether what is laid into a box fills it and is cut off. */
export const isSliced = (aspect = ''): boolean => /\bslice\b/.test(aspect);
