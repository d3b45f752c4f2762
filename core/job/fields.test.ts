import { isProblem } from '../base/index.ts';
import type { PieceElement } from '../piece/index.ts';
import { designedJob, measuredJob, NAMES } from '../testing/designed-label.ts';
import { runAll } from '../testing/example-job.ts';
import { usualThing } from '../things/index.ts';
import { parseJob, runCommand, type Job } from './index.ts';

const SAYS = { name: 'Oat bar', ingredients: 'oats, honey, almonds', batch: '17' };
const GERMAN = { ...NAMES, ingredients: 'Zutaten', batch: 'Charge' };
const labelled = (): Job =>
  designedJob(measuredJob(usualThing('face', { width: 90, height: 60 })), 'quiet', SAYS);
const fieldOf = (job: Job, field: string): PieceElement | undefined =>
  job.pieces[0]?.elements.find((one) => one.field === field);

test('names of fields change their language, but for those that were typed by hand', () => {
  const job = labelled();
  const batch = fieldOf(job, 'batch');
  const typed = runAll(job, {
    name: 'change-elements',
    args: {
      piece: 'piece-1',
      changes: { [batch?.id ?? '']: { list: { heading: 'Lot no.', between: ' ', runsIn: true } } },
    },
  });
  const made = runAll(typed, {
    name: 'name-fields',
    args: { language: 'de', names: GERMAN, before: NAMES },
  });
  expect(fieldOf(made, 'ingredients')).toMatchObject({ list: { heading: 'Zutaten' } });
  expect(fieldOf(made, 'batch')).toMatchObject({ list: { heading: 'Lot no.' } });
  expect(made.fields).toMatchObject({ language: 'de', names: { batch: 'Charge' } });
  const read = parseJob(JSON.parse(JSON.stringify(made)), { kind: 'job' });
  expect(read.ok && read.value).toEqual(made);
});

test('words are emphasized among ingredients on all labels, and plain again without a list', () => {
  const job = runAll(labelled(), { name: 'emphasize-words', args: { words: ['almonds'] } });
  expect(fieldOf(job, 'ingredients')).toMatchObject({ emphasis: ['almonds'] });
  expect(fieldOf(job, 'batch')).not.toHaveProperty('emphasis');
  const plain = runAll(job, { name: 'emphasize-words', args: { words: [] } });
  expect(fieldOf(plain, 'ingredients')).not.toHaveProperty('emphasis');
  const tooMany = runCommand(job, {
    name: 'emphasize-words',
    args: { words: Array.from({ length: 121 }, (_, at) => `word ${at}`) },
  });
  expect(isProblem(tooMany)).toBe(true);
});
