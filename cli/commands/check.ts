import { isOpenBlocker } from '../../core/proof/index.ts';
import { readOptions } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readJob } from '../files.ts';
import { callsFor, withKnownAcceptances } from '../ready.ts';
import { findingsOfGroups } from '../finding-documents.ts';
import { wantedGroups } from '../groups.ts';
import { terminalTask } from '../terminal-task.ts';

export const check: CliCommand = {
  does: 'Says what the proof has found in a job.',
  example: 'peel check seals.peel --json',
  usage: 'peel check JOB.peel [--group NAME] [--today YYYY-MM-DD] [--json]',
  async run(argv) {
    const given = readOptions(argv, ['group', 'today']);
    const job = await withKnownAcceptances(readJob(given.rest[0], given.options.today));
    const calls = callsFor(job);
    const findings = await findingsOfGroups(wantedGroups(job.job, given), (seen) =>
      calls.findings({ job: seen }, terminalTask()),
    );
    const lines = findings.map(
      ({ severity, code, what, accepted, group }) =>
        `${group === undefined ? '' : `${group}: `}${accepted === undefined ? severity : 'accepted'} ${code}: ${what}`,
    );
    return {
      exit: findings.some(isOpenBlocker) ? 1 : 0,
      document: { findings },
      text: lines.join('\n') || 'Nothing to say: it can be printed.',
    };
  },
};
