import { compose, ellipsePath, flatten, placed, scaling, translation } from '../geometry/index.ts';
import { simulatedDevices } from '../../devices/simulated/index.ts';
import { readHpgl } from '../../devices/simulated/read-cuts.ts';
import { programText, type CutProgram } from '../output/index.ts';
import { createJob } from '../job/index.ts';
import { compiled, exampleJob, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { copyOutcome, runJob, type Devices, type RunReport } from './index.ts';

const circle = flatten(ellipsePath({ x: 50, y: 50 }, 29, 29), 0.005);

test('a cut moved by 0.3 mm deviates by 0.3 and leaves that much less bleed', () => {
  const actualTransform = compose(placed(1, 2, 0.5), scaling(1));
  const cut = circle[0]?.map(({ x, y }) => ({ x, y })) ?? [];
  const right = compose(translation(0.3, 0), actualTransform);
  const moved = cut.map(({ x, y }) => ({
    x: right[0] * x + right[2] * y + right[4],
    y: right[1] * x + right[3] * y + right[5],
  }));
  const outcome = copyOutcome({ copy: 'a#1', trim: circle, bleed: 2 }, actualTransform, {
    ring: moved,
    clean: true,
  });
  expect(outcome.deviation).toBeCloseTo(0.3, 6);
  expect(outcome.bleedLeft).toBeCloseTo(1.7, 2);
  const perfect = copyOutcome({ copy: 'a#1', trim: circle, bleed: 2 }, [1, 0, 0, 1, 0, 0], {
    ring: cut,
    clean: true,
  });
  expect(perfect.bleedLeft).toBeCloseTo(2, 6);
});

test('HPGL is followed by pen, from where the pen came down', () => {
  expect(readHpgl('IN;SP1;PU0,0;PD40,0,40,40;PU;SP2;PU80,80;PD0,0;')).toEqual([
    {
      pen: 1,
      line: [
        { x: 0, y: 0 },
        { x: 40, y: 0 },
        { x: 40, y: 40 },
      ],
    },
    {
      pen: 2,
      line: [
        { x: 80, y: 80 },
        { x: 0, y: 0 },
      ],
    },
  ]);
});

const order = async (devices: Devices, accept: readonly string[] = []) => {
  const { job, art } = await exampleJob();
  const made = await compiled(job, art);
  return runJob(made.compiled, {
    platform: nodePlatform,
    resources: made.resources,
    devices,
    accept,
  });
};

test('on devices that are both off, the marks bring the cut back onto the print', async () => {
  const done = await order(simulatedDevices(nodePlatform, 5));
  if (!done.ok) throw new Error(done.problem.code);
  const [sheet] = (done.value satisfies RunReport).sheets;
  expect(sheet?.registration?.found.filter(Boolean)).toHaveLength(4);
  expect(sheet?.registration?.residual).toBeLessThan(0.05);
  expect(sheet?.copies).toHaveLength(6);
  for (const copy of sheet?.copies ?? []) {
    expect(copy.deviation).toBeLessThan(0.12);
    expect(copy.bleedLeft).toBeGreaterThan(1.3);
    expect(copy.bleedLeft).toBeLessThanOrEqual(1.51);
  }
});

test('the peeled labels show the print inside their edge and nothing outside', async () => {
  const done = await order(simulatedDevices(nodePlatform, 5));
  const sheet = done.ok ? done.value.sheets[0] : undefined;
  const image = sheet?.peeled;
  if (!image) throw new Error('no picture');
  const at = (x: number, y: number): number[] => [
    ...image.data
      .subarray((Math.round((y * 120) / 25.4) * image.width + Math.round((x * 120) / 25.4)) * 4)
      .subarray(0, 3),
  ];
  expect(Math.abs((at(5, 150)[0] ?? 0) - 0xe9)).toBeLessThan(3);
  const counts = { purple: 0 };
  for (let index = 0; index < image.data.length; index += 4) {
    if (
      Math.abs((image.data[index] ?? 0) - 122) < 12 &&
      Math.abs((image.data[index + 1] ?? 0) - 47) < 12
    )
      counts.purple++;
  }
  const squareMm = (counts.purple * 25.4 * 25.4) / (120 * 120);
  expect(squareMm).toBeGreaterThan(6 * 16 * 16 * 0.93);
  expect(squareMm).toBeLessThan(6 * 16 * 16 * 1.05);
});

test('a sheet laid in the other way round is not cut', async () => {
  const done = await order(simulatedDevices(nodePlatform, 5, { turned: true }));
  const sheet = done.ok ? done.value.sheets[0] : undefined;
  expect(sheet?.stopped).toMatchObject({ values: { code: 'turned-round' } });
  expect(sheet?.copies).toEqual([]);
});

test('a blocker stops the run before anything is sent, unless it is accepted', async () => {
  const { job, art } = await exampleJob();
  const bad = runAll(job, {
    name: 'move-copies',
    args: { places: { 'piece-1#1': { sheet: 0, x: 35, y: 35, angle: 0 } } },
  });
  const made = await compiled(bad, art);
  let sent = 0;
  const devices = simulatedDevices(nodePlatform, 5);
  const counting: Devices = {
    ...devices,
    printer: { print: (what, task) => (sent++, devices.printer.print(what, task)) },
  };
  const shared = { platform: nodePlatform, resources: made.resources, devices: counting };
  const stopped = await runJob(made.compiled, { ...shared, accept: [] });
  expect(!stopped.ok && stopped.problem.where).toBe('in-keep-clear');
  expect(sent).toBe(0);
  const passed = await runJob(made.compiled, { ...shared, accept: ['in-keep-clear', 'overlap'] });
  expect(passed.ok).toBe(true);
  expect(sent).toBe(1);
});

test('creases and holes are lines of their own, and each copy has one outcome', async () => {
  for (const kind of ['band', 'tag', 'disc'] as const) {
    const job = runAll(
      createJob(kind, { id: kind, today: '2026-04-18' }),
      { name: 'change-piece', args: { piece: 'piece-1', changes: { ground: '#f4e9d4' } } },
      { name: 'want', args: { piece: 'piece-1', count: 2 } },
    );
    const made = await compiled(job, new Map());
    const done = await runJob(made.compiled, {
      platform: nodePlatform,
      resources: made.resources,
      devices: simulatedDevices(nodePlatform, 5),
      accept: [],
    });
    if (!done.ok) throw new Error(done.problem.code);
    const copies = done.value.sheets.flatMap((sheet) => sheet.copies);
    expect(copies).toHaveLength(2);
    expect(Math.max(...copies.map(({ deviation }) => deviation))).toBeLessThan(0.2);
  }
});

test.each(['cross', 'corner'] as const)(
  'marks of the form %s are found as they were printed',
  async (style) => {
    const { job, art } = await exampleJob();
    const marks = { ...job.plan.marks, style, size: 9, inset: 14, insetEnds: 16 };
    const marked = runAll(job, { name: 'change-plan', args: { changes: { marks } } });
    const made = await compiled(marked, art);
    const done = await runJob(made.compiled, {
      platform: nodePlatform,
      resources: made.resources,
      devices: simulatedDevices(nodePlatform, 5),
      accept: [],
    });
    if (!done.ok) throw new Error(done.problem.code);
    const [sheet] = done.value.sheets;
    expect(sheet?.registration?.found.filter(Boolean)).toHaveLength(4);
    const worst = Math.max(...(sheet?.copies ?? []).map(({ deviation }) => deviation));
    expect(sheet?.copies).toHaveLength(6);
    expect(worst).toBeLessThan(0.15);
  },
);

test('copies that share their cut lines are cut once and come out as large as they are', async () => {
  const { job, art } = await exampleJob();
  const edge = { kind: 'rectangle', width: 50, height: 40, radius: 0 } as const;
  const sharing = runAll(
    job,
    { name: 'change-piece', args: { piece: 'piece-1', changes: { edge } } },
    { name: 'change-plan', args: { changes: { gap: 0 } } },
  );
  const made = await compiled(sharing, art);
  const lines = made.compiled.sheets[0]?.cuts ?? [];
  expect(lines.every(({ open }) => open)).toBe(true);
  expect(lines.length).toBeLessThan(10);
  const done = await runJob(made.compiled, {
    platform: nodePlatform,
    resources: made.resources,
    devices: simulatedDevices(nodePlatform, 5),
    accept: ['words-near-edge'],
  });
  if (!done.ok) throw new Error(done.problem.code);
  const [sheet] = done.value.sheets;
  expect(readHpgl(programText(done.value.programs[0] as CutProgram))).toHaveLength(lines.length);
  expect(sheet?.copies).toHaveLength(6);
  for (const copy of sheet?.copies ?? []) expect(copy.deviation).toBeLessThan(0.12);
});

test('where the sensor misses the marks, a hand that shows them brings the cut onto the print', async () => {
  const { job, art } = await exampleJob();
  const made = await compiled(job, art);
  const ground = { platform: nodePlatform, resources: made.resources, accept: [] };
  const seed = 5;
  const missed = await runJob(made.compiled, {
    ...ground,
    devices: simulatedDevices(nodePlatform, seed, { missed: 3 }),
  });
  expect(missed.ok && missed.value.sheets[0]?.stopped).toMatchObject({
    code: 'run/not-cut',
    values: { code: 'marks-missing', values: { found: 1, of: 4 } },
  });
  // What a hand sees: the marks as a cutter with good eyes found them on the same sheet.
  const eyes = await runJob(made.compiled, {
    ...ground,
    devices: simulatedDevices(nodePlatform, seed),
  });
  if (!eyes.ok) throw new Error(eyes.problem.code);
  const align = (eyes.value.sheets[0]?.registration?.found ?? []).flatMap((at) => (at ? [at] : []));
  const byHand = await runJob(made.compiled, {
    ...ground,
    align,
    devices: simulatedDevices(nodePlatform, seed, { missed: 3 }),
  });
  if (!byHand.ok) throw new Error(byHand.problem.code);
  expect(byHand.value.sheets[0]?.copies).toHaveLength(6);
  for (const { deviation } of byHand.value.sheets[0]?.copies ?? [])
    expect(deviation).toBeLessThan(0.12);
  const wrong = await runJob(made.compiled, {
    ...ground,
    align: [
      { x: 0, y: 0 },
      { x: 50, y: 3 },
    ],
    devices: simulatedDevices(nodePlatform, seed),
  });
  expect(!wrong.ok && wrong.problem.code).toBe('run/align');
});
