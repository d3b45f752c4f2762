import * as z from 'zod';
import { oklabDistance, oklabReader, rgbOf, type Oklab } from '../color/index.ts';
import { groupRuns, runsOf, type RgbaImage } from '../raster/index.ts';
import { BAND, nearBorder, Unmixer } from './unmix.ts';

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

const { max, min, round, sqrt } = Math;

const TILE = 16;
const SHADOW_DEPTH = 5; // times the tolerance
// How much the background's tint may change over the picture; times the tolerance.
const MOST_TINT = 1.5;
// In pixels.
const SPECK = 6;
// Of how many pixels the background in a tile is known.
const KNOWN = 8;

/** Which pixels of a picture are background, and what the background looks like around each. */
export class Background {
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
