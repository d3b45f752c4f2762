import type { Platform } from '../base/index.ts';
import type { DrawingNode } from '../drawing/index.ts';
import { renderPdf, type PageImage } from '../pdf/index.ts';
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
  const pdf = await writePdf(platform, [{ drawing }], sources, 'picture');
  return renderPdf(platform, { pdf, page: 0, dpi, clear: true });
}
