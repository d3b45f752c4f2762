import { isProblem } from '../../../core/base/index.ts';
import { NO_HOUSE_STYLE } from '../../../core/designs/index.ts';
import { asThing, eachThing, runCommand, thingsOf, type Job } from '../../../core/job/index.ts';
import { colorsOfPieces, fieldsSaid } from '../../../core/piece/index.ts';
import { designedJob, measuredJob } from '../../../core/testing/designed-label.ts';
import { exampleJob } from '../../../core/testing/example-job.ts';
import { THING_KINDS, usualThing, type MeasuredThing } from '../../../core/things/index.ts';
import { callForThing } from './new-thing.ts';

function withThing(job: Job, kind: MeasuredThing['kind']): Job {
  const made = runCommand(job, callForThing(job, kind, NO_HOUSE_STYLE));
  if (isProblem(made)) throw new Error(`${kind}: ${made.code}`);
  return made;
}

const SAYS = { name: 'Marigold balm', line: 'for hands', maker: 'Thistle & Fen', batch: '17' };

test('from one finished label every kind of thing comes in its look, saying the same', () => {
  const lid = designedJob(measuredJob(usualThing('lid')), 'apothecary', SAYS);
  const set = THING_KINDS.reduce<Job>(withThing, lid);
  expect(thingsOf(set)).toHaveLength(1 + THING_KINDS.length);
  expect(thingsOf(set)[0]?.name).toBe('Lid');
  const own = new Set(colorsOfPieces(lid.pieces));
  for (const { name, job } of eachThing(set)) {
    const [piece] = job.pieces;
    expect([name, fieldsSaid(piece?.elements ?? [])]).toMatchObject([name, { name: SAYS.name }]);
    const shared = colorsOfPieces(job.pieces).filter((color) => own.has(color));
    expect([name, shared.length > 1]).toEqual([name, true]);
  }
});

test('a label that was started from a design hands it on', () => {
  const lid = designedJob(measuredJob(usualThing('lid')), 'apothecary', SAYS);
  const started: Job = {
    ...lid,
    pieces: lid.pieces.map((piece) => ({ ...piece, startedFrom: 'beaded' })),
  };
  const call = callForThing(started, 'tag', NO_HOUSE_STYLE);
  expect(call.args).toMatchObject({ design: 'beaded', name: 'Tag', first: 'Lid' });
  // What is no design of this version is as if it was not said.
  const gone = { ...started, pieces: started.pieces.map((one) => ({ ...one, startedFrom: 'x' })) };
  expect(callForThing(gone, 'tag', NO_HOUSE_STYLE).args).toMatchObject({ design: 'quiet' });
});

test('what a label plainly says is known where it has no fields: its largest words are its name', async () => {
  const { job } = await exampleJob();
  const set = withThing(job, 'tag');
  const said = fieldsSaid(asThing(set, 'thing-1').pieces[0]?.elements ?? []);
  expect(said.name?.length).toBeGreaterThan(0);
  expect(fieldsSaid(asThing(set, 'thing-2').pieces[0]?.elements ?? []).name).toBe(said.name);
});
