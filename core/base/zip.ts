import { Inflate } from 'fflate';
import { joinedBytes } from './joined-bytes.ts';

// ZIP files from anybody: what their directory says is believed only where the bytes bear it out.
// Source: PKWARE, APPNOTE.TXT 6.3, sections 4.3.7 (local headers), 4.3.12 (directory), 4.3.16 (its end).

/** What may come out of an archive, and out of all archives in it, together. */
export interface ZipBudget {
  /** Files that are left. */
  entries: number;
  /** Bytes that are left. */
  bytes: number;
  /** How many times larger than packed a file may be. */
  readonly ratio?: number;
}

/** A file of an archive. */
export interface ZipEntry {
  readonly name: string;
  readonly bytes: Uint8Array;
}

/**
 * Why an archive is not read: it is damaged, locked or lies about itself; it holds too many files, or
 * too much; a name in it leads out of a folder.
 */
export type ZipFault = 'broken' | 'entries' | 'size' | 'name';

class Faulty extends Error {
  readonly fault: ZipFault;
  constructor(fault: ZipFault) {
    super(fault);
    this.fault = fault;
  }
}

/** An entry as the directory has it. */
interface Listed {
  readonly name: string;
  readonly method: number;
  readonly packed: number;
  readonly size: number;
  readonly at: number;
}

/**
 * The files of a ZIP, in their order. What really comes out is counted against the budget, which is
 * spent by it.
 * @param wants which of them; others are neither unpacked nor counted
 */
export function readZip(
  bytes: Uint8Array,
  budget: ZipBudget,
  wants: (name: string) => boolean = () => true,
): { readonly entries: readonly ZipEntry[] } | { readonly fault: ZipFault } {
  try {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    const listed = directory(view, bytes);
    const places = placesOf(view, listed);
    return {
      entries: listed.flatMap((entry, at): ZipEntry[] => {
        if (!wants(entry.name)) return [];
        if (--budget.entries < 0) throw new Faulty('entries');
        const [from = 0, to = 0] = places[at] ?? [];
        return [{ name: entry.name, bytes: unpack(entry, bytes.subarray(from, to), budget) }];
      }),
    };
  } catch (error) {
    return { fault: error instanceof Faulty ? error.fault : 'broken' };
  }
}

const END = 0x06054b50;
const LISTED = 0x02014b50;
const LOCAL = 0x04034b50;
const END_LENGTH = 22;

function directory(view: DataView, bytes: Uint8Array): Listed[] {
  let end = bytes.length - END_LENGTH;
  const least = Math.max(0, end - 0xffff);
  while (end >= least && view.getUint32(end, true) !== END) end--;
  if (end < least) throw new Faulty('broken');
  const count = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  const listed: Listed[] = [];
  for (let left = count; left > 0; left--) {
    if (view.getUint32(at, true) !== LISTED) throw new Faulty('broken');
    const flags = view.getUint16(at + 8, true);
    if (flags & 1) throw new Faulty('broken'); // locked with a password
    const [named, extra, said] = [28, 30, 32].map((to) => view.getUint16(at + to, true)) as [
      number,
      number,
      number,
    ];
    const name = nameIn(bytes.subarray(at + 46, at + 46 + named), (flags & 0x800) !== 0);
    listed.push({
      name,
      method: view.getUint16(at + 10, true),
      packed: view.getUint32(at + 20, true),
      size: view.getUint32(at + 24, true),
      at: view.getUint32(at + 42, true),
    });
    at += 46 + named + extra + said;
  }
  return listed;
}

/** A name as it is written, where it stays within the folder that it is unpacked into. */
function nameIn(bytes: Uint8Array, utf8: boolean): string {
  const name = utf8 ? new TextDecoder().decode(bytes) : guessed(bytes);
  const parts = name.split(/[/\\]/);
  if (/^[a-z]:/i.test(name) || parts[0] === '' || parts.some((one) => UNSAFE.has(one)))
    throw new Faulty('name');
  return name;
}

const UNSAFE = new Set(['..', '__proto__']);

/** Many archives are written in UTF-8 and do not say so; of the rest any letters do. */
function guessed(bytes: Uint8Array): string {
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

/** From where to where the packed bytes of each entry lie; refused where any of them share some. */
function placesOf(view: DataView, listed: readonly Listed[]): (readonly [number, number])[] {
  const places = listed.map(({ at, packed }): readonly [number, number] => {
    if (view.getUint32(at, true) !== LOCAL) throw new Faulty('broken');
    const from = at + 30 + view.getUint16(at + 26, true) + view.getUint16(at + 28, true);
    if (from + packed > view.byteLength) throw new Faulty('broken');
    return [from, from + packed];
  });
  const whole = listed.map(({ at }, index) => [at, places[index]?.[1] ?? at] as const);
  whole.sort((one, other) => one[0] - other[0]);
  whole.forEach(([from], index) => {
    if (index > 0 && from < (whole[index - 1]?.[1] ?? 0)) throw new Faulty('broken');
  });
  return places;
}

/** So much is unpacked at a time at most; it can give a thousand times as much. */
const STEP = 16_384;

function unpack({ method, size }: Listed, packed: Uint8Array, budget: ZipBudget): Uint8Array {
  const most = Math.min(
    budget.bytes,
    budget.ratio === undefined ? Infinity : budget.ratio * Math.max(packed.length, 64),
  );
  const whole = method === 0 ? packed.slice() : method === 8 ? inflated(packed, most) : undefined;
  if (whole === undefined) throw new Faulty('broken');
  if (whole.length > most) throw new Faulty('size');
  // What the directory says of a size is a promise as good as any.
  if (whole.length !== size) throw new Faulty('broken');
  budget.bytes -= whole.length;
  return whole;
}

function inflated(packed: Uint8Array, most: number): Uint8Array {
  const parts: Uint8Array[] = [];
  let length = 0;
  const inflate = new Inflate((part) => {
    length += part.length;
    if (length > most) throw new Faulty('size');
    parts.push(part);
  });
  for (let at = 0; at < packed.length || at === 0; at += STEP)
    inflate.push(packed.subarray(at, at + STEP), at + STEP >= packed.length);
  return joinedBytes(parts);
}
