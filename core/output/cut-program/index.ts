import { knifeRings, knifeWay, orderCuts, PLAIN_KNIFE, type Knife } from '../../cutting/index.ts';
import { apply, compose, IDENTITY, type Affine, type Point } from '../../geometry/index.ts';
import type { CompiledSheet } from '../../sheet/index.ts';
import { USUAL_PROFILE, type CutProfile } from '../../stock/index.ts';
import { gcodeTongue } from './gcode.ts';
import { hpglTongue } from './hpgl.ts';
import {
  cutterAxes,
  type CutProgram,
  type ProgramCut,
  type SheetSize,
  type Tongue,
} from './program.ts';

export { HPGL_PENS, HPGL_UNITS } from './hpgl.ts';
export { cutterAxes, programText, type CutProgram, type ProgramCut } from './program.ts';

/** How cut lines are written. */
export interface ProgramChoices {
  /** How the cutter is spoken to; as cut files are exported unless given. */
  readonly profile?: CutProfile | undefined;
  /** From mm of the sheet to where the cutter has them, when it does not look for itself. */
  readonly lies?: Affine | undefined;
  /** Whether the ways are gone with the tool lifted, or the beam off. HPGL knows no such thing. */
  readonly dry?: boolean | undefined;
}

const tongueOf = ({ profile = USUAL_PROFILE, dry = false }: ProgramChoices): Tongue =>
  profile.language === 'gcode' ? gcodeTongue(profile, dry) : hpglTongue(profile);

/** Cuts of a sheet as a cutter is sent them. */
export function writeProgram(
  cuts: readonly ProgramCut[],
  size: SheetSize,
  choices: ProgramChoices = {},
): CutProgram {
  const { profile = USUAL_PROFILE, lies = IDENTITY } = choices;
  const { start, end, stop, ...tongue } = tongueOf(choices);
  const onto = compose(cutterAxes(profile, size), lies);
  let before: ProgramCut | undefined;
  const written = cuts.map((cut) => {
    const same = before?.kind === cut.kind && before.setting === cut.setting;
    before = cut;
    const { passes = 1 } = cut.setting ?? {};
    const ways = cut.ways.map((way) => way.map((point) => apply(onto, point)));
    return [
      same ? '' : tongue.tool(cut),
      ...ways.flatMap((way) =>
        Array.from({ length: passes }, (_, pass) => tongue.line(way, cut, pass)),
      ),
    ].join('');
  });
  return { start, cuts: written, end, stop };
}

/**
 * The cut lines of a sheet as a cutter is sent them, each kind of line after the other.
 * @param knife how the cutter's knife trails; as the lines are unless given
 * @param done how many cuts, in their order, were made before and are left out
 */
export function cutProgram(
  sheet: CompiledSheet,
  { knife = PLAIN_KNIFE, done = 0, ...choices }: SheetProgramChoices = {},
): CutProgram {
  const cuts = orderCuts(sheet.cuts)
    .slice(done)
    .map((cut) => ({
      kind: cut.kind,
      setting: knife.settings?.[cut.kind],
      ways: knifeRings(cut).map((ring) => knifeWay(ring, cut.open, knife)),
    }));
  return writeProgram(cuts, sheet.drawing, choices);
}

/** How the cut lines of a sheet are written. */
export interface SheetProgramChoices extends ProgramChoices {
  readonly knife?: Knife | undefined;
  readonly done?: number | undefined;
}

/** Moves the lifted tool to a point of a sheet, mm. */
export function moveProgram(to: Point, size: SheetSize, choices: ProgramChoices = {}): CutProgram {
  const { profile = USUAL_PROFILE } = choices;
  const { start, stop, ...tongue } = tongueOf(choices);
  return { start, cuts: [tongue.move(apply(cutterAxes(profile, size), to))], end: '', stop };
}
