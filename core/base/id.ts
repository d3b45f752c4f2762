import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex } from '@noble/hashes/utils.js';

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
