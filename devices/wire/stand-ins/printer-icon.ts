import { encodePngImage } from '../../../core/raster/index.ts';

const SIDE = 48;
const PLUM = [93, 42, 83, 255];
const PAPER = [255, 253, 249, 255];

/** A sheet in a frame: the picture by which a simulated printer is known, as PNG. */
export function printerIcon(): Uint8Array {
  const data = new Uint8ClampedArray(SIDE * SIDE * 4);
  for (let y = 0; y < SIDE; y++)
    for (let x = 0; x < SIDE; x++) {
      const inside = x > 13 && x < 34 && y > 8 && y < 39;
      data.set(inside ? PAPER : PLUM, (y * SIDE + x) * 4);
    }
  return encodePngImage({ width: SIDE, height: SIDE, data });
}
