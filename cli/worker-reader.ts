import { parentPort, Worker, workerData } from 'node:worker_threads';
import { ART_LIMITS, type TakeInChoices } from '../core/art/index.ts';
import { problem, ProblemError, unwatched, type Doing, type Task } from '../core/base/index.ts';
import { plainReader, type NamedFile, type Reader } from './reader.ts';

/** What a worker is started for: pictures of a file where there are choices, one picture otherwise. */
interface Order {
  readonly file: NamedFile;
  readonly choices?: TakeInChoices;
}

type Said =
  | { readonly kind: 'progress'; readonly share: number; readonly doing: Doing }
  | { readonly kind: 'done'; readonly answer: unknown };

/**
 * Reads each file in a worker that is ended where it takes too long: files can be made to be read without
 * end. `script` is what the worker runs; it has to come to {@link answerOrder}.
 */
export function workerReader(script: URL, seconds: number = ART_LIMITS.seconds): Reader {
  const ordered = (order: Order, task: Task): Promise<unknown> =>
    new Promise((done, failed) => {
      const worker = new Worker(script, { workerData: order });
      const end = (): void => {
        const { name } = order.file;
        failed(new ProblemError(problem('art/too-long', { name, seconds }, name)));
        void worker.terminate();
      };
      let watch = setTimeout(end, seconds * 1000);
      worker.on('message', (said: Said) => {
        clearTimeout(watch);
        if (said.kind === 'done') return done(said.answer);
        watch = setTimeout(end, seconds * 1000);
        task.progress(said.share, said.doing);
      });
      worker.on('error', (error) => {
        clearTimeout(watch);
        failed(error);
      });
    });
  return {
    read: (file) => ordered({ file }, unwatched) as ReturnType<Reader['read']>,
    takeIn: (file, { choices, task }) =>
      ordered({ file, choices }, task) as ReturnType<Reader['takeIn']>,
  };
}

/** The worker's side: reads the file that it was started for. */
export async function answerOrder(): Promise<void> {
  const { file, choices } = workerData as Order;
  const say = (said: Said): void => parentPort?.postMessage(said);
  const task: Task = {
    ...unwatched,
    progress: (share, doing) => say({ kind: 'progress', share, doing }),
  };
  const answer = choices
    ? await plainReader.takeIn(file, { choices, task })
    : await plainReader.read(file);
  say({ kind: 'done', answer });
}
