declare module 'omggif' {
  /** Reads GIF; throws a plain value when the bytes are broken. */
  export class GifReader {
    constructor(bytes: Uint8Array);
    readonly width: number;
    readonly height: number;
    numFrames(): number;
    decodeAndBlitFrameRGBA(frame: number, pixels: Uint8ClampedArray): void;
  }
}
