import { FORMATS, type Format } from '../../core/output/index.ts';
import { needed, readOptions, refuse } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readJob, writeInto } from '../files.ts';
import { callsFor, withKnownAcceptances } from '../ready.ts';
import { findingsOfGroups } from '../finding-documents.ts';
import { wantedGroups } from '../groups.ts';
import { terminalTask } from '../terminal-task.ts';

function formats(list: string | boolean | undefined): Format[] {
  const names =
    typeof list === 'string'
      ? list.split(',').map((name) => name.trim())
      : ['pdf', 'svg', 'dxf', 'hpgl', 'json'];
  for (const name of names) {
    if (!FORMATS.includes(name as Format))
      refuse(
        `--formats: “${name}” is not written.`,
        `Accepted: ${FORMATS.join(', ')}.`,
        '--formats',
      );
  }
  return names as Format[];
}

export const exportCommand: CliCommand = {
  does: 'Writes the print file and the cut files of every sheet of a job.',
  example: 'peel export seals.peel --out files --formats pdf,svg',
  usage: `peel export JOB.peel --out DIR [--formats ${FORMATS.join(',')}] [--group NAME] [--today YYYY-MM-DD] [--json]`,
  async run(argv) {
    const given = readOptions(argv, ['out', 'formats', 'group', 'today']);
    const out = needed(given, 'out');
    const wanted = formats(given.options.formats);
    const job = await withKnownAcceptances(readJob(given.rest[0], given.options.today));
    const calls = callsFor(job);
    const groups = wantedGroups(job.job, given);
    const only = given.options.group === undefined ? {} : { thing: groups[0]?.id ?? '' };
    const files = await calls.exportFiles(
      { job: job.job, formats: wanted, ...only },
      terminalTask(),
    );
    for (const { name, bytes } of files) writeInto(out, name, bytes);
    const blockers = await findingsOfGroups(groups, (seen) =>
      calls.blockers({ job: seen }, terminalTask()),
    );
    return {
      exit: blockers.length ? 1 : 0,
      document: {
        files: files.map(({ name, format, bytes }) => ({ name, format, bytes: bytes.length })),
        blockers,
      },
      text: [
        ...files.map(({ name }) => name),
        ...blockers.map(({ code, what }) => `blocker ${code}: ${what}`),
      ].join('\n'),
    };
  },
};
