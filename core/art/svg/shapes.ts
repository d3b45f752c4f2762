import {
  compose,
  ellipsePath,
  findPath,
  IDENTITY,
  rectanglePath,
  rotation,
  scaling,
  translation,
  type Affine,
  type Path,
} from '../../geometry/index.ts';

/** The attributes of an element, names as written. */
export type Attributes = Readonly<Record<string, string>>;

/** A number with or without a unit that SVG knows, in px; undefined for percentages and nonsense. */
export function findPx(text: string | undefined): number | undefined {
  const match = /^\s*([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(px|mm|cm|in|pt|pc|q)?\s*$/i.exec(
    text ?? '',
  );
  if (!match) return undefined;
  const per = { px: 1, mm: 96 / 25.4, cm: 96 / 2.54, in: 96, pt: 96 / 72, pc: 16, q: 96 / 101.6 };
  return Number(match[1]) * per[(match[2]?.toLowerCase() ?? 'px') as keyof typeof per];
}

/** The outline of a basic shape or path element; undefined for what is none or broken. */
export function findOutline(name: string, at: Attributes): Path | undefined {
  const px = (key: string): number => findPx(at[key]) ?? 0;
  switch (name) {
    case 'path':
      return findPath(at.d ?? '');
    case 'rect': {
      const [width, height] = [px('width'), px('height')];
      const centre = { x: px('x') + width / 2, y: px('y') + height / 2 };
      return rectanglePath(centre, width, height, findPx(at.rx) ?? findPx(at.ry) ?? 0);
    }
    case 'circle':
      return ellipsePath({ x: px('cx'), y: px('cy') }, px('r'), px('r'));
    case 'ellipse':
      return ellipsePath({ x: px('cx'), y: px('cy') }, px('rx'), px('ry'));
    case 'line':
      return [
        ['M', px('x1'), px('y1')],
        ['L', px('x2'), px('y2')],
      ];
    case 'polyline':
    case 'polygon': {
      const points = (at.points ?? '').trim();
      return points ? findPath(`M${points}${name === 'polygon' ? 'Z' : ''}`) : undefined;
    }
    default:
      return undefined;
  }
}

/** Reads a `transform` attribute; steps that are not understood are left out. */
export function readTransform(text: string | undefined): Affine {
  let map: Affine = IDENTITY;
  for (const [, name, inner] of (text ?? '').matchAll(/([a-zA-Z]+)\s*\(([^)]*)\)/g)) {
    const n = (inner ?? '')
      .split(/[\s,]+/)
      .filter(Boolean)
      .map(Number);
    const step = transformStep(name ?? '', n);
    if (step?.every(Number.isFinite)) map = compose(map, step);
  }
  return map;
}

function transformStep(name: string, n: readonly number[]): Affine | undefined {
  const [a = 0, b = 0, c = 0] = n;
  switch (name) {
    case 'matrix':
      return n.length === 6 ? (n as unknown as Affine) : undefined;
    case 'translate':
      return translation(a, b);
    case 'scale':
      return scaling(a, n.length > 1 ? b : a);
    case 'rotate':
      return n.length > 1
        ? compose(compose(translation(b, c), rotation(a)), translation(-b, -c))
        : rotation(a);
    case 'skewX':
      return [1, 0, Math.tan((a * Math.PI) / 180), 1, 0, 0];
    case 'skewY':
      return [1, Math.tan((a * Math.PI) / 180), 0, 1, 0, 0];
    default:
      return undefined;
  }
}
