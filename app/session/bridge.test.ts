import { USUAL_CUTTER } from '../../core/stock/index.ts';
import { Cancelled } from '../../core/base/index.ts';
import '../testing/page-globals.ts';

const { askPrinter, confirmDevice, cutOn, openDevice, printOn, simulatedDevicesState } =
  await import('./bridge.ts');

const PRINTER = 'ipp://192.168.1.20:631/ipp/print';
const CUTTER = 'tcp://192.168.1.30:9100';
const TOLD = {
  name: 'Kitchen',
  state: 'idle',
  reasons: [{ code: 'ink-low', values: {} }],
  media: ['iso_a4_210x297mm'],
  trays: ['main'],
  types: [],
  supplies: [{ name: 'black ink', level: 8, color: '#222222', state: 'low' }],
  copies: 99,
  takesPdf: true,
  duplex: false,
  color: true,
  unscaled: true,
};

interface Sent {
  readonly path: string;
  readonly token: string | undefined;
  readonly body: unknown;
}

/** The bridge of a server that answers requests in turn; a token is always given. */
function answering(...answers: (unknown | Response | Error)[]): Sent[] {
  const sent: Sent[] = [];
  const left = [...answers];
  globalThis.fetch = (url, init) => {
    const path = String(url).replace('/api/bridge/', '');
    if (path === 'token') return Promise.resolve(Response.json({ token: 'secret' }));
    const { headers = {}, body } = init ?? {};
    sent.push({ path, token: (headers as Record<string, string>)['x-little-peel'], body });
    const answer = left.shift();
    if (answer instanceof Error || answer instanceof DOMException) return Promise.reject(answer);
    return Promise.resolve(answer instanceof Response ? answer : Response.json(answer));
  };
  return sent;
}

/** Lines of JSON as they come over a network: cut anywhere. */
const lines = (...told: unknown[]): Response => {
  const bytes = new TextEncoder().encode(told.map((one) => `${JSON.stringify(one)}\n`).join(''));
  const parts = Array.from({ length: Math.ceil(bytes.length / 7) }, (_, at) =>
    bytes.slice(at * 7, at * 7 + 7),
  );
  return new Response(
    new ReadableStream({
      start(stream) {
        for (const part of parts) stream.enqueue(part);
        stream.close();
      },
    }),
  );
};

const order = {
  address: PRINTER,
  name: 'Seals',
  width: 210,
  height: 297,
  choices: { tray: 'main', type: '', quality: 'high' as const, color: 'auto' as const },
};

beforeAll(async () => {
  answering({ ok: true, value: PRINTER }, { ok: true, value: CUTTER });
  await confirmDevice('printer', PRINTER);
  await confirmDevice('cutter', CUTTER);
});

test('a printer is asked with the token, and what it says of itself is read', async () => {
  const sent = answering({ ok: true, value: PRINTER }, { ok: true, value: TOLD });
  expect(await askPrinter(PRINTER)).toEqual({ ok: true, value: TOLD });
  expect(sent.slice(1)).toEqual([
    { path: 'ask', token: 'secret', body: JSON.stringify({ address: PRINTER }) },
  ]);
});

test.each([
  ['nothing', {}],
  ['another shape', { ok: true, value: { ...TOLD, media: 'A4' } }],
  ['a problem that nobody has words for', { ok: false, problem: { code: 'x/y', values: {} } }],
  ['a problem without a code', { ok: false, problem: { what: 'Oh.' } }],
])('%s for an answer is told as a failure of the bridge', async (_, answer) => {
  answering(answer);
  expect(await askPrinter(PRINTER)).toMatchObject({
    ok: false,
    problem: { code: 'bridge/failed' },
  });
});

test('what a device says is wrong comes with what it is about', async () => {
  const problem = { code: 'printer/unreachable', values: { address: PRINTER } };
  answering({ ok: false, problem });
  expect(await askPrinter(PRINTER)).toEqual({ ok: false, problem });
});

test('a refusal of the server is told, also where it says nothing that can be read', async () => {
  answering(
    Response.json({ code: 'bridge/busy', values: {} }, { status: 429 }),
    Response.json('no', { status: 500 }),
  );
  expect(await askPrinter(PRINTER)).toMatchObject({ problem: { code: 'bridge/busy' } });
  expect(await askPrinter(PRINTER)).toMatchObject({ problem: { code: 'bridge/failed' } });
});

test('without a server it is said that it is gone, and how to go on', async () => {
  answering(new TypeError('Failed to fetch'));
  expect(await askPrinter(PRINTER)).toMatchObject({ problem: { code: 'bridge/gone' } });
});

test('nothing is sent to an address that nobody confirmed here', async () => {
  const sent = answering();
  const other = 'ipp://192.168.1.99:631/ipp/print';
  expect(await openDevice('printer', other)).toMatchObject({
    problem: { code: 'bridge/not-confirmed', values: { address: other } },
  });
  expect(sent).toEqual([]);
});

test('how far a print is comes line by line, choices that are left to the printer are left out', async () => {
  const sent = answering(
    { ok: true, value: PRINTER },
    lines(
      { share: 0.1, doing: { code: 'sending-sheets', values: {} } },
      { share: 0.4, doing: { code: 'whistling', values: {} } },
      { share: 0.5, doing: { code: 'printing', values: {} } },
      { ok: true, value: { job: 3, notes: [] } },
    ),
  );
  const told: [number, string][] = [];
  const work = printOn(order, Uint8Array.of(1, 2), (share, { code }) => told.push([share, code]));
  expect(await work.done).toMatchObject({ ok: true });
  expect(told).toEqual([
    [0.1, 'sending-sheets'],
    [0.5, 'printing'],
  ]);
  const query = new URLSearchParams(sent[1]?.path.split('?')[1]);
  expect(Object.fromEntries(query)).toEqual({
    address: PRINTER,
    name: 'Seals',
    width: '210',
    height: '297',
    tray: 'main',
    quality: 'high',
    color: 'auto',
  });
});

const cutter = { id: 'bench', name: 'Bench', ...USUAL_CUTTER, address: CUTTER };
const program = { start: 'IN;', cuts: ['PU0,0;PD9,9;'], end: 'SP0;', stop: ';PU;' };

test('a cutter that is lost on the way says so, and a line that breaks off is a lost server', async () => {
  const problem = { code: 'cutter/lost', values: { from: 2, of: 3 } };
  answering({ ok: true, value: CUTTER }, lines({ ok: false, problem }));
  const cut = cutOn(cutter, { program }, () => undefined);
  expect(await cut.done).toEqual({ ok: false, problem });
  answering(
    { ok: true, value: CUTTER },
    lines({ share: 0.2, doing: { code: 'sending-cut', values: { cut: 1, of: 3 } } }),
  );
  const broken = cutOn(cutter, { program }, () => undefined);
  expect(await broken.done).toMatchObject({ problem: { code: 'bridge/gone' } });
});

test('a cutter that has nothing to say of what it did has cut', async () => {
  answering({ ok: true, value: CUTTER }, lines({ ok: true }));
  const cut = cutOn(cutter, { program }, () => undefined);
  expect(await cut.done).toMatchObject({ ok: true });
});

test('a print that is stopped is cancelled, whatever the server says of it', async () => {
  answering({ ok: true, value: PRINTER }, new DOMException('stopped', 'AbortError'));
  const work = printOn(order, Uint8Array.of(1), () => undefined);
  work.cancel();
  await expect(work.done).rejects.toBeInstanceOf(Cancelled);
});

test('what the simulated devices did is read', async () => {
  const state = {
    printer: { address: PRINTER, jobs: [{ id: 1, name: 'S', media: '', pages: 2, state: 9 }] },
    faults: { dull: true },
  };
  answering(state);
  expect(await simulatedDevicesState()).toEqual(state);
});
