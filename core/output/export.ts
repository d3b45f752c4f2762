import { unwatched, type Platform, type Task } from '../base/index.ts';
import { boxAround, grown } from '../geometry/index.ts';
import type { CompiledJob, JobResources } from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { encodePngImage } from '../raster/index.ts';
import { cutSvg } from './cut-svg.ts';
import { cutHpgl } from './hpgl.ts';
import { fileStem, sheetFiles, type SheetFiles } from './names.ts';
import { writePdf, type PdfPage, type PdfSources } from './pdf/index.ts';
import { statement } from './statement.ts';

/** The kinds of file that a job can be written as. */
export const FORMATS = ['pdf', 'svg', 'hpgl', 'png', 'json'] as const;
export type Format = (typeof FORMATS)[number];

/** A file that was made. */
export interface MadeFile {
  readonly name: string;
  readonly format: Format;
  readonly bytes: Uint8Array;
}

/** What the writers look up for a compiled job. */
export function pdfSources({ job }: Pick<CompiledJob, 'job'>, resources: JobResources): PdfSources {
  return { typeface: resources.typeface, art: (id) => job.art[id], bytes: resources.bytes };
}

/** The print file of a job: one page a sheet, at true size. */
export function printPdf(
  platform: Platform,
  compiled: CompiledJob,
  resources: JobResources,
): Promise<Uint8Array> {
  const pages = compiled.sheets.map((sheet): PdfPage => {
    const trim = boxAround(sheet.copies.map(({ box }) => box));
    const bleed = boxAround(sheet.copies.map((copy) => grown(copy.box, copy.bleed)));
    return { drawing: sheet.drawing, ...(trim && bleed ? { trim, bleed } : {}) };
  });
  return writePdf(platform, pages, pdfSources(compiled, resources), compiled.job.name);
}

/** Where an export is made and watched. */
export interface ExportOptions {
  readonly platform: Platform;
  readonly resources: JobResources;
  readonly formats: readonly Format[];
  readonly task?: Task;
}

const PNG_DPI = 300;

/** Writes a compiled job in the formats asked for; one PDF for all sheets, other kinds one a sheet. */
export async function exportFiles(
  compiled: CompiledJob,
  options: ExportOptions,
): Promise<MadeFile[]> {
  const { platform, resources, formats, task = unwatched } = options;
  const stem = fileStem(compiled.job.name);
  const names = compiled.sheets.map((_, index) => sheetFiles(stem, index));
  const wants = new Set(formats);
  const text = (value: string): Uint8Array => new TextEncoder().encode(value);
  const made: MadeFile[] = [];
  task.progress(0, 'Writing the print file');
  await task.breathe();
  const needsPdf = wants.has('pdf') || wants.has('png');
  const pdf = needsPdf ? await printPdf(platform, compiled, resources) : undefined;
  if (pdf && wants.has('pdf')) made.push({ name: `${stem}.pdf`, format: 'pdf', bytes: pdf });
  for (const [index, sheet] of compiled.sheets.entries()) {
    task.progress((index + 1) / (compiled.sheets.length + 1), `Writing sheet ${index + 1}`);
    await task.breathe();
    const name = names[index] as SheetFiles;
    if (wants.has('svg')) made.push({ name: name.svg, format: 'svg', bytes: text(cutSvg(sheet)) });
    if (wants.has('hpgl'))
      made.push({ name: name.hpgl, format: 'hpgl', bytes: text(cutHpgl(sheet)) });
    if (pdf && wants.has('png')) {
      const image = await renderPdf(platform, { pdf, page: index, dpi: PNG_DPI });
      made.push({ name: name.png, format: 'png', bytes: encodePngImage(image, PNG_DPI) });
    }
  }
  if (wants.has('json')) {
    made.push({
      name: `${stem}.json`,
      format: 'json',
      bytes: text(`${JSON.stringify(statement(compiled, names), null, 1)}\n`),
    });
  }
  return made;
}
