import { err, ok, type ProblemValues, type Result } from '../../../core/base/index.ts';

// Messages of the Internet Printing Protocol (RFC 8010): strict, since they come from strangers.

/** Tags that begin a group of attributes. */
export const GROUP = { operation: 1, job: 2, end: 3, printer: 4, unsupported: 5 } as const;

/** Tags of values. */
export const TAG = {
  unsupported: 0x10,
  unknown: 0x12,
  noValue: 0x13,
  integer: 0x21,
  boolean: 0x22,
  enum: 0x23,
  octets: 0x30,
  dateTime: 0x31,
  resolution: 0x32,
  range: 0x33,
  collection: 0x34,
  endCollection: 0x37,
  text: 0x41,
  name: 0x42,
  keyword: 0x44,
  uri: 0x45,
  uriScheme: 0x46,
  charset: 0x47,
  language: 0x48,
  mime: 0x49,
  member: 0x4a,
} as const;

/** Attributes by name; a collection holds the same. */
export type IppAttributes = ReadonlyMap<string, IppAttribute>;
export type IppValue = string | number | boolean | Uint8Array | readonly number[] | IppAttributes;

/** An attribute: its values, all of one tag. */
export interface IppAttribute {
  readonly tag: number;
  readonly values: readonly IppValue[];
}

export interface IppGroup {
  readonly tag: number;
  readonly attributes: IppAttributes;
}

/** A request or an answer; `code` is the operation of the one and the status of the other. */
export interface IppMessage {
  readonly version: readonly [number, number];
  readonly code: number;
  readonly request: number;
  readonly groups: readonly IppGroup[];
}

const of =
  (tag: number) =>
  (...values: readonly IppValue[]): IppAttribute => ({ tag, values });
/** Makers of attributes. */
export const ipp = {
  integer: of(TAG.integer),
  enum: of(TAG.enum),
  boolean: of(TAG.boolean),
  range: (low: number, high: number): IppAttribute => of(TAG.range)([low, high]),
  resolution: (dpi: number): IppAttribute => of(TAG.resolution)([dpi, dpi, 3]),
  text: of(TAG.text),
  name: of(TAG.name),
  keyword: of(TAG.keyword),
  uri: of(TAG.uri),
  charset: of(TAG.charset),
  language: of(TAG.language),
  mime: of(TAG.mime),
  octets: (...texts: readonly string[]): IppAttribute =>
    of(TAG.octets)(...texts.map((text) => new TextEncoder().encode(text))),
  /** A moment in universal time (RFC 2579, DateAndTime). */
  dateTime: (at: Date): IppAttribute =>
    of(TAG.dateTime)(
      Uint8Array.of(
        at.getUTCFullYear() >> 8,
        at.getUTCFullYear() & 255,
        at.getUTCMonth() + 1,
        at.getUTCDate(),
        at.getUTCHours(),
        at.getUTCMinutes(),
        at.getUTCSeconds(),
        0,
        0x2b, // before: plus
        0,
        0,
      ),
    ),
  unknown: (): IppAttribute => of(TAG.unknown)(''),
  noValue: (): IppAttribute => of(TAG.noValue)(''),
  collection: (members: Readonly<Record<string, IppAttribute>>): IppAttribute =>
    of(TAG.collection)(new Map(Object.entries(members))),
} as const;

const MOST_ATTRIBUTES = 4000; // with all their values
const MOST_GROUPS = 500; // printers tell each of their jobs in one
const MOST_HEAD = 4_000_000; // bytes before the document
const DEEPEST = 8;
const LONGEST = 0x7fff; // bytes of a name or value

/** Writes a message, without the document that may follow it. */
export function encodeIpp({ version, code, request, groups }: IppMessage): Uint8Array {
  const bytes: number[] = [...version];
  const short = (value: number): unknown => bytes.push((value >> 8) & 255, value & 255);
  const long = (value: number): unknown =>
    bytes.push((value >>> 24) & 255, (value >>> 16) & 255, (value >>> 8) & 255, value & 255);
  const text = (value: string | Uint8Array): void => {
    const encoded = typeof value === 'string' ? new TextEncoder().encode(value) : value;
    const cut = encoded.subarray(0, LONGEST);
    short(cut.length);
    for (const byte of cut) bytes.push(byte);
  };
  const write = (tag: number, name: string, value: IppValue): void => {
    bytes.push(tag);
    text(name);
    if (value instanceof Map) {
      short(0);
      for (const [member, attribute] of value as IppAttributes) {
        bytes.push(TAG.member);
        short(0);
        text(member);
        for (const one of attribute.values) write(attribute.tag, '', one);
      }
      bytes.push(TAG.endCollection);
      short(0);
      short(0);
    } else if (typeof value === 'number') {
      short(4);
      long(value);
    } else if (typeof value === 'boolean') {
      short(1);
      bytes.push(value ? 1 : 0);
    } else if (Array.isArray(value)) {
      const numbers = value as readonly number[];
      const isResolution = tag === TAG.resolution;
      short(isResolution ? 9 : 4 * numbers.length);
      numbers.slice(0, isResolution ? 2 : undefined).forEach(long);
      if (isResolution) bytes.push(numbers[2] ?? 3);
    } else text(value as string | Uint8Array);
  };
  short(code);
  long(request);
  for (const group of groups) {
    bytes.push(group.tag);
    for (const [name, { tag, values }] of group.attributes)
      values.forEach((value, at) => write(tag, at === 0 ? name : '', value));
  }
  bytes.push(GROUP.end);
  return Uint8Array.from(bytes);
}

type Fault = ProblemValues['ipp/malformed']['fault'];

class Malformed extends Error {
  readonly fault: Fault;
  constructor(fault: Fault) {
    super(fault);
    this.fault = fault;
  }
}

/** Reads a message; what follows it is the document. A malformed message is refused. */
export function parseIpp(bytes: Uint8Array): Result<{ message: IppMessage; document: Uint8Array }> {
  try {
    const reader = new Reader(bytes);
    const version = [reader.byte(), reader.byte()] as const;
    const code = reader.short();
    const request = reader.long();
    const groups: IppGroup[] = [];
    for (let tag = reader.byte(); tag !== GROUP.end; tag = reader.byte()) {
      if (tag > 0x0f) throw new Malformed('value-outside-group');
      if (groups.length >= MOST_GROUPS) throw new Malformed('too-many-groups');
      groups.push({ tag, attributes: reader.attributes() });
    }
    return ok({ message: { version, code, request, groups }, document: reader.rest() });
  } catch (error) {
    if (!(error instanceof Malformed)) throw error;
    return err('ipp/malformed', { fault: error.fault });
  }
}

class Reader {
  private at = 0;
  private seen = 0;
  private readonly bytes: Uint8Array;
  private readonly view: DataView;

  constructor(bytes: Uint8Array) {
    this.bytes = bytes;
    this.view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  }

  private take(count: number): number {
    const from = this.at;
    if (from + count > this.bytes.length) throw new Malformed('ends-too-soon');
    if (from + count > MOST_HEAD) throw new Malformed('too-long');
    this.at += count;
    return from;
  }

  byte(): number {
    return this.view.getUint8(this.take(1));
  }

  short(): number {
    return this.view.getUint16(this.take(2));
  }

  long(): number {
    return this.view.getInt32(this.take(4));
  }

  rest(): Uint8Array {
    return this.bytes.subarray(this.at);
  }

  private block(): Uint8Array {
    const length = this.short();
    if (length > LONGEST) throw new Malformed('value-too-long');
    const from = this.take(length);
    return this.bytes.subarray(from, from + length);
  }

  private text(): string {
    return new TextDecoder().decode(this.block());
  }

  /** The attributes of a group: until the next tag is one that begins or ends a group. */
  attributes(): IppAttributes {
    const found = new Map<string, IppAttribute>();
    let last = '';
    while ((this.bytes[this.at] ?? 0) > 0x0f) {
      const tag = this.byte();
      const name = this.text();
      if (++this.seen > MOST_ATTRIBUTES) throw new Malformed('too-many-attributes');
      if (!name && !last) throw new Malformed('nameless-value');
      if (name && found.has(name)) throw new Malformed('twice-the-same');
      last = name || last;
      this.add(found, last, tag, this.value(tag, 0));
    }
    return found;
  }

  private add(to: Map<string, IppAttribute>, name: string, tag: number, value: IppValue): void {
    const before = to.get(name);
    if (before) (before.values as IppValue[]).push(value);
    else to.set(name, { tag, values: [value] });
  }

  private value(tag: number, depth: number): IppValue {
    if (tag === TAG.collection) {
      this.block();
      return this.collection(depth + 1);
    }
    const block = this.block();
    const view = new DataView(block.buffer, block.byteOffset, block.byteLength);
    const sized = (size: number): void => {
      if (block.length !== size) throw new Malformed('value-length');
    };
    switch (tag) {
      case TAG.integer:
      case TAG.enum:
        sized(4);
        return view.getInt32(0);
      case TAG.boolean:
        sized(1);
        return view.getUint8(0) !== 0;
      case TAG.range:
        sized(8);
        return [view.getInt32(0), view.getInt32(4)];
      case TAG.resolution:
        sized(9);
        return [view.getInt32(0), view.getInt32(4), view.getInt8(8)];
      case TAG.octets:
      case TAG.dateTime:
        return block.slice();
      case TAG.endCollection:
      case TAG.member:
        throw new Malformed('torn-collection');
      default:
        return new TextDecoder().decode(block);
    }
  }

  private collection(depth: number): IppAttributes {
    if (depth > DEEPEST) throw new Malformed('too-deep');
    const members = new Map<string, IppAttribute>();
    let member = '';
    for (;;) {
      const tag = this.byte();
      this.block();
      if (++this.seen > MOST_ATTRIBUTES) throw new Malformed('too-many-attributes');
      if (tag === TAG.endCollection) {
        this.block();
        return members;
      }
      if (tag === TAG.member) member = this.text();
      else if (!member) throw new Malformed('nameless-member');
      else this.add(members, member, tag, this.value(tag, depth));
    }
  }
}

/** The first value of an attribute in the groups of a kind; undefined where there is none. */
export function firstValue(message: IppMessage, group: number, name: string): IppValue | undefined {
  for (const { tag, attributes } of message.groups)
    if (tag === group && attributes.has(name)) return attributes.get(name)?.values[0];
  return undefined;
}

/** All values of an attribute; empty where there is none. */
export function valuesOf(message: IppMessage, group: number, name: string): IppValue[] {
  return message.groups
    .filter(({ tag }) => tag === group)
    .flatMap(({ attributes }) => attributes.get(name)?.values ?? []);
}

/** All texts of an attribute; empty where there is none. */
export const textsOf = (message: IppMessage, group: number, name: string): string[] =>
  valuesOf(message, group, name).filter((value) => typeof value === 'string');
