import type { RgbaImage } from '../../core/raster/index.ts';

const { ceil, min } = Math;

/** A picture whose ink has run out by some pixels: each pixel as dark as the darkest near it. */
export function spreadInk(image: RgbaImage, by: number): RgbaImage {
  const reach = ceil(by);
  const along = darkest(image, reach, 4);
  return darkest(along, reach, image.width * 4);
}

/** Each byte as low as the lowest within a reach along a row or a column; `step` is to the next one. */
function darkest({ width, height, data }: RgbaImage, reach: number, step: number): RgbaImage {
  const made = new Uint8ClampedArray(data);
  for (let off = -reach; off <= reach; off++) {
    if (off === 0) continue;
    const from = off * step;
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        const other = step === 4 ? x + off : y + off;
        if (other < 0 || other >= (step === 4 ? width : height)) continue;
        const at = (y * width + x) * 4;
        for (let c = 0; c < 3; c++)
          made[at + c] = min(made[at + c] as number, data[at + from + c] as number);
      }
  }
  return { width, height, data: made };
}
