import type { RgbaImage } from '../raster/index.ts';

const { max, min, round, sqrt } = Math;

/** How far, in pixels, art and background are mixed at a border that was drawn or photographed. */
export const BAND = 2;

/** 1 for every pixel that is within `reach` of one of the other kind. */
export function nearBorder(kinds: Uint8Array, width: number, reach: number): Uint8Array {
  const height = kinds.length / width;
  const near = new Uint8Array(kinds.length);
  const mark = (x: number, y: number): void => {
    for (let row = max(0, y - reach); row <= min(height - 1, y + reach); row++)
      near.fill(1, row * width + max(0, x - reach), row * width + min(width - 1, x + reach) + 1);
  };
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++, at++) {
      const kind = kinds[at];
      const border =
        (x + 1 < width && kinds[at + 1] !== kind) || (y + 1 < height && kinds[at + width] !== kind);
      if (border) mark(x, y);
    }
  }
  return near;
}

const WINDOW = 3;
/** How far a mixed colour may lie beside the line between art and background, in bytes. */
const BESIDE = 12;
/** Which share of the largest squared difference still counts as the same art colour. */
const ALIKE = 0.72;

/** Finds for a pixel at the border which art colour it is a mixture of, and by how much. */
export class Unmixer {
  private readonly image: RgbaImage;
  private readonly ground: Uint8Array;
  private readonly near: Uint8Array;
  private readonly seed: readonly [number, number, number];

  constructor(
    image: RgbaImage,
    on: { ground: Uint8Array; near: Uint8Array; seed: readonly [number, number, number] },
  ) {
    this.image = image;
    this.ground = on.ground;
    this.near = on.near;
    this.seed = on.seed;
  }

  write(at: number, to: Uint8ClampedArray): void {
    const { data, width, height } = this.image;
    const x = at % width;
    const y = (at - x) / width;
    const [left, right] = [max(0, x - WINDOW), min(width - 1, x + WINDOW)];
    const [top, bottom] = [max(0, y - WINDOW), min(height - 1, y + WINDOW)];
    // The background around: the mean of what is surely background.
    let [n, br, bg, bb, squares] = [0, 0, 0, 0, 0];
    for (let row = top; row <= bottom; row++) {
      for (let other = row * width + left; other <= row * width + right; other++) {
        if (this.ground[other] === 0 || this.near[other] !== 0) continue;
        const from = other * 4;
        n++;
        br += data[from] as number;
        bg += data[from + 1] as number;
        bb += data[from + 2] as number;
        squares += (data[from + 1] as number) ** 2;
      }
    }
    if (n > 0) [br, bg, bb] = [br / n, bg / n, bb / n];
    else [br, bg, bb] = this.seed;
    const noise = n > 1 ? sqrt(max(0, squares / n - bg * bg)) : 0;
    const here = at * 4;
    const [r, g, b] = [data[here] as number, data[here + 1] as number, data[here + 2] as number];
    const [cr, cg, cb] = [r - br, g - bg, b - bb];
    // The art around: of the colours that this one can be a mixture of, those farthest away.
    let [least, best] = [Infinity, 0];
    let [weight, fr, fg, fb] = [0, 0, 0, 0];
    for (let pass = 0; pass < 3; pass++) {
      for (let row = top; row <= bottom; row++) {
        for (let other = row * width + left; other <= row * width + right; other++) {
          if (this.ground[other] !== 0) continue;
          const from = other * 4;
          if ((data[from + 3] as number) < 200) continue;
          const dr = (data[from] as number) - br;
          const dg = (data[from + 1] as number) - bg;
          const db = (data[from + 2] as number) - bb;
          const long = dr * dr + dg * dg + db * db;
          if (long < 1) continue;
          const share = max(0, min(1, (cr * dr + cg * dg + cb * db) / long));
          const beside = sqrt(
            (cr - share * dr) ** 2 + (cg - share * dg) ** 2 + (cb - share * db) ** 2,
          );
          if (pass === 0) least = min(least, beside);
          else if (beside > least + BESIDE) continue;
          else if (pass === 1) best = max(best, long);
          else if (long > ALIKE * best) {
            weight++;
            fr += dr;
            fg += dg;
            fb += db;
          }
        }
      }
    }
    [fr, fg, fb] = [fr / weight, fg / weight, fb / weight];
    const long = weight === 0 ? 0 : fr * fr + fg * fg + fb * fb;
    this.put(here, to, { br, bg, bb, cr, cg, cb, fr, fg, fb, long, noise });
  }

  private put(here: number, to: Uint8ClampedArray, of: Mixture): void {
    const own = this.image.data[here + 3] as number;
    const inGround = this.ground[here >> 2] === 1;
    if (of.long === 0) {
      if (inGround) to.fill(0, here, here + 4);
      return;
    }
    let share = (of.cr * of.fr + of.cg * of.fg + of.cb * of.fb) / of.long;
    const floor = min(0.2, max(3, 2.5 * of.noise) / sqrt(of.long));
    if (share <= floor) share = 0;
    if (share >= 1 - floor) share = 1;
    share = max(0, min(1, share));
    if (share === 0) {
      to.fill(0, here, here + 4);
      return;
    }
    // Un-mixing a faint pixel makes its noise loud: there the art's colour nearby is taken.
    const trust = share === 1 ? 1 : max(0, min(1, (share - 0.25) / 0.5));
    const mixed = (c: number, f: number, ground: number): number =>
      ground + trust * (c / share) + (1 - trust) * f;
    to[here] = mixed(of.cr, of.fr, of.br);
    to[here + 1] = mixed(of.cg, of.fg, of.bg);
    to[here + 2] = mixed(of.cb, of.fb, of.bb);
    to[here + 3] = round(share * own);
  }
}

/** A pixel (c) and the art colour (f) as differences from the background (b), in bytes. */
interface Mixture {
  readonly br: number;
  readonly bg: number;
  readonly bb: number;
  readonly cr: number;
  readonly cg: number;
  readonly cb: number;
  readonly fr: number;
  readonly fg: number;
  readonly fb: number;
  /** The squared length of f. */
  readonly long: number;
  /** How much the background wavers nearby. */
  readonly noise: number;
}
