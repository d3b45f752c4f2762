import { cachingPlatform, type Platform } from '../../core/base/index.ts';

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
  module: (name) => import(/* @vite-ignore */ new URL(`/core/${name}`, location.origin).href),
});

async function sha256(bytes: Uint8Array): Promise<Uint8Array> {
  return new Uint8Array(await crypto.subtle.digest('SHA-256', bytes as BufferSource));
}
