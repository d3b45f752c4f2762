import type { Platform } from '../../core/base/index.ts';
import type { Devices } from '../../core/run/index.ts';
import { simulatedCutter } from './cutter.ts';
import { simulatedPrinter } from './printer.ts';

/** A printer and a cutter that exist only in the computer, with the errors of real ones. */
export function simulatedDevices(platform: Platform, seed: number): Devices {
  return { printer: simulatedPrinter(platform, seed), cutter: simulatedCutter(seed) };
}
