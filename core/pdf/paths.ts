import { bad, good, type Platform, type Result } from '../base/index.ts';
import {
  compose,
  IDENTITY,
  mapPath,
  type Affine,
  type Path,
  type PathStep,
} from '../geometry/index.ts';
import { pdfLibrary } from './library.ts';

/** The part of pdfium's own interface that reads paths; the package has it without types. */
interface PathReader {
  _FPDFPage_CountObjects(page: number): number;
  _FPDFPage_GetObject(page: number, at: number): number;
  _FPDFPageObj_GetType(object: number): number;
  _FPDFPageObj_GetMatrix(object: number, matrix: number): number;
  _FPDFFormObj_CountObjects(form: number): number;
  _FPDFFormObj_GetObject(form: number, at: number): number;
  _FPDFPath_CountSegments(path: number): number;
  _FPDFPath_GetPathSegment(path: number, at: number): number;
  _FPDFPathSegment_GetType(segment: number): number;
  _FPDFPathSegment_GetPoint(segment: number, x: number, y: number): number;
  _FPDFPathSegment_GetClose(segment: number): number;
  readonly wasmExports: { malloc(size: number): number; free(at: number): void };
  readonly HEAPU8: Uint8Array;
}

/** Vector outlines of a page in mm from its top left corner; words and pictures are not among them. */
export interface PdfPaths {
  readonly width: number;
  readonly height: number;
  readonly paths: readonly Path[];
}

const PATH = 2;
const FORM = 5;
const MM_PER_PT = 25.4 / 72;
const MOST_SEGMENTS = 400_000;

/** Reads the vector outlines of a PDF's page, from 0; refuses what is no PDF, or too much. */
export async function readPdfPaths(
  platform: Platform,
  pdf: Uint8Array,
  page: number,
): Promise<Result<PdfPaths>> {
  const library = await pdfLibrary(platform);
  let document: Awaited<ReturnType<typeof library.loadDocument>>;
  try {
    document = await library.loadDocument(pdf);
  } catch {
    return bad(
      'pdf/broken',
      'This PDF is damaged or locked with a password.',
      'Save it again without a password.',
    );
  }
  try {
    const opened = document.getPage(page);
    const { originalWidth, originalHeight } = opened.getOriginalSize();
    const { pageIdx } = opened as unknown as { pageIdx: number };
    const { module } = library as unknown as { module: PathReader };
    const reader = new Reader(module);
    const flip: Affine = [MM_PER_PT, 0, 0, -MM_PER_PT, 0, originalHeight * MM_PER_PT];
    const paths = reader.pathsOf(pageIdx, flip);
    return paths
      ? good({ width: originalWidth * MM_PER_PT, height: originalHeight * MM_PER_PT, paths })
      : bad(
          'pdf/too-many-paths',
          `This PDF has more than ${MOST_SEGMENTS / 1000} 000 lines on a page.`,
          'Save its outlines alone.',
        );
  } finally {
    document.destroy();
  }
}

class Reader {
  private segments = 0;
  private readonly module: PathReader;

  constructor(module: PathReader) {
    this.module = module;
  }

  pathsOf(page: number, flip: Affine): Path[] | undefined {
    const { module } = this;
    const at = module.wasmExports.malloc(32);
    const found: Path[] = [];
    try {
      for (let index = 0; index < module._FPDFPage_CountObjects(page); index++)
        this.read(module._FPDFPage_GetObject(page, index), flip, { at, found });
      return this.segments > MOST_SEGMENTS ? undefined : found;
    } finally {
      module.wasmExports.free(at);
    }
  }

  private read(object: number, outer: Affine, into: { at: number; found: Path[] }): void {
    const { module } = this;
    const kind = module._FPDFPageObj_GetType(object);
    if (kind !== PATH && kind !== FORM) return;
    const own = module._FPDFPageObj_GetMatrix(object, into.at) ? this.floats(into.at, 6) : IDENTITY;
    const map = compose(outer, own as unknown as Affine);
    if (kind === PATH) {
      const path = this.path(object, into.at);
      if (path.length) into.found.push(mapPath(path, map));
      return;
    }
    for (let index = 0; index < module._FPDFFormObj_CountObjects(object); index++)
      this.read(module._FPDFFormObj_GetObject(object, index), map, into);
  }

  private floats(at: number, count: number): number[] {
    const { buffer } = this.module.HEAPU8;
    return [...new Float32Array(buffer, at, count)];
  }

  private path(object: number, at: number): Path {
    const { module } = this;
    const steps: PathStep[] = [];
    const handles: number[] = [];
    const count = module._FPDFPath_CountSegments(object);
    this.segments += count;
    for (let index = 0; index < count && this.segments <= MOST_SEGMENTS; index++) {
      const segment = module._FPDFPath_GetPathSegment(object, index);
      module._FPDFPathSegment_GetPoint(segment, at, at + 4);
      const [x = 0, y = 0] = this.floats(at, 2);
      const kind = module._FPDFPathSegment_GetType(segment);
      if (kind === 2) steps.push(['M', x, y]);
      else if (kind === 0) steps.push(['L', x, y]);
      else {
        // A curve comes as three points one after the other.
        handles.push(x, y);
        const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0] = handles;
        if (handles.length === 6) steps.push(['C', a, b, c, d, e, f]);
        if (handles.length === 6) handles.length = 0;
      }
      if (module._FPDFPathSegment_GetClose(segment)) steps.push(['Z']);
    }
    return steps;
  }
}
