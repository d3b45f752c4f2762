import { err, ok, type Platform, type Result } from '../base/index.ts';
import { toHex } from '../color/index.ts';
import { solid, type PathNode, type SolidPaint } from '../drawing/index.ts';
import {
  compose,
  IDENTITY,
  mapPath,
  type Affine,
  type Path,
  type PathStep,
} from '../geometry/index.ts';
import { pdfLibrary } from './library.ts';

/** The part of pdfium's own interface that reads shapes; the package has it without types. */
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
  _FPDFPath_GetDrawMode(path: number, fill: number, stroke: number): number;
  _FPDFPageObj_GetFillColor(object: number, r: number, g: number, b: number, a: number): number;
  _FPDFPageObj_GetStrokeColor(object: number, r: number, g: number, b: number, a: number): number;
  _FPDFPageObj_GetStrokeWidth(object: number, width: number): number;
  _FPDFPageObj_GetClipPath(object: number): number;
  _FPDFClipPath_CountPaths(clip: number): number;
  readonly wasmExports: { malloc(size: number): number; free(at: number): void };
  readonly HEAPU8: Uint8Array;
}

/** Vector shapes of a page in mm from its top left corner. */
export interface PdfShapes {
  readonly width: number;
  readonly height: number;
  /** Filled and stroked paths; those that are not painted have neither. */
  readonly shapes: readonly PathNode[];
  /** Whether the shapes are all there is: no words, pictures, shadings or clipping beside them. */
  readonly whole: boolean;
}

const PATH = 2;
const FORM = 5;
// How pdfium calls a fill by the even-odd rule.
const EVEN_ODD = 1;
const MM_PER_PT = 25.4 / 72;
const MOST_SEGMENTS = 400_000;

/** Reads the vector shapes of a PDF's page, from 0; refuses what is no PDF, or too much. */
export async function readPdfShapes(
  platform: Platform,
  pdf: Uint8Array,
  page: number,
): Promise<Result<PdfShapes>> {
  const library = await pdfLibrary(platform);
  let document: Awaited<ReturnType<typeof library.loadDocument>>;
  try {
    document = await library.loadDocument(pdf);
  } catch {
    return err('pdf/broken', {});
  }
  try {
    const opened = document.getPage(page);
    const { originalWidth, originalHeight } = opened.getOriginalSize();
    const { pageIdx } = opened as unknown as { pageIdx: number };
    const { module } = library as unknown as { module: PathReader };
    const reader = new Reader(module);
    const flip: Affine = [MM_PER_PT, 0, 0, -MM_PER_PT, 0, originalHeight * MM_PER_PT];
    const shapes = reader.shapesOf(pageIdx, flip);
    const { whole } = reader;
    const [width, height] = [originalWidth * MM_PER_PT, originalHeight * MM_PER_PT];
    return shapes
      ? ok({ width, height, shapes, whole })
      : err('pdf/too-many-paths', { most: MOST_SEGMENTS });
  } finally {
    document.destroy();
  }
}

class Reader {
  /** Whether nothing but shapes was met. */
  whole = true;
  private segments = 0;
  private readonly module: PathReader;

  constructor(module: PathReader) {
    this.module = module;
  }

  shapesOf(page: number, flip: Affine): PathNode[] | undefined {
    const { module } = this;
    const at = module.wasmExports.malloc(32);
    const found: PathNode[] = [];
    try {
      for (let index = 0; index < module._FPDFPage_CountObjects(page); index++)
        this.read(module._FPDFPage_GetObject(page, index), flip, { at, found });
      return this.segments > MOST_SEGMENTS ? undefined : found;
    } finally {
      module.wasmExports.free(at);
    }
  }

  private read(object: number, outer: Affine, into: { at: number; found: PathNode[] }): void {
    const { module } = this;
    const kind = module._FPDFPageObj_GetType(object);
    const clip = module._FPDFPageObj_GetClipPath(object);
    if (clip && module._FPDFClipPath_CountPaths(clip) > 0) this.whole = false;
    if (kind !== PATH && kind !== FORM) {
      this.whole = false;
      return;
    }
    const own = module._FPDFPageObj_GetMatrix(object, into.at) ? this.floats(into.at, 6) : IDENTITY;
    const map = compose(outer, own as unknown as Affine);
    if (kind === PATH) {
      const path = this.path(object, into.at);
      if (path.length)
        into.found.push({
          kind: 'path',
          path: mapPath(path, map),
          ...this.paintOf(object, into.at, map),
        });
      return;
    }
    for (let index = 0; index < module._FPDFFormObj_CountObjects(object); index++)
      this.read(module._FPDFFormObj_GetObject(object, index), map, into);
  }

  private paintOf(object: number, at: number, map: Affine): Partial<PathNode> {
    const { module } = this;
    if (!module._FPDFPath_GetDrawMode(object, at, at + 4)) return {};
    const [fillMode = 0, stroked = 0] = this.whole32(at, 2);
    const fill =
      fillMode > 0 && module._FPDFPageObj_GetFillColor(object, at, at + 4, at + 8, at + 12)
        ? this.color(at)
        : undefined;
    const line =
      stroked && module._FPDFPageObj_GetStrokeColor(object, at, at + 4, at + 8, at + 12)
        ? this.color(at)
        : undefined;
    const thick =
      line && module._FPDFPageObj_GetStrokeWidth(object, at) ? this.floats(at, 1)[0] : 0;
    const scale = Math.sqrt(Math.abs(map[0] * map[3] - map[1] * map[2]));
    return {
      ...(fill ? { fill } : {}),
      ...(fillMode === EVEN_ODD ? { evenOdd: true } : {}),
      ...(line ? { stroke: { paint: line, width: Math.max(0.05, (thick ?? 0) * scale) } } : {}),
    };
  }

  private color(at: number): SolidPaint {
    const [r = 0, g = 0, b = 0, a = 255] = this.whole32(at, 4);
    return solid(toHex({ r: r / 255, g: g / 255, b: b / 255 }), a / 255);
  }

  private whole32(at: number, count: number): number[] {
    return [...new Uint32Array(this.module.HEAPU8.buffer, at, count)];
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
