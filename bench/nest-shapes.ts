import { seededRandom, type Random } from '../core/base/index.ts';
import { signedArea, type Point, type Ring } from '../core/geometry/index.ts';
import type { NestRoom, NestWish } from '../core/packing/index.ts';

const around = (count: number, radius: (share: number, at: number) => number): Point[] =>
  Array.from({ length: count }, (_, at) => {
    const share = at / count;
    const turn = 2 * Math.PI * share;
    const far = radius(share, at);
    return { x: far * Math.cos(turn), y: far * Math.sin(turn) };
  });

const scaled = (ring: readonly Point[], x: number, y: number): Point[] =>
  ring.map((point) => ({ x: point.x * x, y: point.y * y }));

/** Outlines as stickers and labels have them, about 1 across. */
const SHAPES: Record<string, (random: Random) => Ring> = {
  rectangle: (random) => {
    const [w, h] = [0.5, 0.15 + 0.35 * random.next()];
    return [
      { x: -w, y: -h },
      { x: w, y: -h },
      { x: w, y: h },
      { x: -w, y: h },
    ];
  },
  round: () => around(48, () => 0.5),
  oval: (random) =>
    scaled(
      around(48, () => 0.5),
      1,
      0.5 + 0.3 * random.next(),
    ),
  leaf: (random) => {
    const wide = 0.18 + 0.15 * random.next();
    const half = Array.from({ length: 16 }, (_, at) => at / 16);
    return [
      ...half.map((t) => ({ x: t - 0.5, y: -wide * Math.sin(Math.PI * t) ** 0.8 })),
      ...half.map((t) => ({ x: 0.5 - t, y: wide * Math.sin(Math.PI * t) ** 0.8 })),
    ];
  },
  mushroom: () => [
    ...Array.from({ length: 17 }, (_, at) => {
      const turn = Math.PI + (Math.PI * at) / 16;
      return { x: 0.5 * Math.cos(turn), y: 0.5 * Math.sin(turn) };
    }),
    { x: 0.16, y: 0.02 },
    { x: 0.2, y: 0.5 },
    { x: -0.2, y: 0.5 },
    { x: -0.16, y: 0.02 },
  ],
  star: () => around(10, (_, at) => (at % 2 ? 0.24 : 0.5)),
  bracket: () =>
    [
      [-0.5, -0.5],
      [0.5, -0.5],
      [0.5, -0.15],
      [-0.1, -0.15],
      [-0.1, 0.5],
      [-0.5, 0.5],
    ].map(([x = 0, y = 0]) => ({ x, y })),
  wedge: () =>
    [
      [-0.5, 0.4],
      [0.5, 0.4],
      [0, -0.5],
    ].map(([x = 0, y = 0]) => ({ x, y })),
  arch: () => [
    { x: -0.35, y: 0.5 },
    ...Array.from({ length: 13 }, (_, at) => {
      const turn = Math.PI + (Math.PI * at) / 12;
      return { x: 0.35 * Math.cos(turn), y: -0.1 + 0.35 * Math.sin(turn) };
    }),
    { x: 0.35, y: 0.5 },
  ],
  blob: (random) => {
    const [a, b] = [random.next() * 6, random.next() * 6];
    return around(40, (share) => {
      const turn = 2 * Math.PI * share;
      return 0.38 + 0.07 * Math.sin(2 * turn + a) + 0.05 * Math.sin(3 * turn + b);
    });
  },
};

/** A sheet and what is wanted on it. */
export interface NestInstance {
  readonly room: NestRoom;
  readonly wishes: readonly NestWish[];
}

const TURNS = [
  [0, 90, 180, 270],
  [0, 90, 180, 270],
  Array.from({ length: 12 }, (_, at) => at * 30),
] as const;

/** Twelve mixed instances of up to 60 pieces that want more than a sheet holds. */
export function nestInstances(): NestInstance[] {
  return Array.from({ length: 12 }, (_, at) => {
    const random = seededRandom(100 + at);
    const [width, height] = at % 2 ? [190, 277] : [195.9, 259.4];
    const taken =
      at % 3 === 0
        ? [
            { left: 0, top: 0, right: 18, bottom: 18 },
            { left: width - 8, top: height - 8, right: width + 10, bottom: height + 10 },
          ]
        : [];
    const room = {
      area: { left: 10, top: 10, right: 10 + width, bottom: 10 + height },
      taken,
      gap: [2, 1, 3][at % 3] ?? 2,
    };
    const names = Object.keys(SHAPES);
    const size = [40, 46, 54, 64][at % 4] ?? 46;
    const wishes: NestWish[] = [];
    let area = 0;
    for (let count = 0; count < 60 && area < 1.15 * width * height;) {
      const name = names[Math.floor(random.next() * names.length)] ?? 'round';
      const side = size * (0.6 + 0.9 * random.next());
      const shape = SHAPES[name]?.(random) ?? [];
      const ring = scaled(shape, side, side);
      const wanted = Math.min(60 - count, 1 + Math.floor(random.next() * 5));
      const own = Math.abs(signedArea(ring));
      wishes.push({ ring, angles: TURNS[at % 3] ?? [0], area: own, wanted, most: false });
      count += wanted;
      area += own * wanted;
    }
    return { room, wishes };
  });
}
