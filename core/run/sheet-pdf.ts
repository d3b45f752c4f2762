import type { Platform } from '../base/index.ts';
import { asPrinted, type CompiledJob, type JobResources } from '../job/index.ts';
import { printPdf } from '../output/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';

/** One sheet of a job, by its number from 0. */
export interface SheetOfJob {
  readonly compiled: CompiledJob;
  readonly resources: JobResources;
  readonly sheet: number;
}

/** The front of one sheet as it goes to the printer; undefined when the job has no such sheet. */
export async function sheetPdf(
  platform: Platform,
  { compiled, resources, sheet: number }: SheetOfJob,
): Promise<{ sheet: CompiledSheet; pdf: Uint8Array } | undefined> {
  const whole = asPrinted(compiled);
  const sheet = whole.sheets[number];
  if (!sheet) return undefined;
  const one = { ...whole, sheets: [sheet], backs: [undefined] };
  return { sheet, pdf: await printPdf(platform, one, resources) };
}
