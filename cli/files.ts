import { mkdirSync, readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { expectOk } from '../core/base/index.ts';
import { parsePeel, type Job, type JobWithArt } from '../core/job/index.ts';
import { refuse } from './arguments.ts';

/** Reads a file; says so when it is not there. */
export function readBytes(path: string): Uint8Array {
  try {
    return new Uint8Array(readFileSync(path));
  } catch {
    return refuse(`${path} cannot be read.`, 'Name a file that is there.', path);
  }
}

/** Reads a `.peel` job, with today's date replaced when one is given. */
export function readJob(path: string | undefined, today?: string | boolean): JobWithArt {
  if (!path) return refuse('No job was named.', 'Give the path of a .peel file.');
  const read = expectOk(parsePeel(readBytes(path), path));
  if (today === undefined) return read;
  if (!/^\d{4}-\d{2}-\d{2}$/.test(String(today)))
    return refuse(`--today: “${today}” is not a date.`, 'Write it as YYYY-MM-DD.', '--today');
  const job: Job = { ...read.job, today: String(today) };
  return { ...read, job };
}

/** Writes a file so that it is complete or absent, never half. */
export function writeWhole(path: string, bytes: Uint8Array | string): void {
  const half = `${path}.part`;
  try {
    mkdirSync(dirname(path), { recursive: true });
    writeFileSync(half, bytes);
    renameSync(half, path);
  } catch {
    rmSync(half, { force: true });
    refuse(`${path} cannot be written.`, 'Name a folder that can be written to.', path);
  }
}

/** Writes a file into a folder, and nowhere else: a name that leads out of it is refused. */
export function writeInto(folder: string, name: string, bytes: Uint8Array | string): void {
  if (name !== basename(name) || name === '' || name === '.' || name === '..')
    refuse(`“${name}” leads out of ${folder}.`, 'Give a name without slashes.', name);
  writeWhole(join(folder, name), bytes);
}
