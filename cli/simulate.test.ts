import { spawn, spawnSync, type ChildProcessByStdio } from 'node:child_process';
import { existsSync, mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { createServer, type AddressInfo } from 'node:net';
import type { Readable } from 'node:stream';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encodeJpegImage } from '../core/raster/index.ts';
import { unwatched } from '../core/base/index.ts';
import { askPrinter, cutOn, nodePlatform } from '../devices/wire/index.ts';
import { encodeIpp, GROUP, ipp, parseIpp } from '../devices/wire/ipp/ipp-message.ts';

type Running = ChildProcessByStdio<null, Readable, null>;
const started: Running[] = [];
afterAll(() => started.forEach((one) => one.kill('SIGKILL')));

/** The first line that a program prints. */
const firstLine = (program: Running): Promise<string> =>
  new Promise((done) => {
    let said = '';
    program.stdout.on('data', (part: Buffer) => {
      said += part.toString();
      if (said.includes('\n')) done(said.split('\n')[0] ?? '');
    });
  });

function simulate(...args: readonly string[]): Running {
  const program = spawn(process.execPath, ['bin/peel.mjs', 'simulate', ...args], {
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  started.push(program);
  return program;
}

/** Sends a document to a printer as any program may. */
async function printed(address: string, document: Uint8Array, format: string): Promise<number> {
  const attributes = new Map(
    Object.entries({
      'attributes-charset': ipp.charset('utf-8'),
      'attributes-natural-language': ipp.language('en'),
      'printer-uri': ipp.uri(address),
      'document-format': ipp.mime(format),
    }),
  );
  const head = encodeIpp({
    ...{ version: [2, 0], code: 0x02, request: 1 },
    groups: [{ tag: GROUP.operation, attributes }],
  });
  const answer = await fetch(address.replace('ipp:', 'http:'), {
    method: 'POST',
    headers: { 'Content-Type': 'application/ipp' },
    body: Buffer.concat([head, document]),
  });
  const read = parseIpp(new Uint8Array(await answer.arrayBuffer()));
  return read.ok ? read.value.message.code : -1;
}

test('the simulated devices run for other programs until they are ended, and keep what came', async () => {
  const out = join(mkdtempSync(join(tmpdir(), 'peel-simulate-')), 'came');
  const program = simulate('--printer-port', '0', '--cutter-port', '0', '--out', out, '--json');
  const said = JSON.parse(await firstLine(program)) as { printer: string; cutter: string };
  expect(said.printer).toMatch(/^ipp:\/\/localhost:\d+\/ipp\/print$/);
  const asked = await askPrinter(said.printer);
  expect(asked).toMatchObject({ ok: true, value: { state: 'idle', takesPdf: true } });
  const data = new Uint8ClampedArray(8 * 8 * 4).fill(200);
  const jpeg = await encodeJpegImage(
    nodePlatform,
    { width: 8, height: 8, data },
    { quality: 90, dpi: 300 },
  );
  expect(await printed(said.printer, jpeg, 'image/jpeg')).toBe(0);
  expect(await printed(said.printer, jpeg, 'image/tiff')).toBe(0x040a);
  const cuts = { start: 'IN;', cuts: ['PU0,0;PD10,10;'], end: '', stop: ';PU;' };
  expect(await cutOn(said.cutter, { program: cuts }, unwatched)).toMatchObject({ ok: true });
  const there = (name: string): boolean => existsSync(join(out, name));
  for (let waited = 0; waited < 100 && !(there('print-1-1.png') && there('cut-1.hpgl')); waited++)
    await new Promise((go) => setTimeout(go, 50));
  expect(readdirSync(out).sort()).toEqual(['cut-1.hpgl', 'print-1-1.png']);
  expect(readFileSync(join(out, 'cut-1.hpgl'), 'latin1')).toBe('IN;PU0,0;PD10,10;');
  const ended = new Promise((done) => program.on('exit', done));
  program.kill('SIGTERM');
  expect(await ended).toBe(0);
});

test('a fault that is none and a port that is taken are told in a sentence', async () => {
  const refused = (...args: string[]): string => {
    const { status, stderr } = spawnSync(process.execPath, ['bin/peel.mjs', 'simulate', ...args], {
      encoding: 'utf8',
      timeout: 30_000,
    });
    expect(status).toBe(2);
    return stderr;
  };
  expect(refused('--fault', 'flood')).toMatch(/^peel: --fault: “flood” is none\. Accepted: jam, /);
  expect(refused('--printer-port', '70000')).toContain('70000 is no port');
  const taken = createServer();
  await new Promise<void>((done) => taken.listen(0, '127.0.0.1', done));
  const { port } = taken.address() as AddressInfo;
  expect(refused('--printer-port', `${port}`, '--cutter-port', '0')).toContain(
    `Port ${port} is taken.`,
  );
  await new Promise((done) => taken.close(done));
});
