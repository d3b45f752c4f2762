import { performance } from 'node:perf_hooks';
import { readFileSync } from 'node:fs';
import { seededRandom, expectGood } from '../core/base/index.ts';
import { readArt } from '../core/art/index.ts';
import { compileJob, createJob, loadResources } from '../core/job/index.ts';
import { printPdf, writePdf } from '../core/output/index.ts';
import { createCompiler } from '../core/piece/index.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { exampleWords, runAll } from '../core/testing/example-job.ts';
import { median, type Row } from './row.ts';
import { USUAL_MARKS } from '../core/stock/index.ts';
import { usualThing } from '../core/things/index.ts';

/** A photograph-like JPEG of 12 megapixels: soft colours with grain. */
async function bigJpeg(): Promise<Uint8Array> {
  const [width, height] = [4000, 3000];
  const random = seededRandom(1);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++, at += 4) {
      const grain = random.next() * 24;
      data[at] = 120 + 90 * Math.sin(x / 300) + grain;
      data[at + 1] = 110 + 80 * Math.cos(y / 260) + grain;
      data[at + 2] = 90 + 60 * Math.sin((x + y) / 500) + grain;
      data[at + 3] = 255;
    }
  }
  const encoder = await import('@jsquash/jpeg/encode.js');
  const init = encoder.init as unknown as (module: WebAssembly.Module) => Promise<void>;
  await init(
    await WebAssembly.compile(
      new Uint8Array(readFileSync('node_modules/@jsquash/jpeg/codec/enc/mozjpeg_enc.wasm')),
    ),
  );
  return new Uint8Array(
    await encoder.default({ data, width, height } as unknown as ImageData, { quality: 82 }),
  );
}

/** Compile and PDF of a sheet of 24 with a 12-megapixel picture, against embedding that picture once. */
export async function benchPdf(): Promise<Row[]> {
  const { art, bytes } = expectGood(await readArt(nodePlatform, await bigJpeg(), 'meadow.jpg'));
  const piece = 'piece-1';
  const job = runAll(
    createJob('lid', { id: 'bench', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: usualThing('lid', { size: 40, clearance: 0 }) },
    },
    {
      name: 'add-element',
      args: {
        piece,
        art,
        element: {
          id: '',
          kind: 'picture',
          x: 0,
          y: 0,
          angle: 0,
          locked: false,
          art: art.id,
          width: 44,
          height: 44,
          fit: 'cover',
        },
      },
    },
    { name: 'add-element', args: { piece, element: exampleWords({ color: '#ffffff', y: 4 }) } },
    { name: 'want', args: { piece, count: 24 } },
    {
      name: 'change-plan',
      args: { changes: { gap: 4, marks: { ...USUAL_MARKS, on: false } } },
    },
  );
  const resources = await loadResources(nodePlatform, job, (id) =>
    Promise.resolve(id === art.id ? bytes : undefined),
  );
  const whole = (): Promise<Uint8Array> =>
    printPdf(nodePlatform, compileJob(job, createCompiler(resources)), resources);
  const floor = (): Promise<Uint8Array> =>
    writePdf(
      nodePlatform,
      [
        {
          drawing: {
            width: 210,
            height: 297,
            symbols: {},
            nodes: [{ kind: 'image', art: art.id, map: [44, 0, 0, 44, 0, 0] }],
          },
        },
      ],
      { typeface: () => undefined, art: () => art, bytes: () => bytes },
      'floor',
    );
  const timed = async (make: () => Promise<Uint8Array>): Promise<number> => {
    const start = performance.now();
    await make();
    return performance.now() - start;
  };
  await whole();
  const [made, bare] = [await whole(), await floor()];
  // By turns, so that what else the machine does falls on both alike.
  const times = { whole: [] as number[], floor: [] as number[] };
  for (let round = 0; round < 11; round++) {
    times.whole.push(await timed(whole));
    times.floor.push(await timed(floor));
  }
  const copies =
    compileJob(job, createCompiler(resources)).layout.sheets[0]?.placements.length ?? 0;
  return [
    {
      what: `compile + PDF, ${copies} copies, ${(bytes.length / 1e6).toFixed(1)} MB picture`,
      measured: median(times.whole),
      unit: 'ms',
      baseline: median(times.floor),
      wanted: 'ratio at most 1.3',
    },
    {
      what: 'bytes above embedding that picture once',
      measured: (made.length - bare.length) / 1024,
      unit: 'kB',
      wanted: 'at most 60 kB',
    },
  ];
}
