import { performance } from 'node:perf_hooks';
import { asPrinted, compileJob, createJob, loadResources, type Job } from '../core/job/index.ts';
import { printPdf } from '../core/output/index.ts';
import { renderPdf } from '../core/pdf/index.ts';
import { createCompiler } from '../core/piece/index.ts';
import { rehearse, rehearseSheet, runJob } from '../core/run/index.ts';
import { runAll } from '../core/testing/example-job.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { usualThing } from '../core/things/index.ts';
import { simulatedDevices } from '../devices/simulated/index.ts';
import type { Row } from './row.ts';

const TIMES = 200;
const RUNS = 1000;
/** A sheet that lies far askew: 3° of turn, 1 % of scale. */
const ASKEW = {
  printer: { offset: 0.5, turn: 0.12, scale: 0.01 / 3 },
  cutter: { offset: 1, turn: 1, noise: 6 },
};

/** A sheet of 24 round labels. */
function round(): Job {
  return runAll(
    createJob('lid', { id: 'bench', today: '2026-04-18' }),
    { name: 'measure-thing', args: { thing: usualThing('lid', { size: 36, clearance: 0 }) } },
    { name: 'change-piece', args: { piece: 'piece-1', changes: { ground: '#5d2a53', bleed: 2 } } },
    { name: 'change-plan', args: { changes: { gap: 4 } } },
    { name: 'want', args: { piece: 'piece-1', count: 24 } },
  );
}

/** Rehearsals of a sheet, and how well it is found where it lies. */
export async function benchRehearsal(): Promise<Row[]> {
  const job = round();
  const resources = await loadResources(nodePlatform, job, () => Promise.resolve(undefined));
  const compiled = compileJob(job, createCompiler(resources));
  const ground = { platform: nodePlatform, resources };
  await rehearseSheet(compiled, { ...ground, sheet: 0, times: 4, seed: 1 });
  const start = performance.now();
  const done = await rehearseSheet(compiled, { ...ground, sheet: 0, times: TIMES, seed: 1 });
  const took = performance.now() - start;
  if (!done.ok) throw new Error(done.problem.code);
  const began = performance.now();
  await runJob(compiled, {
    ...ground,
    devices: simulatedDevices(nodePlatform, 1),
    accept: ['in-keep-clear'],
  });
  const single = performance.now() - began;
  const [sheet] = asPrinted(compiled).sheets;
  if (!sheet) throw new Error('no sheet');
  const pdf = await printPdf(nodePlatform, asPrinted(compiled), resources);
  const image = await renderPdf(nodePlatform, { pdf, page: 0, dpi: 300 });
  const far = await rehearse(sheet, { image, dpi: 300 }, { times: RUNS, seed: 9, ...ASKEW });
  const at99 = (values: Float32Array): number =>
    Float32Array.from(values).sort()[Math.ceil(values.length * 0.99) - 1] ?? NaN;
  return [
    {
      what: `${TIMES} rehearsals of ${sheet.copies.length} labels, one worker`,
      measured: took,
      unit: 'ms',
      baseline: single * TIMES,
      wanted: 'under 5 s (baseline: as many whole runs)',
    },
    {
      what: `marks of ${RUNS} sheets askew, 300 dpi: residual, worst`,
      measured: Math.max(...far.residuals),
      unit: 'mm',
      wanted: 'at most 0.05 mm',
    },
    {
      what: 'cut from print on these, 99 %',
      measured: at99(far.deviations),
      unit: 'mm',
      wanted: 'at most 0.1 mm',
    },
    { what: 'of these not trusted', measured: far.refused, unit: '', wanted: 'told, never cut' },
  ];
}
