import type { Art } from '../../art/index.ts';
import type { Drawing, DrawingNode } from '../../drawing/index.ts';
import type { Affine, Box } from '../../geometry/index.ts';
import type { RgbaImage } from '../../raster/index.ts';
import type { Typeface } from '../../type/index.ts';
import type { FormField } from './form.ts';

/** One page: a drawing at true size and the boxes that say what of it is finished. */
export interface PdfPage {
  readonly drawing: Drawing;
  /** What is left after cutting, and that with its bleed; mm on the page. */
  readonly trim?: Box;
  readonly bleed?: Box;
  /** Cut lines, on a layer of their own above the print. */
  readonly cuts?: readonly DrawingNode[];
  /** Where the drawing and its cut lines come on the page, mm to mm; as they are unless given. */
  readonly map?: Affine;
  /** Fields to be typed into, in the order in which they are read. */
  readonly fields?: readonly FormField[];
}

/** Where a PDF gets what its drawings only name. */
export interface PdfSources {
  typeface(id: string): Typeface | undefined;
  art(id: string): Art | undefined;
  bytes(art: string): Uint8Array | undefined;
  /** Pixels that come from no file, for a PDF that is only rendered: they are not packed. */
  pixels?(art: string): RgbaImage | undefined;
}
