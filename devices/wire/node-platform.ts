import { createHash } from 'node:crypto';
import { readFile } from 'node:fs/promises';
import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';
import { promisify } from 'node:util';
import { inflate } from 'node:zlib';
import { cachingPlatform, type Platform } from '../../core/base/index.ts';

/** The nearest folder above this file that holds package.json: the checkout. */
function checkout(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'package.json')) && dirname(folder) !== folder)
    folder = dirname(folder);
  return folder;
}

/** Where an asset lies. */
const asset = (name: string): string => join(checkout(), '.cache/public/core', name);

/** The assets that the set-up script collected from the installed packages. */
export const nodePlatform: Platform = cachingPlatform({
  asset: async (name) => new Uint8Array(await readFile(asset(name))),
  sha256: async (bytes) => createHash('sha256').update(bytes).digest(),
  inflate: (packed, most) => promisify(inflate)(packed, { maxOutputLength: most }),
  module: (name) => import(pathToFileURL(asset(name)).href),
});
