import type { Platform } from '../base/index.ts';
import { pixelArt, type ReadArt } from '../art/index.ts';
import type { DrawingNode } from '../drawing/index.ts';
import { translation } from '../geometry/index.ts';
import type { CompiledJob, JobResources } from '../job/index.ts';
import { renderPdf, type PageImage } from '../pdf/index.ts';
import type { CompiledPiece } from '../piece/index.ts';
import { pdfSources } from './print-pdf.ts';
import { writePdf } from './pdf/index.ts';

/** Shapes as pixels: drawn on a page of their size that is clear where nothing is. */
export async function drawShapes(
  platform: Platform,
  { nodes, width, height }: { nodes: readonly DrawingNode[]; width: number; height: number },
  dpi: number,
): Promise<PageImage> {
  const drawing = { width, height, nodes, symbols: {} };
  const none = (): undefined => undefined;
  const sources = { typeface: none, art: none, bytes: none };
  const pdf = await writePdf(platform, [{ drawing }], sources);
  return renderPdf(platform, { pdf, page: 0, dpi, clear: true });
}

/** Fine enough to be used again at up to twice the size. */
const PIECE_DPI = 600;

/** A finished piece as a picture of pixels at its true size, clear outside its edge. */
export async function pieceAsArt(
  platform: Platform,
  {
    compiled,
    resources,
    piece,
  }: { compiled: CompiledJob; resources: JobResources; piece: CompiledPiece },
): Promise<ReadArt> {
  const { width, height } = piece;
  const drawing = {
    width,
    height,
    nodes: [
      {
        kind: 'group' as const,
        transform: translation(width / 2, height / 2),
        children: [{ kind: 'group' as const, clip: piece.trim, children: piece.nodes }],
      },
    ],
    symbols: {},
  };
  const pdf = await writePdf(platform, [{ drawing }], pdfSources(compiled, resources));
  const image = await renderPdf(platform, { pdf, page: 0, dpi: PIECE_DPI, clear: true });
  return pixelArt(image, PIECE_DPI, { name: piece.piece.name, tags: [] });
}
