import { Cancelled, type Task } from '../../core/base/index.ts';
import type { CallAnswer, CallArgs, CallName } from '../../core/calls.ts';
import type { ArtBytes } from '../../core/job/index.ts';
import type { FromWorker, ToWorker } from './protocol.ts';

/** A call that is under way. */
export interface Ongoing<N extends CallName> {
  readonly answer: Promise<CallAnswer<N>>;
  /** Stops it; the answer rejects with Cancelled. */
  cancel(): void;
}

/** The part of a worker that the host uses. */
export interface CallWorker {
  postMessage(message: ToWorker): void;
  onmessage: ((event: MessageEvent<FromWorker>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
  terminate(): void;
}

interface Waiting {
  /** Sent again when the worker is replaced because of another call. */
  readonly message: ToWorker;
  cancelled: boolean;
  readonly done: (answer: never) => void;
  readonly failed: (error: Error) => void;
  readonly progress?: Task['progress'] | undefined;
  readonly found?: ((part: unknown) => void) | undefined;
}

const GRACE = 50; // ms that a cancelled worker has to answer before it is ended

/** Runs heavy calls in a worker and replaces a worker that does not stop in time. */
export class CallHost {
  private readonly start: () => CallWorker;
  private readonly artBytes: ArtBytes;
  private worker: CallWorker | undefined;
  private readonly waiting = new Map<number, Waiting>();
  private next = 1;

  constructor(start: () => CallWorker, artBytes: ArtBytes) {
    this.start = start;
    this.artBytes = artBytes;
  }

  /** Starts a call; `progress` hears how far it is, `found` what it has found so far. */
  call<N extends CallName>(
    name: N,
    args: CallArgs<N>,
    progress?: Task['progress'],
    found?: (part: unknown) => void,
  ): Ongoing<N> {
    const id = this.next++;
    const answer = new Promise<CallAnswer<N>>((done, failed) => {
      const message: ToWorker = { kind: 'call', id, name, args };
      this.waiting.set(id, {
        message,
        cancelled: false,
        done: done as Waiting['done'],
        failed,
        progress,
        found,
      });
      this.running().postMessage(message);
    });
    return { answer, cancel: () => this.cancel(id) };
  }

  private running(): CallWorker {
    if (this.worker) return this.worker;
    const worker = this.start();
    worker.onmessage = ({ data }) => this.hear(data);
    worker.onerror = (event) =>
      this.failAll(new Error(event.message || 'The worker failed to start.'));
    this.worker = worker;
    return worker;
  }

  private hear(message: FromWorker): void {
    if (message.kind === 'needs-art') {
      const { art } = message;
      void this.artBytes(art).then((bytes) =>
        this.worker?.postMessage({ kind: 'art', art, bytes }),
      );
      return;
    }
    const call = this.waiting.get(message.id);
    if (!call) return;
    if (message.kind === 'progress' || message.kind === 'found') {
      // Who has changed their mind hears no more, even of what was under way already.
      if (call.cancelled) return;
      if (message.kind === 'found') return call.found?.(message.part);
      return call.progress?.(message.share, message.doing);
    }
    this.waiting.delete(message.id);
    if (message.kind === 'done') call.done(message.answer as never);
    else call.failed(message.kind === 'cancelled' ? new Cancelled() : new Error(message.message));
  }

  private cancel(id: number): void {
    const call = this.waiting.get(id);
    if (!call) return;
    call.cancelled = true;
    this.worker?.postMessage({ kind: 'cancel', id });
    setTimeout(() => {
      if (this.waiting.has(id)) this.replace();
    }, GRACE);
  }

  /** Ends a worker that did not stop in time; the calls that nobody cancelled start anew. */
  private replace(): void {
    this.worker?.terminate();
    this.worker = undefined;
    for (const [id, call] of [...this.waiting]) {
      if (!call.cancelled) {
        this.running().postMessage(call.message);
        continue;
      }
      this.waiting.delete(id);
      call.failed(new Cancelled());
    }
  }

  private failAll(reason: Error): void {
    this.worker?.terminate();
    this.worker = undefined;
    const ended = [...this.waiting.values()];
    this.waiting.clear();
    for (const call of ended) call.failed(reason);
  }
}
