import { existsSync, mkdtempSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { createServer, type Server } from 'node:http';
import { createServer as createTlsServer } from 'node:tls';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { seededRandom, unwatched } from '../../../core/base/index.ts';
import { problemText } from '../../../messages/index.ts';
import {
  SimulatedNetworkPrinter,
  type PrinterDoor,
} from '../stand-ins/simulated-network-printer.ts';
import { ownCertificate } from '../testing/certificate.ts';
import { AccessFile } from './access-file.ts';
import { askPrinter, printOverIpp } from './ipp-client.ts';
import { IppLine } from './ipp-line.ts';
import { encodeIpp, GROUP, ipp } from './ipp-message.ts';

const own = ownCertificate();
const tls = { key: own.key, cert: own.cert };
const login = { user: 'maker', password: 'peel: ä' };
const pdf = new TextEncoder().encode('%PDF-1.4 nothing');
const print = { pdf, name: 'Seals', settings: { width: 210, height: 297 } };
const ended: (() => unknown)[] = [];
afterEach(async () => {
  for (const end of ended.splice(0)) await end();
});

async function printerWith(door: PrinterDoor): Promise<SimulatedNetworkPrinter> {
  const printer = new SimulatedNetworkPrinter(async function* () {
    await Promise.resolve();
    yield Uint8Array.of(1);
  }, door);
  await printer.listen(0);
  ended.push(() => printer.close());
  return printer;
}

test('a certificate that nobody vouches for is told before a byte of the request is sent', async () => {
  let heard = 0;
  const server = createTlsServer(tls, (socket) => {
    socket.on('error', () => undefined);
    socket.on('data', (part) => (heard += part.length));
  });
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  ended.push(() => server.close());
  const address = `ipps://127.0.0.1:${(server.address() as AddressInfo).port}/ipp/print`;
  const { fingerprint } = own;
  for (const [access, code] of [
    [undefined, 'printer/certificate-unknown'],
    [{ fingerprint: ownCertificate().fingerprint }, 'printer/certificate-changed'],
    [{ fingerprint: ownCertificate().fingerprint, login }, 'printer/certificate-changed'],
  ] as const)
    expect(await printOverIpp(address, print, unwatched, access)).toEqual({
      ok: false,
      problem: { code, values: { address, fingerprint } },
    });
  expect(heard).toBe(0);
});

test('with the certificate that is trusted it prints; another one later stops the run', async () => {
  const printer = await printerWith({ tls });
  const { address } = printer;
  expect(await printOverIpp(address, print, unwatched, own)).toMatchObject({ ok: true });
  expect(printer.done).toHaveLength(1);
  await ended.pop()?.();
  const replaced = new SimulatedNetworkPrinter(
    async function* () {
      /* never asked */
    },
    { tls: ownCertificate() },
  );
  await replaced.listen(Number(new URL(address).port));
  ended.push(() => replaced.close());
  const done = await printOverIpp(address, print, unwatched, own);
  expect(done).toMatchObject({ problem: { code: 'printer/certificate-changed' } });
  if (!done.ok) expect(problemText(done.problem).remedy).toContain('Nothing was sent.');
  expect(replaced.done).toEqual([]);
});

test('a password is asked for, told to be wrong, and never sent without TLS', async () => {
  const printer = await printerWith({ tls, login });
  const { address } = printer;
  const asked = (access: object) => askPrinter(address, { ...own, ...access });
  expect(await asked({})).toMatchObject({
    problem: { code: 'printer/wants-login', values: { address, wrong: false } },
  });
  expect(await asked({ login: { ...login, password: 'x' } })).toMatchObject({
    problem: { code: 'printer/wants-login', values: { wrong: true } },
  });
  expect(await asked({ login })).toMatchObject({ ok: true });
  const bare = await printerWith({ login });
  for (const access of [{}, { login }])
    expect(await askPrinter(bare.address, access)).toMatchObject({
      problem: { code: 'printer/bare-password' },
    });
});

test('what is known of printers is kept in a file that only its owner reads', () => {
  const path = join(mkdtempSync(join(tmpdir(), 'peel-access-')), 'a', 'printers.json');
  const file = new AccessFile(path);
  const address = 'ipps://bench.local:631/ipp/print';
  expect(file.of(address)).toEqual({});
  file.trust(address, own.fingerprint);
  file.logIn(address, login);
  file.logIn('ipps://other.local:8631/', { user: 'x', password: 'y' });
  expect(new AccessFile(path).of('ipps://bench.local/other')).toEqual({
    fingerprint: own.fingerprint,
    login,
  });
  expect(statSync(path).mode & 0o777).toBe(0o600);
  file.logIn(address, undefined);
  expect(file.of(address)).toEqual({ fingerprint: own.fingerprint });
  // A damaged file is put aside, not lost.
  writeFileSync(path, '{ "printers": ');
  expect(file.of(address)).toEqual({});
  file.trust(address, own.fingerprint);
  expect(readFileSync(`${path}.unread`, 'utf8')).toBe('{ "printers": ');
  expect(existsSync(`${path}.${process.pid}`)).toBe(false);
});

/** A printer that answers as it likes. */
async function answering(answer: Parameters<typeof createServer>[1]): Promise<string> {
  const server: Server = createServer(answer);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  ended.push(() => {
    server.closeAllConnections();
    server.close();
  });
  return `ipp://127.0.0.1:${(server.address() as AddressInfo).port}/`;
}

test('an answer of 64 MB of one byte, and redirects, are given up, each with one sentence', async () => {
  let sent = 0;
  const endless = await answering((_, answer) => {
    const part = Buffer.alloc(1 << 16, 'a');
    answer.writeHead(200, { 'Content-Type': 'application/ipp' });
    const go = (): void => {
      while (sent < 64e6 && !answer.destroyed) {
        sent += part.length;
        if (!answer.write(part)) return void answer.once('drain', go);
      }
      answer.end();
    };
    go();
  });
  expect(await askPrinter(endless)).toMatchObject({
    problem: { code: 'ipp/malformed', values: { fault: 'too-long' } },
  });
  expect(sent).toBeLessThan(16e6);
  let asked = 0;
  const around = await answering((request, answer) => {
    asked++;
    answer.writeHead(302, { Location: request.url ?? '/' }).end();
  });
  expect(await askPrinter(around)).toMatchObject({
    problem: { code: 'printer/not-ipp', values: { status: 302 } },
  });
  expect(asked).toBe(1);
});

test('an answer that drips is given up when its time is over', async () => {
  const address = await answering((_, answer) => {
    answer.writeHead(200, { 'Content-Type': 'application/ipp' });
    const drip = setInterval(() => answer.write('a'), 20);
    answer.on('close', () => clearInterval(drip));
  });
  const line = new IppLine(address, {}, { within: 300, most: 2e6 });
  const began = Date.now();
  await expect(line.post([pdf])).rejects.toThrow();
  expect(Date.now() - began).toBeLessThan(3000);
  line.close();
});

test('1,000 malformed answers are each told in one sentence, and memory stays flat', async () => {
  const random = seededRandom(5);
  const whole = Buffer.from(
    encodeIpp({
      version: [1, 1],
      code: 0,
      request: 1,
      groups: [
        {
          tag: GROUP.operation,
          attributes: new Map([['attributes-charset', ipp.charset('utf-8')]]),
        },
        { tag: GROUP.printer, attributes: new Map([['printer-name', ipp.name('Bench')]]) },
      ],
    }),
  );
  const below = (most: number): number => Math.floor(random.next() * most);
  const wild = [
    () => whole.subarray(0, below(whole.length - 1)),
    () => Buffer.concat([whole.subarray(0, 8), Buffer.alloc(600, GROUP.printer)]),
    () => Buffer.concat([whole.subarray(0, whole.length - 1), Buffer.alloc(below(2e5), 0x44)]),
    () => Buffer.from(Array.from({ length: below(400) }, () => below(256))),
    () => Buffer.concat([whole.subarray(0, 9), Buffer.from([0x34, 0, 1, 65, 0, 0]), whole]),
    () => Buffer.from('<html>no printer</html>'),
  ];
  const address = await answering((request, answer) => {
    request.resume();
    answer.writeHead(200, { 'Content-Type': 'application/ipp' });
    answer.end((wild[below(wild.length)] as () => Buffer)());
  });
  let settled = 0;
  for (let at = 0; at < 1000; at++) {
    if (at === 300) settled = process.memoryUsage().rss;
    const told = await askPrinter(address);
    if (told.ok) throw new Error('taken');
    expect(problemText(told.problem).what).toMatch(/^[^.]+\.$/);
  }
  expect(process.memoryUsage().rss - settled).toBeLessThan(150e6);
});
