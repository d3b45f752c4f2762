import { seededRandom } from '../../core/base/index.ts';
import type { RgbaImage } from '../../core/raster/index.ts';

// Photographs of plants that nobody took: shapes with light from the upper left, shadows, the texture of
// what they stand on, a lens that is a little soft, and the grain of a telephone's camera.

const { abs, atan2, cos, exp, floor, hypot, max, min, PI, sin, sqrt } = Math;

/** Red, green and blue, 0 to 1. */
type Color = readonly [number, number, number];
/** What is seen at a place; 0 to 1 from left to right and from top to bottom. */
type Scene = (x: number, y: number) => Color;

const SIDE = 400; // pixels
const FINER = 2; // samples a pixel, each way
const GRAIN = 0.018;

const clamp = (value: number): number => min(1, max(0, value));
const smooth = (from: number, to: number, value: number): number => {
  const t = clamp((value - from) / (to - from));
  return t * t * (3 - 2 * t);
};
const mix = (a: Color, b: Color, t: number): Color => [
  a[0] + (b[0] - a[0]) * t,
  a[1] + (b[1] - a[1]) * t,
  a[2] + (b[2] - a[2]) * t,
];
const lit = ([r, g, b]: Color, light: number): Color => [r * light, g * light, b * light];

/** A number from 0 to 1 for a place on a grid, always the same. */
function hashed(x: number, y: number): number {
  let h = (x * 374761393 + y * 668265263) | 0;
  h = Math.imul(h ^ (h >>> 13), 1274126177);
  return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
}

/** Smooth noise, 0 to 1. */
function noise(x: number, y: number): number {
  const [cx, cy] = [floor(x), floor(y)];
  const [u, v] = [smooth(0, 1, x - cx), smooth(0, 1, y - cy)];
  const top = hashed(cx, cy) + (hashed(cx + 1, cy) - hashed(cx, cy)) * u;
  const low = hashed(cx, cy + 1) + (hashed(cx + 1, cy + 1) - hashed(cx, cy + 1)) * u;
  return top + (low - top) * v;
}

/** Noise of several sizes, 0 to 1. */
function cloudy(x: number, y: number, octaves = 4): number {
  let [sum, weight, total] = [0, 1, 0];
  for (let at = 0; at < octaves; at++) {
    sum += noise(x * 2 ** at + at * 17, y * 2 ** at) * weight;
    total += weight;
    weight /= 2;
  }
  return sum / total;
}

/** What a camera makes of a scene. */
function taken(scene: Scene, seed: number): RgbaImage {
  const random = seededRandom(seed);
  const wide = SIDE * FINER;
  const sums = new Float32Array(wide * 3);
  const data = new Uint8ClampedArray(SIDE * SIDE * 4).fill(255);
  for (let y = 0; y < SIDE; y++) {
    sums.fill(0);
    for (let part = 0; part < FINER; part++)
      for (let x = 0; x < wide; x++) {
        const [r, g, b] = scene((x + 0.5) / wide, (y * FINER + part + 0.5) / wide);
        sums[x * 3] = (sums[x * 3] as number) + r;
        sums[x * 3 + 1] = (sums[x * 3 + 1] as number) + g;
        sums[x * 3 + 2] = (sums[x * 3 + 2] as number) + b;
      }
    for (let x = 0; x < SIDE; x++) {
      const dark = 0.56 * ((x / SIDE - 0.5) ** 2 + (y / SIDE - 0.5) ** 2);
      for (let c = 0; c < 3; c++) {
        // The lens mixes neighbours a little.
        const [from, to] = [max(0, x * FINER - 1), min(wide - 1, (x + 1) * FINER)];
        let sum = ((sums[from * 3 + c] as number) + (sums[to * 3 + c] as number)) / 2;
        for (let near = 0; near < FINER; near++) sum += sums[(x * FINER + near) * 3 + c] as number;
        const grain = (random.next() + random.next() - 1) * GRAIN;
        const value = (sum / (FINER * (FINER + 1))) * (1 - dark) + grain;
        data[(y * SIDE + x) * 4 + c] = 255 * clamp(value);
      }
    }
  }
  return { width: SIDE, height: SIDE, data };
}

/** Sand, raked a little: grains over soft waves. */
function sand(x: number, y: number): Color {
  const waves = cloudy(x * 5, y * 9, 3);
  const grains = 0.6 * noise(x * 190, y * 190) + 0.4 * noise(x * 90, y * 90);
  const tone = mix([0.66, 0.57, 0.45], [0.86, 0.79, 0.67], waves);
  const dark = noise(x * 150 + 40, y * 150) > 0.9 ? 0.68 : 1;
  return lit(tone, (0.72 + 0.4 * grains) * dark);
}

interface Leaf {
  readonly x: number;
  readonly y: number;
  readonly cos: number;
  readonly sin: number;
  readonly length: number;
  readonly width: number;
  /** How far out in the rosette it is, 0 to 1. */
  readonly out: number;
}

/** How far along a leaf a place lies, 0 to 1 on it. */
const alongLeaf = (leaf: Leaf, px: number, py: number): number =>
  ((px - leaf.x) * leaf.cos + (py - leaf.y) * leaf.sin) / leaf.length;

/** How far across a leaf a place lies, −1 to 1 on it. */
function acrossLeaf(leaf: Leaf, px: number, py: number): number {
  const dx = px - leaf.x;
  const dy = py - leaf.y;
  if (dx * dx + dy * dy > leaf.length * leaf.length) return 9;
  const along = (dx * leaf.cos + dy * leaf.sin) / leaf.length;
  if (along <= 0 || along >= 1) return 9;
  const across = dy * leaf.cos - dx * leaf.sin;
  return abs(across) > leaf.width
    ? 9
    : across / (leaf.width * sqrt(along) * (1 - along * along * along) * 1.15);
}

const LEAVES = 62;
const SQUARES = 40;

/** A houseleek from above: leaves in a spiral, each after the last by the golden angle. */
function houseleek(): Scene {
  const leaves = Array.from({ length: LEAVES + 1 }, (_, at): Leaf => {
    const out = sqrt(at / LEAVES);
    const turn = at * 2.39996;
    const length = 0.06 + 0.145 * out;
    const [along, side] = [cos(turn), sin(turn)];
    const middle = 0.215 * out * out - 0.012 * (1 - out);
    return {
      ...{ x: 0.5 + along * middle, y: 0.5 + side * middle },
      ...{ cos: along, sin: side, length, width: length * 0.36, out },
    };
  });
  // Few leaves come near a place: those are known for each square of a grid.
  const near = Array.from({ length: SQUARES * SQUARES }, (_, at) => {
    const [x, y] = [((at % SQUARES) + 0.5) / SQUARES, (floor(at / SQUARES) + 0.5) / SQUARES];
    return leaves.filter(
      (leaf) =>
        hypot(
          leaf.x + (leaf.cos * leaf.length) / 2 - x,
          leaf.y + (leaf.sin * leaf.length) / 2 - y,
        ) <
        leaf.length / 2 + 1.2 / SQUARES,
    );
  });
  return (x, y) => {
    // From the innermost leaf, which lies on top, outwards: each casts its shadow on those below.
    let shade = 1;
    for (const leaf of near[floor(y * SQUARES) * SQUARES + floor(x * SQUARES)] ?? []) {
      const across = acrossLeaf(leaf, x, y);
      if (abs(across) < 1) return lit(leafColor(leaf, across, x, y), shade);
      const shadow = abs(acrossLeaf(leaf, x - 0.007, y - 0.01));
      if (shadow < 1) shade *= 0.62 + 0.38 * smooth(0.6, 1, shadow);
    }
    const under = exp(-((((x - 0.53) ** 2 + (y - 0.54) ** 2) / 0.085) ** 3));
    return lit(sand(x, y), (0.35 + 0.65 * shade) * (1 - 0.3 * under));
  };
}

function leafColor(leaf: Leaf, across: number, x: number, y: number): Color {
  const along = alongLeaf(leaf, x, y);
  const bulge = sqrt(1 - across * across);
  const facing = leaf.cos * -0.35 + leaf.sin * -0.45;
  const side = (leaf.sin * 0.5 - leaf.cos * 0.6) * across * 0.75;
  const light = 0.64 + 0.22 * bulge + 0.2 * facing + 0.34 * side + 0.12 * leaf.out;
  const green = mix([0.44, 0.63, 0.42], [0.33, 0.53, 0.38], leaf.out);
  const tip = smooth(0.66, 1, along) * (0.4 + 0.6 * leaf.out);
  const skin = mix(green, [0.55, 0.2, 0.24], tip);
  const rim = smooth(0.78, 1, abs(across));
  return lit(mix(skin, [0.78, 0.86, 0.7], rim * 0.3), light + 0.05 * noise(x * 160, y * 160));
}

/** Painted boards of a windowsill. */
function boards(x: number, y: number): Color {
  const board = floor(y * 5);
  const grain = cloudy(x * 5 + board * 9, y * 70 + cloudy(x * 3, y * 6) * 5);
  const gap = smooth(
    0,
    0.035,
    abs(y * 5 - board - 0.5) < 0.5 ? min(y * 5 - board, board + 1 - y * 5) : 0,
  );
  return lit(mix([0.74, 0.72, 0.68], [0.86, 0.85, 0.82], grain), (0.35 + 0.65 * gap) * 0.94);
}

/** A cactus in a clay pot, before a wall, on a table. */
function cactus(): Scene {
  return (x, y) => flowerOf(x, y) ?? ballOf(x, y) ?? potOf(x, y) ?? roomOf(x, y);
}

/** Heights: the rim of the pot with its lip, its foot. */
const [RIM, LIP, FOOT] = [0.58, 0.075, 0.9];

function roomOf(x: number, y: number): Color {
  const shadow = exp(-((((x - 0.6) / 0.24) ** 2 + ((y - 0.885) / 0.045) ** 2) ** 1.3));
  const wall = mix([0.8, 0.77, 0.71], [0.58, 0.55, 0.53], clamp(x * 0.8 + y * 0.5 - 0.15));
  const plaster = lit(wall, 0.9 + 0.2 * cloudy(x * 7, y * 7, 5));
  if (y < 0.72) return plaster;
  const table = boards(x * 0.9, (y - 0.72) * 1.7);
  return lit(mix(plaster, table, smooth(0.72, 0.76, y)), 1 - 0.3 * shadow);
}

function potOf(x: number, y: number): Color | undefined {
  const along = (y - RIM) / (FOOT - RIM);
  const half = y < RIM + LIP ? 0.205 : 0.185 - 0.05 * along;
  if (y <= RIM || y >= FOOT || abs(x - 0.5) >= half) return undefined;
  const light = 0.5 + 0.6 * max(0, cos(((x - 0.5) / half) * 1.35 + 0.62)) ** 0.9;
  const lip = y < RIM + LIP ? 1.06 : 1 - 0.3 * exp(-(((y - RIM - LIP - 0.01) / 0.02) ** 2));
  const clay = mix([0.68, 0.36, 0.23], [0.8, 0.5, 0.36], cloudy(x * 26, y * 26));
  const lime = smooth(0.56, 0.72, cloudy(x * 9 + 4, y * 9)) * 0.3;
  return lit(mix(clay, [0.86, 0.78, 0.7], lime), light * lip);
}

function ballOf(x: number, y: number): Color | undefined {
  const [u, v] = [(x - 0.5) / 0.215, (y - 0.4) / 0.235];
  const out = u * u + v * v;
  if (out >= 1 || y >= RIM + 0.012) return undefined;
  const z = sqrt(1 - out);
  const around = (atan2(u, z) * 9 * 1.15) / PI;
  const ridge = 0.5 + 0.5 * cos(around * PI);
  const normal = max(0, -u * 0.55 - v * 0.6 + z * 0.62);
  const green = mix([0.2, 0.36, 0.23], [0.44, 0.62, 0.36], ridge);
  const light = (0.3 + 0.62 * normal + 0.16 * ridge) * (0.9 + 0.2 * noise(x * 90, y * 90));
  // Tufts of spines along the ridges.
  const row = v * 7 + floor(around + 0.5) * 0.5;
  const [tuftX, tuftY] = [abs(around - floor(around) - 0.5) - 0.5, row - floor(row) - 0.5];
  const spines = smooth(0.55, 0.95, abs(sin(atan2(tuftY, tuftX) * 4.5)));
  const pale = smooth(0.34, 0.06, hypot(tuftX * 1.3, tuftY * 1.1)) * (0.35 + 0.65 * spines);
  return mix(lit(green, light), [0.93, 0.89, 0.76], pale * 0.85 * min(1, z * 2.2));
}

function flowerOf(x: number, y: number): Color | undefined {
  const [dx, dy] = [x - 0.49, (y - 0.19) * 1.35];
  const away = hypot(dx, dy);
  if (away > 0.07) return undefined;
  const ray = cos(atan2(dy, dx) * 9);
  const reach = 0.056 + 0.014 * ray;
  if (away >= reach) return undefined;
  const inner = smooth(0, reach, away);
  const pink = mix([0.98, 0.86, 0.42], [0.86, 0.27, 0.45], smooth(0.12, 0.5, inner));
  return lit(pink, 0.78 + 0.2 * ray - 1.3 * dy + 0.1 * inner);
}

interface Petal {
  readonly x: number;
  readonly y: number;
  readonly wide: number;
  readonly high: number;
  readonly turn: number;
  readonly isBack: boolean;
}
const petal = (x: number, y: number, wide: number, high: number, turn: number): Petal => ({
  ...{ x, y, wide, high, turn },
  isBack: y < 0.4,
});
/** The front one first. */
const PETALS = [
  petal(0.5, 0.665, 0.215, 0.185, 0),
  petal(0.685, 0.515, 0.175, 0.15, -0.15),
  petal(0.315, 0.515, 0.175, 0.15, 0.15),
  petal(0.595, 0.335, 0.175, 0.195, 0.4),
  petal(0.405, 0.335, 0.175, 0.195, -0.4),
];

/** How far out on a petal a place lies: 1 at its waved edge. */
function outOn({ x, y, wide, high, turn }: Petal, px: number, py: number): number {
  const [dx, dy] = [px - x, py - y];
  if (dx * dx + dy * dy > 0.06) return 9;
  const [u, v] = [dx * cos(turn) + dy * sin(turn), dy * cos(turn) - dx * sin(turn)];
  const around = atan2(v, u);
  return (
    hypot(u / wide, v / high) / (1 + 0.035 * sin(around * 7 + wide * 9) + 0.02 * sin(around * 13))
  );
}

/** A pansy before leaves that are out of focus. */
function pansy(): Scene {
  const spots = Array.from({ length: 46 }, (_, at) => ({
    x: hashed(at, 3) * 1.2 - 0.1,
    y: hashed(at, 8) * 1.2 - 0.1,
    r: 0.06 + 0.13 * hashed(at, 5),
    color: mix([0.2, 0.4, 0.17], [0.55, 0.66, 0.33], hashed(at, 21)),
  }));
  const behind = (x: number, y: number): Color => {
    let color = mix([0.13, 0.25, 0.14], [0.3, 0.44, 0.22], cloudy(x * 3, y * 3, 3));
    for (const spot of spots) {
      const away = (x - spot.x) ** 2 + (y - spot.y) ** 2;
      if (away >= spot.r ** 2) continue;
      color = mix(color, spot.color, (1 - smooth(spot.r * 0.72, spot.r, sqrt(away))) * 0.34);
    }
    return color;
  };
  return (x, y) => {
    const eye = hypot(x - 0.5, (y - 0.522) * 1.15);
    let shade = 1;
    for (const one of PETALS) {
      const out = outOn(one, x, y);
      if (out < 1)
        return mix(
          lit(petalColor(one, out, x, y), shade),
          [0.42, 0.6, 0.24],
          1 - smooth(0.011, 0.017, eye),
        );
      shade *= 0.58 + 0.42 * smooth(0.82, 1.12, outOn(one, x - 0.012, y - 0.018));
    }
    return lit(behind(x, y), shade);
  };
}

function petalColor({ x: px, y: py, isBack }: Petal, out: number, x: number, y: number): Color {
  const [dx, dy] = [x - 0.5, y - 0.52];
  const [middle, around] = [hypot(dx, dy), atan2(dy, dx)];
  const light = 0.78 + 0.5 * (py - y) + 0.22 * (px - x) + 0.1 * cloudy(x * 30, y * 30, 3);
  const deep: Color = isBack ? [0.36, 0.18, 0.5] : [0.5, 0.26, 0.62];
  const pale: Color = isBack ? [0.52, 0.33, 0.68] : [0.8, 0.66, 0.86];
  let skin = mix(deep, pale, smooth(0.35, 1, out) * 0.75);
  if (!isBack) {
    const rays = 0.5 + 0.5 * cos(around * 26 + 3 * noise(x * 9, y * 9));
    skin = mix(
      skin,
      [0.22, 0.07, 0.27],
      (1 - smooth(0.06, 0.17, middle * (0.85 + 0.3 * rays))) * 0.92,
    );
    skin = mix(skin, [0.97, 0.78, 0.2], 1 - smooth(0.03, 0.062, middle));
  }
  const folds = 0.94 + 0.06 * cos(around * 40);
  return lit(skin, light * folds * (1.06 - 0.16 * smooth(0.86, 1, out)));
}

/** Photographs by what they show. */
export const PHOTOGRAPHS: Readonly<Record<string, () => RgbaImage>> = {
  Houseleek: () => taken(houseleek(), 1),
  'Flowering cactus': () => taken(cactus(), 2),
  Pansy: () => taken(pansy(), 3),
};
