import {
  compileJob,
  eachThing,
  loadResources,
  type Job,
  writePeel,
  type JobResources,
} from '../core/job/index.ts';
import { unwatched } from '../core/base/index.ts';
import { createCalls } from '../core/calls.ts';
import { createCompiler } from '../core/piece/index.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { runAll } from '../core/testing/example-job.ts';
import { simulatedDevices, simulatedPhoto } from '../devices/simulated/index.ts';
import { say } from '../messages/index.ts';
import { demoJobs } from '../demo/index.ts';
import { inBrowser, openPeel } from './browser.ts';
import { median, type Row } from './row.ts';

const ROUNDS = 9;
const SHADES = ['#9c4f17', '#7a3f12'] as const;

/** The tin of the sample with twelve varieties of each of its four things. */
function twelveVarieties(job: Job): Job {
  const { list } = job;
  if (!list) throw new Error('no list');
  const rows = Array.from({ length: 12 }, (_, at) => {
    const row = list.rows[at % list.rows.length];
    return { ...row, key: `r${at + 1}`, fields: row?.fields ?? [] };
  });
  return { ...job, list: { ...list, rows } };
}

/** A shared colour changed until the label that is looked at is compiled anew, a little other each time. */
function recolored(job: Job, resources: JobResources): { changed: number; compiled: number } {
  const compiler = createCompiler(resources);
  const [first] = eachThing(job);
  if (!first) throw new Error('no thing');
  compileJob(first.job, compiler);
  const times = { changed: [] as number[], compiled: [] as number[] };
  let now = job;
  for (let round = 0; round < ROUNDS; round++) {
    const started = performance.now();
    now = runAll(now, {
      name: 'change-look',
      args: { changes: { colors: { main: SHADES[round % 2] ?? SHADES[0] } } },
    });
    const [seen] = eachThing(now);
    const changed = performance.now();
    if (seen) compileJob(seen.job, compiler);
    times.changed.push(performance.now() - started);
    times.compiled.push(performance.now() - changed);
  }
  return { changed: median(times.changed), compiled: median(times.compiled) };
}

/** A shared colour changed on the Artwork desk until the frame in which the label shows it, ms. */
async function seenInPage(job: Job, art: ReadonlyMap<string, Uint8Array>): Promise<number> {
  return inBrowser(async (page) => {
    const bytes = writePeel({ job: { ...job, id: 'bench-set' }, art: new Map(art) });
    await openPeel(page, 'set.peel', Buffer.from(bytes));
    await page.locator('a[href="/job/bench-set"]').first().click();
    const main = page.getByLabel('Main', { exact: true });
    await main.waitFor();
    await page.waitForTimeout(SETTLED);
    const times: number[] = [];
    for (let round = 0; round < ROUNDS; round++) {
      const shade = SHADES[round % 2] ?? SHADES[0];
      times.push(await main.evaluate(untilSeen, shade));
      await page.waitForTimeout(SETTLED / 4);
    }
    return median(times);
  });
}

const SETTLED = 3000; // ms until nothing is loaded or proved any more

/** Changes a field for a colour in the page; the time until the desk is drawn in it, ms. */
async function untilSeen(field: Element, color: string): Promise<number> {
  const started = performance.now();
  Object.assign(field, { value: color });
  field.dispatchEvent(new Event('input', { bubbles: true }));
  field.dispatchEvent(new Event('change', { bubbles: true }));
  for (;;) {
    await new Promise((go) => requestAnimationFrame(() => setTimeout(go, 0)));
    // In the field, and where the label is drawn.
    const drawn = document.querySelector('.desk')?.outerHTML.split(color).length ?? 0;
    if (drawn > 2 || performance.now() - started > 5000) return performance.now() - started;
  }
}

/** What a set costs, against its things as jobs of their own. */
export async function benchSets(): Promise<Row[]> {
  const tin = (await demoJobs(nodePlatform)).find(({ job }) => job.set);
  if (!tin) throw new Error('no set');
  const job = twelveVarieties(tin.job);
  const artBytes = (id: string) => Promise.resolve(tin.art.get(id));
  const resources = await loadResources(nodePlatform, job, artBytes);
  const shade = recolored(job, resources);
  const seen = await seenInPage(job, tin.art);
  const calls = createCalls({
    platform: nodePlatform,
    say,
    artBytes,
    devices: (seed) => simulatedDevices(nodePlatform, seed),
    photographed: (pdf, seed) => simulatedPhoto(nodePlatform, pdf, seed),
  });
  const formats = ['pdf', 'svg', 'hpgl', 'json'] as const;
  const timed = async (jobs: readonly Job[]): Promise<number> => {
    const started = performance.now();
    for (const one of jobs) await calls.exportFiles({ job: one, formats }, unwatched);
    return performance.now() - started;
  };
  const singles = eachThing(job).map((one) => one.job);
  await timed([job]);
  const whole: number[] = [];
  const apart: number[] = [];
  for (let round = 0; round < 3; round++) {
    whole.push(await timed([job]));
    apart.push(await timed(singles));
  }
  return [
    {
      what: 'set: a shared colour in the page, until it is seen',
      measured: seen,
      unit: 'ms',
      baseline: shade.changed,
      wanted: 'within 100 ms (baseline: the same in Node, without a page)',
    },
    {
      what: 'set: a shared colour of four things, twelve varieties',
      measured: shade.changed,
      unit: 'ms',
      baseline: shade.compiled,
      wanted: 'within 100 ms (baseline: compiling the label alone)',
    },
    {
      what: 'set: compile and export of four things',
      measured: median(whole),
      unit: 'ms',
      baseline: median(apart),
      wanted: 'ratio at most 1.1 (baseline: the things as jobs)',
    },
  ];
}
