import { ok, problem, seededRandom, type Platform, type Problem } from '../../core/base/index.ts';
import {
  compose,
  IDENTITY,
  invert,
  nested,
  placed,
  scaling,
  translation,
  type Affine,
} from '../../core/geometry/index.ts';
import { renderPdf } from '../../core/pdf/index.ts';
import { warpImage, type RgbaImage } from '../../core/raster/index.ts';
import {
  NO_FAULTS,
  samplePrintError,
  PRINTER_SPREAD,
  type PrintedSheet,
  type Printer,
  type PrinterSpread,
  type PrintStop,
  type SimulatedFaults,
} from '../../core/run/index.ts';
import { spreadInk } from './ink.ts';

/** A printer's own habit beside chance: how far it spreads, and what it does to every page alike. */
export interface Habit {
  readonly spread: PrinterSpread;
  /** From mm of the file to mm on the paper. */
  readonly always: Affine;
  readonly dpi: number;
  readonly faults?: SimulatedFaults;
}

const USUAL: Habit = { spread: PRINTER_SPREAD, always: IDENTITY, dpi: 200 };
const PAPER = [252, 251, 248, 255] as const;

const STOPS: Readonly<Record<PrintStop, Problem>> = {
  jam: problem('printer/jam', {}),
  empty: problem('printer/empty', {}),
  media: problem('printer/media', {}),
};

/**
 * A printer that renders the bytes it is given and lays them a little off, turned and scaled on the
 * paper, by seeded chance: page by page, the same page always alike.
 */
export function simulatedPrinter(platform: Platform, seed: number, habit: Habit = USUAL): Printer {
  const { faults = NO_FAULTS } = habit;
  return {
    print({ pdf }) {
      const stop = faults.stop && STOPS[faults.stop];
      if (stop) return Promise.resolve({ ok: false, problem: stop });
      return Promise.resolve(
        ok({
          notes: [],
          sheet: (page: number) =>
            printedPage(platform, { pdf, page, ...habit, faults, seed: seed + 104_729 * page }),
        }),
      );
    },
  };
}

async function printedPage(
  platform: Platform,
  {
    pdf,
    page,
    spread,
    always,
    dpi,
    faults,
    seed,
  }: Habit & { pdf: Uint8Array; page: number; faults: SimulatedFaults; seed: number },
): Promise<PrintedSheet> {
  const drawn = await renderPdf(platform, { pdf, page, dpi });
  const { pageWidth, pageHeight } = drawn;
  const image = faults.inkSpread ? spreadInk(drawn, (faults.inkSpread * dpi) / 25.4) : drawn;
  const sheet = { width: pageWidth, height: pageHeight };
  const actualTransform = nested(
    samplePrintError(seededRandom(seed), sheet, spread),
    wrongBy(faults, sheet),
    always,
  );
  // The page fills whole pixels; on paper a mm is a mm again.
  const fill = scaling(drawn.width / pageWidth, drawn.height / pageHeight);
  const back = nested(fill, invert(actualTransform), scaling(25.4 / dpi));
  const paper = warpImage(image, back, image, PAPER);
  if (faults.clipped) clip(paper, (faults.clipped * dpi) / 25.4);
  return { picture: { image: paper, dpi }, actualTransform };
}

/** What faults do to a page, about its middle. */
function wrongBy(
  { offset = 0, turn = 0, scale = 0 }: SimulatedFaults,
  sheet: { width: number; height: number },
): Affine {
  const { width, height } = sheet;
  return compose(
    placed(width / 2 + offset, height / 2 + offset, turn),
    compose(scaling(1 + scale), translation(-width / 2, -height / 2)),
  );
}

/** Leaves paper at the sides of a picture, px. */
function clip(image: RgbaImage, by: number): void {
  const { width, height, data } = image;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const inside = x >= by && y >= by && x < width - by && y < height - by;
      if (!inside) data.set(PAPER, (y * width + x) * 4);
    }
}
