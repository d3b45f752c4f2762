import type { Platform, Say } from '../base/index.ts';
import { solid, type DrawingNode } from '../drawing/index.ts';
import { rectanglePath, type Path } from '../geometry/index.ts';
import { writePdf } from '../output/index.ts';
import { loadShipped } from '../type/index.ts';
import { FACE, line, ruler, RULER, wordsAt } from './parts.ts';

/** What a test page is printed for. */
export interface TestPage {
  /** The paper, mm. */
  readonly sheet: { readonly width: number; readonly height: number };
  /** Of the printer and its tray. */
  readonly name: string;
}

const CORNER = { from: 12, long: 24 } as const; // mm
const INKS = ['#00ffff', '#ff00ff', '#ffff00', '#000000'];
const PATCH = { width: 22, height: 12 } as const; // mm

/**
 * A page that shows whether a printer is well and prints at true size, and which way round it takes
 * paper: a ruler of 100 mm, a patch of each ink, a large arrow to the top of the page and a filled corner
 * at its top left.
 */
export async function testPagePdf(
  platform: Platform,
  { sheet: { width, height }, name }: TestPage,
  say: Say,
): Promise<Uint8Array> {
  const typeface = await loadShipped(platform, FACE);
  const middle = width / 2;
  const says = (text: string, y: number, size: number): DrawingNode =>
    wordsAt(typeface, text, { x: middle, y }, size);
  const { from, long } = CORNER;
  const corner: Path = [
    ['M', from, from],
    ['L', from + long, from],
    ['L', from, from + long],
    ['Z'],
  ];
  const top = height * 0.12;
  const arrow: Path = [
    ['M', middle, top],
    ['L', middle + 16, top + 22],
    ['L', middle + 6, top + 22],
    ['L', middle + 6, top + 56],
    ['L', middle - 6, top + 56],
    ['L', middle - 6, top + 22],
    ['L', middle - 16, top + 22],
    ['Z'],
  ];
  const black = solid('#000000');
  const centre = height * 0.55;
  const nodes: DrawingNode[] = [
    { kind: 'path', path: corner, fill: black },
    { kind: 'path', path: arrow, fill: black },
    says(name, top + 68, 14),
    says(say('test-page-top', {}), top + 75, 10),
    ...INKS.map((ink, at): DrawingNode => ({
      kind: 'path',
      path: rectanglePath(
        { x: middle + (at - (INKS.length - 1) / 2) * PATCH.width, y: centre },
        PATCH.width,
        PATCH.height,
      ),
      fill: solid(ink),
    })),
    says(say('test-page-inks', {}), centre + 12, 9),
    ...(width > RULER + 10 ? ruler({ typeface, say }, middle - RULER / 2, height * 0.75) : []),
    line(rectanglePath({ x: middle, y: height / 2 }, width - 20, height - 20), [3, 2]),
  ];
  const sources = { typeface: () => typeface, art: () => undefined, bytes: () => undefined };
  const drawing = { width, height, symbols: {}, nodes };
  return writePdf(platform, [{ drawing }], sources, say('test-page-title', { printer: name }));
}
