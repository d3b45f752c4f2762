import {
  err,
  ok,
  type Platform,
  type Problem,
  type Result,
  type Say,
  type Task,
} from './base/index.ts';
import {
  readArt,
  takeIn,
  upright,
  type Art,
  type PixelRecipe,
  type ReadArt,
  type Recipe,
  type TakeInChoices,
  type TakenIn,
  type Traced,
} from './art/index.ts';
import {
  cutSticker,
  cutStickers,
  withPiece,
  Preparer,
  type PlacedArt,
  type Preview,
  type ShownSplit,
  type SplitRequest,
  type StickerCut,
} from './prepare/index.ts';
import {
  asPrinted,
  compareSheets,
  compileJob,
  groupsOf,
  loadResources,
  runCommand,
  type ArtBytes,
  type CommandCall,
  type ComparedSheets,
  type CompiledJob,
  type Job,
  type JobResources,
  type OnHand,
} from './job/index.ts';
import {
  cutProgram,
  exportThings,
  pieceAsArt,
  type CutProgram,
  type ExportChoices,
  type Format,
  type MadeFile,
  type SheetProgramChoices,
} from './output/index.ts';
import { renderPdf, type RenderRequest } from './pdf/index.ts';
import { createCompiler, readListFile, type ListChoices, type ReadList } from './piece/index.ts';
import {
  allFindings,
  findLegibility,
  openBlockers,
  type Finding,
  type Legibility,
} from './proof/index.ts';
import {
  calibrationPdf,
  fitTestPdf,
  materialTestPdf,
  readCalibration,
  templatePdf,
  testPagePdf,
  type CalibrationPicture,
  type CalibrationSheet,
  type FitTest,
  type MaterialTest,
  type SeenPicture,
  type TemplateDrawing,
  type TestPage,
} from './testprint/index.ts';
import { encodeJpegImage, type RgbaImage } from './raster/index.ts';
import { tryMarks, type MarkStyle, type MarkTrials, type SheetPicture } from './register/index.ts';
import { nestJob, type NestedJob } from './sheet/index.ts';
import {
  rehearseSheet,
  runJob,
  locateSheet,
  sheetPdf,
  type Chances,
  type Devices,
  type LoadedPicture,
  type Rehearsed,
  type RunOrder,
  type RunReport,
  type SeenLoaded,
  type SimulatedFaults,
} from './run/index.ts';
import {
  readTemplateFile,
  templateFromPhoto,
  type Cutter,
  type PhotoTemplate,
  type SheetPhoto,
  type Stock,
} from './stock/index.ts';
import { facesInFile, readTypeface } from './type/index.ts';

/** What heavy calls stand on: the platform, the art, and devices made anew for each run. */
export interface CallGround {
  readonly platform: Platform;
  readonly artBytes: ArtBytes;
  /** Gives the words that go into files. */
  readonly say: Say;
  devices(seed: number, faults?: SimulatedFaults): Devices;
  /** The first page of a PDF as a simulated printer that never prints true prints it, in a phone picture. */
  photographed(pdf: Uint8Array, seed: number): Promise<SheetPicture>;
}

/** A run on the devices of the ground. */
export interface RunArgs extends Pick<RunOrder, 'accept' | 'align' | 'only' | 'profile'> {
  readonly job: Job;
  readonly seed: number;
  readonly faults?: SimulatedFaults;
}

/** Every call that may take over 16 ms. Pages run them in workers, Node runs them as they are. */
export interface Calls {
  readArt(args: { bytes: Uint8Array; name: string }, task: Task): Promise<Result<ReadArt>>;
  takeIn(
    args: { bytes: Uint8Array; name: string; choices: TakeInChoices },
    task: Task,
  ): Promise<TakenIn>;
  previewArt(
    args: { art: Art; recipe: PixelRecipe | null; most: number },
    task: Task,
  ): Promise<Result<Preview>>;
  makeArt(args: { art: Art; recipe: Recipe }, task: Task): Promise<Result<ReadArt>>;
  readAgain(args: { art: Art }, task: Task): Promise<Result<ReadArt | undefined>>;
  artColors(args: { art: Art; most: number }, task: Task): Promise<Result<string[]>>;
  cutSticker(args: { read: ReadArt }, task: Task): Promise<StickerCut>;
  /** The same, where each drawing of a page is a sticker of its own. */
  cutStickers(args: { read: ReadArt }, task: Task): Promise<StickerCut[]>;
  traceArt(args: { art: Art; tolerance: number }, task: Task): Promise<Result<Traced>>;
  splitArt(args: SplitRequest, task: Task): Promise<Result<ShownSplit>>;
  partsOfArt(
    args: {
      request: SplitRequest;
      groups: readonly (readonly number[])[];
      names: readonly string[];
    },
    task: Task,
  ): Promise<Result<PlacedArt[]>>;
  facesInFile(
    args: { bytes: Uint8Array; name: string },
    task: Task,
  ): Promise<ReturnType<typeof facesInFile>>;
  readTypeface(
    args: { bytes: Uint8Array; name: string; number?: number },
    task: Task,
  ): ReturnType<typeof readTypeface>;
  /** A change of a job that takes long. */
  runCommand(args: { job: Job; call: CommandCall }, task: Task): Promise<Job | Problem>;
  /** A finished piece as a picture, cut out along its edge. */
  pieceAsArt(args: { job: Job; piece: string }, task: Task): Promise<Result<ReadArt>>;
  /** A list from a file, with what was found of how it is written. */
  readList(
    args: { bytes: Uint8Array; choices: ListChoices },
    task: Task,
  ): Promise<Result<ReadList>>;
  findings(args: { job: Job; machine?: Cutter | undefined }, task: Task): Promise<Finding[]>;
  /** What alone stops a run; much quicker than all findings. */
  blockers(args: { job: Job }, task: Task): Promise<Finding[]>;
  /** How well words can be read, and what would help. */
  legibility(
    args: { job: Job; piece: string; element: string },
    task: Task,
  ): Promise<Legibility | undefined>;
  /** Lays out the wanted copies by their outlines; each better answer is found on the way. */
  nest(
    args: { job: Job; rounds: number; seed: number; fill: boolean },
    task: Task,
  ): Promise<NestedJob>;
  /** Ways to fill the sheets side by side, and copies against size. */
  compareSheets(args: { job: Job; onHand: readonly OnHand[] }, task: Task): Promise<ComparedSheets>;
  /** How a sheet of a job, by its number from 0, is cut; undefined where there is none. */
  cutProgram(
    args: { job: Job; sheet: number; choices: SheetProgramChoices },
    task: Task,
  ): Promise<CutProgram | undefined>;
  exportFiles(
    args: {
      job: Job;
      formats: readonly Format[];
      choices?: Partial<ExportChoices>;
      /** The one thing of a set whose files are made; those of all unless given. */
      thing?: string;
    },
    task: Task,
  ): Promise<MadeFile[]>;
  calibrationSheet(args: CalibrationSheet, task: Task): Promise<Uint8Array>;
  /** How a printer put a calibration sheet on paper, from a scan or picture of it. */
  readCalibration(args: CalibrationPicture, task: Task): Promise<Result<SeenPicture>>;
  /** A calibration sheet as a simulated printer prints it and a simulated phone sees it: a JPEG. */
  tryCalibration(args: { sheet: CalibrationSheet; seed: number }, task: Task): Promise<Uint8Array>;
  testPage(args: TestPage, task: Task): Promise<Uint8Array>;
  fitTest(args: FitTest, task: Task): Promise<Uint8Array>;
  materialTest(args: MaterialTest, task: Task): Promise<Uint8Array>;
  templatePdf(args: TemplateDrawing, task: Task): Promise<Uint8Array>;
  readTemplate(args: { bytes: Uint8Array; name: string }, task: Task): Promise<Result<Stock>>;
  templateFromPhoto(args: SheetPhoto, task: Task): Promise<Result<PhotoTemplate>>;
  tryMarks(
    args: { style: MarkStyle; sizes: readonly number[] },
    task: Task,
  ): Promise<readonly MarkTrials[]>;
  renderPage(args: RenderRequest, task: Task): Promise<RgbaImage>;
  /** A sheet rehearsed many times: the chance of a white sliver on each of its copies. */
  rehearse(args: Rehearsed & { job: Job; sheet: number }, task: Task): Promise<Result<Chances>>;
  /** How a printed sheet lies, from a phone or scanner picture of it. */
  locateSheet(
    args: LoadedPicture & { job: Job; sheet: number },
    task: Task,
  ): Promise<Result<SeenLoaded>>;
  /** A sheet of a job as a simulated printer prints it and a simulated phone sees it: a JPEG. */
  tryLoaded(args: { job: Job; sheet: number; seed: number }, task: Task): Promise<Uint8Array>;
  run(args: RunArgs, task: Task): Promise<Result<RunReport>>;
}

export type CallName = keyof Calls;
export type CallArgs<N extends CallName> = Parameters<Calls[N]>[0];
export type CallAnswer<N extends CallName> = Awaited<ReturnType<Calls[N]>>;

/** Larger pictures, of so many pixels, are not held on to. */
const MOST_AT_HAND = 4_000_000;

/** The calls over a ground. */
export function createCalls(ground: CallGround): Calls {
  const { platform, say } = ground;
  const preparer = new Preparer(platform, ground.artBytes);
  /** The pixels of the picture that was taken in last, for who cuts it next. */
  let atHand: { readonly id: string; readonly pixels: RgbaImage } | undefined;
  const ready = async (job: Job): Promise<{ compiled: CompiledJob; resources: JobResources }> => {
    const resources = await loadResources(platform, job, ground.artBytes);
    return { compiled: compileJob(job, createCompiler(resources)), resources };
  };
  /** The first page of a PDF, printed and photographed in the computer alone: a JPEG. */
  const photo = async (pdf: Uint8Array, seed: number, task: Task): Promise<Uint8Array> => {
    await task.yieldNow();
    const { image, dpi } = await ground.photographed(pdf, seed);
    await task.yieldNow();
    return encodeJpegImage(platform, image, { quality: 88, dpi });
  };
  return {
    readArt: ({ bytes, name }) => readArt(platform, bytes, name),
    takeIn: ({ bytes, name, choices }, task) =>
      takeIn(
        platform,
        { bytes, name },
        {
          choices,
          task,
          bytesOf: ground.artBytes,
          seen({ id, orientation }, stored) {
            const isLarge = stored.width * stored.height > MOST_AT_HAND;
            atHand = isLarge ? undefined : { id, pixels: upright(stored, orientation) };
          },
        },
      ),
    previewArt: ({ art, recipe, most }) => preparer.preview(art, recipe, most),
    makeArt: ({ art, recipe }) => preparer.make(art, recipe),
    readAgain: ({ art }) => preparer.readAgain(art),
    artColors: ({ art, most }) => preparer.colors(art, most),
    cutSticker: async ({ read }) => withPiece(await cutSticker(platform, read)),
    cutStickers({ read }) {
      const known = atHand?.id === read.art.id ? atHand.pixels : undefined;
      atHand = undefined;
      return cutStickers(platform, read, known);
    },
    traceArt: ({ art, tolerance }) => preparer.trace(art, tolerance),
    splitArt: (request) => preparer.split(request),
    partsOfArt: ({ request, groups, names }) => preparer.parts(request, groups, names),
    facesInFile: async ({ bytes, name }) => facesInFile(bytes, name),
    readTypeface: ({ bytes, name, number }) => readTypeface(bytes, name, number),
    runCommand: async ({ job, call }) => runCommand(job, call),
    async pieceAsArt({ job, piece }, task) {
      const { compiled, resources } = await ready(job);
      await task.yieldNow();
      const found = compiled.pieces.get(piece);
      return found
        ? ok(await pieceAsArt(platform, { compiled, resources, piece: found }))
        : err('job/gone', { what: 'piece' });
    },
    readList: ({ bytes, choices }) => readListFile(bytes, choices),
    async findings({ job, machine }, task) {
      const { compiled, resources } = await ready(job);
      await task.yieldNow();
      return allFindings(compiled, { platform, resources, task, machine });
    },
    async blockers({ job }, task) {
      const { compiled, resources } = await ready(job);
      await task.yieldNow();
      return openBlockers(compiled, { platform, resources });
    },
    async legibility({ job, ...where }, task) {
      const { compiled, resources } = await ready(job);
      await task.yieldNow();
      return findLegibility(compiled, where, { platform, resources, task });
    },
    nest: ({ job, ...effort }, task) =>
      nestJob(job, { ...effort, task, better: (found) => task.found?.(found) }),
    compareSheets: ({ job, onHand }, task) => compareSheets(job, onHand, task),
    async exportFiles({ job, formats, choices, thing }, task) {
      const resources = await loadResources(platform, job, ground.artBytes);
      const compiler = createCompiler(resources);
      const things = groupsOf(job)
        .filter((group) => thing === undefined || group.things.includes(thing))
        .map(({ name, job: seen }) => ({
          compiled: compileJob(seen, compiler),
          thing: job.set && { name },
        }));
      await task.yieldNow();
      const where = { platform, resources, artBytes: ground.artBytes };
      return exportThings({ job, things }, { ...where, formats, choices, task, say });
    },
    async cutProgram({ job, sheet, choices }, task) {
      const { compiled } = await ready(job);
      await task.yieldNow();
      const found = asPrinted(compiled).sheets[sheet];
      return found && cutProgram(found, choices);
    },
    calibrationSheet: (sheet) => calibrationPdf(platform, sheet, say),
    readCalibration: (picture) => readCalibration(platform, picture),
    async tryCalibration({ sheet, seed }, task) {
      return photo(await calibrationPdf(platform, sheet, say), seed, task);
    },
    testPage: (page) => testPagePdf(platform, page, say),
    fitTest: (test) => fitTestPdf(platform, test, say),
    materialTest: (test) => materialTestPdf(platform, test, say),
    templatePdf: (drawing) => templatePdf(platform, drawing, say),
    readTemplate: ({ bytes, name }) => readTemplateFile(platform, bytes, name),
    templateFromPhoto: (photo) => templateFromPhoto(platform, photo),
    async tryMarks({ style, sizes }, task) {
      const tried: MarkTrials[] = [];
      for (const size of sizes) {
        await task.yieldNow();
        tried.push(tryMarks({ style, size }));
      }
      return tried;
    },
    renderPage: (request) => renderPdf(platform, request),
    async rehearse({ job, sheet, ...rehearsed }, task) {
      const { compiled, resources } = await ready(job);
      await task.yieldNow();
      return rehearseSheet(compiled, { ...rehearsed, platform, resources, sheet, task });
    },
    async locateSheet({ job, sheet, ...picture }, task) {
      const of = { ...(await ready(job)), sheet };
      await task.yieldNow();
      return locateSheet(platform, of, picture);
    },
    async tryLoaded({ job, sheet, seed }, task) {
      const found = await sheetPdf(platform, { ...(await ready(job)), sheet });
      if (!found) throw new Error('This sheet is not in the job.');
      return photo(found.pdf, seed, task);
    },
    async run({ job, seed, faults, ...order }, task) {
      const { compiled, resources } = await ready(job);
      await task.yieldNow();
      const devices = ground.devices(seed, faults);
      return runJob(compiled, { ...order, platform, resources, task, devices });
    },
  };
}
