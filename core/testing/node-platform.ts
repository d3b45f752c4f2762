import { readFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { promisify } from 'node:util';
import { inflate } from 'node:zlib';
import { cachingPlatform, type Platform } from '../base/index.ts';

/** The assets as the set-up script collected them. */
export const nodePlatform: Platform = cachingPlatform({
  asset: async (name) => new Uint8Array(await readFile(join('.cache/public/core', name))),
  inflate: (packed, most) => promisify(inflate)(packed, { maxOutputLength: most }),
  module: (name) => import(resolve('.cache/public/core', name)),
});
