import type { Platform, Say } from '../base/index.ts';
import type { DrawingNode } from '../drawing/index.ts';
import { rectanglePath } from '../geometry/index.ts';
import { writePdf } from '../output/index.ts';
import { spotPaths, type Stock } from '../stock/index.ts';
import { loadShipped } from '../type/index.ts';
import { FACE, line, ruler, RULER, wordsAt } from './parts.ts';

/** What is drawn of a template: its outlines to draw on, or these with a ruler, to be tried on paper. */
export interface TemplateDrawing {
  readonly stock: Stock;
  readonly purpose: 'outlines' | 'test';
}

/**
 * The labels of a template as bare outlines at true size. As a test it is printed on plain paper and
 * held with the sheet against the light: it has a check ruler of 100 mm and says what to do. The
 * template of a job never prints.
 */
export async function templatePdf(
  platform: Platform,
  { stock, purpose }: TemplateDrawing,
  say: Say,
): Promise<Uint8Array> {
  const { width, height, spots, name } = stock;
  const typeface = await loadShipped(platform, FACE);
  const outlines = spots ? spotPaths(spots).map((path) => line(path)) : [];
  const middle = { x: width / 2, y: height / 2 };
  const test: DrawingNode[] = [
    line(rectanglePath(middle, width - 0.4, height - 0.4), [3, 2]),
    wordsAt(typeface, name, { x: middle.x, y: middle.y - 14 }, 11),
    wordsAt(typeface, say('template-test', {}), { x: middle.x, y: middle.y - 8 }, 8),
    ...(width > RULER + 10 ? ruler({ typeface, say }, middle.x - RULER / 2, middle.y + 8) : []),
  ];
  const nodes = purpose === 'test' ? [...outlines, ...test] : outlines;
  const sources = { typeface: () => typeface, art: () => undefined, bytes: () => undefined };
  const drawing = { width, height, symbols: {}, nodes };
  return writePdf(platform, [{ drawing }], sources, name);
}
