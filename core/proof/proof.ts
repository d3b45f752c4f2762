import { isSame } from '../base/index.ts';
import { acceptedValues, type CompiledJob } from '../job/index.ts';
import { measureContrasts, type ContrastOptions } from './contrast.ts';
import { damagedArt } from './damaged-art.ts';
import { findStandIns } from './stand-ins.ts';
import {
  findingKey,
  type Finding,
  type FindingKind,
  type ProofContext,
  type Severity,
} from './finding.ts';
import {
  bleedCutOff,
  bleedsMeet,
  doubledCuts,
  gapTooSmall,
  inKeepClear,
  outsidePrintable,
  overlap,
} from './findings/copies.ts';
import { codeCrowded, codePale, codeTooSmall, codeUnread } from './findings/codes.ts';
import { bleedMissing } from './findings/bleed.ts';
import {
  forceOutOfRange,
  largerThanMachine,
  markTooSmall,
  tightCurve,
} from './findings/cutting.ts';
import { looseParts, thinRim } from './findings/edges.ts';
import { acrossFold, inOverlap } from './findings/folds.ts';
import { codeBent } from './findings/code-bent.ts';
import { underHole } from './findings/holes.ts';
import { onTheGround } from './findings/zones.ts';
import { hairline } from './findings/lines.ts';
import { patternTooFine } from './findings/patterns.ts';
import {
  colorUnread,
  columnMissing,
  oneOffEmpty,
  pictureUnfound,
  placeholderUnread,
  quantityUnread,
  tooManyCopies,
  valueMissing,
} from './findings/lists.ts';
import { licence } from './findings/licences.ts';
import { artMissing, lowResolution } from './findings/pictures.ts';
import { wordsOverlap } from './findings/words-overlap.ts';
import { doesNotFit, nothingWanted, spotShapeDiffers } from './findings/sheets.ts';
import {
  lowContrast,
  missingGlyph,
  wordsDoNotFit,
  wordsNearEdge,
  wordsTooSmall,
} from './findings/words.ts';
import { paleInks } from './findings/pale-inks.ts';
import { scissorsGap, scissorsShape } from './findings/scissors.ts';
import { stickerOutside, stickersTouch } from './findings/stickers.ts';

/** All kinds of finding; adding one touches its own file and this list. */
export const FINDING_KINDS: readonly FindingKind[] = [
  doesNotFit,
  nothingWanted,
  largerThanMachine,
  artMissing,
  overlap,
  doubledCuts,
  inKeepClear,
  outsidePrintable,
  spotShapeDiffers,
  missingGlyph,
  columnMissing,
  placeholderUnread,
  valueMissing,
  quantityUnread,
  tooManyCopies,
  pictureUnfound,
  colorUnread,
  wordsNearEdge,
  wordsDoNotFit,
  wordsTooSmall,
  lowContrast,
  wordsOverlap,
  acrossFold,
  inOverlap,
  onTheGround,
  underHole,
  codeBent,
  codeUnread,
  codeCrowded,
  codePale,
  codeTooSmall,
  lowResolution,
  stickerOutside,
  stickersTouch,
  looseParts,
  thinRim,
  tightCurve,
  bleedMissing,
  hairline,
  patternTooFine,
  markTooSmall,
  forceOutOfRange,
  licence,
  paleInks,
  oneOffEmpty,
  scissorsGap,
  scissorsShape,
  gapTooSmall,
  bleedsMeet,
  bleedCutOff,
];

const WEIGHT: Record<Severity, number> = { blocker: 0, warning: 1, note: 2 };

/** The findings of what is known without rendering: fast enough for every change. */
export function quickFindings(
  compiled: CompiledJob,
  { contrasts = new Map(), ...known }: Partial<Omit<ProofContext, 'compiled'>> = {},
): Finding[] {
  const context = { compiled, contrasts, ...known };
  const { accepted = {} } = compiled.job;
  const findings = FINDING_KINDS.flatMap((kind) => kind.check(context)).map((finding): Finding => {
    const taken = accepted[findingKey(finding)];
    return taken && 'values' in taken && isSame(taken.values, acceptedValues(finding.values))
      ? { ...finding, accepted: taken.note }
      : finding;
  });
  return findings.sort((one, other) => WEIGHT[one.severity] - WEIGHT[other.severity]);
}

/**
 * What has to be mended before a job is printed, as far as nobody has taken it as it is. Contrast, which
 * takes rendering, never stops a run: it is not measured.
 */
export async function openBlockers(
  compiled: CompiledJob,
  {
    machine,
    ...options
  }: Pick<ContrastOptions, 'platform' | 'resources'> & Pick<ProofContext, 'machine'>,
): Promise<Finding[]> {
  const damaged = await damagedArt(compiled, options);
  return quickFindings(compiled, { damaged, machine }).filter(isOpenBlocker);
}

/** Whether a finding stops a run, and nobody has taken it as it is. */
export const isOpenBlocker = ({
  severity,
  accepted,
}: Pick<Finding, 'severity' | 'accepted'>): boolean =>
  severity === 'blocker' && accepted === undefined;

/** All findings, with the contrast of words measured. Blockers come first. */
export async function allFindings(
  compiled: CompiledJob,
  { machine, ...options }: ContrastOptions & Pick<ProofContext, 'machine'>,
): Promise<Finding[]> {
  return quickFindings(compiled, {
    contrasts: await measureContrasts(compiled, options),
    damaged: await damagedArt(compiled, options),
    standIns: await findStandIns(compiled, options),
    machine,
  });
}
