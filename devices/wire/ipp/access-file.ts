import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join } from 'node:path';
import * as z from 'zod';
import type { Access, Login } from './ipp-line.ts';

const accessSchema = z.object({
  fingerprint: z.string().max(200).optional(),
  login: z.object({ user: z.string().max(200), password: z.string().max(200) }).optional(),
});
const fileSchema = z.object({ printers: z.record(z.string().max(300), accessSchema) });
type Kept = z.infer<typeof fileSchema>;

/** Where programs of this user keep what they know: of the system, or as it is usual. */
function usualPath(): string {
  const { XDG_CONFIG_HOME, APPDATA } = process.env;
  const folder = XDG_CONFIG_HOME || APPDATA || join(homedir(), '.config');
  return join(folder, 'little-peel', 'printers.json');
}

/** Which certificates this user trusts, and passwords of printers: in a file that only its owner reads. */
export class AccessFile {
  private readonly path: string;

  /** @param path the file; where the system keeps such things unless given */
  constructor(path = usualPath()) {
    this.path = path;
  }

  /** What is known of the printer at an address. */
  of(address: string): Access {
    return (this.read().printers[deviceOf(address)] ?? {}) as Access;
  }

  /** Trusts the certificate with this fingerprint at an address, and no other. */
  trust(address: string, fingerprint: string): void {
    this.keep(address, { fingerprint });
  }

  /** Keeps the name and password for an address; without them they are forgotten. */
  logIn(address: string, login: Login | undefined): void {
    this.keep(address, { login });
  }

  private keep(
    address: string,
    changes: { fingerprint?: string; login?: Login | undefined },
  ): void {
    const { printers } = this.read();
    const device = deviceOf(address);
    this.write({ printers: { ...printers, [device]: { ...printers[device], ...changes } } });
  }

  private read(): Kept {
    return this.found() ?? { printers: {} };
  }

  /** What the file says; nothing where there is none, null where it cannot be read. */
  private found(): Kept | null | undefined {
    let text: string;
    try {
      text = readFileSync(this.path, 'utf8');
    } catch {
      return undefined;
    }
    try {
      return fileSchema.parse(JSON.parse(text));
    } catch {
      return null;
    }
  }

  /** Writes whole or not at all. A file that cannot be read is put aside, not overwritten. */
  private write(kept: Kept): void {
    const { path } = this;
    mkdirSync(dirname(path), { recursive: true, mode: 0o700 });
    if (this.found() === null) renameSync(path, `${path}.unread`);
    const fresh = `${path}.${process.pid}`;
    rmSync(fresh, { force: true });
    writeFileSync(fresh, `${JSON.stringify(kept, undefined, 2)}\n`, { mode: 0o600, flag: 'wx' });
    renameSync(fresh, path);
  }
}

/** The device at an address, whatever is asked there. */
function deviceOf(address: string): string {
  const { hostname, port } = new URL(address);
  return `${hostname}:${port || 631}`;
}
