import { readFileSync } from 'node:fs';
import { decode } from 'fast-png';
import { renderPdf } from '../pdf/index.ts';
import { keep, tool } from './exported.ts';
import { nodePlatform } from './node-platform.ts';

const DPI = 150;
const FAR = 32; // of 255
const { abs, max, min } = Math;

/** The pixels of a picture as bytes with a number of channels. */
export interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: ArrayLike<number>;
  readonly channels: number;
}

/** A page as another renderer draws it. */
export function secondRendering(pdf: Uint8Array, page: number, dpi: number): Pixels {
  const path = keep('second.pdf', pdf);
  const number = String(page + 1);
  tool('pdftoppm', '-png', '-r', `${dpi}`, '-f', number, '-l', number, '-singlefile', path, path);
  return decode(readFileSync(`${path}.png`));
}

/**
 * The share of a page's pixels at 150 dpi that another renderer draws otherwise than we do: by more than 32 of
 * 255, and so everywhere within one pixel, since edges are softened differently.
 */
export async function drawnOtherwise(pdf: Uint8Array, page = 0): Promise<number> {
  const ours: Pixels = { ...(await renderPdf(nodePlatform, { pdf, page, dpi: DPI })), channels: 4 };
  const theirs = secondRendering(pdf, page, DPI);
  const [wide, high] = [min(ours.width, theirs.width), min(ours.height, theirs.height)];
  const isFar = (x: number, y: number, u: number, v: number): boolean => {
    const [a, b] = [(y * ours.width + x) * 4, (v * theirs.width + u) * theirs.channels];
    for (let c = 0; c < 3; c++)
      if (abs((ours.data[a + c] as number) - (theirs.data[b + c] as number)) > FAR) return true;
    return false;
  };
  const isAlike = (x: number, y: number): boolean => {
    if (!isFar(x, y, x, y)) return true;
    for (let v = max(0, y - 1); v <= min(high - 1, y + 1); v++)
      for (let u = max(0, x - 1); u <= min(wide - 1, x + 1); u++)
        if (!isFar(x, y, u, v)) return true;
    return false;
  };
  let otherwise = 0;
  for (let y = 0; y < high; y++) for (let x = 0; x < wide; x++) if (!isAlike(x, y)) otherwise++;
  return otherwise / (wide * high);
}
