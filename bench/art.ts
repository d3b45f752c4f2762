import { performance } from 'node:perf_hooks';
import { clearBackground, partImage, splitPage, traceImage } from '../core/art/index.ts';
import { ringsPath, simplifiedRing, type Path } from '../core/geometry/index.ts';
import { contours } from '../core/raster/index.ts';
import { buildEdge, pathPart, plainBuild } from '../core/shape/index.ts';
import {
  block,
  cornered,
  disc,
  drawn,
  pathErrors,
  STAR,
  type Region,
} from '../core/testing/drawn.ts';
import { median, percentile95, type Row } from './row.ts';

const PER_MM = 300 / 25.4;
const INK = [60, 110, 80] as const;

/** A page of a shop: 20 drawings on 2550 x 3300 pixels. */
export function pageOfTwenty() {
  const shapes = Array.from({ length: 20 }, (_, at) => {
    const [cx, cy] = [330 + (at % 4) * 620, 350 + Math.floor(at / 4) * 640];
    const petals = 3 + (at % 5);
    const region: Region = (x, y) => {
      const turn = Math.atan2(y - cy, x - cx);
      const rim = Math.hypot(x - cx, y - cy) - 210 * (1 + 0.18 * Math.sin(petals * turn));
      return Math.max(rim * 0.8, 60 - Math.hypot(x - cx, y - cy));
    };
    return { region, color: INK };
  });
  const whole = drawn(2550, 3300, []);
  // Each drawn into its own square: the distance of all 20 at each pixel would take minutes.
  shapes.forEach(({ region, color }, at) => {
    const [left, top] = [60 + (at % 4) * 620, 80 + Math.floor(at / 4) * 640];
    const own = drawn(540, 540, [{ region: (x, y) => region(x + left, y + top), color }]);
    for (let y = 0; y < 540; y++)
      whole.data.set(
        own.data.subarray(y * 540 * 4, (y + 1) * 540 * 4),
        ((y + top) * 2550 + left) * 4,
      );
  });
  return whole;
}

const TRUTHS: readonly Region[] = [
  disc(200.3, 199.6, 150.4),
  block(200.3, 200.6, { width: 240.6, height: 160.4, angle: 17 }),
  block(200.1, 200.6, { width: 240, height: 160, angle: 6, radius: 30 }),
  cornered(STAR),
];

/** Marching squares and straight lines: what a plain trace would be. */
function plainTrace(image: ReturnType<typeof drawn>): Path {
  const data = Uint8Array.from(
    { length: image.width * image.height },
    (_, at) => image.data[at * 4 + 3] ?? 0,
  );
  const rings = contours({ width: image.width, height: image.height, data });
  return ringsPath(
    rings.map((ring) =>
      simplifiedRing(
        ring.map(({ x, y }) => ({ x: x / PER_MM, y: y / PER_MM })),
        0.02,
      ),
    ),
  );
}

const nodesOf = (path: Path): number =>
  path.filter(([kind]) => kind === 'L' || kind === 'C').length;

/** From pictures to edges: how exact, in how many nodes, how fast. */
export function benchArt(): Row[] {
  const rows: Row[] = [];
  const [ours, plain] = [
    { away: [] as number[], nodes: 0 },
    { away: [] as number[], nodes: 0 },
  ];
  for (const region of TRUTHS) {
    const image = drawn(400, 400, [{ region, color: INK }]);
    const traced = traceImage(image, { perMm: PER_MM, tolerance: 0.02, least: 0.1 });
    if (!traced.ok) continue;
    ours.away.push(...pathErrors(traced.value.path, region, PER_MM));
    ours.nodes += traced.value.nodes;
    const simple = plainTrace(image);
    plain.away.push(...pathErrors(simple, region, PER_MM));
    plain.nodes += nodesOf(simple);
  }
  const worst = (away: readonly number[]): number =>
    away.reduce((most, one) => Math.max(most, one), 0);
  rows.push(
    {
      what: 'trace at 300 dpi: 95 % of the outline within',
      measured: percentile95(ours.away) * 1000,
      unit: 'µm',
      baseline: percentile95(plain.away) * 1000,
      wanted: 'within 20 µm (baseline: marching squares, straight)',
    },
    {
      what: 'trace at 300 dpi: the worst place',
      measured: worst(ours.away) * 1000,
      unit: 'µm',
      baseline: worst(plain.away) * 1000,
      wanted: 'within 100 µm',
    },
    {
      what: 'trace: nodes for a disc, two blocks and a star (26 needed)',
      measured: ours.nodes,
      unit: '',
      baseline: plain.nodes,
      wanted: 'at most 78',
    },
  );
  const sheet = pageOfTwenty();
  const memory = process.memoryUsage().rss;
  let most = 0;
  const times: number[] = [];
  const plainTimes: number[] = [];
  for (let round = 0; round < 3; round++) {
    const start = performance.now();
    const done = splitPage(sheet, { perMm: PER_MM, gap: 0.8, least: 2 });
    for (const part of done.parts) {
      const image = partImage(sheet, done, part);
      const traced = traceImage(image, { perMm: PER_MM, tolerance: 0.02, least: 0.1 });
      if (!traced.ok) continue;
      const parts = [pathPart(traced.value.path, 'drawing')];
      buildEdge({ ...plainBuild({ kind: 'circle', diameter: 1 }, 'x'), parts, offset: 2 });
    }
    times.push(performance.now() - start);
    most = Math.max(most, process.memoryUsage().rss);
    const from = performance.now();
    plainTrace(sheet);
    plainTimes.push(performance.now() - from);
  }
  rows.push(
    {
      what: 'page of 2550 x 3300 with 20 drawings: split, trace, offset (cold)',
      measured: times[0] ?? NaN,
      unit: 'ms',
      baseline: plainTimes[0] ?? NaN,
      wanted: 'within 1500 ms (baseline: plain trace of the page)',
    },
    {
      what: 'the same, warm',
      measured: median(times),
      unit: 'ms',
      baseline: median(plainTimes),
      wanted: 'within 1500 ms',
    },
    {
      what: 'memory for it, as times the image',
      measured: (most - memory) / sheet.data.length + 1,
      unit: 'x',
      wanted: 'at most 6',
    },
  );
  const paper = drawn(1200, 1200, [{ region: disc(600, 600, 420), color: INK }], () => [
    236, 234, 230,
  ]);
  const cleared: number[] = [];
  const keyed: number[] = [];
  for (let round = 0; round < 3; round++) {
    const start = performance.now();
    clearBackground(paper);
    const middle = performance.now();
    const copy = paper.data.slice();
    for (let at = 0; at < copy.length; at += 4) {
      const away =
        Math.abs((copy[at] ?? 0) - 236) +
        Math.abs((copy[at + 1] ?? 0) - 234) +
        Math.abs((copy[at + 2] ?? 0) - 230);
      if (away < 30) copy[at + 3] = 0;
    }
    cleared.push(middle - start);
    keyed.push(performance.now() - middle);
  }
  rows.push({
    what: 'clearing a background of 1200 x 1200',
    measured: median(cleared),
    unit: 'ms',
    baseline: median(keyed),
    wanted: '(baseline: one colour made clear, hard edges)',
  });
  return rows;
}
