import { findFaults, nestSheets, type Nested } from '../core/sheet/index.ts';
import { mapRing, placed } from '../core/geometry/index.ts';
import { bottomLeft } from './bottom-left.ts';
import { nestInstances, type NestInstance } from './nest-shapes.ts';
import type { Row } from './row.ts';

const SECONDS = 10;

/** Mixed outlines on one sheet: used area against plain bottom-left, validity by exact distances, the first answer. */
export async function benchNest(): Promise<Row[]> {
  const ratios: number[] = [];
  const firsts: number[] = [];
  let faults = 0;
  for (const instance of nestInstances()) {
    const plain = bottomLeft(instance).area;
    const { nested, first } = await inTime(instance);
    ratios.push((nested?.area ?? 0) / plain);
    firsts.push(first);
    faults += nested ? countFaults(instance, nested) : 1;
  }
  const mean = Math.exp(ratios.reduce((sum, ratio) => sum + Math.log(ratio), 0) / ratios.length);
  return [
    {
      what: `nest, 12 mixed sheets in ${SECONDS} s each: used area, geometric mean`,
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

async function inTime({
  wishes,
  room,
}: NestInstance): Promise<{ nested: Nested | undefined; first: number }> {
  const start = performance.now();
  let first = 0;
  const [nested] = await nestSheets(wishes, room, {
    most: 1,
    rounds: Infinity,
    seed: 1,
    over: () => performance.now() - start > SECONDS * 1000,
    better: () => {
      first ||= performance.now() - start;
    },
  });
  return { nested, first };
}

function countFaults({ wishes, room }: NestInstance, { places }: Nested): number {
  const rings = places.map(({ kind, x, y, angle }) =>
    mapRing(wishes[kind]?.ring ?? [], placed(x, y, angle)),
  );
  const { outside, onTaken, near } = findFaults(rings, room);
  return outside.length + onTaken.length + near.length;
}
