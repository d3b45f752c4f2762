/** A part of a PNG. */
export interface PngChunk {
  readonly type: string;
  /** Where it begins, and where the next one does: behind the file where that is cut off. */
  readonly at: number;
  readonly end: number;
  readonly content: Uint8Array;
}

/** Of a chunk, beside its content: its length, its type and its checksum, bytes. */
export const AROUND_CHUNK = 12;

/** The chunks of a PNG in their order, from behind its signature (PNG specification, 5.3). */
export function* pngChunks(bytes: Uint8Array): Generator<PngChunk> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let at = 8; at + AROUND_CHUNK <= bytes.length;) {
    const length = view.getUint32(at);
    const type = String.fromCharCode(...bytes.subarray(at + 4, at + 8));
    const end = at + AROUND_CHUNK + length;
    yield { type, at, end, content: bytes.subarray(at + 8, at + 8 + length) };
    at = end;
  }
}
