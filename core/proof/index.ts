export { hasSentences, withAcceptedValues } from './acceptances.ts';
export { measureContrasts, wantedContrast, type ContrastOptions } from './contrast.ts';
export {
  elementKey,
  findingKey,
  type Finding,
  type Fix,
  type MeasuredContrast,
  type Severity,
  type Where,
} from './finding.ts';
export { gatherFindings, type GatheredFindings } from './gather.ts';
export { findLegibility, type Legibility } from './legibility.ts';
export type {
  FindingCode,
  FindingName,
  FindingValues,
  FixName,
  FixValues,
  RowLabel,
} from './finding-values.ts';
export { allFindings, FINDING_KINDS, isOpenBlocker, openBlockers, quickFindings } from './proof.ts';
