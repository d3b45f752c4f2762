import { isMainThread } from 'node:worker_threads';
import { main } from './main.ts';
import { answerOrder, workerReader } from './worker-reader.ts';

if (isMainThread) {
  const lines = { out: console.log, err: console.error };
  process.exitCode = await main(
    process.argv.slice(2),
    lines,
    workerReader(new URL(import.meta.url)),
  );
} else await answerOrder();
