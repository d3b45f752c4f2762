import { patchesOf } from '../raster/index.ts';
import type { Freeing, OfferedHole } from './freeing.ts';
import type { WorkingImage } from './working.ts';

const { max, round } = Math;

/** Patches of the subject that are smaller beside the largest are dropped, unless they are kept by a stroke. */
const CRUMB = 0.02;
/** Holes that are smaller beside the subject are offered, not taken. */
const OFFERED = 0.01;
const LEAST_HOLE = 6; // pixels at working size

/** Drops patches of the subject that are small beside its largest and that no stroke keeps. */
export function dropCrumbs(labels: Uint8Array, certain: Uint8Array, width: number): void {
  const { patches, of } = patchesOf(labels, width, 1);
  const largest = patches.reduce((most, { pixels }) => max(most, pixels), 0);
  const kept = new Set<number>();
  for (let pixel = 0; pixel < certain.length; pixel++)
    if (certain[pixel] === 1) kept.add(of[pixel] as number);
  for (let pixel = 0; pixel < labels.length; pixel++) {
    const patch = of[pixel] as number;
    if (patch < 0 || kept.has(patch)) continue;
    if ((patches[patch]?.pixels ?? 0) < largest * CRUMB) labels[pixel] = 0;
  }
}

/** Fills holes that are small beside the subject unless they are chosen or painted open. */
export function fillHoles(
  labels: Uint8Array,
  certain: Uint8Array,
  { image, chosen }: { image: WorkingImage; chosen: Freeing['holes'] },
): OfferedHole[] {
  const { width, height, scale } = image;
  const { patches, of } = patchesOf(labels, width, 0);
  const subject = labels.reduce((sum, label) => sum + label, 0);
  const painted = new Set<number>();
  for (let pixel = 0; pixel < certain.length; pixel++)
    if (certain[pixel] === 2) painted.add(of[pixel] as number);
  const wanted = new Set(
    chosen.map(([x, y]) => {
      const [column, row] = [round(x / scale - 0.5), round(y / scale - 0.5)];
      const isIn = column >= 0 && row >= 0 && column < width && row < height;
      return isIn ? of[row * width + column] : -1;
    }),
  );
  const holes: OfferedHole[] = [];
  const filled = new Set<number>();
  patches.forEach(({ pixels, first, left, top, right, bottom }, patch) => {
    const reachesOut = left === 0 || top === 0 || right === width || bottom === height;
    if (reachesOut || pixels > subject * OFFERED || painted.has(patch)) return;
    const isOpen = wanted.has(patch);
    if (!isOpen) filled.add(patch);
    if (pixels < LEAST_HOLE) return;
    holes.push({
      place: [((first % width) + 0.5) * scale, (Math.floor(first / width) + 0.5) * scale],
      ...{ left: left * scale, top: top * scale, right: right * scale, bottom: bottom * scale },
      isOpen,
    });
  });
  if (filled.size)
    for (let pixel = 0; pixel < labels.length; pixel++)
      if (filled.has(of[pixel] as number)) labels[pixel] = 1;
  return holes;
}
