import type { Job } from '../job/index.ts';
import { compiled, runAll } from '../testing/example-job.ts';
import { PIECE, plain, words } from '../testing/proof-jobs.ts';
import { findingKey, quickFindings, type Finding } from './index.ts';

const findings = async (job: Job): Promise<Finding[]> =>
  quickFindings((await compiled(job, new Map())).compiled);

test('a finding that was accepted keeps its note, and speaks again when it says anything else', async () => {
  const small = plain(words({ size: 5 }));
  const found = (await findings(small)).find(({ code }) => code === 'words-too-small');
  if (!found) throw new Error('nothing found');
  const key = findingKey(found);
  const call = {
    name: 'accept-finding' as const,
    args: { key, what: found.what, note: 'fine print' },
  };
  const accepted = runAll(small, call);
  const told = async (job: Job): Promise<string | undefined> =>
    (await findings(job)).find(({ code }) => code === 'words-too-small')?.accepted;
  expect(await told(accepted)).toBe('fine print');
  const smaller = runAll(accepted, {
    name: 'change-elements',
    args: { piece: PIECE, changes: { 'words-1': { size: 4.2, least: 4 } } },
  });
  expect(await told(smaller)).toBeUndefined();
  expect(await told(runAll(accepted, { name: 'reopen-finding', args: { key } }))).toBeUndefined();
});
