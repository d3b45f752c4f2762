import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strToU8, zipSync } from 'fflate';
import type { CommandCall } from '../core/job/index.ts';
import { move, PIECE, plain } from '../core/testing/proof-jobs.ts';
import type { CliCommand } from './command.ts';
import { plainReader } from './reader.ts';
import { check } from './commands/check.ts';
import { exportCommand } from './commands/export.ts';
import { run } from './commands/run.ts';

const ONE: CommandCall = { name: 'want', args: { piece: PIECE, count: 1 } };

/** A file of the eleventh version with a copy over the edge of its sheet, taken as it is by a sentence. */
function oldFile(sentence: string): string {
  const key = 'outside-printable|piece-1||0|piece-1#1';
  const job = {
    ...plain(ONE, move(20, 150)),
    version: 11,
    accepted: { [key]: { what: sentence, note: 'meant' } },
  };
  const path = join(mkdtempSync(join(tmpdir(), 'peel-old-')), 'old.peel');
  writeFileSync(path, zipSync({ 'job.json': strToU8(JSON.stringify(job)) }));
  return path;
}
const SENTENCE = 'A copy of “Label” reaches over the edge of the sheet.';

const COMMANDS: readonly [string, CliCommand, string[]][] = [
  ['check', check, []],
  ['export', exportCommand, ['--formats', 'hpgl']],
  ['run', run, []],
];

test.each(COMMANDS)(
  'peel %s passes a blocker over that an earlier version accepted by its sentence, and no other',
  async (name, command, more) => {
    const out = name === 'check' ? [] : ['--out', mkdtempSync(join(tmpdir(), 'peel-out-'))];
    const exit = async (sentence: string): Promise<number> =>
      (await command.run([oldFile(sentence), ...out, ...more], plainReader)).exit;
    expect(await exit(SENTENCE)).toBe(0);
    expect(await exit('Something else was found.')).toBe(1);
  },
);

test('blockers are told alike by check and export: with sentences, values and what a fix is called', async () => {
  const file = oldFile('Something else was found.');
  const out = mkdtempSync(join(tmpdir(), 'peel-out-'));
  const checked = (await check.run([file], plainReader)).document as {
    findings: { severity: string }[];
  };
  const exported = (await exportCommand.run([file, '--out', out, '--formats', 'hpgl'], plainReader))
    .document as { blockers: unknown[] };
  expect(exported.blockers).toMatchObject([
    {
      code: 'outside-printable',
      what: SENTENCE,
      values: { copies: 1 },
      fix: { label: 'Put it back' },
    },
  ]);
  expect(checked.findings.filter(({ severity }) => severity === 'blocker')).toEqual(
    exported.blockers,
  );
});
