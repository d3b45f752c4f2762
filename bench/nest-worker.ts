import { parentPort } from 'node:worker_threads';
import { nestSheets, type Nested } from '../core/packing/index.ts';
import { nestInstances } from './nest-shapes.ts';

/** Which sheet is nested, with which luck, and for how long. */
export interface NestOrder {
  readonly instance: number;
  readonly seed: number;
  readonly seconds: number;
}

/** What came of it, and when the first answer was there, ms. */
export interface NestMade {
  readonly nested: Nested | undefined;
  readonly first: number;
}

parentPort?.on('message', ({ instance, seed, seconds }: NestOrder) => {
  void nestInTime(instance, seed, seconds).then((made) => parentPort?.postMessage(made));
});
parentPort?.postMessage('ready');

async function nestInTime(at: number, seed: number, seconds: number): Promise<NestMade> {
  const instance = nestInstances()[at];
  if (!instance) return { nested: undefined, first: Infinity };
  const start = performance.now();
  let first = 0;
  const [nested] = await nestSheets(instance.wishes, instance.room, {
    most: 1,
    rounds: Infinity,
    seed,
    over: () => performance.now() - start > seconds * 1000,
    better: () => {
      first ||= performance.now() - start;
    },
  });
  return { nested, first };
}
