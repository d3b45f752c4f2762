import 'fake-indexeddb/auto';
import { readFile } from 'node:fs/promises';
import type { CallWorker } from '../calls/host.ts';

/** What a store asks of its page, for tests of stores in Node: import it before they are. */

/** Jobs that another tab writes, and does not give up. */
export const openElsewhere = new Set<string>();

/** Calls are sent and never answered: nobody asks the proof here. */
class SilentWorker {
  postMessage(): void {
    return;
  }
  terminate(): void {
    return;
  }
}

/** News between tabs, for which no test is kept running. */
class Channel extends BroadcastChannel {
  constructor(name: string) {
    super(name);
    (this as unknown as { unref(): void }).unref();
  }
}

type Hold = (lock: object | null) => unknown;
const locks = {
  request(name: string, ...given: [Hold] | [LockOptions, Hold]): Promise<unknown> {
    const [options, hold] = given.length === 1 ? [{}, given[0]] : given;
    if (![...openElsewhere].some((job) => name.endsWith(`:${job}`)))
      return Promise.resolve(hold({}));
    if (options.ifAvailable) return Promise.resolve(hold(null));
    if (options.signal) return Promise.reject(new DOMException('', 'TimeoutError'));
    return new Promise(() => undefined);
  },
};
const kept = new Map<string, string>();

Object.assign(globalThis, {
  self: globalThis,
  Worker: SilentWorker,
  BroadcastChannel: Channel,
  fetch: async (path: string) => new Response(await readFile(`.cache/public${path}`)),
  localStorage: {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => kept.set(key, value),
    removeItem: (key: string) => kept.delete(key),
  },
  matchMedia: () => ({ matches: false, addEventListener: () => undefined }),
  addEventListener: () => undefined,
  removeEventListener: () => undefined,
});
Object.defineProperty(globalThis, 'navigator', {
  configurable: true,
  value: { userAgent: '', platform: '', appVersion: '', language: 'en', locks },
});

/** Has the heavy calls of the page answered for real, as workers do, but in this process. */
export async function answerCallsHere(): Promise<void> {
  const { answerCalls } = await import('../calls/answer-calls.ts');
  class HereWorker implements CallWorker {
    onmessage: CallWorker['onmessage'] = null;
    onerror: CallWorker['onerror'] = null;
    private readonly hear = answerCalls((message) =>
      queueMicrotask(() => this.onmessage?.({ data: message } as MessageEvent)),
    );
    postMessage(message: Parameters<CallWorker['postMessage']>[0]): void {
      this.hear(message);
    }
    terminate(): void {
      this.onmessage = null;
    }
  }
  Object.assign(globalThis, { Worker: HereWorker });
}
