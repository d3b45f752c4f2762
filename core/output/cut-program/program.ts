import type { KnifeSetting } from '../../cutting/index.ts';
import { compose, translation, type Affine, type Point } from '../../geometry/index.ts';
import type { CutKind } from '../../shape/index.ts';
import type { CutProfile } from '../../stock/index.ts';

/** What a cutter is sent, in its order. */
export interface CutProgram {
  readonly start: string;
  /** Each begins and ends with the tool lifted. */
  readonly cuts: readonly string[];
  readonly end: string;
  /** Lifts the tool, wherever in a cut it is, and ends the work. */
  readonly stop: string;
}

/** A program as one file. */
export const programText = ({ start, cuts, end }: CutProgram): string =>
  `${start}${cuts.join('')}${end}`;

/** Lines that are cut together. */
export interface ProgramCut {
  readonly kind: CutKind;
  readonly setting?: KnifeSetting | null | undefined;
  /** mm on the sheet, each from its start to its end. */
  readonly ways: readonly (readonly Point[])[];
}

/** How a language of cutters says what is to be done; points are as the cutter counts, mm. */
export interface Tongue {
  readonly start: string;
  readonly end: string;
  readonly stop: string;
  /** Before a line of another kind, or with another setting, than the one before. */
  tool(cut: ProgramCut): string;
  /** One pass along a line. @param pass from 0 */
  line(way: readonly Point[], cut: ProgramCut, pass: number): string;
  /** Moves to a point with the tool lifted. */
  move(to: Point): string;
}

/** How large a sheet is, mm. */
export interface SheetSize {
  readonly width: number;
  readonly height: number;
}

/** From mm of a sheet, x to the right and y down, to mm as a cutter counts them. */
export function cutterAxes(
  {
    origin,
    turned,
    mirrorX,
    mirrorY,
  }: Pick<CutProfile, 'origin' | 'turned' | 'mirrorX' | 'mirrorY'>,
  { width, height }: SheetSize,
): Affine {
  const [fromRight, fromTop] = [origin.endsWith('right'), origin.startsWith('top')];
  const from = translation(fromRight ? -width : 0, fromTop ? 0 : -height);
  const across = (fromRight ? -1 : 1) * ((turned ? mirrorY : mirrorX) ? -1 : 1);
  const along = (fromTop ? 1 : -1) * ((turned ? mirrorX : mirrorY) ? -1 : 1);
  return compose(turned ? [0, across, along, 0, 0, 0] : [across, 0, 0, along, 0, 0], from);
}
