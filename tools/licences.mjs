// Lists the licences of what ships and of what builds it, and fails on any that is not allowed.
// With --write it also writes THIRD-PARTY.md.
import { readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { root } from './bundle.mjs';

const SHIPS = [
  'MIT',
  'BSD-2-Clause',
  'BSD-3-Clause',
  'ISC',
  'Apache-2.0',
  'BSL-1.0',
  '0BSD',
  'BlueOak-1.0.0',
  'Zlib',
  'CC0-1.0',
  'OFL-1.1',
];
/** What ships unmodified as files of its own, with its licence and where its source is beside it. */
const AS_FILES = { '@resvg/resvg-wasm': 'MPL-2.0', 'libheif-js': 'LGPL-3.0' };
const BUILDS = [...SHIPS, 'MPL-2.0', 'CC-BY-4.0', 'Python-2.0', 'Unlicense'];

const lock = JSON.parse(readFileSync(join(root, 'package-lock.json'), 'utf8'));

/** What a package says its licence is. */
function licenceOf(path, entry) {
  if (entry.license) return entry.license;
  try {
    const own = JSON.parse(readFileSync(join(root, path, 'package.json'), 'utf8'));
    return own.license ?? own.licenses?.map(({ type }) => type).join(' AND ') ?? 'unknown';
  } catch {
    return 'unknown';
  }
}

/** “A OR B” needs one that is allowed, “A AND B” all. */
function isAllowed(licence, allowed) {
  const plain = licence.replace(/[()]/g, '');
  return plain
    .split(/ OR /)
    .some((choice) => choice.split(/ AND /).every((name) => allowed.includes(name.trim())));
}

/** The place of a package as another sees it: beside or above. */
function resolve(from, name) {
  for (
    let folder = from;
    ;
    folder = folder.slice(0, Math.max(0, folder.lastIndexOf('/node_modules/')))
  ) {
    const path = `${folder ? `${folder}/` : ''}node_modules/${name}`;
    if (lock.packages[path]) return path;
    if (!folder) return undefined;
  }
}

/** What our own dependencies bring with them, without what they only go together with. */
function shipped() {
  const seen = new Set();
  const visit = (from, names) => {
    for (const name of Object.keys(names ?? {})) {
      const path = resolve(from, name);
      if (!path || seen.has(path)) continue;
      seen.add(path);
      visit(path, lock.packages[path].dependencies);
    }
  };
  visit('', lock.packages[''].dependencies);
  return seen;
}

const ships = shipped();
const packages = Object.entries(lock.packages)
  .filter(([path]) => path.startsWith('node_modules/'))
  .map(([path, entry]) => ({
    name: path.slice(path.lastIndexOf('node_modules/') + 13),
    version: entry.version,
    licence: licenceOf(path, entry),
    ships: ships.has(path),
    optional: Boolean(entry.optional),
  }));

const refused = packages.filter(
  ({ name, licence, ships, optional }) =>
    !(optional && licence === 'unknown') &&
    AS_FILES[name] !== licence &&
    !isAllowed(licence, ships ? SHIPS : BUILDS),
);
for (const { name, version, licence } of refused)
  console.error(`${name} ${version}: ${licence} is not on the allow list`);

if (process.argv.includes('--write')) {
  const rows = packages
    .filter((one) => one.ships)
    .sort((one, other) => (one.name < other.name ? -1 : 1))
    .map(({ name, version, licence }) => `| ${name} | ${version} | ${licence} |`);
  const text = `# What ships with Little Peel\n\nMade by \`npm run licences\` and checked by \`npm test\`. The typefaces, and what ships unmodified as files of its own under the MPL-2.0, carry their licence beside them in the built application (\`/core/*-licence.txt\`), the latter with where its source is.\n\n| package | version | licence |\n|---|---|---|\n${[...new Set(rows)].join('\n')}\n`;
  writeFileSync(join(root, 'THIRD-PARTY.md'), text);
}
console.log(`${packages.length} packages, ${refused.length} with a licence that is not allowed`);
process.exitCode = refused.length ? 1 : 0;
