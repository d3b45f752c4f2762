import type { Job } from '../job/index.ts';
import { compiled, runAll } from '../testing/example-job.ts';
import { PIECE, plain, words } from '../testing/proof-jobs.ts';
import { readFileSync } from 'node:fs';
import { findingText } from '../../messages/index.ts';
import { expectOk } from '../base/index.ts';
import { parseJob } from '../job/index.ts';
import {
  findingKey,
  hasSentences,
  quickFindings,
  withAcceptedValues,
  type Finding,
} from './index.ts';

const findings = async (job: Job): Promise<Finding[]> =>
  quickFindings((await compiled(job, new Map())).compiled);

test('a finding that was accepted keeps its note, and speaks again when it says anything else', async () => {
  const small = plain(words({ size: 5 }));
  const found = (await findings(small)).find(({ code }) => code === 'words-too-small');
  if (!found) throw new Error('nothing found');
  const key = findingKey(found);
  const call = {
    name: 'accept-finding' as const,
    args: { key, values: found.values, note: 'fine print' },
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

test('what an earlier version accepted by a sentence is known by its values once it is found', async () => {
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-11.json', 'utf8'));
  const job = expectOk(parseJob(old));
  const found = await findings(job);
  expect(found.map(({ accepted }) => accepted)).toEqual(found.map(() => undefined));
  const known = withAcceptedValues(job, found, (one) => findingText(one).what);
  const key = 'words-too-small|piece-1|words-1||';
  expect(known.accepted?.[key]).toEqual({
    values: { words: 'Sea Holly', size: 5, least: 6 },
    note: 'fine print',
  });
  const told = (await findings(known)).find(({ code }) => code === 'words-too-small');
  expect(told?.accepted).toBe('fine print');
  // What is not found now may be found later: nothing of it is lost.
  expect(hasSentences(known)).toBe(true);
  expect(withAcceptedValues(known, found, (one) => findingText(one).what)).toBe(known);
  expect(withAcceptedValues(job, found, () => 'something else')).toBe(job);
});

test('an acceptance holds what can be stored of the longest names and lists', async () => {
  const small = plain(words({ size: 5 }));
  const [found] = await findings(small);
  if (!found) throw new Error('nothing found');
  const key = findingKey(found);
  const values = { words: 'x'.repeat(9000), names: Array(900).fill('y'), none: undefined };
  const job = runAll(small, { name: 'accept-finding', args: { key, values, note: '' } });
  expect(job.accepted?.[key]).toEqual({
    values: { words: 'x'.repeat(200), names: Array(20).fill('y') },
    note: '',
  });
});
