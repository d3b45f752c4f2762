import {
  doing,
  expectOk,
  ok,
  problem,
  unwatched,
  type Platform,
  type Problem,
  type Result,
  type Task,
} from '../base/index.ts';
import { compose, IDENTITY, type Affine, type Point } from '../geometry/index.ts';
import {
  asPrinted,
  pageOf,
  printedSides,
  type CompiledJob,
  type JobResources,
} from '../job/index.ts';
import { cutProgram, printPdf, type CutProgram } from '../output/index.ts';
import { openBlockers, type Finding } from '../proof/index.ts';
import type { RgbaImage } from '../raster/index.ts';
import { whyNotTrusted, type Registration } from '../register/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import type { CutProfile } from '../stock/index.ts';
import { alignToMarks } from './align-to-marks.ts';
import { cutCopies } from './cut-copies.ts';
import { copyOutcome, type CopyOutcome } from './deviation.ts';
import type { Devices, Printed, PrintNote, SeenCut } from './devices.ts';
import { runPictures } from './pictures.ts';

/** What came of one sheet. What only simulated devices can show is left out for real ones. */
export interface SheetRun {
  /** What came out of the printer. */
  readonly printed?: RgbaImage;
  /** The sheet with the lines that the knife followed, and the labels peeled off. */
  readonly cut?: RgbaImage;
  readonly peeled?: RgbaImage;
  readonly registration?: Registration;
  readonly copies: readonly CopyOutcome[];
  /** Why nothing, or not everything, was cut. */
  readonly stopped?: Problem;
}

/** What came of a run, and the files that went to the devices. */
export interface RunReport {
  readonly sheets: readonly SheetRun[];
  readonly pdf: Uint8Array;
  /** What each sheet's cutting was, in their order. */
  readonly programs: readonly CutProgram[];
  /** What is worth telling though it went well. */
  readonly notes: readonly PrintNote[];
}

/** A run before it starts. */
export interface RunOrder {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly devices: Devices;
  /** Codes of blockers that may be passed over. */
  readonly accept: readonly string[];
  /** Where the first marks are in the cutter, mm, when a hand has told it. */
  readonly align?: readonly Point[];
  /** How the cutter is spoken to; as cut files are exported unless given. */
  readonly profile?: CutProfile | undefined;
  /** Of which sheets, by their numbers from 0; all of them unless given. */
  readonly only?: readonly number[];
  readonly task?: Task;
}

/** Why a run is not begun: the first blocker whose code nobody accepts; undefined where there is none. */
export function blockedBy(
  blockers: readonly Finding[],
  accept: readonly string[],
): Problem | undefined {
  const blocker = blockers.find(({ code }) => !accept.includes(code));
  return (
    blocker &&
    problem(
      'run/blocked',
      { finding: { code: blocker.code, values: blocker.values } },
      blocker.code,
    )
  );
}

/**
 * Prints and cuts a job. Blockers stop it before anything is sent. The devices get bytes, the mark
 * layout and the sheet's size, and nothing else.
 */
export async function runJob(whole: CompiledJob, order: RunOrder): Promise<Result<RunReport>> {
  const { platform, resources, devices, accept, align, profile, task = unwatched } = order;
  task.progress(0, doing('proofing', {}));
  const blockers = await openBlockers(whole, { platform, resources });
  const blocked = blockedBy(blockers, accept);
  if (blocked) return { ok: false, problem: blocked };
  await task.yieldNow();
  const compiled = asPrinted(whole);
  const pages = printedSides(compiled);
  const pdf = await printPdf(platform, compiled, resources);
  const aligned = align && compiled.sheets.map(({ marks }) => alignToMarks(marks, align));
  const wrong = aligned?.find(({ ok }) => !ok);
  if (wrong && !wrong.ok) return wrong;
  const sheetToBed = aligned?.map(expectOk);
  const programs = compiled.sheets.map((sheet, at) =>
    cutProgram(sheet, { profile, lies: sheetToBed?.[at] }),
  );
  const { width, height } = compiled.sheets[0]?.drawing ?? compiled.job.stock;
  const printed = await devices.printer.print(
    { pdf, name: compiled.job.name, sheet: { width, height } },
    task,
  );
  if (!printed.ok) return printed;
  const sheets: SheetRun[] = [];
  const only = order.only ?? compiled.sheets.map((_, at) => at);
  for (const [turn, index] of only.entries()) {
    const sheet = compiled.sheets[index];
    const program = programs[index];
    if (!sheet || !program) continue;
    const place = { sheet: index + 1, of: compiled.sheets.length };
    const part = within(task, turn / only.length, 1 / only.length);
    const page = pageOf(pages, index);
    const done = await runSheet(
      {
        sheet,
        number: index,
        page,
        place,
        program,
        printed: printed.value,
        sheetToBed: sheetToBed?.[index],
      },
      { ...order, task: part },
    );
    if (!done.ok) return done;
    sheets.push(done.value);
  }
  task.progress(1, doing('done', {}));
  return ok({ sheets, pdf, programs, notes: printed.value.notes });
}

/** A part of a task, as a task of its own. */
function within(task: Task, from: number, share: number): Task {
  return { ...task, progress: (done, at) => task.progress(from + share * done, at) };
}

interface SheetOrder {
  readonly number: number;
  readonly sheet: CompiledSheet;
  /** Of the print file, from 0. */
  readonly page: number;
  /** Which of the sheets it is, from 1. */
  readonly place: { readonly sheet: number; readonly of: number };
  readonly program: CutProgram;
  readonly printed: Printed;
  readonly sheetToBed: Affine | undefined;
}

async function runSheet(
  { sheet, number, page, place, program, printed, sheetToBed }: SheetOrder,
  { platform, devices, profile, task = unwatched }: RunOrder,
): Promise<Result<SheetRun>> {
  task.progress(0.1, doing('printing-sheet', place));
  await task.yieldNow();
  const paper = await printed.sheet?.(page);
  task.progress(0.4, doing('finding-marks', place));
  await task.yieldNow();
  const { drawing, marks } = sheet;
  const done = await devices.cutter.cut(
    {
      number,
      program,
      profile,
      marks,
      sheet: drawing,
      ...(paper ? { printed: paper.picture } : {}),
      ...(sheetToBed ? { sheetToBed } : {}),
    },
    within(task, 0.5, 0.2),
  );
  if (!done.ok) return done;
  const { seen, problem } = done.value;
  const shown = paper ? { printed: paper.picture.image } : {};
  if (!seen) return ok({ ...shown, copies: [], ...stoppedBy(problem) });
  task.progress(0.7, doing('cutting-sheet', place));
  await task.yieldNow();
  const copies = cutCopies(sheet, seen.cuts);
  const labels = copies.map(({ ring }) => ring);
  const pictures = await runPictures(platform, seen.sensor, { cuts: seen.cuts, labels });
  const actualTransform = compose(seen.actualTransform, paper?.actualTransform ?? IDENTITY);
  return ok({
    ...shown,
    ...pictures,
    registration: seen.registration,
    copies: copies.map(({ copy, ...cut }) => {
      const { placement, trim, bleed } = copy;
      return copyOutcome({ copy: placement.copy, trim, bleed }, actualTransform, cut);
    }),
    ...stoppedBy(problem, seen),
  });
}

function stoppedBy(refused: Problem | undefined, seen?: SeenCut): Pick<SheetRun, 'stopped'> {
  if (refused) return { stopped: refused };
  const why = seen?.cuts.length === 0 ? whyNotTrusted(seen.registration) : undefined;
  return why ? { stopped: problem('run/not-cut', why) } : {};
}
