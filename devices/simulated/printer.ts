import { seededRandom, type Platform } from '../../core/base/index.ts';
import {
  IDENTITY,
  invert,
  nested,
  placed,
  scaling,
  translation,
  type Affine,
} from '../../core/geometry/index.ts';
import { renderPdf } from '../../core/pdf/index.ts';
import { warpImage } from '../../core/raster/index.ts';
import type { Printer } from '../../core/run/index.ts';

/** How a home printer puts a page on paper: by how much off, at one standard deviation. */
export const PRINTER_SPREAD = { offset: 0.5, turn: 0.12, scale: 0.0015 } as const;

/** A printer's own habit beside chance: how far it spreads, and what it does to every page alike. */
export interface Habit {
  readonly spread: { readonly offset: number; readonly turn: number; readonly scale: number };
  /** From mm of the file to mm on the paper. */
  readonly always: Affine;
  readonly dpi: number;
}

const USUAL: Habit = { spread: PRINTER_SPREAD, always: IDENTITY, dpi: 200 };
const PAPER = [252, 251, 248, 255] as const;

/**
 * A printer that renders the bytes it is given and lays them a little off, turned and scaled on the
 * paper, by seeded chance.
 */
export function simulatedPrinter(
  platform: Platform,
  seed: number,
  { spread, always, dpi }: Habit = USUAL,
): Printer {
  const random = seededRandom(seed);
  return {
    async print({ pdf, page }) {
      const image = await renderPdf(platform, { pdf, page, dpi });
      const middle = { x: image.pageWidth / 2, y: image.pageHeight / 2 };
      const { offset, turn, scale } = spread;
      const [x, y] = [offset * random.normal(), offset * random.normal()];
      const truth = nested(
        placed(middle.x + x, middle.y + y, turn * random.normal()),
        scaling(1 + scale * random.normal(), 1 + scale * random.normal()),
        translation(-middle.x, -middle.y),
        always,
      );
      // The page fills whole pixels; on paper a mm is a mm again.
      const fill = scaling(image.width / image.pageWidth, image.height / image.pageHeight);
      const back = nested(fill, invert(truth), scaling(25.4 / dpi));
      const paper = warpImage(image, back, image, PAPER);
      return { picture: { image: paper, dpi }, truth };
    },
  };
}
