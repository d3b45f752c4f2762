import type { Platform, Say } from '../base/index.ts';
import { solid, type DrawingNode } from '../drawing/index.ts';
import { invert, rectanglePath, type Affine } from '../geometry/index.ts';
import { writePdf, type PdfPage } from '../output/index.ts';
import {
  calibrationCrosses,
  calibrationDots,
  markPath,
  ruledCrosses,
  type CalibratedSheet,
} from '../register/index.ts';
import { loadShipped } from '../type/index.ts';
import { FACE, ruler, RULER, wordsAt } from './parts.ts';

/** What a calibration sheet is printed for. */
export interface CalibrationSheet {
  readonly sheet: CalibratedSheet;
  /** Of the printer and its tray, put at the head of each page. */
  readonly name: string;
  readonly sides: readonly CalibrationSide[];
}

/** A side that is printed; with a correction it is a check of it. */
export interface CalibrationSide {
  readonly name: string;
  /** From mm of the file to mm on the paper, as it was found: its inverse is printed through. */
  readonly correct?: Affine;
}

const STEPS = 11;
const STEP = { width: 9, height: 12 } as const; // mm
const CORNERS = ['A', 'B', 'C', 'D'];

/**
 * A page a side, with crosses along the paper's sides, a ruler of 100 mm and a ladder of eleven greys,
 * to be measured with a ruler or in a picture. The dot beside the first cross says which way up it is.
 */
export async function calibrationPdf(
  platform: Platform,
  { sheet, name, sides }: CalibrationSheet,
  say: Say,
): Promise<Uint8Array> {
  const typeface = await loadShipped(platform, FACE);
  const { width, height } = sheet;
  const middle = { x: width / 2, y: height / 2 };
  const says = (text: string, down: number, size: number): DrawingNode =>
    wordsAt(typeface, text, { x: middle.x, y: middle.y + down }, size);
  const letters = ruledCrosses(sheet).map(({ x, y }, at) =>
    wordsAt(
      typeface,
      CORNERS[at] ?? '',
      { x: x + (x < middle.x ? 7 : -7), y: y + (y < middle.y ? 7 : -7) },
      11,
    ),
  );
  const pages = sides.map(({ name: side, correct }): PdfPage => {
    const marks = [...calibrationCrosses(sheet), ...calibrationDots(correct !== undefined)];
    return {
      ...(correct ? { map: invert(correct) } : {}),
      drawing: {
        width,
        height,
        symbols: {},
        nodes: [
          ...marks.map((mark): DrawingNode => ({
            kind: 'path',
            path: markPath(mark),
            fill: solid('#000000'),
          })),
          ...letters,
          says(`${name}, ${side}`, -44, 13),
          says(correct ? say('calibration-check', {}) : say('calibration-plain', {}), -36, 9),
          ...say('calibration-what-to-do', {})
            .split('\n')
            .map((line, at) => says(line, -26 + 4.5 * at, 8)),
          ...greys(middle),
          ...(width > RULER + 2 * 25
            ? ruler({ typeface, say }, middle.x - RULER / 2, middle.y + 32)
            : []),
        ],
      },
    };
  });
  const sources = { typeface: () => typeface, art: () => undefined, bytes: () => undefined };
  return writePdf(platform, pages, sources, say('calibration-title', { printer: name }));
}

/** From white to black in equal steps, about the middle of the sheet. */
function greys({ x, y }: { readonly x: number; readonly y: number }): DrawingNode[] {
  return Array.from({ length: STEPS }, (_, at): DrawingNode => {
    const level = Math.round(255 * (1 - at / (STEPS - 1)))
      .toString(16)
      .padStart(2, '0');
    return {
      kind: 'path',
      path: rectanglePath(
        { x: x + (at - (STEPS - 1) / 2) * STEP.width, y: y },
        STEP.width,
        STEP.height,
      ),
      fill: solid(`#${level}${level}${level}`),
    };
  });
}
