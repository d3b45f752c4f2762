import type { Platform } from '../../core/base/index.ts';
import { solid, type DrawingNode } from '../../core/drawing/index.ts';
import { boxOf, linesPath } from '../../core/geometry/index.ts';
import { writePdf } from '../../core/output/index.ts';
import { renderPdf } from '../../core/pdf/index.ts';
import type { RgbaImage } from '../../core/raster/index.ts';
import { readCuts } from './read-cuts.ts';

const COLORS: Readonly<Record<number, string>> = { 1: '#0f7c86', 2: '#3b3a9c', 3: '#8a640c' };
const AROUND = 5; // mm
const LARGEST = 1200; // mm

/** What a cutter was sent, as one that shows what it does draws it: 72 dpi. */
export async function drawnCuts(platform: Platform, text: string): Promise<RgbaImage> {
  const lines = readCuts(text).map(({ pen, line }) => ({
    pen,
    line: line
      .filter(({ x, y }) => Number.isFinite(x) && Number.isFinite(y))
      .map(({ x, y }) => ({ x, y: -y })),
  }));
  const box = boxOf(lines.flatMap(({ line }) => line)) ?? { left: 0, top: 0, right: 1, bottom: 1 };
  const side = (from: number, to: number): number => Math.min(LARGEST, to - from + 2 * AROUND);
  const nodes = lines.map(({ pen, line }): DrawingNode => {
    const moved = line.map(({ x, y }) => ({ x: x - box.left + AROUND, y: y - box.top + AROUND }));
    const paint = solid(COLORS[pen] ?? '#3b3a9c');
    return { kind: 'path', path: linesPath([moved]), stroke: { paint, width: 0.3 } };
  });
  const drawing = {
    width: side(box.left, box.right),
    height: side(box.top, box.bottom),
    nodes,
    symbols: {},
  };
  const none = (): undefined => undefined;
  const pdf = await writePdf(platform, [{ drawing }], { typeface: none, art: none, bytes: none });
  return renderPdf(platform, { pdf, page: 0, dpi: 72 });
}
