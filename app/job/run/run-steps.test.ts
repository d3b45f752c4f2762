import { asPrinted, createJob, type Job } from '../../../core/job/index.ts';
import { compiled, exampleJob, runAll } from '../../../core/testing/example-job.ts';
import { MATT_PAPER, type Material } from '../../../core/stock/index.ts';
import { runSteps, type Ways } from './run-steps.ts';

const FILES: Ways = { printer: 'file', cutter: 'file', duplex: false, asks: '' };
const NETWORK: Ways = {
  printer: 'network',
  cutter: 'network',
  duplex: true,
  asks: 'It is asked for labels.',
};

async function stepsOf(job: Job, ways: Ways, art = new Map<string, Uint8Array>()) {
  const made = await compiled(job, art);
  return runSteps(asPrinted(made.compiled), ways);
}
const keys = (steps: readonly { key: string }[]): string[] => steps.map(({ key }) => key);
const on = (job: Job, changes: Partial<Material>): Job =>
  runAll(job, { name: 'choose-material', args: { material: { ...MATT_PAPER, ...changes } } });

test('a sheet of stickers is printed, dries, is cut, taken off and counted', async () => {
  const { job, art } = await exampleJob();
  const steps = await stepsOf(job, NETWORK, art);
  expect(keys(steps)).toEqual(['print', 'dry', 'cut-0', 'apply', 'count']);
  expect(steps.map(({ button }) => button)).toEqual([
    'Print',
    'It is dry',
    'Cut',
    'Done',
    'Finish the run',
  ]);
  expect(steps[2]?.text).toContain('the dot with the ring at the top left');
  const byFile = await stepsOf(job, FILES, art);
  expect([byFile[0]?.button, byFile[2]?.button]).toEqual(['Save the PDF', 'Save the cut lines']);
  expect(byFile[0]?.text).toContain('Print at 100 %');
});

test('scissors need one step for all sheets, a foil one between print and cut, dry paper no wait', async () => {
  const { job, art } = await exampleJob();
  const steps = await stepsOf(on(job, { tool: 'scissors', finish: 'foil', drying: 0 }), FILES, art);
  expect(keys(steps)).toEqual(['print', 'finish', 'by-hand', 'apply', 'count']);
});

test('what is printed mirrored is said, and the tool of a carrier', async () => {
  const { job, art } = await exampleJob();
  const steps = await stepsOf(on(job, { mirrored: true, tack: 'high' }), FILES, art);
  expect(steps[0]?.text).toContain('mirrored');
  expect(steps.find(({ kind }) => kind === 'cut')?.text).toContain('with high tack');
});

test('backs are printed in a step of their own, unless the printer turns sheets over', async () => {
  const tag = runAll(
    createJob('tag', { id: 'tag', today: '2026-04-18' }),
    { name: 'add-back', args: { piece: 'piece-1' } },
    { name: 'want', args: { piece: 'piece-1', count: 2 } },
    { name: 'change-plan', args: { changes: { turnOver: 'short' } } },
  );
  const byHand = await stepsOf(tag, FILES);
  expect(keys(byHand).slice(0, 2)).toEqual(['print', 'print-back']);
  expect(byHand[1]?.text).toContain('short side');
  const alone = await stepsOf(tag, NETWORK);
  expect(keys(alone)).not.toContain('print-back');
  expect(alone[0]?.text).toContain('turns the sheets over by itself');
});
