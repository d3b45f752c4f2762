import type { FileWords, Platform, Say } from '../base/index.ts';
import type { Drawing, DrawingNode } from '../drawing/index.ts';
import { linesPath, translation } from '../geometry/index.ts';
import { writePdf } from '../output/index.ts';
import { shapePath } from '../shape/index.ts';
import { printable, type Stock } from '../stock/index.ts';
import { largerThing, trySize, type FlatSize, type MeasuredThing } from '../things/index.ts';
import { loadShipped } from '../type/index.ts';
import { formatLength, type Unit } from '../units/index.ts';
import { FACE, line, ruler, RULER, wordsAt } from './parts.ts';

/** What is tried: the label of a thing, smaller and larger by steps, on plain paper. */
export interface FitTest {
  readonly thing: MeasuredThing;
  /** Differences in mm, the smallest first. */
  readonly steps: readonly number[];
  /** The sheet that it is printed on; what is die-cut of it does not count. */
  readonly paper: Stock;
  /** Put at the head of each page. */
  readonly name: string;
  readonly unit: Unit;
}

const ROOM = { head: 14, foot: 18, gap: 6 } as const;

interface Tried {
  readonly flat: FlatSize;
  readonly label: string;
}

/** A difference as it is written in an outline: `−1 mm`, `+0.5 mm`, or none. */
export function stepSize(by: number, unit: Unit): FileWords['fit-test-step'] {
  return by === 0 ? {} : { by: `${by < 0 ? '−' : '+'}${formatLength(Math.abs(by), unit)}` };
}

/** Outlines in rows from the top, as many to a page as it holds. */
function pagesOf(
  tried: readonly Tried[],
  paper: Stock,
): (readonly { tried: Tried; x: number; y: number }[])[] {
  const room = printable(paper);
  const [top, bottom] = [room.top + ROOM.head, room.bottom - ROOM.foot];
  const pages: { tried: Tried; x: number; y: number }[][] = [[]];
  let [x, y, row] = [room.left, top, 0];
  for (const one of tried) {
    const { width, height } = one.flat;
    if (x > room.left && x + width > room.right) [x, y, row] = [room.left, y + row + ROOM.gap, 0];
    if (y > top && y + height > bottom) {
      pages.push([]);
      [x, y, row] = [room.left, top, 0];
    }
    pages[pages.length - 1]?.push({ tried: one, x: x + width / 2, y: y + height / 2 });
    x += width + ROOM.gap;
    row = Math.max(row, height);
  }
  return pages;
}

/**
 * Bare outlines of a label in several sizes, to be cut out and held to the thing, with folds, names and
 * a check ruler of 100 mm on every page. A label larger than the paper is turned; what is still larger
 * runs over its edge, as the Size desk has said by then.
 */
export async function fitTestPdf(platform: Platform, test: FitTest, say: Say): Promise<Uint8Array> {
  const { thing, steps, unit, name } = test;
  const typeface = await loadShipped(platform, FACE);
  const tried = steps.flatMap((by): Tried[] => {
    const size = trySize(largerThing(thing, by));
    return size.ok ? [{ flat: size.value, label: say('fit-test-step', stepSize(by, unit)) }] : [];
  });
  const widest = Math.max(...tried.map(({ flat }) => flat.width));
  const paper = turnedFor(test.paper, widest);
  const room = printable(paper);
  const pages = pagesOf(tried, paper).map((outlines): { drawing: Drawing } => {
    const nodes = outlines.flatMap(({ tried: { flat, label }, x, y }): DrawingNode[] => {
      const size = `${formatLength(flat.width, unit)} × ${formatLength(flat.height, unit)}`;
      // In the middle, or above the hole of a disc.
      const names = flat.shape.kind === 'ring' ? -flat.height * 0.36 : -2;
      const folds = linesPath(flat.folds);
      return [
        {
          kind: 'group',
          transform: translation(x, y),
          children: [
            line(shapePath(flat.shape)),
            ...(folds.length ? [line(folds, [2, 1])] : []),
            wordsAt(typeface, label, { x: 0, y: names }, 11),
            wordsAt(typeface, size, { x: 0, y: names + 5 }, 8),
          ],
        },
      ];
    });
    const head = wordsAt(
      typeface,
      say('fit-test-title', { thing: name }),
      { x: paper.width / 2, y: room.top + 5 },
      11,
    );
    return {
      drawing: {
        width: paper.width,
        height: paper.height,
        symbols: {},
        nodes: [
          head,
          ...nodes,
          ...ruler({ typeface, say }, paper.width / 2 - RULER / 2, room.bottom - 10),
        ],
      },
    };
  });
  const sources = { typeface: () => typeface, art: () => undefined, bytes: () => undefined };
  return writePdf(platform, pages, sources, say('fit-test-title', { thing: name }));
}

/** The sheet, laid on its side when that is what the widest outline needs. */
function turnedFor(paper: Stock, widest: number): Stock {
  const room = printable(paper);
  const fits = widest <= room.right - room.left;
  if (fits || paper.height <= paper.width) return paper;
  const [top, right, bottom, left] = paper.margins;
  return {
    ...paper,
    width: paper.height,
    height: paper.width,
    margins: [left, top, right, bottom],
  };
}
