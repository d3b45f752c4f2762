import { readFile } from 'node:fs/promises';
import { join, resolve } from 'node:path';
import { cachingPlatform, type Platform } from '../base/index.ts';

/** The assets as the set-up script collected them. */
export const nodePlatform: Platform = cachingPlatform({
  asset: async (name) => new Uint8Array(await readFile(join('.cache/public/core', name))),
  module: (name) => import(resolve('.cache/public/core', name)),
});
