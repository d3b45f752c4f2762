import type { Job } from '../core/job/index.ts';
import type { Finding } from '../core/proof/index.ts';
import { findingText, fixText } from '../messages/index.ts';
import type { Group } from './groups.ts';

/** Findings with their sentences, as `--json` gives them. */
const findingDocuments = (findings: readonly Finding[]) =>
  findings.map(({ fix, ...finding }) => ({
    ...finding,
    ...findingText(finding),
    ...(fix ? { fix: { label: fixText(fix), call: fix.call } } : {}),
  }));

/** The findings of each group in turn, with the group that they are of where there are several. */
export async function findingsOfGroups(
  groups: readonly Group[],
  find: (job: Job) => Promise<readonly Finding[]>,
) {
  const all = [];
  for (const { job, group } of groups)
    for (const one of findingDocuments(await find(job)))
      all.push({ ...one, ...(group === undefined ? {} : { group }) });
  return all;
}
