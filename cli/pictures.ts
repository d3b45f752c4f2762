import { basename } from 'node:path';
import type { Result } from '../core/base/index.ts';
import { readPixels, type Art, type ReadArt } from '../core/art/index.ts';
import type { RgbaImage } from '../core/raster/index.ts';
import { decimal, refuse, refuseIn, type Given } from './arguments.ts';
import { readBytes } from './files.ts';
import { nodePlatform } from '../devices/wire/index.ts';
import type { Reader } from './reader.ts';

/** The one file that a command was given. */
export function namedFile({ rest }: Given, what: string): string {
  const [path] = rest;
  return path || refuse(`No ${what} was named.`, `Give the path of a ${what}.`);
}

/** Reads a picture file; a problem names the path that was given. */
export async function readPicture(path: string, reader: Reader): Promise<ReadArt> {
  const read = await reader.read({ bytes: readBytes(path), name: basename(path) });
  if (!read.ok && read.problem.code === 'art/several')
    return refuse(`${path} can hold several pictures.`, 'Use “peel split” for it.', path);
  return expectIn(path, read);
}

/** A result that was found in a file; a problem names the path that was given. */
export function expectIn<T>(path: string, result: Result<T>): T {
  return result.ok ? result.value : refuseIn(path, result.problem);
}

/** The pixels of a picture as it is seen. */
export async function pixelsOf({ art, bytes }: ReadArt, path: string): Promise<RgbaImage> {
  return expectIn(path, await readPixels(nodePlatform, bytes, art.name));
}

/** Dots for each inch of a picture of pixels. */
export const dpiOf = (art: Art): number => (art.kind === 'pixels' ? art.dpi : 96);

/** An option that is a number in a range. */
export function number(
  { options }: Given,
  name: string,
  range: { least: number; most: number; other: number },
): number {
  const value = options[name];
  if (value === undefined) return range.other;
  const read = decimal(name, value);
  if (!(read >= range.least && read <= range.most))
    return refuse(
      `--${name}: “${value}” is not accepted.`,
      `Write a number from ${range.least} to ${range.most}.`,
      `--${name}`,
    );
  return read;
}

/** An option that is one of a few words. */
export function oneOf<T extends string>(
  { options }: Given,
  name: string,
  known: readonly T[],
  other: T,
): T {
  const value = options[name];
  if (value === undefined) return other;
  const found = known.find((one) => one === value);
  return (
    found ??
    refuse(`--${name}: “${value}” is not accepted.`, `Accepted: ${known.join(', ')}.`, `--${name}`)
  );
}
