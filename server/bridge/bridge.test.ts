import { Agent, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import fastify from 'fastify';
import { seededRandom } from '../../core/base/index.ts';
import { exportedExample } from '../../core/testing/exported.ts';
import {
  AccessFile,
  SimulatedNetworkCutter,
  SimulatedNetworkPrinter,
} from '../../devices/wire/index.ts';
import { ownCertificate } from '../../devices/wire/testing/certificate.ts';
import { bridge } from './index.ts';

const HOST = 'localhost:4300';
const OWN = { host: HOST, origin: `http://${HOST}`, 'sec-fetch-site': 'same-origin' };

const printer = new SimulatedNetworkPrinter(async function* () {
  await Promise.resolve();
  yield Uint8Array.of(1);
});
const cutter = new SimulatedNetworkCutter();
const server = fastify();
let token: string;
let pdf: Buffer;

beforeAll(async () => {
  await server.register(bridge, {
    prefix: '/api/bridge',
    ports: { printer: 0, cutter: 0 },
    access: new AccessFile(join(mkdtempSync(join(tmpdir(), 'peel-bridge-')), 'printers.json')),
    network: '127.0.0.1',
  });
  await printer.listen(0);
  await cutter.listen(0);
  pdf = Buffer.from((await exportedExample(['pdf'])).file('pdf').bytes);
  await server.listen({ port: 0, host: '127.0.0.1' });
  const told = await asked({ url: 'token', method: 'GET', headers: OWN });
  ({ token } = told.json<{ token: string }>());
});
afterAll(async () => {
  agent.destroy();
  await server.close();
  await printer.close();
  await cutter.close();
});

interface Sent {
  readonly url: string;
  readonly method?: 'GET' | 'POST' | 'PUT' | 'DELETE' | 'OPTIONS' | undefined;
  readonly headers?: Record<string, string>;
  readonly payload?: Buffer | object | undefined;
}
interface Answer {
  readonly statusCode: number;
  readonly bytes: Buffer;
  readonly body: string;
  json<T = unknown>(): T;
}

const agent = new Agent({ keepAlive: true, maxSockets: 8 });

/** A request as it is written, with headers that a browser would not let a page set. */
const asked = ({ url, method = 'POST', headers = {}, payload }: Sent): Promise<Answer> =>
  new Promise((done, failed) => {
    const { port } = server.server.address() as AddressInfo;
    const path = `/api/bridge/${url}`;
    const plain = payload === undefined || Buffer.isBuffer(payload);
    const body = plain ? payload : JSON.stringify(payload);
    const json = plain ? {} : { 'content-type': 'application/json' };
    const length = { 'content-length': String(body?.length ?? 0) };
    const all = { ...json, ...headers, ...length };
    const sent = request({ port, path, method, headers: all, agent }, (answer) => {
      const parts: Buffer[] = [];
      answer.on('data', (part: Buffer) => parts.push(part));
      answer.on('end', () => {
        const bytes = Buffer.concat(parts);
        done({
          statusCode: answer.statusCode ?? 0,
          bytes,
          body: bytes.toString(),
          json: <T>() => JSON.parse(bytes.toString()) as T,
        });
      });
    });
    sent.on('error', failed);
    sent.end(body);
  });
const send = ({ headers = {}, ...sent }: Sent): Promise<Answer> =>
  asked({ ...sent, headers: { ...OWN, 'x-little-peel': token, ...headers } });
const confirm = (kind: string, address: string) =>
  send({ url: 'devices', payload: { kind, address } });
const printUrl = (address: string, more = ''): string =>
  `print?address=${encodeURIComponent(address)}&name=Seals&width=210&height=297${more}`;
const asPdf = { 'content-type': 'application/pdf' };
/** A program of one cut. */
const cutOrder = (address: string, cut: string) => ({
  address,
  program: { start: 'IN;', cuts: [cut], end: 'SP0;', stop: ';PU;' },
});

test.each([
  ['a foreign page', { origin: 'http://evil.example' }],
  ['a page of another port', { origin: 'http://localhost:9999' }],
  ['a foreign name that leads here', { host: 'evil.example', origin: 'http://evil.example' }],
  ['a request that a browser marks as foreign', { 'sec-fetch-site': 'cross-site' }],
  ['a page of the same house', { 'sec-fetch-site': 'same-site' }],
  ['no origin of its own', { origin: 'null' }],
])('%s learns no token and reaches no device, even with the token', async (_, headers) => {
  const told = await asked({ url: 'token', method: 'GET', headers: { ...OWN, ...headers } });
  expect(told.statusCode).toBe(403);
  expect(told.body).not.toContain(token);
  for (const url of [
    'devices',
    'ask',
    'find',
    'picture',
    'trust',
    'login',
    'print',
    'cut',
    'rest',
    'hello',
    'simulated',
  ])
    expect((await send({ url, headers, payload: {} })).statusCode).toBe(403);
});

test('without the token, or with another, nothing is done', async () => {
  for (const wrong of ['', 'x', `${token}x`, token.slice(1)])
    expect((await send({ url: 'simulated', headers: { 'x-little-peel': wrong } })).statusCode).toBe(
      403,
    );
});

test('an address that was not confirmed is not reached, also not by a way round', async () => {
  await confirm('cutter', cutter.address);
  for (const address of [
    printer.address,
    printer.address.replace('127.0.0.1', 'localhost'),
    cutter.address.replace('tcp:', 'ipp:'),
    'ipp://169.254.169.254/',
  ])
    expect((await send({ url: printUrl(address), headers: asPdf, payload: pdf })).statusCode).toBe(
      403,
    );
  expect(printer.done).toEqual([]);
});

test('what is no address is refused with an example', async () => {
  for (const address of ['', 'http://x/', 'ipp://a:b@c/', 'file:///etc/passwd', 'ipp://'])
    expect((await confirm('printer', address)).json()).toMatchObject({
      ok: false,
      problem: { code: 'device/address' },
    });
});

test('a confirmed printer and cutter are sent what the page gives, and how far it is comes back', async () => {
  expect((await confirm('printer', printer.address)).json()).toEqual({
    ok: true,
    value: printer.address,
  });
  const told = await send({ url: 'ask', payload: { address: printer.address } });
  expect(told.json()).toMatchObject({ ok: true, value: { takesPdf: true, unscaled: true } });
  const done = await send({
    url: printUrl(printer.address, '&sides=two-sided-long-edge&copies=2'),
    headers: asPdf,
    payload: pdf,
  });
  const lines = done.body
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as unknown);
  expect(lines[0]).toMatchObject({ doing: { code: 'asking-printer' } });
  expect(lines[lines.length - 1]).toMatchObject({ ok: true, value: { job: 1 } });
  await confirm('cutter', cutter.address);
  const cut = await send({ url: 'cut', payload: cutOrder(cutter.address, 'PU0,0;PD40,0;') });
  expect(cut.body).toContain('{"ok":true}');
  expect(cutter.done[0]?.hpgl).toBe('IN;PU0,0;PD40,0;SP0;');
});

test('what is no program for a cutter, or for one that was not confirmed, is not sent', async () => {
  await confirm('cutter', cutter.address);
  const whole = cutOrder(cutter.address, 'PU0,0;PD9,9;');
  const before = cutter.done.length;
  for (const wrong of [
    { ...whole, program: { ...whole.program, cuts: ['PU0,0;\u001b.K'] } },
    { ...whole, program: { ...whole.program, stop: 7 } },
    { ...whole, line: { line: { speed: 1 }, buffer: 0 } },
    { ...whole, done: -1 },
    { ...whole, more: true },
  ])
    expect((await send({ url: 'cut', payload: wrong })).statusCode).toBe(400);
  for (const address of ['serial:/dev/ttyS0', 'usb:/dev/usb/lp0', printer.address])
    for (const url of ['cut', 'hello'])
      expect(
        (await send({ url, payload: url === 'cut' ? cutOrder(address, '') : { address } }))
          .statusCode,
      ).toBe(403);
  expect(cutter.done).toHaveLength(before);
  expect((await send({ url: 'hello', payload: { address: cutter.address } })).json()).toEqual({
    ok: true,
    value: {},
  });
  expect((await send({ url: 'ports', method: 'GET' })).json()).toMatchObject({ ports: [] });
});

test('a certificate is trusted and a password kept for a confirmed printer; neither is told again', async () => {
  const { fingerprint, ...tls } = ownCertificate();
  const login = { user: 'maker', password: 'gooseberry' };
  const secure = new SimulatedNetworkPrinter(
    async function* () {
      await Promise.resolve();
      yield Uint8Array.of(1);
    },
    { tls, login },
  );
  await secure.listen(0);
  const { address } = secure;
  const ask = async () => (await send({ url: 'ask', payload: { address } })).body;
  const trust = { url: 'trust', payload: { address, fingerprint } };
  expect((await send(trust)).statusCode).toBe(403);
  await confirm('printer', address);
  expect(await ask()).toContain(fingerprint);
  for (const wrong of ['', 'AB', `${fingerprint}:00`])
    expect(
      (await send({ url: 'trust', payload: { address, fingerprint: wrong } })).statusCode,
    ).toBe(400);
  expect((await send(trust)).json()).toEqual({ ok: true });
  expect(await ask()).toContain('printer/wants-login');
  expect((await send({ url: 'login', payload: { address, ...login } })).json()).toEqual({
    ok: true,
  });
  const told = await ask();
  expect(told).toContain('"ok":true');
  expect(told).not.toContain(login.password);
  await send({ url: 'login', payload: { address, user: '', password: '' } });
  expect(await ask()).toContain('printer/wants-login');
  await secure.close();
});

test('the picture of a confirmed printer is shown, of no other address', async () => {
  const picture = (address: string) => send({ url: 'picture', payload: { address } });
  expect((await picture('ipp://127.0.0.1:9/other')).statusCode).toBe(403);
  await confirm('printer', printer.address);
  const shown = await picture(printer.address);
  expect(shown.statusCode).toBe(200);
  expect(shown.bytes.subarray(1, 4).toString()).toBe('PNG');
});

test('the network is looked through when a page asks, and what was found is told at the end', async () => {
  const found = await send({ url: 'find', payload: {} });
  const lines = found.body.trim().split('\n');
  expect(JSON.parse(lines[0] ?? '')).toMatchObject({ doing: { code: 'finding-devices' } });
  expect(JSON.parse(lines[lines.length - 1] ?? '')).toMatchObject({ ok: true });
}, 15_000);

test('the simulated devices start when asked, print what is sent, and show it as pictures', async () => {
  const started = await send({ url: 'simulated', payload: { inkSpread: 0.1 } });
  const { printer: shown, cutter: blade } = started.json<{
    printer: { address: string };
    cutter: { address: string };
  }>();
  await confirm('printer', shown.address);
  const printed = await send({ url: printUrl(shown.address), headers: asPdf, payload: pdf });
  expect(printed.body).toContain('"ok":true');
  const picture = await send({ url: 'simulated/prints/1/0', method: 'GET' });
  expect(picture.bytes.subarray(1, 4).toString()).toBe('PNG');
  expect((await send({ url: 'simulated/prints/9/0', method: 'GET' })).statusCode).toBe(404);
  await confirm('cutter', blade.address);
  await send({ url: 'cut', payload: cutOrder(blade.address, 'PU0,0;PD400,0,400,400,0,0;PU;') });
  const cut = await send({ url: 'simulated/cuts/0', method: 'GET' });
  expect(cut.bytes.subarray(1, 4).toString()).toBe('PNG');
  expect((await send({ url: 'simulated', payload: { jam: true } })).statusCode).toBe(400);
});

test('10,000 malformed or foreign requests leave it up, nothing printed or cut, and memory flat', async () => {
  const random = seededRandom(8);
  const one = <T>(of: readonly T[]): T => of[Math.floor(random.next() * of.length)] as T;
  const noise = (most: number): Buffer =>
    Buffer.from(
      Array.from({ length: Math.floor(random.next() * most) }, () => random.next() * 256),
    );
  const urls = [
    'token',
    'devices',
    'ask',
    'find',
    'picture',
    'trust',
    'login',
    'print',
    'cut',
    'rest',
    'hello',
    'simulated/prints/x/y',
    'simulated/cuts/-1',
    'nowhere',
    printUrl('ipp://10.0.0.1:631/'),
    printUrl(printer.address, '&copies=1e9'),
    printUrl(printer.address, '&address=twice'),
    `cut?address=${'a'.repeat(2000)}`,
    'print?%E0%A4%A',
  ];
  const before = { printed: printer.done.length, cut: cutter.done.length };
  setFlagsFromString('--expose-gc');
  const collect = runInNewContext('gc') as () => void;
  const heap = (): number => {
    collect();
    return process.memoryUsage().heapUsed;
  };
  const statuses = new Map<number, number>();
  let settled = 0;
  for (let at = 0; at < 10_000; at++) {
    if (at === 2000) settled = heap();
    const foreign = random.next() < 0.4;
    const answer = await send({
      url: one(urls),
      method: one(['POST', 'POST', 'PUT', 'DELETE', 'OPTIONS'] as const),
      headers: {
        ...(foreign ? one([{ origin: 'http://x' }, { host: 'x' }, { 'x-little-peel': '' }]) : {}),
        'content-type': one([
          'application/json',
          'application/pdf',
          'text/plain',
          'application/octet-stream',
          'application/ipp',
        ]),
      } as Record<string, string>,
      payload: one([
        noise(300),
        Buffer.from('{"address":'),
        Buffer.from('{"kind":"printer","address":7,"__proto__":{"a":1}}'),
        Buffer.from('[]'),
        Buffer.from('%PDX-1'),
        Buffer.alloc(3000, '{'),
      ]),
    });
    statuses.set(answer.statusCode, (statuses.get(answer.statusCode) ?? 0) + 1);
  }
  expect([...statuses.keys()].filter((status) => status < 400 || status >= 500)).toEqual([]);
  expect(heap() - settled).toBeLessThan(12e6);
  expect({ printed: printer.done.length, cut: cutter.done.length }).toEqual(before);
  expect((await send({ url: 'ask', payload: { address: printer.address } })).json()).toMatchObject({
    ok: true,
  });
});

test('only the route of the token is open, whatever an address begins with', async () => {
  for (const url of [
    'token/../simulated',
    'tokens',
    'token%2f..%2fstand-ins',
    'token/x',
    '//token',
  ])
    expect((await asked({ url, method: 'GET', headers: OWN })).statusCode).not.toBe(200);
  expect((await asked({ url: 'token?x=1', method: 'GET', headers: OWN })).statusCode).toBe(200);
});
