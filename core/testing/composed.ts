import { seededRandom } from '../base/index.ts';
import { patchesOf, stepsFromBorder, type RgbaImage } from '../raster/index.ts';
import type { SubjectStroke } from '../subject/index.ts';

const { cos, floor, hypot, max, min, PI, sin } = Math;

/** A picture made of a subject on a ground, with what is true of it. */
export interface Composed {
  readonly image: RgbaImage;
  /** How much of each pixel is the subject, 0 to 255. */
  readonly alpha: Uint8Array;
  /** The box of the subject: left, top, right, bottom. */
  readonly box: readonly [number, number, number, number];
}

type Color = readonly [number, number, number];

/** Noise of several sizes, from 0 to 1. */
function noiseOf(seed: number, size: number): (x: number, y: number) => number {
  const hashed = (x: number, y: number, round: number): number => {
    let h =
      Math.imul(x, 374761393) ^ Math.imul(y, 668265263) ^ Math.imul(seed + round * 7919, 974634541);
    h = Math.imul(h ^ (h >>> 13), 1274126177);
    return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
  };
  const smooth = (t: number): number => t * t * (3 - 2 * t);
  return (x, y) => {
    let [sum, weight, share] = [0, 0, 1];
    for (let round = 0, step = size; round < 4; round++, step /= 2, share /= 1.8) {
      const [gx, gy] = [x / step, y / step];
      const [cx, cy] = [floor(gx), floor(gy)];
      const [fx, fy] = [smooth(gx - cx), smooth(gy - cy)];
      const top = hashed(cx, cy, round) * (1 - fx) + hashed(cx + 1, cy, round) * fx;
      const low = hashed(cx, cy + 1, round) * (1 - fx) + hashed(cx + 1, cy + 1, round) * fx;
      sum += (top * (1 - fy) + low * fy) * share;
      weight += share;
    }
    return sum / weight;
  };
}

/** Colours in turn, by a value from 0 to 1. */
function shade(colors: readonly Color[], value: number): [number, number, number] {
  const place = min(0.9999, max(0, value)) * (colors.length - 1);
  const at = floor(place);
  const share = place - at;
  const [one, other] = [colors[at] as Color, colors[at + 1] as Color];
  return [0, 1, 2].map((c) => (one[c] as number) * (1 - share) + (other[c] as number) * share) as [
    number,
    number,
    number,
  ];
}

/**
 * A leafy thing with light and texture on a textured ground that shares one of its colours, a little out of
 * focus, with grain.
 */
export function composedPicture(width: number, height: number, seed: number): Composed {
  const random = seededRandom(seed);
  const between = (from: number, to: number): number => from + random.next() * (to - from);
  const color = (): Color => [between(30, 225), between(30, 225), between(30, 225)];
  const shared = color();
  const apart = (from: Color): Color => {
    for (;;) {
      const found = color();
      if (hypot(found[0] - from[0], found[1] - from[1], found[2] - from[2]) > 90) return found;
    }
  };
  const subjectColors = [shared, apart(shared), apart(shared)];
  const groundColors = [apart(subjectColors[1] as Color), shared, apart(subjectColors[2] as Color)];
  const longer = max(width, height);
  const subject = noiseOf(seed * 3 + 1, longer / 9);
  const ground = noiseOf(seed * 5 + 2, longer / between(5, 14));
  const [cx, cy] = [width * between(0.42, 0.58), height * between(0.42, 0.58)];
  const size = min(width, height) * between(0.24, 0.32);
  const waves = Array.from({ length: 4 }, (_, at) => ({
    count: [3, 5, 7, 11][at] as number,
    high: between(0.03, 0.14) / (at * 0.6 + 1),
    turn: between(0, 2 * PI),
  }));
  const reach = (angle: number): number =>
    size * waves.reduce((sum, { count, high, turn }) => sum + high * cos(count * angle + turn), 1);
  const soft = between(0.7, 1.6) * max(1, longer / 2000);
  const light = between(0, 2 * PI);
  const image = { width, height, data: new Uint8ClampedArray(width * height * 4) };
  const alpha = new Uint8Array(width * height);
  const box: [number, number, number, number] = [width, height, 0, 0];
  for (let y = 0, pixel = 0; y < height; y++)
    for (let x = 0; x < width; x++, pixel++) {
      const [dx, dy] = [x + 0.5 - cx, y + 0.5 - cy];
      const inside = reach(Math.atan2(dy, dx)) - hypot(dx, dy);
      const share = max(0, min(1, 0.5 + inside / (2 * soft)));
      alpha[pixel] = share * 255;
      if (share > 0)
        [box[0], box[1], box[2], box[3]] = [
          min(box[0], x),
          min(box[1], y),
          max(box[2], x + 1),
          max(box[3], y + 1),
        ];
      const lit = 1 + 0.25 * ((cos(light) * dx + sin(light) * dy) / size);
      const front = share > 0 ? shade(subjectColors, 1.5 * subject(x, y) - 0.25) : shared;
      const back = share < 1 ? shade(groundColors, 1.5 * ground(x, y) - 0.25) : shared;
      const grain = (random.next() + random.next() - 1) * 14;
      for (let c = 0; c < 3; c++)
        image.data[pixel * 4 + c] =
          share * (front[c] as number) * lit + (1 - share) * (back[c] as number) + grain;
      image.data[pixel * 4 + 3] = 255;
    }
  return { image, alpha, box };
}

/** Overlap of what was freed with the truth: what both have, of what either has, at one half. */
export function overlapOf({ alpha }: Composed, { data }: RgbaImage): number {
  let [both, either] = [0, 0];
  alpha.forEach((share, pixel) => {
    const [wanted, made] = [share >= 128, (data[pixel * 4 + 3] as number) >= 128];
    if (wanted && made) both++;
    if (wanted || made) either++;
  });
  return both / either;
}

/** What somebody would paint: one stroke of each kind through the worst place of its kind. */
export function worstStrokes(
  { alpha, image: { width } }: Composed,
  { data }: RgbaImage,
  radius: number,
): SubjectStroke[] {
  const isMade = (pixel: number): boolean => (data[pixel * 4 + 3] as number) >= 128;
  return (['keep', 'drop'] as const).flatMap((mode): SubjectStroke[] => {
    const wrong = Uint8Array.from(alpha, (share, pixel) =>
      share >= 128 === (mode === 'keep') && isMade(pixel) !== (mode === 'keep') ? 1 : 0,
    );
    const { patches, of } = patchesOf(wrong, width, 1);
    const worst = patches.reduce(
      (best, { pixels }, at) => (pixels > (patches[best]?.pixels ?? 0) ? at : best),
      0,
    );
    if ((patches[worst]?.pixels ?? 0) < LEAST_WRONG) return [];
    const steps = stepsFromBorder(wrong, width, 200);
    let deepest = 0;
    for (let pixel = 0, most = 0; pixel < wrong.length; pixel++) {
      const step = of[pixel] === worst ? (steps[pixel] as number) : 0;
      if (step > most && step <= 200) [most, deepest] = [step, pixel];
    }
    const [x, y] = [deepest % width, floor(deepest / width)];
    const own = min(radius, max(1, (steps[deepest] as number) - 1));
    const reach = (angle: number): number => {
      let far = 0;
      for (; far < 400; far++) {
        const pixel = floor(y + sin(angle) * far) * width + floor(x + cos(angle) * far);
        if (of[pixel] !== worst || (steps[pixel] as number) < own * 0.9) break;
      }
      return max(0, far - 1);
    };
    const turns = Array.from({ length: 16 }, (_, at) => (at * PI) / 16);
    const long = (turn: number): number => reach(turn) + reach(turn + PI);
    const turn = turns.reduce((best, one) => (long(one) > long(best) ? one : best), 0);
    const end = (angle: number): [number, number] => [
      x + cos(angle) * reach(angle),
      y + sin(angle) * reach(angle),
    ];
    return [{ mode, radius: own, points: [end(turn + PI), end(turn)] }];
  });
}

const LEAST_WRONG = 80; // pixels that anybody would mind
