import { primariesMatrix, P3_PRIMARIES } from '../color/index.ts';

/** A profile of Display P3 (ICC.1:2022) with a curve of 4096 values. */
export function p3Profile(): Uint8Array {
  const count = 4096;
  const curve = 12 + count * 2;
  const [head, points] = [132 + 6 * 12, 20];
  const bytes = new Uint8Array(head + 3 * points + curve);
  const view = new DataView(bytes.buffer);
  const put = (at: number, text: string): void =>
    [...text].forEach((letter, step) => view.setUint8(at + step, letter.charCodeAt(0)));
  put(16, 'RGB XYZ ');
  put(36, 'acsp');
  view.setUint32(128, 6);
  ['rXYZ', 'gXYZ', 'bXYZ', 'rTRC', 'gTRC', 'bTRC'].forEach((name, at) => {
    put(132 + at * 12, name);
    view.setUint32(136 + at * 12, at < 3 ? head + at * points : head + 3 * points);
    view.setUint32(140 + at * 12, at < 3 ? points : curve);
  });
  const matrix = primariesMatrix(P3_PRIMARIES);
  [0, 1, 2].forEach((column) => {
    put(head + column * points, 'XYZ ');
    [0, 1, 2].forEach((row) =>
      view.setInt32(
        head + column * points + 8 + row * 4,
        Math.round((matrix?.[row as 0]?.[column as 0] ?? 0) * 65536),
      ),
    );
  });
  const from = head + 3 * points;
  put(from, 'curv');
  view.setUint32(from + 8, count);
  for (let at = 0; at < count; at++) {
    const value = at / (count - 1);
    const light = value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
    view.setUint16(from + 12 + at * 2, Math.round(light * 65535));
  }
  return bytes;
}
