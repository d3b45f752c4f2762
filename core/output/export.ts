import { doing, unwatched, type Platform, type Say, type Task } from '../base/index.ts';
import {
  asPrinted,
  pageOf,
  printedSides,
  type ArtBytes,
  type CompiledJob,
  type Job,
  type JobResources,
} from '../job/index.ts';
import { USUAL_CHOICES, type ExportChoices } from './choices.ts';
import {
  FORMAT_WRITERS,
  FORMATS,
  type Format,
  type FormatWriter,
  type Writing,
  type WrittenFile,
  type WrittenThing,
} from './formats/index.ts';
import { fileStem, sheetFiles, thingStem, type SheetFiles } from './names.ts';
import { printPdf } from './print-pdf.ts';

/** A file that was made. */
export interface MadeFile extends WrittenFile {
  readonly format: Format;
}

/** Where an export is made and watched. */
export interface ExportOptions {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly formats: readonly Format[];
  readonly choices?: Partial<ExportChoices> | undefined;
  /** Where the bytes of art and own typefaces are kept, for the job itself. */
  readonly artBytes?: ArtBytes | undefined;
  readonly task?: Task;
  /** Gives the words that go into files. */
  readonly say: Say;
}

/** A job with some of its sheets alone. */
function onlySheets(whole: CompiledJob, sheets: readonly number[]): CompiledJob {
  const there = sheets.filter((at) => whole.sheets[at]);
  return {
    ...whole,
    sheets: there.flatMap((at) => whole.sheets[at] ?? []),
    backs: there.map((at) => whole.backs[at]),
  };
}

/** @param taken the beginnings of names that files of other things have already */
function writingOf(
  { compiled: whole, thing }: CompiledThing,
  options: ExportOptions,
  taken: Set<string>,
): Writing {
  const { platform, resources, artBytes, say, task = unwatched } = options;
  const choices = { ...USUAL_CHOICES, ...options.choices };
  const seen = choices.sheets ? onlySheets(whole, choices.sheets) : whole;
  const printed = asPrinted(seen);
  const stem = thingStem(printed.job.name, thing?.name, taken);
  const sides = printedSides(printed);
  const files = new Map<string, Promise<Uint8Array>>();
  return {
    ...{ platform, resources, artBytes, task, say, choices, seen, printed, thing, stem, sides },
    names: printed.sheets.map((_, index) => sheetFiles(stem, index, pageOf(sides, index))),
    printFile(as) {
      const key = JSON.stringify([as.cutLayer, as.smallPictures, as.side]);
      const made = files.get(key) ?? printPdf(platform, printed, resources, as);
      files.set(key, made);
      return made;
    },
  };
}

/** Writes a compiled job in the formats asked for, each for the job, its sheets or their pages. */
export const exportFiles = (whole: CompiledJob, options: ExportOptions): Promise<MadeFile[]> =>
  exportThings({ job: whole.job, things: [{ compiled: whole, thing: undefined }] }, options);

/** One thing of a job as it was compiled, and what it is called where there are several. */
export interface CompiledThing {
  readonly compiled: CompiledJob;
  readonly thing: WrittenThing | undefined;
}

/** Writes things of a job one after the other, then what stands for all of it. */
export async function exportThings(
  { job, things }: { readonly job: Job; readonly things: readonly CompiledThing[] },
  options: ExportOptions,
): Promise<MadeFile[]> {
  const stems = new Set<string>();
  const writings = things.map((one) => writingOf(one, options, stems));
  const wanted = FORMATS.filter((format) => options.formats.includes(format));
  const made: MadeFile[] = [];
  for (const writing of writings) made.push(...(await filesOfThing(writing, wanted)));
  const all = {
    ...{ job, things: writings },
    artBytes: options.artBytes,
    stem: fileStem(job.name),
  };
  for (const format of wanted) {
    const writer: FormatWriter = FORMAT_WRITERS[format];
    if (writer.scope === 'all')
      made.push(...(await writer.write(all)).map((file) => ({ ...file, format })));
  }
  return made;
}

async function filesOfThing(writing: Writing, wanted: readonly Format[]): Promise<MadeFile[]> {
  const ofSheets = wanted.filter((format) =>
    ['sheet', 'page'].includes(FORMAT_WRITERS[format].scope),
  );
  const made: MadeFile[] = [];
  writing.task.progress(0, doing('writing-print', {}));
  await writing.task.yieldNow();
  for (const format of wanted) {
    const writer: FormatWriter = FORMAT_WRITERS[format];
    if (writer.scope === 'job')
      made.push(...(await writer.write(writing)).map((file) => ({ ...file, format })));
    else if (format === ofSheets[0]) made.push(...(await sheetFilesOf(ofSheets, writing)));
  }
  return made;
}

/** The files of each sheet, one sheet after the other. */
async function sheetFilesOf(formats: readonly Format[], writing: Writing): Promise<MadeFile[]> {
  const { task, sides } = writing;
  const { sheets } = writing.printed;
  const made: MadeFile[] = [];
  for (const [index, sheet] of sheets.entries()) {
    task.progress((index + 1) / (sheets.length + 1), doing('writing-sheet', { sheet: index + 1 }));
    await task.yieldNow();
    const names = writing.names[index] as SheetFiles;
    for (const format of formats) {
      const writer: FormatWriter = FORMAT_WRITERS[format];
      if (writer.scope === 'sheet') made.push({ ...writer.write(sheet, names, writing), format });
    }
    for (const [page, { of, side }] of sides.entries())
      for (const format of of === index ? formats : []) {
        const writer: FormatWriter = FORMAT_WRITERS[format];
        if (writer.scope === 'page')
          made.push({ ...(await writer.write({ page, side, names }, writing)), format });
      }
  }
  return made;
}
