import { z } from 'zod';
import { oklabDistance, oklabReader, rgbOf, toHex, type Oklab } from '../color/index.ts';
import { groupRuns, runsOf, type RgbaImage } from '../raster/index.ts';

/** How a background is told from the art on it. */
export const clearingSchema = z.object({
  /** The background's colour, `#rrggbb`; null takes the border's. */
  color: z
    .string()
    .regex(/^#[0-9a-f]{6}$/i)
    .nullable(),
  /** From the border inwards as far as it is connected, or wherever the colour is found. */
  reach: z.enum(['border', 'everywhere']),
  /** How different a colour may be and still be background, as an OKLab distance. */
  tolerance: z.number().min(0.005).max(0.6),
  /** Whether the art's shadow on the background goes too. */
  shadow: z.boolean(),
});
export type Clearing = z.infer<typeof clearingSchema>;

/** What a background is cleared with unless something else is asked for. */
export const USUAL_CLEARING: Clearing = {
  color: null,
  reach: 'border',
  tolerance: 0.08,
  shadow: false,
};

/** A picture without its background, and the colour that this had; none when there was none. */
export interface Cleared {
  readonly image: RgbaImage;
  readonly color: string | undefined;
}

const { max, min, round, sqrt } = Math;

// How far, in pixels, art and background are mixed at a border that was drawn or photographed.
const BAND = 2;
const TILE = 16;
const SHADOW_DEPTH = 5; // times the tolerance
// How much the background's tint may change over the picture; times the tolerance.
const MOST_TINT = 1.5;
// In pixels.
const SPECK = 6;
// Of how many pixels the background in a tile is known.
const KNOWN = 8;

/**
 * Clears a background: the pixels that it covers become clear, those at the border of the art are
 * un-mixed, so that they carry the art's own colour and its share of the pixel. The picture given
 * stays as it is.
 *
 * A background may change slowly over the picture: what counts is the difference from the
 * background seen nearby.
 */
export function clearBackground(image: RgbaImage, clearing: Clearing = USUAL_CLEARING): Cleared {
  const made: RgbaImage = { ...image, data: image.data.slice() };
  const color = clearing.color ?? findBorderColor(image);
  if (color === undefined) return { image: made, color };
  const ground = new Background(image, color, clearing);
  ground.flood();
  if (clearing.reach === 'everywhere') ground.everywhere();
  ground.dropSpecks();
  ground.unmix(made.data);
  return { image: made, color };
}

/** The colour of most of a picture's border; undefined when most of the border is clear already. */
export function findBorderColor({ width, height, data }: RgbaImage): string | undefined {
  const bins = new Map<number, { count: number; r: number; g: number; b: number }>();
  let [clear, all] = [0, 0];
  const see = (x: number, y: number): void => {
    const at = (y * width + x) * 4;
    all++;
    if ((data[at + 3] as number) < 128) {
      clear++;
      return;
    }
    const [r, g, b] = [data[at] as number, data[at + 1] as number, data[at + 2] as number];
    const key = ((r + 8) >> 4) * 1024 + ((g + 8) >> 4) * 32 + ((b + 8) >> 4);
    const bin = bins.get(key) ?? { count: 0, r: 0, g: 0, b: 0 };
    bins.set(key, { count: bin.count + 1, r: bin.r + r, g: bin.g + g, b: bin.b + b });
  };
  for (let x = 0; x < width; x++) {
    see(x, 0);
    see(x, height - 1);
  }
  for (let y = 1; y < height - 1; y++) {
    see(0, y);
    see(width - 1, y);
  }
  if (clear * 2 > all) return undefined;
  let best: { count: number; r: number; g: number; b: number } | undefined;
  for (const bin of bins.values()) if (!best || bin.count > best.count) best = bin;
  if (!best) return undefined;
  const bytes = best.count * 255;
  return toHex({ r: best.r / bytes, g: best.g / bytes, b: best.b / bytes });
}

/** Which pixels of a picture are background, and what the background looks like around each. */
class Background {
  private readonly image: RgbaImage;
  private readonly clearing: Clearing;
  private readonly read = oklabReader();
  private readonly seed: Oklab;
  /** 1 where a pixel is background. */
  private readonly ground: Uint8Array;
  /** For each tile the mean OKLab colour of what was seen of the background in it. */
  private readonly across: number;
  private readonly tiles: { l: number; a: number; b: number; n: number }[];
  private readonly seedRgb: readonly [number, number, number];

  constructor(image: RgbaImage, color: string, clearing: Clearing) {
    this.image = image;
    this.clearing = clearing;
    const { r, g, b } = rgbOf(color);
    this.seedRgb = [round(r * 255), round(g * 255), round(b * 255)];
    this.seed = this.read(...this.seedRgb);
    this.ground = new Uint8Array(image.width * image.height);
    this.across = Math.ceil(image.width / TILE);
    this.tiles = Array.from({ length: this.across * Math.ceil(image.height / TILE) }, () => ({
      l: 0,
      a: 0,
      b: 0,
      n: 0,
    }));
  }

  /** Goes from the border inwards, as far as the background can be followed. */
  flood(): void {
    this.learnBorder();
    const { width, height } = this.image;
    const { ground } = this;
    const stack = new Stack(Math.min(ground.length, 1 << 16));
    const { data } = this.image;
    const pixels = new Uint32Array(data.buffer, data.byteOffset, ground.length);
    const enter = (at: number, from: number): void => {
      if (ground[at] !== 0) return;
      // Plain paper: the same colour as the pixel before, in a tile that is known already.
      const plain = pixels[at] === pixels[from] && at !== from && this.tileAt(at).n >= KNOWN;
      if (!plain && !this.isGround(at, from)) return;
      ground[at] = 1;
      stack.push(at);
    };
    for (let x = 0; x < width; x++) {
      enter(x, x);
      enter((height - 1) * width + x, (height - 1) * width + x);
    }
    for (let y = 0; y < height; y++) {
      enter(y * width, y * width);
      enter(y * width + width - 1, y * width + width - 1);
    }
    const last = ground.length - width;
    for (let at = stack.pop(); at >= 0; at = stack.pop()) {
      const x = at % width;
      if (x > 0) enter(at - 1, at);
      if (x + 1 < width) enter(at + 1, at);
      if (at >= width) enter(at - width, at);
      if (at < last) enter(at + width, at);
    }
  }

  /**
   * Learns the background along the border, tile by tile from where it has its colour: light that
   * falls off towards a corner changes it only a little from one tile to the next.
   */
  private learnBorder(): void {
    const way = this.borderTiles();
    const start = way.findIndex(
      ({ mean }) => oklabDistance(mean, this.seed) <= this.clearing.tolerance / 2,
    );
    if (start < 0) return;
    for (const step of [1, -1]) {
      let known: Oklab = this.seed;
      for (let gone = 0; gone < way.length; gone++) {
        const { tile, mean } = way[
          (start + step * gone + 2 * way.length) % way.length
        ] as BorderTile;
        if (oklabDistance(mean, known) > this.clearing.tolerance / 2) continue;
        known = mean;
        if (tile.n === 0) Object.assign(tile, mean, { n: KNOWN });
      }
    }
  }

  /** The tiles around the picture in order, with the middle colour of the pixels at its very border. */
  private borderTiles(): BorderTile[] {
    const { width, height } = this.image;
    const stretch = (from: number, step: number, count: number): BorderTile[] =>
      Array.from({ length: Math.ceil(count / TILE) }, (_, part) => {
        const seen = Array.from({ length: min(TILE, count - part * TILE) }, (__, at) =>
          this.colorAt(from + step * (part * TILE + at)),
        ).sort((one, other) => one.l - other.l);
        const mean = seen[seen.length >> 1] as Oklab;
        return { tile: this.tileAt(from + step * part * TILE), mean };
      });
    const last = width * height - 1;
    return [
      ...stretch(0, 1, width),
      ...stretch(width - 1, width, height),
      ...stretch(last, -1, width),
      ...stretch(last - width + 1, -width, height),
    ];
  }

  /** Specks that are no part of the art: what is left of a background that wavers. */
  dropSpecks(): void {
    const { width, height } = this.image;
    const runs = runsOf({ width, height, data: this.inverse(), stride: 1, offset: 0 }, 0);
    for (const group of groupRuns(runs, height)) {
      if (group.area > SPECK) continue;
      for (const at of group.runs) {
        const row = (runs.y[at] as number) * width;
        this.ground.fill(1, row + (runs.x[at] as number), row + (runs.end[at] as number));
      }
    }
  }

  private inverse(): Uint8Array {
    const { ground } = this;
    const made = new Uint8Array(ground.length);
    for (let at = 0; at < made.length; at++) made[at] = ground[at] === 0 ? 1 : 0;
    return made;
  }

  /** Takes in what has the background's colour anywhere. */
  everywhere(): void {
    const { ground } = this;
    for (let at = 0; at < ground.length; at++)
      if (ground[at] === 0 && this.differs(at, this.seed) <= this.clearing.tolerance)
        ground[at] = 1;
  }

  private tileAt(at: number): { l: number; a: number; b: number; n: number } {
    const { width } = this.image;
    const x = at % width;
    const y = (at - x) / width;
    const tile = ((y / TILE) | 0) * this.across + ((x / TILE) | 0);
    return this.tiles[tile] as { l: number; a: number; b: number; n: number };
  }

  private colorAt(at: number): Oklab {
    const { data } = this.image;
    const from = at * 4;
    return this.read(data[from] as number, data[from + 1] as number, data[from + 2] as number);
  }

  private differs(at: number, from: Oklab): number {
    return oklabDistance(this.colorAt(at), from);
  }

  /** Whether a pixel is background, coming from one that is. */
  private isGround(at: number, from: number): boolean {
    if ((this.image.data[at * 4 + 3] as number) < 8) return true;
    const { tolerance, shadow } = this.clearing;
    const color = this.colorAt(at);
    const tile = this.tileAt(at);
    const near = tile.n >= KNOWN ? tile : this.tileAt(from);
    const known = near.n >= KNOWN ? near : this.seed;
    const away = oklabDistance(color, known);
    const tintA = color.a - this.seed.a;
    const tintB = color.b - this.seed.b;
    const tint = sqrt(tintA * tintA + tintB * tintB);
    const fits = away <= tolerance && tint <= MOST_TINT * tolerance;
    const shaded =
      shadow &&
      color.l < this.seed.l &&
      this.seed.l - color.l < SHADOW_DEPTH * tolerance &&
      tint < 0.3 * tolerance;
    if (!fits && !shaded) return false;
    if (fits && away <= 0.6 * tolerance && tile.n < 4000) {
      tile.n++;
      const share = 1 / tile.n;
      tile.l += (color.l - tile.l) * share;
      tile.a += (color.a - tile.a) * share;
      tile.b += (color.b - tile.b) * share;
    }
    return true;
  }

  /** Writes the alpha of the art, and its own colours where it was mixed with the background. */
  unmix(to: Uint8ClampedArray): void {
    const { ground } = this;
    const { width } = this.image;
    const near = nearBorder(ground, width, BAND);
    const mixer = new Unmixer(this.image, { ground, near, seed: this.seedRgb });
    const pixels = new Uint32Array(to.buffer, to.byteOffset, ground.length);
    for (let at = 0; at < ground.length; at++) {
      if (near[at] !== 0) mixer.write(at, to);
      else if (ground[at] === 1) pixels[at] = 0;
    }
  }
}

interface BorderTile {
  readonly tile: { l: number; a: number; b: number; n: number };
  readonly mean: Oklab;
}

/** 1 for every pixel that is within `reach` of one of the other kind. */
function nearBorder(kinds: Uint8Array, width: number, reach: number): Uint8Array {
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

class Stack {
  private values: Int32Array;
  private high = 0;

  constructor(room: number) {
    this.values = new Int32Array(max(16, room));
  }

  push(value: number): void {
    if (this.high === this.values.length) {
      const more = new Int32Array(this.high * 2);
      more.set(this.values);
      this.values = more;
    }
    this.values[this.high++] = value;
  }

  /** -1 when there is none. */
  pop(): number {
    return this.high === 0 ? -1 : (this.values[--this.high] as number);
  }
}

const WINDOW = 3;
/** How far a mixed colour may lie beside the line between art and background, in bytes. */
const BESIDE = 12;
/** Which share of the largest squared difference still counts as the same art colour. */
const ALIKE = 0.72;

/** Finds for a pixel at the border which art colour it is a mixture of, and by how much. */
class Unmixer {
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
