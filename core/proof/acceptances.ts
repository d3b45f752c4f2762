import { acceptedValues, type Job } from '../job/index.ts';
import { findingKey, type Finding } from './finding.ts';
import type { FindingName } from './finding-values.ts';

/** How much of a sentence was kept, letters. */
const LONGEST = 1000;

/** Whether a job has acceptances that are still known by a sentence. */
export const hasSentences = ({ accepted = {} }: Job): boolean =>
  Object.values(accepted).some((one) => 'sentence' in one);

/**
 * The job with acceptances that an earlier version kept by their sentences known by what the findings
 * name. Sentences that no finding says now are kept as they are; the same job where nothing changes.
 * @param sentenceOf what a finding says, in the words of that version
 */
export function withAcceptedValues(
  job: Job,
  findings: readonly Finding[],
  sentenceOf: (finding: FindingName) => string,
): Job {
  if (!hasSentences(job)) return job;
  const accepted = { ...job.accepted };
  let changed = false;
  for (const finding of findings) {
    const key = findingKey(finding);
    const taken = accepted[key];
    if (!taken || !('sentence' in taken)) continue;
    if (taken.sentence !== sentenceOf(finding).slice(0, LONGEST)) continue;
    accepted[key] = { values: acceptedValues(finding.values), note: taken.note };
    changed = true;
  }
  return changed ? { ...job, accepted } : job;
}
