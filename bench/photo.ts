import { readFileSync } from 'node:fs';
import { seededRandom } from '../core/base/index.ts';

/** A photograph-like JPEG: soft colours with grain. */
export async function photoJpeg(width: number, height: number, seed = 1): Promise<Uint8Array> {
  const random = seededRandom(seed);
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0, at = 0; y < height; y++) {
    for (let x = 0; x < width; x++, at += 4) {
      const grain = random.next() * 24;
      data[at] = 120 + 90 * Math.sin(x / 300) + grain;
      data[at + 1] = 110 + 80 * Math.cos(y / 260) + grain;
      data[at + 2] = 90 + 60 * Math.sin((x + y) / 500) + grain;
      data[at + 3] = 255;
    }
  }
  const encoder = await import('@jsquash/jpeg/encode.js');
  const init = encoder.init as unknown as (module: WebAssembly.Module) => Promise<void>;
  await init(
    await WebAssembly.compile(
      new Uint8Array(readFileSync('node_modules/@jsquash/jpeg/codec/enc/mozjpeg_enc.wasm')),
    ),
  );
  return new Uint8Array(
    await encoder.default({ data, width, height } as unknown as ImageData, { quality: 82 }),
  );
}
