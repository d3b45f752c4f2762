import { ART_LIMITS } from '../../core/art/index.ts';
import { Cancelled, problem, ProblemError, type Task } from '../../core/base/index.ts';
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
  /** Why it is to end, once somebody or its time has said so. */
  ends: Error | undefined;
  /** Ends a call that shows no progress for too long, where calls of its kind may not. */
  watch?: ReturnType<typeof setTimeout> | undefined;
  readonly done: (answer: never) => void;
  readonly failed: (error: Error) => void;
  readonly progress?: Task['progress'] | undefined;
  readonly found?: ((part: unknown) => void) | undefined;
}

/** Calls that read other people's files, which may be made to be read without end. */
const READING: readonly CallName[] = ['readArt', 'takeIn'];

const GRACE = 50; // ms that a cancelled worker has to answer before it is ended

/** Runs heavy calls in a worker and replaces a worker that does not stop in time. */
export class CallHost {
  private readonly start: () => CallWorker;
  private readonly artBytes: ArtBytes;
  private worker: CallWorker | undefined;
  private readonly waiting = new Map<number, Waiting>();
  private next = 1;
  private held = false;

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
        ends: undefined,
        done: done as Waiting['done'],
        failed,
        progress,
        found,
      });
      this.watch(id);
      this.running().postMessage(message);
    });
    return { answer, cancel: () => this.end(id, new Cancelled()) };
  }

  /** Starts its worker, for calls that are soon to come. */
  prepare(): void {
    this.running();
  }

  /** Whether what is under way is to wait: at its next pause it stands still until it may go on. */
  hold(on: boolean): void {
    if (on === this.held) return;
    this.held = on;
    this.worker?.postMessage({ kind: 'hold', on });
  }

  /** Gives a call that reads a file its time, from now on. */
  private watch(id: number): void {
    const call = this.waiting.get(id);
    if (call?.message.kind !== 'call' || !READING.includes(call.message.name)) return;
    clearTimeout(call.watch);
    const { name } = call.message.args as CallArgs<'readArt'>;
    const { seconds } = ART_LIMITS;
    call.watch = setTimeout(
      () => this.end(id, new ProblemError(problem('art/too-long', { name, seconds }, name))),
      seconds * 1000,
    );
  }

  private running(): CallWorker {
    if (this.worker) return this.worker;
    const worker = this.start();
    worker.onmessage = ({ data }) => this.hear(data);
    worker.onerror = (event) =>
      this.failAll(new Error(event.message || 'The worker failed to start.'));
    this.worker = worker;
    if (this.held) worker.postMessage({ kind: 'hold', on: true });
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
      if (call.ends) return;
      if (message.kind === 'found') return call.found?.(message.part);
      this.watch(message.id);
      return call.progress?.(message.share, message.doing);
    }
    this.forget(message.id);
    if (message.kind === 'done') call.done(message.answer as never);
    else if (message.kind === 'cancelled') call.failed(call.ends ?? new Cancelled());
    else call.failed(new Error(message.message));
  }

  private forget(id: number): void {
    clearTimeout(this.waiting.get(id)?.watch);
    this.waiting.delete(id);
  }

  private end(id: number, reason: Error): void {
    const call = this.waiting.get(id);
    if (!call) return;
    call.ends ??= reason;
    this.worker?.postMessage({ kind: 'cancel', id });
    setTimeout(() => {
      if (this.waiting.has(id)) this.replace();
    }, GRACE);
  }

  /** Ends a worker that did not stop in time; the calls that are not to end start anew. */
  private replace(): void {
    this.worker?.terminate();
    this.worker = undefined;
    for (const [id, call] of [...this.waiting]) {
      if (!call.ends) {
        this.watch(id);
        this.running().postMessage(call.message);
        continue;
      }
      this.forget(id);
      call.failed(call.ends);
    }
  }

  private failAll(reason: Error): void {
    this.worker?.terminate();
    this.worker = undefined;
    for (const [id, call] of [...this.waiting]) {
      this.forget(id);
      call.failed(reason);
    }
  }
}
