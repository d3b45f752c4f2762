import { mkdtempSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readHpgl } from '../devices/simulated/read-cuts.ts';
import { SimulatedNetworkCutter, SimulatedNetworkPrinter } from '../devices/wire/index.ts';
import { writePeel } from '../core/job/index.ts';
import { exampleJob } from '../core/testing/example-job.ts';
import { plainReader } from './reader.ts';
import { exportCommand as exportCommand } from './commands/export.ts';
import { run } from './commands/run.ts';

const folder = mkdtempSync(join(tmpdir(), 'peel-run-'));
const file = join(folder, 'seals.peel');
const cutter = new SimulatedNetworkCutter();
const printer = new SimulatedNetworkPrinter(async function* () {
  await Promise.resolve();
  yield Uint8Array.of(1);
});

beforeAll(async () => {
  const { job, art } = await exampleJob();
  writeFileSync(file, writePeel({ job, art }));
  await printer.listen(0);
  await cutter.listen(0);
});
afterAll(async () => {
  await printer.close();
  await cutter.close();
});

const peelRun = (out: string, ...more: string[]) =>
  run.run([file, '--out', join(folder, out), ...more], plainReader);

test('the sheets go to a printer and a cutter in the house; the cutter gets the file byte for byte', async () => {
  const done = await peelRun('real', '--printer', printer.address, '--cutter', cutter.address);
  expect(done.exit).toBe(0);
  const exported = join(folder, 'exported');
  await exportCommand.run([file, '--out', exported, '--formats', 'hpgl'], plainReader);
  const [lines = ''] = readdirSync(exported);
  expect(cutter.done[0]?.hpgl).toBe(readFileSync(join(exported, lines), 'latin1'));
  expect(printer.done[0]).toMatchObject({ media: 'iso_a4_210x297mm', state: 9 });
  expect(done.document).toEqual({ sheets: [{ copies: [] }] });
});

test('places of the marks that a hand tells move every line, and places that cannot be are refused', async () => {
  const whole = (): readonly { x: number; y: number }[] =>
    readHpgl(cutter.done[0]?.hpgl ?? '').flatMap(({ line }) => line);
  const before = whole();
  // The marks of this sheet are 11 mm from its sides: told 1 mm to the right and 2 mm down.
  const told = '12,13;200,13;200,288';
  await peelRun('by-hand', '--cutter', cutter.address, '--align', told);
  const after = whole();
  expect(after).toHaveLength(before.length);
  after.forEach(({ x, y }, at) => {
    expect(Math.abs(x - (before[at]?.x ?? 0) - 40)).toBeLessThanOrEqual(1);
    expect(Math.abs(y - (before[at]?.y ?? 0) + 80)).toBeLessThanOrEqual(1);
  });
  for (const wrong of ['12,13', '12,13;150,40;200,288', '0,0;500,0', 'a,b;1,2', '1,2;;3,4'])
    await expect(peelRun('wrong', '--cutter', cutter.address, '--align', wrong)).rejects.toThrow(
      /marks/,
    );
  expect(cutter.done).toHaveLength(2);
});

test('a printer that does not answer is told, and nothing is cut', async () => {
  const gone = printer.address.replace(/:\d+\//, ':1/');
  await expect(
    peelRun('gone', '--printer', gone, '--cutter', cutter.address),
  ).rejects.toMatchObject({ problem: { code: 'printer/unreachable' } });
  expect(cutter.done).toHaveLength(2);
});

test('a profile says how the cutter is spoken to: G-code is followed by the simulated one as truly', async () => {
  const profile = join(folder, 'beam.json');
  writeFileSync(profile, '{ "language": "gcode", "origin": "top-right", "turned": true }');
  const sheets = async (out: string, ...more: string[]) =>
    ((await peelRun(out, '--seed', '3', ...more)).document as { sheets: object[] }).sheets;
  // Both cut where the other does: a thousandth of a mm apart, as coordinates are rounded.
  const [plain, beam] = [await sheets('plain'), await sheets('beam', '--profile', profile)];
  const worst = (of: object[]): number[] =>
    of.flatMap((one) =>
      (one as { copies: { deviation: number }[] }).copies.map(({ deviation }) => deviation),
    );
  expect(worst(beam)).toHaveLength(worst(plain).length);
  worst(beam).forEach((off, at) =>
    expect(Math.abs(off - (worst(plain)[at] ?? NaN))).toBeLessThan(0.02),
  );
  const [name = ''] = readdirSync(join(folder, 'beam')).filter((file) => file.endsWith('.gcode'));
  expect(readFileSync(join(folder, 'beam', name), 'utf8')).toMatch(/^G21\nG90\nM5\nG0 X/);
  await peelRun('sent', '--cutter', cutter.address, '--profile', profile);
  expect(cutter.done[0]?.hpgl).toContain('\nM3\nG1 X');
  writeFileSync(profile, '{ "language": "gcode", "feed": 0 }');
  await expect(peelRun('wrong', '--profile', profile)).rejects.toMatchObject({
    problem: { code: 'profile/unread', values: { at: 'feed' } },
  });
  await expect(peelRun('wrong', '--cutter', 'serial:/etc/passwd')).rejects.toThrow(/names no port/);
});
