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
export { findLegibility, type Legibility } from './legibility.ts';
export type { LegibilityFix } from './legibility-fixes.ts';
export { allFindings, FINDING_KINDS, isOpenBlocker, openBlockers, quickFindings } from './proof.ts';
