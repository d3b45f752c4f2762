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

/** Whether a test is loaded alone: it waits at its top for what it imports, or is long enough as it is. */
function isAlone(test) {
  const source = readFileSync(join(root, test), 'utf8');
  return !/^(core|app)\//.test(test) || /^(const .*)?\bawait /m.test(source);
}

/** Entries made up of many tests: each of them stands under the name of its file. */
const TOGETHER = {
  name: 'together',
  setup({ onResolve, onLoad }) {
    onResolve({ filter: /^together:/ }, ({ path }) => ({ path, namespace: 'together' }));
    onLoad({ filter: /./, namespace: 'together' }, ({ path }) => ({
      resolveDir: root,
      contents: [
        `import { describe } from '@jest/globals';`,
        ...path
          .slice('together:'.length)
          .split(',')
          .map((test) => `describe('${test}', () => { require('./${test}'); });`),
      ].join('\n'),
    }));
  },
};

/**
 * Bundles tests below `folder` and gives the files made: those of one folder are one,
 * since what they share takes longer to load than most of them take.
 */
export async function bundleTests(tests, folder) {
  const { build } = await import('esbuild');
  const entries = tests
    .filter(isAlone)
    .map((test) => ({ in: test, out: test.replace(/\.ts$/, '') }));
  const shared = tests.filter((test) => !isAlone(test));
  for (const group of new Set(shared.map((test) => test.split('/', 2).join('/')))) {
    const own = shared.filter((test) => test.startsWith(`${group}/`));
    entries.push({ in: `together:${own.join()}`, out: `${group}.test` });
  }
  await build({
    ...OPTIONS,
    absWorkingDir: root,
    entryPoints: entries,
    plugins: [TOGETHER],
    outdir: folder,
    outExtension: { '.js': '.mjs' },
    sourcesContent: false,
    // Jest gives its globals to those alone that ask for them by name.
    external: [...leftOut(), '@jest/globals'],
  });
  return entries.map(({ out }) => join(root, folder, `${out}.mjs`));
}
