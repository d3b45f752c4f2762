import { encode as encodePng } from 'fast-png';
import { expectOk } from '../base/index.ts';
import { primariesMatrix, P3_PRIMARIES } from '../color/index.ts';
import { decodePixels, findProfile } from '../raster/index.ts';
import { HEIC, INKED_JPEG } from '../testing/foreign-pictures.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { p3Profile } from '../testing/p3-profile.ts';
import { artSize, readArt, readPixels, type Art, type ArtNote } from './index.ts';

type Color = readonly number[];
interface Taken {
  readonly art: Art;
  readonly notes: readonly ArtNote[];
  readonly width: number;
  readonly height: number;
  at(x: number, y: number): Color;
}

/** A file as it is kept, with its pixels. */
async function taken(bytes: Uint8Array, name: string): Promise<Taken> {
  const { art, bytes: kept, notes = [] } = expectOk(await readArt(nodePlatform, bytes, name));
  if (art.kind !== 'pixels') throw new Error(art.kind);
  const { width, height, data } = await decodePixels(nodePlatform, art.format, kept);
  const at = (x: number, y: number): Color => [
    ...data.slice((y * width + x) * 4, (y * width + x) * 4 + 4),
  ];
  return { art, notes, width, height, at };
}

const refusal = async (bytes: Uint8Array): Promise<string> => {
  const read = await readArt(nodePlatform, bytes, 'x');
  return read.ok ? 'taken' : read.problem.code;
};

function near(color: Color, wanted: Color, by: number): void {
  wanted.forEach((value, c) => expect(Math.abs((color[c] ?? 0) - value)).toBeLessThanOrEqual(by));
}

test('a telephone’s picture comes in with its colours, and is kept as a JPEG', async () => {
  const { art, at, width, height } = await taken(HEIC, 'leaf.heic');
  expect(art).toMatchObject({ format: 'jpeg', pixelWidth: 64, pixelHeight: 32, orientation: 1 });
  expect([width, height]).toEqual([64, 32]);
  near(at(10, 16), [0x2f, 0x6d, 0x4c], 8);
  near(at(54, 16), [0xf2, 0xa6, 0x5a], 8);
  expect(await refusal(HEIC.slice(0, 300))).toBe('art/broken');
  expect(await refusal(HEIC.slice(0, 60))).toBe('art/broken');
});

test('a telephone’s picture that names its primaries by number has those of P3', () => {
  const box = Uint8Array.from([0, 0, 0, 19, ...letters('colrnclx'), 0, 12, 0, 13, 0, 1, 128]);
  const profile = findProfile('heic', Uint8Array.from([...box, ...new Uint8Array(40)]));
  expect(profile && profile !== 'unread' && 'matrix' in profile && profile.matrix).toEqual(
    primariesMatrix(P3_PRIMARIES),
  );
  const plain = box.with(13, 1);
  expect(findProfile('heic', Uint8Array.from([...plain, ...new Uint8Array(40)]))).toBeUndefined();
});

const letters = (text: string): number[] => [...text].map((one) => one.charCodeAt(0));
const u16 = (value: number): number[] => [value & 255, value >> 8];
const u32 = (value: number): number[] => [...u16(value & 0xffff), ...u16(value >>> 16)];

/** A bitmap of 2 x 2 pixels and 100 dots a centimetre. */
const bitmap = (
  { bits, packing = 0, down = false }: { bits: number; packing?: number; down?: boolean },
  palette: readonly number[],
  pixels: readonly number[],
): Uint8Array =>
  Uint8Array.from([
    ...letters('BM'),
    ...u32(0),
    ...u32(0),
    ...u32(54 + palette.length),
    ...u32(40),
    ...u32(2),
    ...u32(down ? -2 >>> 0 : 2),
    ...u16(1),
    ...u16(bits),
    ...u32(packing),
    ...u32(0),
    ...u32(10_000),
    ...u32(10_000),
    ...u32(palette.length / 4),
    ...u32(0),
    ...palette,
    ...pixels,
  ]);

const [RED, GREEN, BLUE, WHITE] = [
  [255, 0, 0, 255],
  [0, 255, 0, 255],
  [0, 0, 255, 255],
  [255, 255, 255, 255],
] as const;
const PALETTE = [RED, GREEN, BLUE, WHITE].flatMap(([r, g, b]) => [b, g, r, 0]);
const MASKS_565 = [0xf800, 0x07e0, 0x001f].flatMap(u32);

// Rows stand from the bottom up: blue and white, then red and green.
test.each([
  [
    '24 bits',
    bitmap({ bits: 24 }, [], [255, 0, 0, 255, 255, 255, 0, 0, 0, 0, 255, 0, 255, 0, 0, 0]),
  ],
  [
    '32 bits, from the top down',
    bitmap(
      { bits: 32, down: true },
      [],
      [0, 0, 255, 0, 0, 255, 0, 0, 255, 0, 0, 0, 255, 255, 255, 0],
    ),
  ],
  [
    '16 bits by masks',
    bitmap({ bits: 16, packing: 3 }, MASKS_565, [0x001f, 0xffff, 0xf800, 0x07e0].flatMap(u16)),
  ],
  ['a palette of 256', bitmap({ bits: 8 }, PALETTE, [2, 3, 0, 0, 0, 1, 0, 0])],
  ['a palette of 16', bitmap({ bits: 4 }, PALETTE, [0x23, 0, 0, 0, 0x01, 0, 0, 0])],
  ['runs', bitmap({ bits: 8, packing: 1 }, PALETTE, [1, 2, 1, 3, 0, 0, 1, 0, 1, 1, 0, 1])],
])('a bitmap of %s comes in as it is', async (_, file) => {
  const { art, at } = await taken(file, 'dots.bmp');
  expect(art).toMatchObject({ format: 'png', pixelWidth: 2, pixelHeight: 2, dpi: 254 });
  expect([at(0, 0), at(1, 0), at(0, 1), at(1, 1)]).toEqual([RED, GREEN, BLUE, WHITE]);
});

test('a bitmap that is cut off or packed in another way is refused', async () => {
  expect(await refusal(bitmap({ bits: 24 }, [], [255, 0, 0]))).toBe('art/broken');
  expect(await refusal(bitmap({ bits: 8, packing: 4 }, PALETTE, [0]))).toBe('art/broken');
  expect(await refusal(bitmap({ bits: 24 }, [], []).slice(0, 30))).toBe('art/broken');
});

type Tag = readonly [number, number, readonly number[]]; // number, type, values

/** A TIFF of 2 x 1 pixels in one strip, least byte first. */
function tiff(
  pixels: readonly number[],
  more: readonly Tag[],
  dropped: readonly number[] = [],
): Uint8Array {
  const usual: Tag[] = [
    [256, 3, [2]],
    [257, 3, [1]],
    [258, 3, [8]],
    [259, 3, [1]],
    [262, 3, [2]],
    [273, 4, [8]],
    [277, 3, [3]],
    [278, 3, [1]],
    [279, 4, [pixels.length]],
  ];
  const tags = [...usual.filter(([tag]) => !more.some((one) => one[0] === tag)), ...more]
    .filter(([tag]) => !dropped.includes(tag))
    .sort(([one], [other]) => one - other);
  const padded = [...pixels, ...(pixels.length % 2 ? [0] : [])];
  const directory = 8 + padded.length;
  let far = directory + 2 + tags.length * 12 + 4;
  const body: number[] = [];
  const entries = tags.flatMap(([tag, type, values]) => {
    const bytes = values.flatMap((value) =>
      type === 3 ? u16(value) : type === 7 ? [value] : u32(value),
    );
    const count = type === 5 ? values.length / 2 : values.length;
    if (bytes.length <= 4)
      return [
        ...u16(tag),
        ...u16(type),
        ...u32(count),
        ...bytes,
        ...Array<number>(4 - bytes.length).fill(0),
      ];
    const at = far;
    far += bytes.length;
    body.push(...bytes);
    return [...u16(tag), ...u16(type), ...u32(count), ...u32(at)];
  });
  return Uint8Array.from([
    ...letters('II'),
    42,
    0,
    ...u32(directory),
    ...padded,
    ...u16(tags.length),
    ...entries,
    ...u32(0),
    ...body,
  ]);
}

test('a TIFF comes in with its resolution and as it is turned', async () => {
  const perCentimetre: Tag[] = [
    [282, 5, [118, 1]],
    [296, 3, [3]],
    [274, 3, [6]],
  ];
  const { art, at } = await taken(tiff([255, 0, 0, 0, 0, 255], perCentimetre), 'scan.tif');
  expect(art).toMatchObject({ format: 'png', orientation: 6, dpiKnown: true });
  expect(art.kind === 'pixels' && art.dpi).toBeCloseTo(118 * 2.54, 6);
  expect([at(0, 0), at(1, 0)]).toEqual([RED, BLUE]);
  expect(artSize(art).height).toBeCloseTo(2 / 11.8, 6);
});

test.each<[string, readonly number[], readonly Tag[], readonly Color[]]>([
  [
    'grey of 16 bits',
    [0x80, 0x80, 0xff, 0xff],
    [
      [258, 3, [16]],
      [262, 3, [1]],
      [277, 3, [1]],
    ],
    [[128, 128, 128, 255], WHITE],
  ],
  [
    'black and white, white first',
    [0b01000000],
    [
      [258, 3, [1]],
      [262, 3, [0]],
      [277, 3, [1]],
    ],
    [WHITE, [0, 0, 0, 255]],
  ],
  [
    'clear parts',
    [255, 0, 0, 255, 0, 0, 255, 0],
    [
      [277, 3, [4]],
      [338, 3, [2]],
      [258, 3, [8, 8, 8, 8]],
    ],
    [RED, [0, 0, 255, 0]],
  ],
  [
    'planes apart, each of 16 bits',
    [0xff, 0xff, 0, 0, 0, 0, 0, 0, 0, 0, 0xff, 0xff],
    [
      [284, 3, [2]],
      [258, 3, [16, 16, 16]],
      [273, 4, [8, 12, 16]],
      [279, 4, [4, 4, 4]],
    ],
    [RED, BLUE],
  ],
  [
    'colours that were multiplied by their alpha',
    [128, 0, 0, 128, 0, 0, 0, 0],
    [
      [277, 3, [4]],
      [338, 3, [1]],
      [258, 3, [8, 8, 8, 8]],
    ],
    [
      [255, 0, 0, 128],
      [0, 0, 0, 0],
    ],
  ],
  [
    'grey of 16 bits with something beside it that is no alpha',
    [0xff, 0xff, 1, 2, 0, 0, 3, 4],
    [
      [277, 3, [2]],
      [262, 3, [1]],
      [258, 3, [16, 16]],
    ],
    [WHITE, [0, 0, 0, 255]],
  ],
  ['runs', [5, 255, 0, 0, 0, 0, 255], [[259, 3, [32773]]], [RED, BLUE]],
])('a TIFF of %s comes in as it is', async (_, pixels, tags, [first, second]) => {
  const { at } = await taken(tiff(pixels, tags), 'scan.tif');
  expect([at(0, 0), at(1, 0)]).toEqual([first, second]);
});

test('a TIFF of a rare kind, and one that lies about its lengths, are refused', async () => {
  expect(await refusal(tiff([255, 0, 0, 0, 0, 255], [[259, 3, [34712]]]))).toBe(
    'art/other-program',
  );
  const lying = tiff([255, 0, 0, 0, 0, 255], []);
  new DataView(lying.buffer).setUint32(8 + 6 + 2 + 4, 0x7fffffff, true); // of the first tag
  expect(await refusal(lying)).toBe('art/broken');
  expect(await refusal(tiff([], [], [256]))).toBe('art/broken');
});

test('between what 8 bits can say a picture of 16 bits is dithered; what they can say stays as it is', async () => {
  const side = 16;
  const [steady, between] = [77, 100.25];
  const data = Uint16Array.from({ length: side * side * 3 }, (_, at) =>
    Math.round((at % 3 === 0 ? steady : between) * 257),
  );
  const png = encodePng({ width: side, height: side, data, channels: 3, depth: 16 });
  const image = expectOk(await readPixels(nodePlatform, png, 'meadow.png'));
  const channel = (c: number): number[] =>
    Array.from({ length: side * side }, (_, at) => image.data[at * 4 + c] as number);
  expect(new Set(channel(0))).toEqual(new Set([steady]));
  expect(new Set(channel(1))).toEqual(new Set([100, 101]));
  const mean = channel(1).reduce((sum, value) => sum + value, 0) / (side * side);
  expect(mean).toBeCloseTo(between, 2);
});

test('inks that bring a profile of light become light by the formula, once, and that is said', async () => {
  const inks = [255, 0, 0, 0, 0, 0, 0, 128];
  const four: Tag[] = [
    [277, 3, [4]],
    [262, 3, [5]],
    [258, 3, [8, 8, 8, 8]],
  ];
  const profile: Tag = [34675, 7, [...p3Profile()]];
  const [plain, odd] = [
    await taken(tiff(inks, four), 'press.tif'),
    await taken(tiff(inks, [...four, profile]), 'press.tif'),
  ];
  expect([odd.at(0, 0), odd.at(1, 0)]).toEqual([plain.at(0, 0), plain.at(1, 0)]);
  expect(odd.notes).toEqual([{ code: 'inks-by-formula', values: {} }]);
});

test('pictures of four inks become light by a formula, and that is said', async () => {
  const jpeg = await taken(INKED_JPEG, 'press.jpg');
  expect(jpeg.art).toMatchObject({ format: 'jpeg', pixelWidth: 16, pixelHeight: 16 });
  // Cyan leaves green and blue; half black leaves half of all.
  near(jpeg.at(2, 8), [0, 255, 255], 6);
  near(jpeg.at(13, 8), [127, 127, 127], 6);
  expect(jpeg.notes).toEqual([{ code: 'inks-by-formula', values: {} }]);
  const inks = [255, 0, 0, 0, 0, 0, 0, 128];
  const scan = await taken(
    tiff(inks, [
      [277, 3, [4]],
      [262, 3, [5]],
      [258, 3, [8, 8, 8, 8]],
    ]),
    'press.tif',
  );
  expect([scan.at(0, 0), scan.at(1, 0)]).toEqual([
    [0, 255, 255, 255],
    [127, 127, 127, 255],
  ]);
  expect(scan.notes).toHaveLength(1);
});
