import type { Platform, Say } from '../base/index.ts';
import { boxAround, grown, invert } from '../geometry/index.ts';
import {
  compileJob,
  printedSides,
  type CompiledJob,
  type JobResources,
  type PrintedSide,
} from '../job/index.ts';
import { createCompiler } from '../piece/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import type { PaperSide } from '../stock/index.ts';
import { USUAL_CHOICES, type ExportChoices } from './choices.ts';
import { withDownsampledImages } from './downsampled-images.ts';
import { sheetFields, withoutFields, type FormChoices } from './form-fields.ts';
import { outliner } from './outlined.ts';
import { cutInks, writePdf, type PdfPage, type PdfSources } from './pdf/index.ts';

/** What the writers look up for a compiled job. */
export function pdfSources({ job }: Pick<CompiledJob, 'job'>, resources: JobResources): PdfSources {
  return { typeface: resources.typeface, art: (id) => job.art[id], bytes: resources.bytes };
}

/** Of the sides of sheets those that a print file has: one side alone, where one is chosen. */
export const chosenSides = (
  sides: readonly PrintedSide[],
  only: PaperSide | undefined,
): readonly PrintedSide[] =>
  only === undefined ? sides : sides.filter(({ side }) => side === only);

/** The print file of a job as it is printed: a page for each side of a sheet, at true size. */
export async function printPdf(
  platform: Platform,
  compiled: CompiledJob,
  resources: JobResources,
  {
    cutLayer,
    outlines,
    smallPictures,
    printer,
    side: only,
  }: Pick<
    ExportChoices,
    'cutLayer' | 'outlines' | 'smallPictures' | 'printer' | 'side'
  > = USUAL_CHOICES,
): Promise<Uint8Array> {
  const outlined = outliner(resources.typeface);
  const pages = chosenSides(printedSides(compiled), only).map(({ sheet, side }): PdfPage => {
    const page = sheetPage(sheet);
    return {
      ...page,
      drawing: outlines ? outlined(page.drawing) : page.drawing,
      ...(cutLayer ? { cuts: cutInks(sheet.cuts) } : {}),
      // Elsewhere the knife follows the print.
      ...(printer && sheet.stock.spots ? { map: invert(printer[side]) } : {}),
    };
  });
  const best = pdfSources(compiled, resources);
  const sources = smallPictures ? await withDownsampledImages(platform, pages, best) : best;
  return writePdf(platform, pages, sources, compiled.job.name);
}

/** The print file with a field on each label wherever words have a placeholder. */
export function formPdf(
  platform: Platform,
  compiled: CompiledJob,
  {
    resources,
    say,
    choices = USUAL_CHOICES,
  }: { readonly resources: JobResources; readonly say: Say; readonly choices?: FormChoices },
): Promise<Uint8Array> {
  const bare = compileJob(withoutFields(compiled.job), createCompiler(resources));
  const wanted = new Set(compiled.sheets.map(({ copies }) => copies[0]?.placement.copy));
  const sheets = bare.sheets.filter(({ copies }) => wanted.has(copies[0]?.placement.copy));
  const pages = sheets.map((sheet) => ({
    ...sheetPage(sheet),
    fields: sheetFields(compiled, sheet, { choices, say }),
  }));
  return writePdf(platform, pages, pdfSources(compiled, resources), compiled.job.name);
}

function sheetPage({ drawing, copies }: CompiledSheet): PdfPage {
  const trim = boxAround(copies.map(({ box }) => box));
  const bleed = boxAround(copies.map((copy) => grown(copy.box, copy.bleed)));
  return { drawing, ...(trim && bleed ? { trim, bleed } : {}) };
}
