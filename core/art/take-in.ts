import {
  doing,
  err,
  ok,
  problem,
  readZip,
  type Platform,
  type Problem,
  type Result,
  type Task,
  type ZipBudget,
} from '../base/index.ts';
import { countPdfPages, readPdfShapes, renderPdf } from '../pdf/index.ts';
import { isOneColor, type RgbaImage } from '../raster/index.ts';
import type { PixelArt } from './art.ts';
import { sniffFormat } from './header.ts';
import { ART_LIMITS } from './limits.ts';
import { pixelArt, vectorArt } from './make.ts';
import { readSeen, titleOf, type ReadArt, type SeenArt } from './read.ts';
import type { OwnFace, OwnFaces } from './svg/typefaces.ts';
import { signatureOf, type Signature } from './signature.ts';

/** A picture that came in, with the path of its file and what tells it from others. */
export interface TakenArt extends ReadArt {
  /** Its file, with the archive and folders that it was in. */
  readonly path: string;
  /** What it looks like in short, to recognise the same art in another kind of file. */
  readonly signature: Signature;
  /** The kind of file it came as. */
  readonly cameAs: string;
}

/** What became of files that were given. */
export interface TakenIn {
  readonly taken: readonly TakenArt[];
  readonly refused: readonly { readonly path: string; readonly problem: Problem }[];
}

/** How files are taken in. */
export interface TakeInChoices {
  /** For pages of a PDF that hold more than shapes. */
  readonly dpi: number;
  /** Typefaces of the workshop, for words of drawings that name them. */
  readonly typefaces?: readonly OwnFace[];
}

/**
 * Takes in a file: a picture, each page of a PDF (as shapes where it holds nothing else, drawn as
 * pixels otherwise), or all of these in a ZIP with its folders. What cannot be taken in is named
 * with its reason and keeps nothing else out. `bytesOf` gives the files of own typefaces.
 */
export async function takeIn(
  platform: Platform,
  file: { bytes: Uint8Array; name: string },
  {
    choices,
    task,
    bytesOf = () => Promise.resolve(undefined),
    seen,
  }: {
    choices: TakeInChoices;
    task: Task;
    bytesOf?: OwnFaces['bytes'];
    /** Hears of the pixels of each picture as they are stored, where they are at hand. */
    seen?: (art: PixelArt, stored: RgbaImage) => void;
  },
): Promise<TakenIn> {
  const own = { faces: choices.typefaces ?? [], bytes: bytesOf };
  const taken: TakenArt[] = [];
  const refused: { path: string; problem: Problem }[] = [];
  const one = async (bytes: Uint8Array, path: string, inZip: boolean): Promise<void> => {
    await task.yieldNow();
    const format = bytes.length <= ART_LIMITS.bytes ? sniffFormat(bytes) : undefined;
    if (format === 'zip' && !inZip) {
      const entries = unpacked(bytes, path);
      if (!entries.ok) {
        refused.push({ path, problem: entries.problem });
        return;
      }
      const of = entries.value.length;
      for (const [at, entry] of entries.value.entries()) {
        task.progress(at / of, doing('reading-file', { file: at + 1, of }));
        await one(entry.bytes, `${path}/${entry.path}`, true);
      }
      return;
    }
    if (format === 'zip' && inZip) {
      refused.push({ path, problem: problem('art/zip-in-zip', { name: path }, path) });
      return;
    }
    const results =
      format === 'pdf'
        ? await readPages(platform, { bytes, path, dpi: choices.dpi, task })
        : [await readSeen(platform, bytes, { name: path, own })];
    for (const [page, result] of results.entries()) {
      const where = results.length > 1 ? `${path}, page ${page + 1}` : path;
      const why = result.ok ? tooSmall(result.value, where) : result.problem;
      if (why) refused.push({ path: where, problem: why });
      if (why || !result.ok) continue;
      taken.push(takenArt(result.value, { path: where, cameAs: format }));
      const { read, stored } = result.value;
      if (stored && read.art.kind === 'pixels' && read.art.format !== 'jpeg')
        seen?.(read.art, stored);
    }
  };
  await one(file.bytes, file.name, false);
  return { taken, refused };
}

/** Why a picture is too small to be printed; undefined where it is not. */
function tooSmall({ read: { art } }: SeenArt, name: string): Problem | undefined {
  if (art.kind === 'vector') return undefined;
  const { pixelWidth: width, pixelHeight: height } = art;
  const least = ART_LIMITS.leastPixels;
  return Math.max(width, height) < least
    ? problem('art/too-small', { name, width, height, least }, name)
    : undefined;
}

function takenArt(
  seen: SeenArt,
  { path, cameAs }: { path: string; cameAs: string | undefined },
): TakenArt {
  const { stored, read } = seen;
  const notes = [
    ...(read.notes ?? []),
    ...(stored && isOneColor(stored) ? [{ code: 'one-color', values: {} } as const] : []),
  ];
  return {
    ...read,
    ...(notes.length ? { notes } : {}),
    path,
    signature: signatureOf(seen),
    cameAs: cameAs ?? 'unknown',
  };
}

interface Entry {
  readonly path: string;
  readonly bytes: Uint8Array;
}

/** What an operating system puts into archives for itself. */
const isOwn = (path: string): boolean =>
  path.endsWith('/') || /(^|\/)(__MACOSX\/|\.|Thumbs\.db$|desktop\.ini$)/i.test(path);

/** What may come out of one archive, once for each that is given. */
const zipBudget = (): ZipBudget => ({
  entries: ART_LIMITS.zipEntries,
  bytes: ART_LIMITS.zipBytes,
  ratio: ART_LIMITS.zipRatio,
});

function unpacked(bytes: Uint8Array, name: string): Result<Entry[]> {
  const read = readZip(bytes, zipBudget(), (path) => !isOwn(path));
  if ('fault' in read)
    return read.fault === 'entries'
      ? err('art/zip-entries', { name, most: ART_LIMITS.zipEntries }, name)
      : err(`art/zip-${read.fault}`, { name }, name);
  const found = read.entries.map(({ name: path, bytes: content }) => ({ path, bytes: content }));
  return found.length === 0
    ? err('art/zip-empty', { name }, name)
    : ok(found.sort((one, other) => (one.path < other.path ? -1 : 1)));
}

async function readPages(
  platform: Platform,
  { bytes, path, dpi, task }: { bytes: Uint8Array; path: string; dpi: number; task: Task },
): Promise<Result<SeenArt>[]> {
  let count: number;
  try {
    count = await countPdfPages(platform, bytes);
  } catch {
    return [err('art/pdf-broken', { name: path }, path)];
  }
  if (count > ART_LIMITS.pdfPages)
    return [err('art/pdf-pages', { name: path, pages: count, most: ART_LIMITS.pdfPages }, path)];
  const pages: Result<SeenArt>[] = [];
  for (let page = 0; page < count; page++) {
    task.progress((page + 1) / count, doing('reading-page', { page: page + 1, of: count }));
    await task.yieldNow();
    pages.push(await readPage(platform, { bytes, path, page, count, dpi }));
  }
  return pages;
}

async function readPage(
  platform: Platform,
  of: { bytes: Uint8Array; path: string; page: number; count: number; dpi: number },
): Promise<Result<SeenArt>> {
  const { bytes, path, page, count, dpi } = of;
  const name = count === 1 ? titleOf(path) : `${titleOf(path)} ${page + 1}`;
  const known = { name, tags: [] };
  const shapes = await readPdfShapes(platform, bytes, page);
  if (shapes.ok && shapes.value.whole && shapes.value.shapes.length > 0) {
    const painted = shapes.value.shapes.filter(({ fill, stroke }) => fill ?? stroke);
    return ok({ read: vectorArt(painted, shapes.value, known) });
  }
  const { width = 210, height = 297 } = shapes.ok ? shapes.value : {};
  if ((width / 25.4) * (height / 25.4) * dpi * dpi > ART_LIMITS.pixels)
    return err('art/too-large', { name: path, dpi }, path);
  const image = await renderPdf(platform, { pdf: bytes, page, dpi, clear: true });
  return ok({ read: pixelArt(image, dpi, known), stored: image });
}
