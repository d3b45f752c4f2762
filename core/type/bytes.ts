/** Reads numbers from bytes one after the other, the most significant first. Throws at their end. */
export class ByteReader {
  private readonly view: DataView;
  private readonly bytes: Uint8Array;
  private at = 0;

  constructor(bytes: Uint8Array) {
    this.bytes = bytes;
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  }

  u8(): number {
    return this.view.getUint8(this.at++);
  }

  u16(): number {
    this.at += 2;
    return this.view.getUint16(this.at - 2);
  }

  i16(): number {
    this.at += 2;
    return this.view.getInt16(this.at - 2);
  }

  u32(): number {
    this.at += 4;
    return this.view.getUint32(this.at - 4);
  }

  tag(): string {
    return String.fromCharCode(...this.take(4));
  }

  take(length: number): Uint8Array {
    if (length < 0 || this.at + length > this.bytes.length) throw new RangeError('no more bytes');
    this.at += length;
    return this.bytes.subarray(this.at - length, this.at);
  }

  /** The next bytes with a reader of their own. */
  part(length: number): ByteReader {
    return new ByteReader(this.take(length));
  }
}

/** Gathers numbers as bytes, the most significant first. */
export class ByteWriter {
  private bytes = new Uint8Array(1024);
  private end = 0;

  get length(): number {
    return this.end;
  }

  u8(value: number): void {
    this.room(1);
    this.bytes[this.end++] = value;
  }

  u16(value: number): void {
    this.u8((value >> 8) & 255);
    this.u8(value & 255);
  }

  u32(value: number): void {
    this.u16(Math.floor(value / 65536));
    this.u16(value & 65535);
  }

  put(bytes: Uint8Array): void {
    this.room(bytes.length);
    this.bytes.set(bytes, this.end);
    this.end += bytes.length;
  }

  /** Up to the next multiple of four. */
  pad(): void {
    while (this.end % 4) this.u8(0);
  }

  done(): Uint8Array {
    return this.bytes.slice(0, this.end);
  }

  private room(more: number): void {
    if (this.end + more <= this.bytes.length) return;
    const larger = new Uint8Array(Math.max(this.bytes.length * 2, this.end + more));
    larger.set(this.bytes);
    this.bytes = larger;
  }
}
