import { jest } from '@jest/globals';
import { Cancelled, doing, problem } from '../../core/base/index.ts';
import { CallHost, type CallWorker } from './host.ts';
import type { FromWorker, ToWorker } from './protocol.ts';

class FakeWorker implements CallWorker {
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null = null;
  onerror: ((event: ErrorEvent) => void) | null = null;
  readonly heard: ToWorker[] = [];
  ended = false;
  postMessage(message: ToWorker): void {
    this.heard.push(message);
  }
  terminate(): void {
    this.ended = true;
  }
  say(message: FromWorker): void {
    this.onmessage?.({ data: message } as MessageEvent<FromWorker>);
  }
}

const started: FakeWorker[] = [];
// Calls that a test leaves waiting are ended with it.
afterEach(() => {
  jest.useRealTimers();
  for (const worker of started.splice(0)) worker.onerror?.({ message: 'over' } as ErrorEvent);
});

const hosted = (): { host: CallHost; workers: FakeWorker[] } => {
  const workers: FakeWorker[] = [];
  const start = (): FakeWorker => {
    const worker = new FakeWorker();
    workers.push(worker);
    started.push(worker);
    return worker;
  };
  return {
    host: new CallHost(start, (id) =>
      Promise.resolve(id === 'known' ? Uint8Array.of(7) : undefined),
    ),
    workers,
  };
};
const read = { bytes: Uint8Array.of(1), name: 'a.png' };

test('answers find their calls, whatever order they come in', async () => {
  const { host, workers } = hosted();
  const shares: number[] = [];
  const parts: unknown[] = [];
  const first = host.call(
    'readArt',
    read,
    (share) => shares.push(share),
    (part) => parts.push(part),
  );
  const second = host.call('renderPage', { pdf: read.bytes, page: 0, dpi: 72 });
  const [worker] = workers;
  worker?.say({
    kind: 'done',
    id: 2,
    answer: { width: 1, height: 1, data: new Uint8ClampedArray(4) },
  });
  worker?.say({ kind: 'progress', id: 1, share: 0.5, doing: doing('rendering', {}) });
  worker?.say({ kind: 'found', id: 1, part: 'half of it' });
  worker?.say({
    kind: 'done',
    id: 1,
    answer: { ok: false, problem: problem('art/gone', {}) },
  });
  await expect(second.answer).resolves.toMatchObject({ width: 1 });
  await expect(first.answer).resolves.toMatchObject({ ok: false });
  expect(shares).toEqual([0.5]);
  expect(parts).toEqual(['half of it']);
  expect(workers).toHaveLength(1);
});

test('a call that was cancelled is heard no more, even of what was under way', async () => {
  const { host, workers } = hosted();
  const heard: unknown[] = [];
  const call = host.call(
    'readArt',
    read,
    (share) => heard.push(share),
    (part) => heard.push(part),
  );
  call.cancel();
  workers[0]?.say({ kind: 'progress', id: 1, share: 0.5, doing: doing('rendering', {}) });
  workers[0]?.say({ kind: 'found', id: 1, part: 'late' });
  workers[0]?.say({ kind: 'cancelled', id: 1 });
  await expect(call.answer).rejects.toThrow(Cancelled);
  expect(heard).toEqual([]);
});

test('a worker that does not stop within its grace is ended and replaced', async () => {
  const { host, workers } = hosted();
  const ongoing = host.call('readArt', read);
  ongoing.cancel();
  await expect(ongoing.answer).rejects.toBeInstanceOf(Cancelled);
  expect(workers[0]?.ended).toBe(true);
  void host.call('readArt', read).answer.catch(() => undefined);
  expect(workers).toHaveLength(2);
});

test('a call that nobody cancelled starts anew in the next worker', async () => {
  const { host, workers } = hosted();
  const slow = host.call('renderPage', { pdf: read.bytes, page: 0, dpi: 72 });
  const other = host.call('readArt', read);
  slow.cancel();
  await expect(slow.answer).rejects.toBeInstanceOf(Cancelled);
  expect(workers[1]?.heard).toMatchObject([{ kind: 'call', id: 2, name: 'readArt' }]);
  workers[1]?.say({
    kind: 'done',
    id: 2,
    answer: { ok: false, problem: problem('art/gone', {}) },
  });
  await expect(other.answer).resolves.toMatchObject({ ok: false });
});

test('a worker that stops in time is kept', async () => {
  const { host, workers } = hosted();
  const ongoing = host.call('readArt', read);
  ongoing.cancel();
  workers[0]?.say({ kind: 'cancelled', id: 1 });
  await expect(ongoing.answer).rejects.toBeInstanceOf(Cancelled);
  await new Promise((go) => setTimeout(go, 150));
  expect(workers[0]?.ended).toBe(false);
});

test('art is given when it is asked for, and said to be missing when it is', async () => {
  const { host, workers } = hosted();
  void host.call('readArt', read).answer.catch(() => undefined);
  workers[0]?.say({ kind: 'needs-art', art: 'known' });
  workers[0]?.say({ kind: 'needs-art', art: 'lost' });
  await new Promise((go) => setTimeout(go, 0));
  expect(workers[0]?.heard.slice(1)).toEqual([
    { kind: 'art', art: 'known', bytes: Uint8Array.of(7) },
    { kind: 'art', art: 'lost', bytes: undefined },
  ]);
});

test('a worker that breaks fails its calls instead of leaving them hanging', async () => {
  const { host, workers } = hosted();
  const ongoing = host.call('readArt', read);
  workers[0]?.onerror?.({ message: 'no wasm' } as ErrorEvent);
  await expect(ongoing.answer).rejects.toThrow('no wasm');
});

test('a file that is read without end is given up and named; the worker starts anew', async () => {
  jest.useFakeTimers();
  const { host, workers } = hosted();
  const endless = host.call('takeIn', { ...read, choices: { dpi: 300 } });
  const long = host.call('renderPage', { pdf: read.bytes, page: 0, dpi: 72 });
  const refused = expect(endless.answer).rejects.toMatchObject({
    problem: { code: 'art/too-long', values: { name: 'a.png', seconds: 60 } },
  });
  await jest.advanceTimersByTimeAsync(59_000);
  // A file of many pictures that gets on has its time anew.
  workers[0]?.say({ kind: 'progress', id: 1, share: 0.5, doing: doing('rendering', {}) });
  await jest.advanceTimersByTimeAsync(59_000);
  expect(workers[0]?.ended).toBe(false);
  await jest.advanceTimersByTimeAsync(2_000);
  await refused;
  expect(workers[0]?.ended).toBe(true);
  expect(workers[1]?.heard).toMatchObject([{ kind: 'call', id: 2, name: 'renderPage' }]);
  void long.answer.catch(() => undefined);
});

test('a worker that is held is told so, also one that starts meanwhile, and told once', () => {
  const { host, workers } = hosted();
  host.hold(true);
  host.hold(true);
  void host.call('readArt', read).answer.catch(() => undefined);
  const [worker] = workers;
  host.hold(false);
  expect(
    worker?.heard.map((message) => (message.kind === 'hold' ? message.on : message.kind)),
  ).toEqual([true, 'call', false]);
});

test('a worker that is prepared is there when its first call comes', () => {
  const { host, workers } = hosted();
  host.prepare();
  host.prepare();
  void host.call('readArt', read).answer.catch(() => undefined);
  expect(workers).toHaveLength(1);
  expect(workers[0]?.heard).toMatchObject([{ kind: 'call', name: 'readArt' }]);
});
