import { seededRandom, type Platform } from '../../core/base/index.ts';
import { invert, nested, placed, scaling, translation } from '../../core/geometry/index.ts';
import { renderPdf } from '../../core/pdf/index.ts';
import { warpImage } from '../../core/raster/index.ts';
import type { Printer } from '../../core/run/index.ts';

/** How a home printer puts a page on paper: by how much off, at one standard deviation. */
export const PRINTER_SPREAD = { offset: 0.5, turn: 0.12, scale: 0.0015 } as const;

const DPI = 200;
const PAPER = [252, 251, 248, 255] as const;

/**
 * A printer that renders the bytes it is given and lays them a little off, turned and scaled on the
 * paper, by seeded chance.
 */
export function simulatedPrinter(platform: Platform, seed: number): Printer {
  const random = seededRandom(seed);
  return {
    async print({ pdf, page }) {
      const image = await renderPdf(platform, { pdf, page, dpi: DPI });
      const middle = { x: image.pageWidth / 2, y: image.pageHeight / 2 };
      const { offset, turn, scale } = PRINTER_SPREAD;
      const [x, y] = [offset * random.normal(), offset * random.normal()];
      const truth = nested(
        placed(middle.x + x, middle.y + y, turn * random.normal()),
        scaling(1 + scale * random.normal(), 1 + scale * random.normal()),
        translation(-middle.x, -middle.y),
      );
      // The page fills whole pixels; on paper a mm is a mm again.
      const fill = scaling(image.width / image.pageWidth, image.height / image.pageHeight);
      const back = nested(fill, invert(truth), scaling(25.4 / DPI));
      const paper = warpImage(image, back, image, PAPER);
      return { picture: { image: paper, dpi: DPI }, truth };
    },
  };
}
