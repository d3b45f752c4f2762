import { toHex } from '../color/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { Background, type Clearing } from './background.ts';

/** What a background is cleared with unless something else is asked for. */
export const USUAL_CLEARING: Clearing = {
  color: null,
  reach: 'border',
  tolerance: 0.08,
  shadow: false,
};

/** A picture without its background, and the colour that this had; none when there was none. */
export interface Cleared {
  readonly image: RgbaImage;
  readonly color: string | undefined;
}

/**
 * Clears a background: the pixels that it covers become clear, those at the border of the art are
 * un-mixed, so that they carry the art's own colour and its share of the pixel. The picture given
 * stays as it is.
 *
 * A background may change slowly over the picture: what counts is the difference from the
 * background seen nearby.
 */
export function clearBackground(image: RgbaImage, clearing: Clearing = USUAL_CLEARING): Cleared {
  const made: RgbaImage = { ...image, data: image.data.slice() };
  const color = clearing.color ?? findBorderColor(image);
  if (color === undefined) return { image: made, color };
  const ground = new Background(image, color, clearing);
  ground.flood();
  if (clearing.reach === 'everywhere') ground.everywhere();
  ground.dropSpecks();
  ground.unmix(made.data);
  return { image: made, color };
}

/** The colour of most of a picture's border; undefined when most of the border is clear already. */
export function findBorderColor({ width, height, data }: RgbaImage): string | undefined {
  const bins = new Map<number, { count: number; r: number; g: number; b: number }>();
  let [clear, all] = [0, 0];
  const see = (x: number, y: number): void => {
    const at = (y * width + x) * 4;
    all++;
    if ((data[at + 3] as number) < 128) {
      clear++;
      return;
    }
    const [r, g, b] = [data[at] as number, data[at + 1] as number, data[at + 2] as number];
    const key = ((r + 8) >> 4) * 1024 + ((g + 8) >> 4) * 32 + ((b + 8) >> 4);
    const bin = bins.get(key) ?? { count: 0, r: 0, g: 0, b: 0 };
    bins.set(key, { count: bin.count + 1, r: bin.r + r, g: bin.g + g, b: bin.b + b });
  };
  for (let x = 0; x < width; x++) {
    see(x, 0);
    see(x, height - 1);
  }
  for (let y = 1; y < height - 1; y++) {
    see(0, y);
    see(width - 1, y);
  }
  if (clear * 2 > all) return undefined;
  let best: { count: number; r: number; g: number; b: number } | undefined;
  for (const bin of bins.values()) if (!best || bin.count > best.count) best = bin;
  if (!best) return undefined;
  const bytes = best.count * 255;
  return toHex({ r: best.r / bytes, g: best.g / bytes, b: best.b / bytes });
}
