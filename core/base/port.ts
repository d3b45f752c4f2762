/** Pixels as RGBA, 8 bits each, colours not multiplied by alpha. */
interface Pixels {
  readonly width: number;
  readonly height: number;
  readonly data: Uint8ClampedArray;
}

/** The port of the core: bytes of the typefaces and WebAssembly modules that ship, and what a platform does faster. */
export interface Platform {
  /** The bytes of a shipped asset; rejects when there is none of that name. */
  asset(name: string): Promise<Uint8Array<ArrayBuffer>>;
  /** A shipped asset that is a script, run as it is; rejects when there is none of that name. */
  module(name: string): Promise<unknown>;
  /**
   * Encodes a photograph as JPEG of a quality from 1 to 100, faster than the encoder that ships. The bytes
   * are the platform's own: for what is kept, never for what is exported.
   */
  encodePhoto?(image: Pixels, quality: number): Promise<Uint8Array>;
  /** SHA-256, faster than the library that ships: a page over plain http has none of its own. */
  sha256?(bytes: Uint8Array): Promise<Uint8Array>;
  /** Unpacks a zlib stream (RFC 1950); rejects where it is broken or holds more than so many bytes. */
  inflate?(packed: Uint8Array, most: number): Promise<Uint8Array>;
}

/** A platform that asks for each asset once. */
export function cachingPlatform(platform: Platform): Platform {
  const asked = new Map<string, Promise<Uint8Array<ArrayBuffer>>>();
  return {
    ...platform,
    asset(name) {
      const known = asked.get(name);
      if (known) return known;
      const answer = platform.asset(name);
      asked.set(name, answer);
      answer.catch(() => asked.delete(name));
      return answer;
    },
  };
}
