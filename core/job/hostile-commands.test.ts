import fc from 'fast-check';
import { isProblem, isSame } from '../base/index.ts';
import { exampleJob, runAll } from '../testing/example-job.ts';
import { callOf, NAMES, otherJob } from '../testing/hostile-calls.ts';
import { usualThing } from '../things/index.ts';
import { problemText } from '../../messages/index.ts';
import {
  asThing,
  changeThing,
  editOneCopy,
  isOfTheSet,
  parseJob,
  runCommand,
  thingsOf,
  type CommandCall,
  type Job,
} from './index.ts';

const { array, boolean, constantFrom } = fc;
const THINGS = ['thing-1', 'thing-2', 'thing-3'] as const;

/** A job with a list, a variant, another side, a shape put together and a copy that differs. */
async function fullJob(): Promise<Job> {
  const { job } = await exampleJob();
  const plate = job.pieces[0]?.elements.find(({ kind }) => kind === 'plate');
  const made = runAll(
    job,
    { name: 'add-elements', args: { piece: 'piece-1', elements: plate ? [plate, plate] : [] } },
    {
      name: 'combine-elements',
      args: { piece: 'piece-1', elements: ['plate-2', 'plate-3'], how: 'join' },
    },
    {
      name: 'set-list',
      args: {
        list: {
          columns: ['name', 'latin'],
          rows: [
            { key: 'r1', fields: ['Mint'] },
            { key: 'r2', fields: ['Sage', 'Salvia'] },
          ],
        },
      },
    },
    { name: 'add-size', args: { piece: 'piece-1' } },
    { name: 'add-back', args: { piece: 'piece-1' } },
  );
  const alone = editOneCopy(made, 'piece-1#1', {
    name: 'change-elements',
    args: { piece: 'piece-1', changes: { 'words-1': { text: 'Mint' } } },
  });
  if (isProblem(alone)) throw new Error(alone.code);
  return alone;
}

function frozen<T>(value: T): T {
  if (typeof value === 'object' && value !== null && !Object.isFrozen(value)) {
    Object.freeze(value);
    Object.values(value).forEach(frozen);
  }
  return value;
}

const asKept = (job: Job): unknown => JSON.parse(JSON.stringify(job));

/** What is wrong with the outcome of a command; undefined where nothing is. */
function wrong(made: ReturnType<typeof runCommand>): string | undefined {
  if (isProblem(made))
    return problemText(made).what.length > 2 && problemText(made).remedy
      ? undefined
      : 'says nothing';
  const read = parseJob(asKept(made));
  if (!read.ok) return problemText(read.problem).what;
  return isSame(asKept(read.value), asKept(made)) ? undefined : 'is read as another job';
}

test.each(NAMES)('%s gives a job that can be read again, or says why not', async (name) => {
  const job = frozen(await fullJob());
  fc.assert(
    fc.property(callOf(name), (call) => wrong(runCommand(job, frozen(call))) === undefined),
    { numRuns: 20, seed: 7 },
  );
});

test('so do commands one after the other, for all copies and for one', async () => {
  const job = frozen(await fullJob());
  const any = constantFrom(...NAMES).chain(callOf);
  fc.assert(
    fc.property(array(fc.tuple(any, boolean()), { minLength: 2, maxLength: 6 }), (calls) => {
      let now = job;
      for (const [call, alone] of calls) {
        const made = alone ? editOneCopy(now, 'piece-1#1', call) : runCommand(now, call);
        const fault = wrong(made);
        if (fault !== undefined) throw new Error(`${call.name}: ${fault}`);
        if (!isProblem(made)) now = frozen(made);
      }
    }),
    { numRuns: 60, seed: 7 },
  );
});

/** That job as one of three things. */
async function fullSet(): Promise<Job> {
  return runAll(
    await fullJob(),
    { name: 'add-thing', args: { name: 'Tag', thing: usualThing('tag') } },
    { name: 'join-job', args: { other: runAll(otherJob('lid'), named('Lid')) } },
  );
}
const named = (name: string): CommandCall => ({ name: 'rename-job', args: { name } });

test('so do commands on any thing of a set, and nothing but what is shared reaches the others', async () => {
  const set = frozen(await fullSet());
  expect(thingsOf(set)).toHaveLength(3);
  const any = constantFrom(...NAMES).chain(callOf);
  fc.assert(
    fc.property(
      array(fc.tuple(any, constantFrom(...THINGS)), { minLength: 2, maxLength: 6 }),
      (calls) => {
        let now = set;
        for (const [call, id] of calls) {
          const made = changeThing(now, id, call);
          const fault = wrong(made);
          if (fault !== undefined) throw new Error(`${call.name}: ${fault}`);
          if (isProblem(made)) continue;
          if (!isOfTheSet(call))
            for (const other of thingsOf(made))
              if (other.id !== id && hasThing(now, id))
                expect(asThing(made, other.id).plan.marks).toBe(asThing(now, other.id).plan.marks);
          now = frozen(made);
        }
      },
    ),
    { numRuns: 60, seed: 7 },
  );
});
const hasThing = (job: Job, id: string): boolean => thingsOf(job).some((one) => one.id === id);
