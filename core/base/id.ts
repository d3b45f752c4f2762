import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';
import type { Platform } from './port.ts';

/**
 * The lowest free id of the form `stem-number`, so that ids read well in files and need no clock
 * and no chance.
 */
export function freeId(stem: string, taken: Iterable<string>): string {
  const used = new Set(taken);
  let number = 1;
  while (used.has(`${stem}-${number}`)) number++;
  return `${stem}-${number}`;
}

/** The SHA-256 of bytes in lower-case hexadecimal; a library's, since plain-http pages lack one. */
export function contentHash(bytes: Uint8Array): string {
  return bytesToHex(sha256(bytes));
}

/** The same of many bytes: by the platform, where it has one. */
export async function quickContentHash(platform: Platform, bytes: Uint8Array): Promise<string> {
  return platform.sha256 ? bytesToHex(await platform.sha256(bytes)) : contentHash(bytes);
}
