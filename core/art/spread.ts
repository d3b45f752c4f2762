import type { DrawingNode, Paint } from '../drawing/index.ts';
import { IDENTITY, scaleOf, translation } from '../geometry/index.ts';
import { blankImage, type RgbaImage } from '../raster/index.ts';

/** From which alpha on a pixel's colour is taken for the growth. */
const FIRM = 200;

/**
 * The picture grown outwards by a number of pixels on every side: each new pixel has the colour of
 * the covered pixel nearest to it, so that a cut that is a little off meets no paper. Soft rims
 * become firm, and holes are filled as far as the growth reaches.
 *
 * Source: P.-E. Danielsson, “Euclidean distance mapping” (1980), in the form of two sweeps that hand
 * on the way to the nearest pixel.
 */
export function spreadImage(image: RgbaImage, by: number): RgbaImage {
  const width = image.width + 2 * by;
  const height = image.height + 2 * by;
  const made = blankImage(width, height);
  const from = new Uint32Array(
    image.data.buffer,
    image.data.byteOffset,
    image.width * image.height,
  );
  const to = new Uint32Array(made.data.buffer);
  for (let y = 0; y < image.height; y++)
    to.set(from.subarray(y * image.width, (y + 1) * image.width), (y + by) * width + by);
  const nearest = nearestFirm(made);
  const most = by * by;
  const before = to.slice();
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++, at++) {
      const found = nearest[at] as number;
      if (found === at || found < 0) continue;
      const fx = found % width;
      const fy = (found - fx) / width;
      if ((fx - x) * (fx - x) + (fy - y) * (fy - y) > most) continue;
      to[at] = (before[found] as number) | 0xff000000;
    }
  }
  return made;
}

/** For each pixel the number of the nearest firm one; -1 where there is none at all. */
function nearestFirm({ width, height, data }: RgbaImage): Int32Array {
  const found = new Int32Array(width * height).fill(-1);
  for (let at = 0; at < found.length; at++)
    if ((data[at * 4 + 3] as number) >= FIRM) found[at] = at;
  const away = (x: number, y: number, other: number): number => {
    const ox = other % width;
    const oy = (other - ox) / width;
    return (ox - x) * (ox - x) + (oy - y) * (oy - y);
  };
  const offer = (x: number, y: number, at: number, from: number): void => {
    const other = found[from] as number;
    if (other < 0) return;
    const own = found[at] as number;
    if (own < 0 || away(x, y, other) < away(x, y, own)) found[at] = other;
  };
  for (let y = 0; y < height; y++) {
    for (let x = 0, at = y * width; x < width; x++, at++) {
      if (x > 0) offer(x, y, at, at - 1);
      if (y > 0) {
        offer(x, y, at, at - width);
        if (x > 0) offer(x, y, at, at - width - 1);
        if (x + 1 < width) offer(x, y, at, at - width + 1);
      }
    }
    for (let x = width - 2, at = y * width + x; x >= 0; x--, at--) offer(x, y, at, at + 1);
  }
  for (let y = height - 1; y >= 0; y--) {
    for (let x = width - 1, at = y * width + x; x >= 0; x--, at--) {
      if (x + 1 < width) offer(x, y, at, at + 1);
      if (y + 1 < height) {
        offer(x, y, at, at + width);
        if (x > 0) offer(x, y, at, at + width - 1);
        if (x + 1 < width) offer(x, y, at, at + width + 1);
      }
    }
    for (let x = 1, at = y * width + 1; x < width; x++, at++) offer(x, y, at, at - 1);
  }
  return found;
}

/**
 * Shapes grown outwards by so many mm, as shapes: each has a line of its own colour around it, in the
 * order in which they print, so that what lies at the rim reaches out from there.
 * @returns nodes about a page that is larger by that much on every side
 */
export function spreadShapes(nodes: readonly DrawingNode[], by: number): DrawingNode[] {
  const grown = (list: readonly DrawingNode[], scale: number): DrawingNode[] =>
    list.map((node): DrawingNode => {
      if (node.kind === 'group') {
        const inner = scale * scaleOf(node.transform ?? IDENTITY);
        return { ...node, children: grown(node.children, inner) };
      }
      if (node.kind !== 'path') return node;
      const paint: Paint | undefined = node.stroke?.paint ?? node.fill;
      if (!paint) return node;
      const width = (node.stroke?.width ?? 0) + (2 * by) / scale;
      return { ...node, stroke: { paint, width, join: 'round', cap: 'round' } };
    });
  return [{ kind: 'group', transform: translation(by, by), children: grown(nodes, 1) }];
}
