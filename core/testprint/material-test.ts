import type { Platform, Say } from '../base/index.ts';
import { rectanglePath } from '../geometry/index.ts';
import { writePdf, writeProgram, type CutProgram } from '../output/index.ts';
import type { CutProfile } from '../stock/index.ts';
import { loadShipped } from '../type/index.ts';
import { FACE, line, wordsAt } from './parts.ts';

/** What a test of a material steps through. */
export interface MaterialTest {
  readonly kind: 'kiss' | 'through';
  /** Around which forces and speeds are tried: grams, mm a second. */
  readonly force: number;
  readonly speed: number;
  /** What the cutter can, grams. */
  readonly least: number;
  readonly most: number;
  readonly name: string;
}

/** One shape of the test, mm on its sheet. */
export interface TestCell {
  readonly x: number;
  readonly y: number;
  readonly force: number;
  readonly speed: number;
}

/** The sheet that the test stands on, mm: half of a postcard-sized spare piece will do. */
export const TEST_SHEET = { width: 148, height: 105 } as const;
/** The side of each square, mm. */
export const TEST_SIZE = 14;

const FORCES = [0.6, 0.8, 1, 1.2, 1.4];
const SPEEDS = [0.5, 1, 1.5];
const LEFT = 16; // mm to the middle of the first square
const TOP = 26;
const ACROSS = 29;
const DOWN = 27;

/** The shapes of a test: force grows from left to right, speed from top to bottom; each pair once. */
export function testCells({ force, speed, least, most }: MaterialTest): TestCell[] {
  const within = (grams: number): number => Math.round(Math.min(most, Math.max(least, grams)));
  return SPEEDS.flatMap((faster, row) =>
    FORCES.map((harder, column) => ({
      x: LEFT + column * ACROSS,
      y: TOP + row * DOWN,
      force: within(force * harder),
      speed: Math.round(speed * faster),
    })),
  );
}

/** What is printed: each square's outline with its force and speed, to be read when it is peeled. */
export async function materialTestPdf(
  platform: Platform,
  test: MaterialTest,
  say: Say,
): Promise<Uint8Array> {
  const typeface = await loadShipped(platform, FACE);
  const { width } = TEST_SHEET;
  const title = say('material-test-question', { material: test.name });
  const nodes = [
    wordsAt(typeface, title, { x: width / 2, y: 10 }, 10),
    ...testCells(test).flatMap(({ x, y, force, speed }) => [
      line(rectanglePath({ x, y }, TEST_SIZE + 3, TEST_SIZE + 3), [0.6, 0.8]),
      wordsAt(typeface, `${force} g`, { x, y: y - 2 }, 8),
      wordsAt(typeface, `${speed} mm/s`, { x, y: y + 3 }, 6.5),
    ]),
  ];
  const sources = { typeface: () => typeface, art: () => undefined, bytes: () => undefined };
  const drawing = { ...TEST_SHEET, symbols: {}, nodes };
  return writePdf(
    platform,
    [{ drawing }],
    sources,
    say('material-test-title', { material: test.name }),
  );
}

/** What is cut: each square with its own force and speed, from the sheet's top left corner. */
export function materialTestProgram(test: MaterialTest, profile?: CutProfile): CutProgram {
  const half = TEST_SIZE / 2;
  const cuts = testCells(test).map(({ x, y, force, speed }) => {
    const corners = [
      { x: x - half, y: y - half },
      { x: x + half, y: y - half },
      { x: x + half, y: y + half },
      { x: x - half, y: y + half },
    ];
    const way = [...corners, ...corners.slice(0, 1)];
    return { kind: test.kind, setting: { force, speed, passes: 1 }, ways: [way] };
  });
  return writeProgram(cuts, TEST_SHEET, { profile });
}
