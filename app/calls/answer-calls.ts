import { Cancelled, watchedTask, type Task } from '../../core/base/index.ts';
import { createCalls, type CallAnswer, type CallArgs, type CallName } from '../../core/calls.ts';
import { say } from '../../messages/index.ts';
import { simulatedDevices, simulatedPhoto } from '../../devices/simulated/index.ts';
import { pagePlatform } from './page-platform.ts';
import type { FromWorker, ToWorker } from './protocol.ts';

type Run = (args: CallArgs<CallName>, task: Task) => Promise<CallAnswer<CallName>>;

/** The worker's side of the calls: gives what to do with each message of the page. */
export function answerCalls(tell: (message: FromWorker) => void): (message: ToWorker) => void {
  const cancels = new Map<number, () => void>();
  const art = new Map<
    string,
    { bytes: Promise<Uint8Array | undefined>; give: (bytes: Uint8Array | undefined) => void }
  >();

  const calls = createCalls({
    platform: pagePlatform,
    say,
    devices: (seed, faults) => simulatedDevices(pagePlatform, seed, faults),
    photographed: (pdf, seed) => simulatedPhoto(pagePlatform, pdf, seed),
    artBytes(id) {
      const known = art.get(id);
      if (known) return known.bytes;
      let give: (bytes: Uint8Array | undefined) => void = () => undefined;
      const bytes = new Promise<Uint8Array | undefined>((resolve) => (give = resolve));
      art.set(id, { bytes, give });
      tell({ kind: 'needs-art', art: id });
      return bytes;
    },
  });

  let held: Promise<void> | undefined;
  let goOn: () => void = () => undefined;
  const hold = (on: boolean): void => {
    if (on) held ??= new Promise((resolve) => (goOn = resolve));
    else {
      held = undefined;
      goOn();
    }
  };

  const answer = async ({ id, name, args }: Extract<ToWorker, { kind: 'call' }>): Promise<void> => {
    const { task, cancel } = watchedTask(
      (share, doing) => tell({ kind: 'progress', id, share, doing }),
      (part) => tell({ kind: 'found', id, part }),
    );
    cancels.set(id, cancel);
    try {
      const yieldNow = async (): Promise<void> => {
        await task.yieldNow();
        while (held) await held;
      };
      tell({ kind: 'done', id, answer: await (calls[name] as Run)(args, { ...task, yieldNow }) });
    } catch (error) {
      if (error instanceof Cancelled) tell({ kind: 'cancelled', id });
      else
        tell({
          kind: 'failed',
          id,
          message: error instanceof Error ? error.message : String(error),
        });
    } finally {
      cancels.delete(id);
    }
  };

  return (message) => {
    if (message.kind === 'call') void answer(message);
    else if (message.kind === 'cancel') cancels.get(message.id)?.();
    else if (message.kind === 'hold') hold(message.on);
    else if (message.bytes) art.get(message.art)?.give(message.bytes);
    else {
      // Not there now; it may be later, so the next call asks again.
      art.get(message.art)?.give(undefined);
      art.delete(message.art);
    }
  };
}
