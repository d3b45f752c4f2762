import { unwatched, type Platform, type Task } from '../base/index.ts';
import { boxAround, grown, invert, type Affine } from '../geometry/index.ts';
import {
  asPrinted,
  compileJob,
  jobWithArt,
  pageOf,
  printedSides,
  writePeel,
  type ArtBytes,
  type CompiledJob,
  type JobResources,
} from '../job/index.ts';
import { renderPdf } from '../pdf/index.ts';
import { createCompiler } from '../piece/index.ts';
import { encodeJpegImage, encodePngImage } from '../raster/index.ts';
import type { CompiledSheet } from '../sheet/index.ts';
import type { Correction, PaperSide } from '../stock/index.ts';
import { artworkSvg } from './artwork-svg.ts';
import { cutDxf } from './dxf.ts';
import type { Knife } from '../cutting/index.ts';
import { cutSvg } from './cut-svg.ts';
import { sheetFields, withoutFields, type FormChoices } from './form-fields.ts';
import { cutHpgl } from './hpgl.ts';
import { fileStem, sheetFiles, sideFile, type SheetFiles } from './names.ts';
import { outlinedDrawing } from './outlined.ts';
import { cutInks, writePdf, type PdfPage, type PdfSources } from './pdf/index.ts';
import { paperPdf } from './paper/index.ts';
import { withDownsampledImages } from './downsampled-images.ts';
import { statement } from './statement.ts';

/**
 * The kinds of file that a job can be written as. `form` is a PDF whose fields can be typed into,
 * `approval` one to be signed, `contact` one of all labels small, `peel` the job itself.
 */
export const FORMATS = [
  'pdf',
  'form',
  'svg',
  'dxf',
  'hpgl',
  'png',
  'jpeg',
  'artwork',
  'approval',
  'contact',
  'peel',
  'json',
] as const;
export type Format = (typeof FORMATS)[number];

/** How files are written. */
export interface ExportChoices extends FormChoices {
  /** Whether the print file has the cut lines in inks of their own, on a layer. */
  readonly cutLayer: boolean;
  /** Whether letters are outlines, which need no typeface and cannot be searched. */
  readonly outlines: boolean;
  /** Whether the pictures of the print file are small ones, for a file to be sent. */
  readonly smallPictures: boolean;
  /** Of pictures of sheets. */
  readonly dpi: number;
  /** Whether what is to be approved is pictures beside the PDF. */
  readonly approvalPictures: boolean;
  /** Whether a PNG is clear where nothing prints. */
  readonly clear: boolean;
  /** How the printer and tray that it is for put a page on paper: undone on sheets with spots. */
  readonly printer?: Correction;
  /** Which side of the paper a print file has, where not both. */
  readonly side?: PaperSide;
  /** How the knife of the cutter trails; it sees to that itself unless given. */
  readonly knife?: Knife;
  /** From mm of a sheet to where the cutter has it, when a hand has told it. */
  readonly lies?: Affine;
  /** How many cuts of a sheet, in their order, were made before and are left out of HPGL. */
  readonly cutBefore?: number;
  /** Of which sheets, by their numbers from 0; all of them unless given. */
  readonly sheets?: readonly number[];
}

/** How files are written unless anything else is chosen. */
export const USUAL_CHOICES: ExportChoices = {
  cutLayer: false,
  outlines: false,
  smallPictures: false,
  dpi: 300,
  approvalPictures: false,
  clear: false,
  shared: [],
  filled: false,
};

/** A file that was made. */
export interface MadeFile {
  readonly name: string;
  readonly format: Format;
  readonly bytes: Uint8Array;
  /** Of a PDF. */
  readonly pages?: number;
}

/** What the writers look up for a compiled job. */
export function pdfSources({ job }: Pick<CompiledJob, 'job'>, resources: JobResources): PdfSources {
  return { typeface: resources.typeface, art: (id) => job.art[id], bytes: resources.bytes };
}

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
  const sides = printedSides(compiled).filter(({ side }) => only === undefined || side === only);
  const pages = sides.map(({ sheet, side }): PdfPage => {
    const page = sheetPage(sheet);
    return {
      ...page,
      drawing: outlines ? outlinedDrawing(page.drawing, resources.typeface) : page.drawing,
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
  resources: JobResources,
  choices: FormChoices = USUAL_CHOICES,
): Promise<Uint8Array> {
  const bare = compileJob(withoutFields(compiled.job), createCompiler(resources));
  const wanted = new Set(compiled.sheets.map(({ copies }) => copies[0]?.placement.copy));
  const sheets = bare.sheets.filter(({ copies }) => wanted.has(copies[0]?.placement.copy));
  const pages = sheets.map((sheet) => ({
    ...sheetPage(sheet),
    fields: sheetFields(compiled, sheet, choices),
  }));
  return writePdf(platform, pages, pdfSources(compiled, resources), compiled.job.name);
}

function sheetPage({ drawing, copies }: CompiledSheet): PdfPage {
  const trim = boxAround(copies.map(({ box }) => box));
  const bleed = boxAround(copies.map((copy) => grown(copy.box, copy.bleed)));
  return { drawing, ...(trim && bleed ? { trim, bleed } : {}) };
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
}

const JPEG_QUALITY = 90;

type Write = (sheet: CompiledSheet, choices: ExportChoices) => string;

/** What is written of the cut lines of a sheet. */
const CUT_FILES = {
  svg: cutSvg,
  dxf: cutDxf,
  hpgl: (sheet, { knife, lies, cutBefore }) => cutHpgl(sheet, knife, lies, cutBefore),
} as const satisfies Record<string, Write>;

interface PageOfFile {
  readonly pdf: Uint8Array;
  /** From 0. */
  readonly page: number;
  readonly name: SheetFiles;
  readonly side: PaperSide;
}

/** A page of the print file as pictures. */
async function pictures(
  { pdf, page, name, side }: PageOfFile,
  { platform, formats, choices }: ExportOptions & { readonly choices: ExportChoices },
): Promise<MadeFile[]> {
  const { dpi } = choices;
  const made: MadeFile[] = [];
  const draw = (clear: boolean) => renderPdf(platform, { pdf, page, dpi, clear });
  if (formats.includes('png'))
    made.push({
      name: sideFile(name.png, side),
      format: 'png',
      bytes: encodePngImage(await draw(choices.clear), dpi),
    });
  if (formats.includes('jpeg'))
    made.push({
      name: sideFile(name.jpeg, side),
      format: 'jpeg',
      bytes: await encodeJpegImage(platform, await draw(false), { quality: JPEG_QUALITY, dpi }),
    });
  return made;
}

const APPROVAL_DPI = 150;

/** What is not of single sheets: artwork, papers, the job itself. */
async function aboutTheJob(
  compiled: CompiledJob,
  {
    platform,
    resources,
    formats,
    choices,
    artBytes,
    task = unwatched,
  }: ExportOptions & {
    readonly choices: ExportChoices;
  },
): Promise<MadeFile[]> {
  const { job } = compiled;
  const stem = fileStem(job.name);
  const made: MadeFile[] = [];
  if (formats.includes('artwork'))
    for (const piece of compiled.pieces.values()) {
      const text = artworkSvg(piece, job, resources);
      const name = `${stem}-${fileStem(piece.piece.name)}-${piece.piece.id}.svg`;
      made.push({ name, format: 'artwork', bytes: new TextEncoder().encode(text) });
    }
  for (const kind of ['approval', 'contact'] as const) {
    if (!formats.includes(kind)) continue;
    await task.yieldNow();
    const sources = pdfSources(compiled, resources);
    const paper = await paperPdf(platform, kind, { compiled, sources });
    made.push({ name: `${stem}-${kind}.pdf`, format: kind, ...paper });
    if (kind !== 'approval' || !choices.approvalPictures) continue;
    for (let page = 0; page < paper.pages; page++) {
      await task.yieldNow();
      const image = await renderPdf(platform, { pdf: paper.bytes, page, dpi: APPROVAL_DPI });
      const name = `${stem}-${kind}-${page + 1}.png`;
      made.push({ name, format: kind, bytes: encodePngImage(image, APPROVAL_DPI) });
    }
  }
  if (formats.includes('peel') && artBytes) {
    const bytes = writePeel(await jobWithArt(job, artBytes));
    made.push({ name: `${stem}.peel`, format: 'peel', bytes });
  }
  return made;
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

/** Writes a compiled job in the formats asked for; one PDF for all sheets, other kinds one a sheet. */
export async function exportFiles(whole: CompiledJob, options: ExportOptions): Promise<MadeFile[]> {
  const { sheets } = options.choices ?? {};
  const wanted = sheets ? onlySheets(whole, sheets) : whole;
  const compiled = asPrinted(wanted);
  const { platform, resources, formats, task = unwatched } = options;
  const stem = fileStem(compiled.job.name);
  const sides = printedSides(compiled);
  const names = compiled.sheets.map((_, index) => sheetFiles(stem, index, pageOf(sides, index)));
  const wants = new Set(formats);
  const text = (value: string): Uint8Array => new TextEncoder().encode(value);
  const made: MadeFile[] = [];
  task.progress(0, 'Writing the print file');
  await task.yieldNow();
  const choices = { ...USUAL_CHOICES, ...options.choices };
  const drawn = wants.has('png') || wants.has('jpeg');
  const write = (as: ExportChoices): Promise<Uint8Array> =>
    printPdf(platform, compiled, resources, as);
  const printed = wants.has('pdf') ? await write(choices) : undefined;
  // Pictures of sheets show no cut lines, and the pictures on them as they are.
  const { side, ...both } = choices;
  const plain = { ...both, cutLayer: false, smallPictures: false };
  const isPlain = !choices.cutLayer && !choices.smallPictures && side === undefined;
  const pdf = drawn ? await (isPlain && printed ? printed : write(plain)) : undefined;
  if (printed)
    made.push({
      name: `${stem}.pdf`,
      format: 'pdf',
      bytes: printed,
      pages: sides.filter((one) => side === undefined || one.side === side).length,
    });
  if (wants.has('form')) {
    const bytes = await formPdf(platform, wanted, resources, choices);
    made.push({ name: `${stem}-form.pdf`, format: 'form', bytes, pages: names.length });
  }
  for (const [index, sheet] of compiled.sheets.entries()) {
    task.progress((index + 1) / (compiled.sheets.length + 1), `Writing sheet ${index + 1}`);
    await task.yieldNow();
    const name = names[index] as SheetFiles;
    for (const [format, cut] of Object.entries(CUT_FILES) as [keyof typeof CUT_FILES, Write][])
      if (wants.has(format))
        made.push({
          name: name[format],
          format,
          bytes: text(cut(sheet, choices)),
        });
    for (const [page, { of, side }] of pdf ? sides.entries() : [])
      if (pdf && of === index)
        made.push(...(await pictures({ pdf, page, name, side }, { ...options, choices })));
  }
  made.push(...(await aboutTheJob(wanted, { ...options, choices })));
  if (wants.has('json')) {
    made.push({
      name: `${stem}.json`,
      format: 'json',
      bytes: text(`${JSON.stringify(statement(compiled, names), null, 1)}\n`),
    });
  }
  return made;
}
