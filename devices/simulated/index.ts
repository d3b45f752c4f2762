import type { Platform } from '../../core/base/index.ts';
import type { Devices } from '../../core/run/index.ts';
import { simulatedCutter } from './cutter.ts';
import { nested, placed, scaling } from '../../core/geometry/index.ts';
import type { SheetPicture } from '../../core/register/index.ts';
import { photograph } from './camera.ts';
import { simulatedPrinter } from './printer.ts';

/** A printer and a cutter that exist only in the computer, with the errors of real ones. */
export function simulatedDevices(platform: Platform, seed: number): Devices {
  return { printer: simulatedPrinter(platform, seed), cutter: simulatedCutter(seed) };
}

/** What a printer that feeds off-centre does to each page alike, and a little by chance. */
const OFF_CENTRE = {
  always: nested(placed(1.3, -0.9, 0.3), scaling(0.997, 1.003)),
  spread: { offset: 0.03, turn: 0.01, scale: 0.0001 },
  dpi: 150,
} as const;

/** The first page of a PDF as a printer that feeds off-centre prints it, in a phone picture. */
export async function simulatedPhoto(
  platform: Platform,
  pdf: Uint8Array,
  seed: number,
): Promise<SheetPicture> {
  const printer = simulatedPrinter(platform, seed, OFF_CENTRE);
  const { picture } = await printer.print({ pdf, page: 0 });
  return { image: photograph(picture, seed), dpi: picture.dpi };
}
