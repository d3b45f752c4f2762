import { once } from 'node:events';
import { Worker } from 'node:worker_threads';
import { findLayoutViolations, type Nested } from '../core/packing/index.ts';
import { mapRing, placed } from '../core/geometry/index.ts';
import { bottomLeft } from './bottom-left.ts';
import { nestInstances, type NestInstance } from './nest-shapes.ts';
import type { NestMade, NestOrder } from './nest-worker.ts';
import type { Row } from './row.ts';

const SECONDS = 10;

/**
 * Mixed outlines on one sheet, in two workers of different luck as on the desk: used area against plain
 * bottom-left, validity by exact distances, the first answer.
 */
export async function benchNest(): Promise<Row[]> {
  const ratios: number[] = [];
  const firsts: number[] = [];
  let faults = 0;
  const workers = [await nestWorker(), await nestWorker()];
  for (const [at, instance] of nestInstances().entries()) {
    const plain = bottomLeft(instance).area;
    const made = await Promise.all(
      workers.map((nest, seed) => nest({ instance: at, seed: seed + 1, seconds: SECONDS })),
    );
    const [best] = made.sort((one, other) => areaOf(other) - areaOf(one));
    const nested = best?.nested;
    ratios.push((nested?.area ?? 0) / plain);
    firsts.push(Math.min(...made.map(({ first }) => first)));
    faults += nested ? countFaults(instance, nested) : 1;
  }
  const mean = Math.exp(ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0) / ratios.length);
  return [
    {
      what: `nest, 12 mixed sheets in ${SECONDS} s each, two workers: used area, geometric mean`,
      measured: mean,
      unit: '',
      baseline: 1,
      wanted: 'at least 1.15 (baseline: bottom-left by falling area)',
    },
    {
      what: 'nest: the least of the twelve',
      measured: Math.min(...ratios),
      unit: '',
      baseline: 1,
      wanted: 'never below 1',
    },
    {
      what: 'nest: faults by exact distances of 0.001 mm',
      measured: faults,
      unit: '',
      wanted: 'none',
    },
    {
      what: 'nest: first answer, longest',
      measured: Math.max(...firsts),
      unit: 'ms',
      wanted: 'within 300 ms',
    },
  ];
}

/** A worker that nests what it is told to; there when it says so. */
async function nestWorker(): Promise<(order: NestOrder) => Promise<NestMade>> {
  const worker = new Worker('./tools/run-ts.mjs', { argv: ['bench/nest-worker.ts'] });
  await once(worker, 'message');
  worker.unref();
  return async (order) => {
    worker.ref();
    worker.postMessage(order);
    const [made] = (await once(worker, 'message')) as [NestMade];
    worker.unref();
    return made;
  };
}

const areaOf = ({ nested }: NestMade): number => nested?.area ?? 0;

function countFaults({ wishes, room }: NestInstance, { places }: Nested): number {
  const rings = places.map(({ kind, x, y, angle }) =>
    mapRing(wishes[kind]?.ring ?? [], placed(x, y, angle)),
  );
  const { outside, onTaken, near } = findLayoutViolations(rings, room);
  return outside.length + onTaken.length + near.length;
}
