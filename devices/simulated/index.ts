import { expectOk, unwatched, type Platform } from '../../core/base/index.ts';
import {
  NO_FAULTS,
  PRINTER_SPREAD,
  type Devices,
  type SimulatedFaults,
  type PrintedSheet,
  type Printer,
  type PrintOrder,
} from '../../core/run/index.ts';
import { simulatedCutter } from './cutter.ts';
import { IDENTITY, nested, placed, scaling } from '../../core/geometry/index.ts';
import type { SheetPicture } from '../../core/register/index.ts';
import { photograph } from './camera.ts';
import { simulatedPrinter } from './printer.ts';

/** A printer and a cutter that exist only in the computer, with the errors of real ones. */
export function simulatedDevices(
  platform: Platform,
  seed: number,
  faults: SimulatedFaults = NO_FAULTS,
): Devices {
  const habit = { spread: PRINTER_SPREAD, always: IDENTITY, dpi: 200, faults };
  return {
    printer: simulatedPrinter(platform, seed, habit),
    cutter: simulatedCutter(seed, faults),
  };
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
  const order = { pdf, name: 'sheet', sheet: { width: 0, height: 0 } };
  const { picture } = await printedPage(printer, order);
  return { image: photograph(picture, seed), dpi: picture.dpi };
}

/** The first page that a simulated printer prints of an order. */
export async function printedPage(printer: Printer, order: PrintOrder): Promise<PrintedSheet> {
  const page = await expectOk(await printer.print(order, unwatched)).sheet?.(0);
  if (!page) throw new Error('This printer shows nothing.');
  return page;
}
export { drawnCuts } from './drawn-cuts.ts';
export { isGcode } from './read-cuts.ts';
