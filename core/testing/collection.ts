/** Fonts in one file, one after the other, as OpenType 1.9 has collections. */
export function asCollection(fonts: readonly Uint8Array[]): Uint8Array {
  const head = 12 + 4 * fonts.length;
  const made = new Uint8Array(head + fonts.reduce((sum, { length }) => sum + length, 0));
  const to = new DataView(made.buffer);
  made.set(new TextEncoder().encode('ttcf'));
  to.setUint32(4, 0x10000);
  to.setUint32(8, fonts.length);
  let end = head;
  for (const [number, font] of fonts.entries()) {
    made.set(font, end);
    to.setUint32(12 + 4 * number, end);
    for (let entry = end + 12; entry < end + 12 + 16 * to.getUint16(end + 4); entry += 16)
      to.setUint32(entry + 8, to.getUint32(entry + 8) + end);
    end += font.length;
  }
  return made;
}
