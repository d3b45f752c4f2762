import { bad, good, unwatched, type Platform, type Result, type Task } from '../base/index.ts';
import { compose } from '../geometry/index.ts';
import {
  asPrinted,
  pageOf,
  printedSides,
  type CompiledJob,
  type JobResources,
} from '../job/index.ts';
import { cutHpgl, printPdf } from '../output/index.ts';
import { allFindings, type Finding } from '../proof/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import type { Registration } from '../register/index.ts';
import { cutCopies } from './cut-copies.ts';
import { copyOutcome, type CopyOutcome } from './deviation.ts';
import type { CutSheet, Devices } from './devices.ts';
import { runPictures } from './pictures.ts';

/** What came of one sheet. */
export interface SheetRun {
  /** What came out of the printer. */
  readonly printed: RgbaImage;
  /** The sheet with the lines that the knife followed, and the labels peeled off. */
  readonly cut: RgbaImage;
  readonly peeled: RgbaImage;
  readonly registration: Registration;
  readonly copies: readonly CopyOutcome[];
  /** Why nothing was cut, when nothing was. */
  readonly stopped?: string;
}

/** What came of a run, and the files that went to the devices. */
export interface RunReport {
  readonly sheets: readonly SheetRun[];
  readonly pdf: Uint8Array;
  readonly hpgl: readonly string[];
}

/** A run before it starts. */
export interface RunOrder {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly devices: Devices;
  /** Codes of blockers that may be passed over. */
  readonly accept: readonly string[];
  readonly task?: Task;
}

/** The blockers of a job that a run does not pass. */
export function unaccepted(findings: readonly Finding[], accept: readonly string[]): Finding[] {
  return findings.filter(
    ({ severity, code, accepted }) =>
      severity === 'blocker' && accepted === undefined && !accept.includes(code),
  );
}

/**
 * Prints and cuts a job. Blockers stop it before anything is sent. The devices get bytes, the mark
 * layout and the sheet's size, and nothing else.
 */
export async function runJob(whole: CompiledJob, order: RunOrder): Promise<Result<RunReport>> {
  const { platform, resources, devices, accept, task = unwatched } = order;
  task.progress(0, 'Looking at the proof');
  const [blocker] = unaccepted(await allFindings(whole, { platform, resources }), accept);
  if (blocker)
    return bad('run/blocked', blocker.what, `Mend it, or accept “${blocker.code}”.`, blocker.code);
  await task.breathe();
  const compiled = asPrinted(whole);
  const pages = printedSides(compiled);
  const pdf = await printPdf(platform, compiled, resources);
  const sheets: SheetRun[] = [];
  const hpgl = compiled.sheets.map(cutHpgl);
  for (const [index, sheet] of compiled.sheets.entries()) {
    const share = (step: number): number => (index + step) / compiled.sheets.length;
    const called = `sheet ${index + 1} of ${compiled.sheets.length}`;
    task.progress(share(0.1), `Printing ${called}`);
    await task.breathe();
    const printed = await devices.printer.print({
      pdf,
      page: pageOf(pages, index),
    });
    task.progress(share(0.4), `Looking for the marks of ${called}`);
    await task.breathe();
    const loaded = devices.cutter.load(printed.picture);
    const { drawing, marks } = sheet;
    const done = devices.cutter.cut({
      hpgl: hpgl[index] ?? '',
      marks,
      sheet: drawing,
      sensor: loaded.sensor,
    });
    task.progress(share(0.7), `Cutting ${called}`);
    await task.breathe();
    const copies = cutCopies(sheet, done.cuts);
    const labels = copies.map(({ ring }) => ring);
    const pictures = await runPictures(platform, loaded.sensor, { cuts: done.cuts, labels });
    const truth = compose(loaded.truth, printed.truth);
    const stopped = whyStopped(done, marks.length);
    sheets.push({
      printed: printed.picture.image,
      ...pictures,
      registration: done.registration,
      copies: copies.map(({ copy, ring }) => {
        const { placement, trim, bleed } = copy;
        return copyOutcome({ copy: placement.copy, trim, bleed }, truth, ring);
      }),
      ...(stopped ? { stopped } : {}),
    });
  }
  task.progress(1, 'Done');
  return good({ sheets, pdf, hpgl });
}

function whyStopped({ cuts, registration }: CutSheet, marks: number): string | undefined {
  if (cuts.length > 0) return undefined;
  if (registration.turned)
    return 'The sheet lies the other way round: the ring dot is not where it should be.';
  const found = registration.found.filter(Boolean).length;
  return `Only ${found} of ${marks} marks were found, so nothing was cut.`;
}
