import { dataAddress } from '../../base/index.ts';
import type { DrawingNode } from '../../drawing/index.ts';
import { compose, invert, scaleOf, type Affine } from '../../geometry/index.ts';
import { encodePngImage, type RgbaImage } from '../../raster/index.ts';
import { roomOf } from './drawn.ts';
import type { SvgDrawer } from './library.ts';
import type { SvgElement } from './tree.ts';
import type { ViewBox } from './view.ts';
import { markupOf } from './written.ts';

/** What becomes pixels becomes so many for each inch. */
const DPI = 600;
const MOST_PIXELS = 16_000_000;
/** The longer side of the picture in which an element is looked for. */
const COARSE = 400;

/** Draws elements of one resolved drawing as pixels. */
export function pixelDrawer(
  root: SvgElement,
  drawer: SvgDrawer,
): (element: SvgElement, map: Affine) => DrawingNode | undefined {
  const { view, map: page } = roomOf(root);
  const defs = root.children
    .filter(({ name }) => name === 'defs')
    .map(markupOf)
    .join('');
  const back = invert(page);
  const perUnit = scaleOf(page) * (DPI / 25.4);
  return (element, map) => {
    const moved = compose(back, map).join(' ');
    const body = `${defs}<g transform="matrix(${moved})">${markupOf(element)}</g>`;
    const coarse = Math.min(perUnit, COARSE / Math.max(view.width, view.height));
    const found = inked(drawer.pixels(pageOf(view, body), coarse));
    if (!found) return undefined;
    const box = {
      x: view.x + (found.left - 1) / coarse,
      y: view.y + (found.top - 1) / coarse,
      width: (found.right - found.left + 2) / coarse,
      height: (found.bottom - found.top + 2) / coarse,
    };
    const scale = Math.min(perUnit, Math.sqrt(MOST_PIXELS / (box.width * box.height)));
    const image = drawer.pixels(pageOf(box, body), scale);
    // Whole pixels: the picture is a little larger than the box.
    const [width, height] = [image.width / scale, image.height / scale];
    return {
      kind: 'image',
      art: dataAddress('image/png', encodePngImage(image, DPI)),
      map: compose(page, [width, 0, 0, height, box.x, box.y]),
    };
  };
}

const pageOf = ({ x, y, width, height }: ViewBox, body: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" xmlns:xlink="http://www.w3.org/1999/xlink" ` +
  `width="${width}" height="${height}" viewBox="${x} ${y} ${width} ${height}">${body}</svg>`;

/** The box of all pixels that show anything; undefined for none. */
function inked({
  width,
  height,
  data,
}: RgbaImage): { left: number; top: number; right: number; bottom: number } | undefined {
  let [left, top, right, bottom] = [width, height, 0, 0];
  for (let at = 3, y = 0; y < height; y++)
    for (let x = 0; x < width; x++, at += 4) {
      if (data[at] === 0) continue;
      left = Math.min(left, x);
      right = Math.max(right, x + 1);
      top = Math.min(top, y);
      bottom = y + 1;
    }
  return right > left ? { left, top, right, bottom } : undefined;
}
