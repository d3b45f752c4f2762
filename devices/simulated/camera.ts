import { seededRandom } from '../../core/base/index.ts';
import { apply, fitPerspective, placed, project, type Point } from '../../core/geometry/index.ts';
import { gaussianBlur, greyToRgba, rectifyGrey, type RgbaImage } from '../../core/raster/index.ts';
import type { SheetPicture } from '../../core/register/index.ts';

/** How a picture of a sheet is taken. */
export interface Shot {
  /** Clockwise, degrees. */
  readonly turn: number;
  /** Of every length in the picture. */
  readonly scale: number;
  /** How much nearer the corners seem, clockwise from the top left, as shares. */
  readonly pull: readonly [number, number, number, number];
  /** Of the sensor, one standard deviation in levels of 255. */
  readonly noise: number;
  /** Of the lens, one standard deviation in px at 300 dpi. */
  readonly blur: number;
}

/** A phone that is held over a table: none of it straight. */
export const PHONE: Shot = {
  turn: 2,
  scale: 1.007,
  pull: [0.985, 0.97, 1, 0.99],
  noise: 4,
  blur: 1.2,
};

const TABLE = 76; // grey level
const AROUND = 0.06; // of the sheet's longer side that is seen beside it
const { max, min, round } = Math;

/** A grey picture of a sheet that lies on a dark table, by seeded chance as good or bad as its shot. */
export function photograph(
  { image, dpi }: SheetPicture,
  seed: number,
  { turn, scale, pull, noise, blur }: Shot = PHONE,
): RgbaImage {
  const { width: w, height: h } = image;
  const around = round(AROUND * max(w, h));
  const size = { width: w + 2 * around, height: h + 2 * around };
  const sheetToBed = placed(size.width / 2, size.height / 2, turn);
  const corners: Point[] = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ];
  const back = fitPerspective(
    corners.map((to, at) => {
      const by = scale * (pull[at] ?? 1);
      return { from: apply(sheetToBed, { x: (to.x - w / 2) * by, y: (to.y - h / 2) * by }), to };
    }),
  );
  const seen = rectifyGrey(image, back, size);
  for (let y = 0, at = 0; y < size.height; y++)
    for (let x = 0; x < size.width; x++, at++) {
      const { x: u, y: v } = project(back, { x: x + 0.5, y: y + 0.5 });
      // How much of the pixel the sheet covers at its sides.
      const cover = max(0, min(1, u + 0.5, w - u + 0.5)) * max(0, min(1, v + 0.5, h - v + 0.5));
      seen.data[at] = TABLE + ((seen.data[at] as number) - TABLE) * cover;
    }
  const soft = gaussianBlur(seen, (blur * dpi) / 300);
  const random = seededRandom(seed);
  // Drawn once and read in steps: noise enough, and quick.
  const grain = Float32Array.from({ length: 65_521 }, () => noise * random.normal());
  for (let at = 0; at < soft.data.length; at++)
    soft.data[at] = (soft.data[at] as number) + (grain[(at * 7) % 65_521] as number);
  return greyToRgba(soft);
}
