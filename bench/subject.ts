import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { encodeJpegImage } from '../core/raster/index.ts';
import {
  freeSubject,
  SubjectFinder,
  USUAL_FREEING,
  USUAL_STROKE,
  type Freeing,
} from '../core/subject/index.ts';
import {
  composedPicture,
  overlapOf,
  worstStrokes,
  type Composed,
} from '../core/testing/composed.ts';
import { nodePlatform } from '../core/testing/node-platform.ts';
import { median, type Row } from './row.ts';

const OUTSIDE = 12; // pixels between the frame and the subject

const framed = ({ box: [left, top, right, bottom] }: Composed): Freeing => ({
  ...USUAL_FREEING,
  around: [
    [left - OUTSIDE, top - OUTSIDE],
    [right + OUTSIDE, bottom + OUTSIDE],
  ],
});

/** How far alpha is off where it is truly between none and all. */
function alphaError({ alpha }: Composed, data: Uint8ClampedArray): number {
  let [sum, count] = [0, 0];
  alpha.forEach((true_, pixel) => {
    if (true_ === 0 || true_ === 255) return;
    sum += Math.abs(true_ - (data[pixel * 4 + 3] as number));
    count++;
  });
  return sum / count;
}

/** How well subjects come free, on pictures that are composed on the spot. */
function goodness(): Row[] {
  const alone: number[] = [];
  const helped: number[] = [];
  const errors: number[] = [];
  for (let seed = 1; seed <= 20; seed++) {
    const composed = composedPicture(1500, 1000, seed);
    const finder = new SubjectFinder(composed.image);
    let freeing = framed(composed);
    for (let round = 0; round <= 3; round++) {
      const freed = freeSubject(composed.image, freeing, finder);
      if (round === 0) {
        alone.push(overlapOf(composed, freed));
        errors.push(alphaError(composed, freed.data));
      }
      if (round === 3) helped.push(overlapOf(composed, freed));
      const strokes = worstStrokes(composed, freed, USUAL_STROKE * 1500);
      freeing = { ...freeing, strokes: [...freeing.strokes, ...strokes] };
    }
  }
  const mean = errors.reduce((sum, error) => sum + error, 0) / errors.length;
  const unit = '';
  return [
    {
      what: 'overlap by a frame alone, median',
      measured: 100 * median(alone),
      unit: '%',
      wanted: 'at least 95 %',
    },
    {
      what: 'after three rounds of strokes, median',
      measured: 100 * median(helped),
      unit: '%',
      wanted: 'at least 98.5 %',
    },
    {
      what: 'the same, least',
      measured: 100 * Math.min(...helped),
      unit: '%',
      wanted: 'at least 94 %',
    },
    { what: 'alpha off at the edge, mean of bytes', measured: mean, unit, wanted: 'at most 20' },
  ];
}

/** From decoded pixels of 12 million. */
function speed(): Row[] {
  const composed = composedPicture(4243, 2829, 3);
  const freeing = framed(composed);
  const [firsts, strokes, finals]: [number[], number[], number[]] = [[], [], []];
  const timed = <T>(into: number[], run: () => T): T => {
    const start = performance.now();
    const made = run();
    into.push(performance.now() - start);
    return made;
  };
  for (let round = 0; round < 5; round++) {
    const finder = timed(firsts, () => {
      const made = new SubjectFinder(composed.image);
      made.find(freeing);
      return made;
    });
    const [x, y] = [composed.box[0] - 40, composed.box[1] - 40];
    const stroke = {
      mode: 'drop' as const,
      radius: 21,
      points: [[x, y] as [number, number], [x + 300, y + 80] as [number, number]],
    };
    const painted = { ...freeing, strokes: [stroke] };
    timed(strokes, () => finder.find(painted));
    timed(finals, () => freeSubject(composed.image, painted, finder));
  }
  const unit = 'ms';
  return [
    { what: '12 MP: first outline', measured: median(firsts), unit, wanted: 'at most 800 ms' },
    { what: '12 MP: a stroke', measured: median(strokes), unit, wanted: 'at most 250 ms' },
    { what: '12 MP: final alpha', measured: median(finals), unit, wanted: 'at most 2000 ms' },
  ];
}

const GRABCUT = `
import sys, time, cv2, numpy as np
image = cv2.imread(sys.argv[1])
left, top, right, bottom = map(int, sys.argv[2].split(','))
mask = np.zeros(image.shape[:2], np.uint8)
start = time.time()
cv2.grabCut(image, mask, (left, top, right - left, bottom - top), np.zeros((1, 65)), np.zeros((1, 65)), 5, cv2.GC_INIT_WITH_RECT)
print(time.time() - start)
`;

/** The command on 6 million pixels, beside GrabCut of OpenCV at full size where that is installed. */
async function command(): Promise<Row[]> {
  const composed = composedPicture(3000, 2000, 5);
  const folder = mkdtempSync(join(tmpdir(), 'peel-free-'));
  const [path, out] = [join(folder, 'leaf.jpg'), join(folder, 'leaf.png')];
  writeFileSync(
    path,
    await encodeJpegImage(nodePlatform, composed.image, { quality: 92, dpi: 300 }),
  );
  const frame = framed(composed).around.flat().join();
  const said = execFileSync(
    process.execPath,
    ['bin/peel.mjs', 'free', path, '--out', out, '--frame', frame, '--json'],
    { encoding: 'utf8' },
  );
  const { seconds } = JSON.parse(said) as { seconds: number };
  const other = spawnSync('/usr/bin/python3', ['-c', GRABCUT, path, frame], { encoding: 'utf8' });
  return [
    {
      what: 'peel free on 6 MP, with its alpha',
      measured: seconds,
      unit: 's',
      ...(other.status === 0 ? { baseline: Number(other.stdout) } : {}),
      wanted: 'faster than GrabCut of OpenCV, five rounds (baseline)',
    },
  ];
}

export const benchSubject = async (): Promise<Row[]> => [
  ...goodness(),
  ...speed(),
  ...(await command()),
];
