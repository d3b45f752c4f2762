import { zlibSync } from 'fflate';
import { decode, encode } from 'fast-png';
import { contentHash } from '../base/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { decodePixels, encodePngImage } from './index.ts';
import { inflatedPng } from './inflated-png.ts';

const none = (): Promise<never> => Promise.reject(new Error('none wanted'));
/** A platform that inflates nothing: the decoder does it all. */
const bare = { asset: none, module: none };

type Channels = 1 | 2 | 3 | 4;
function sample(width: number, height: number, channels: Channels, depth: 8 | 16): Uint8Array {
  const length = width * height * channels;
  const value = (at: number): number => (at * 40_503) % (depth === 8 ? 256 : 65_536);
  const data =
    depth === 8
      ? Uint8Array.from({ length }, (_, at) => value(at))
      : Uint16Array.from({ length }, (_, at) => value(at));
  return encode({ width, height, data, channels, depth });
}

const chunk = (type: string, content: Uint8Array): Uint8Array => {
  const made = new Uint8Array(12 + content.length);
  new DataView(made.buffer).setUint32(0, content.length);
  made.set(new TextEncoder().encode(type), 4);
  made.set(content, 8);
  return made;
};
const file = (head: readonly number[], ...chunks: readonly Uint8Array[]): Uint8Array => {
  const signature = [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a];
  const parts = [Uint8Array.from(signature), chunk('IHDR', Uint8Array.from(head)), ...chunks];
  return Uint8Array.from(parts.flatMap((part) => [...part]));
};
/** Three pixels of a palette, 2 bits each: red, clear green, red. */
const PALETTE_HEAD = [0, 0, 0, 3, 0, 0, 0, 1, 2, 3, 0, 0, 0];
const palette = [
  chunk('PLTE', Uint8Array.of(255, 0, 0, 0, 255, 0)),
  chunk('tRNS', Uint8Array.of(255, 0)),
];
const packed = zlibSync(Uint8Array.of(0, 0b00_01_00_00));

test.each(
  ([1, 2, 3, 4] as const).flatMap((channels) =>
    ([8, 16] as const).flatMap((depth) =>
      (
        [
          [1, 1],
          [7, 5],
          [300, 240],
        ] as const
      ).map((size) => [channels, depth, ...size] as const),
    ),
  ),
)(
  '%s channels of %s bits, %s x %s: the same pixels either way',
  async (channels, depth, ...size) => {
    const png = sample(...size, channels, depth);
    const quick = await inflatedPng(nodePlatform, png);
    expect(quick && decode(quick).data).toEqual(decode(png).data);
    const [one, other] = [
      await decodePixels(nodePlatform, 'png', png),
      await decodePixels(bare, 'png', png),
    ];
    expect(contentHash(new Uint8Array(one.data))).toBe(contentHash(new Uint8Array(other.data)));
  },
);

test('pixels in several parts, with a palette before them, are put together', async () => {
  const png = file(
    PALETTE_HEAD,
    ...palette,
    chunk('IDAT', packed.subarray(0, 3)),
    chunk('IDAT', packed.subarray(3)),
    chunk('IEND', new Uint8Array()),
  );
  expect(await inflatedPng(nodePlatform, png)).toBeDefined();
  const { data } = await decodePixels(nodePlatform, 'png', png);
  expect([...data]).toEqual([255, 0, 0, 255, 0, 255, 0, 0, 255, 0, 0, 255]);
});

test('what is cut off, moves, holds nothing or far too much is left to the decoder', async () => {
  const whole = encodePngImage(await decodePixels(bare, 'png', sample(40, 30, 4, 8)));
  const tooMuch = zlibSync(new Uint8Array(4_000_000));
  const end = chunk('IEND', new Uint8Array());
  for (const [why, bytes] of [
    ['cut off', whole.subarray(0, whole.length - 30)],
    ['moves', file(PALETTE_HEAD, chunk('acTL', new Uint8Array(8)), chunk('IDAT', packed), end)],
    ['holds nothing', file(PALETTE_HEAD, ...palette, end)],
    ['too much', file(PALETTE_HEAD, ...palette, chunk('IDAT', tooMuch), end)],
  ] as const)
    expect([why, await inflatedPng(nodePlatform, bytes)]).toEqual([why, undefined]);
  await expect(decodePixels(nodePlatform, 'png', whole.subarray(0, 60))).rejects.toThrow();
});
