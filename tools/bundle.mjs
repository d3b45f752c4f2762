// Bundles a TypeScript entry for Node with esbuild (about 0.1 s), leaving most packages where they are.
import { existsSync, readdirSync, readFileSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

/** The newest change, in ms since 1970, below the folders and files named. */
export function newest(paths) {
  let latest = 0;
  for (const path of paths) {
    const full = join(root, path);
    if (!existsSync(full)) continue;
    const found = statSync(full);
    const time = found.isDirectory()
      ? newest(readdirSync(full).map((name) => join(path, name)))
      : found.mtimeMs;
    if (time > latest) latest = time;
  }
  return latest;
}

/** Packages of hundreds of small modules: one by one they take longer to load than the work they do. */
const TAKEN_IN = ['@cantoo/pdf-lib', 'date-fns', 'localforage', 'zod'];

/** The other packages, which stay where they are; some find their files beside them. */
function leftOut() {
  const { dependencies, devDependencies } = JSON.parse(
    readFileSync(join(root, 'package.json'), 'utf8'),
  );
  const all = Object.keys({ ...dependencies, ...devDependencies });
  return all.filter((name) => !TAKEN_IN.includes(name));
}

const OPTIONS = {
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  sourcemap: true,
  logLevel: 'warning',
};

/** Bundles `entry` into `folder` and gives the path of the file made. */
export async function bundle(entry, folder) {
  const { build } = await import('esbuild');
  const outfile = join(root, folder, basename(entry).replace(/\.ts$/, '.mjs'));
  const entryPoints = [join(root, entry)];
  await build({ ...OPTIONS, entryPoints, outfile, external: leftOut() });
  return outfile;
}

/** Bundles each of many entries on its own, in the folders that they stand in below `folder`. */
export async function bundleAll(entries, folder) {
  const { build } = await import('esbuild');
  await build({
    ...OPTIONS,
    entryPoints: entries.map((entry) => join(root, entry)),
    outdir: join(root, folder),
    outbase: root,
    outExtension: { '.js': '.mjs' },
    sourcesContent: false,
    // Jest gives its globals to those alone that ask for them by name.
    external: [...leftOut(), '@jest/globals'],
  });
  return entries.map((entry) => join(root, folder, entry.replace(/\.ts$/, '.mjs')));
}
