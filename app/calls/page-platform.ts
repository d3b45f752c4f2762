import { cachingPlatform, joinedBytes, type Platform } from '../../core/base/index.ts';

/** The assets as the server has them, for a page and its workers. */
export const pagePlatform: Platform = cachingPlatform({
  async asset(name) {
    const answer = await fetch(`/core/${name}`);
    if (!answer.ok) throw new Error(`${name} was not found`);
    return new Uint8Array(await answer.arrayBuffer());
  },
  async encodePhoto(image, quality) {
    const canvas = new OffscreenCanvas(image.width, image.height);
    const pixels = new ImageData(image.data as ImageDataArray, image.width, image.height);
    canvas.getContext('2d')?.putImageData(pixels, 0, 0);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: quality / 100 });
    return new Uint8Array(await blob.arrayBuffer());
  },
  ...(globalThis.crypto?.subtle ? { sha256 } : {}),
  inflate,
  module: (name) => import(/* @vite-ignore */ new URL(`/core/${name}`, location.origin).href),
});

async function sha256(bytes: Uint8Array): Promise<Uint8Array> {
  return new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource));
}

async function inflate(packed: Uint8Array, most: number): Promise<Uint8Array> {
  const { writable, readable } = new DecompressionStream('deflate');
  const writer = writable.getWriter();
  const written = writer.write(packed as BufferSource).then(() => writer.close());
  // What is broken is told by the reader as well.
  written.catch(() => undefined);
  const reader = readable.getReader();
  const parts: Uint8Array[] = [];
  let length = 0;
  for (let read = await reader.read(); !read.done; read = await reader.read()) {
    parts.push(read.value);
    length += read.value.length;
    if (length <= most) continue;
    await reader.cancel();
    throw new RangeError('more than was expected');
  }
  return joinedBytes(parts);
}
