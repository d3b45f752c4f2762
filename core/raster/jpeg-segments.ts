/** A part of a JPEG before its pixels, from its marker to behind its last byte. */
export interface JpegSegment {
  /** The second byte of its marker. */
  readonly marker: number;
  readonly start: number;
  readonly end: number;
}

const PIXELS = 0xda;

/** The segments of a JPEG in their order, up to its pixels or what is no segment (ITU T.81, B.1.1). */
export function* jpegSegments(bytes: Uint8Array): Generator<JpegSegment> {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  for (let start = 2; start + 4 <= bytes.length && view.getUint8(start) === 0xff;) {
    const marker = view.getUint8(start + 1);
    if (marker === PIXELS) return;
    const end = start + 2 + view.getUint16(start + 2);
    yield { marker, start, end };
    start = end;
  }
}
