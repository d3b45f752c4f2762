import { isOpenBlocker } from '../../core/proof/index.ts';
import { readOptions } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readJob } from '../files.ts';
import { callsFor, withKnownAcceptances } from '../ready.ts';
import { findingDocuments } from '../finding-documents.ts';
import { terminalTask } from '../terminal-task.ts';

export const check: CliCommand = {
  does: 'Says what the proof has found in a job.',
  example: 'peel check seals.peel --json',
  usage: 'peel check JOB.peel [--today YYYY-MM-DD] [--json]',
  async run(argv) {
    const given = readOptions(argv, ['today']);
    const job = await withKnownAcceptances(readJob(given.rest[0], given.options.today));
    const found = await callsFor(job).findings({ job: job.job }, terminalTask());
    const findings = findingDocuments(found);
    const lines = findings.map(
      ({ severity, code, what, accepted }) =>
        `${accepted === undefined ? severity : 'accepted'} ${code}: ${what}`,
    );
    return {
      exit: found.some(isOpenBlocker) ? 1 : 0,
      document: { findings },
      text: lines.join('\n') || 'Nothing to say: it can be printed.',
    };
  },
};
