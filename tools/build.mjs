// Builds the application into dist/: the server, the demo workshop's jobs and the page.
import { execFileSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundle, newest, root } from './bundle.mjs';

const SOURCES = [
  'core',
  'app',
  'server',
  'cli',
  'e2e/core.ts',
  'demo',
  'devices',
  'tools',
  'index.html',
  'vite.config.ts',
  'package-lock.json',
];
const STAMP = join(root, 'dist/.built');

/** Builds when a source is newer than the last build. */
export async function buildWhenStale() {
  const state = String(newest(SOURCES));
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === state) return;
  await build();
}

async function build() {
  console.log('Building …');
  const state = String(newest(SOURCES));
  const peel = await bundle('cli/peel.ts', '.cache/run');
  const demo = join(root, '.cache/public/demo');
  mkdirSync(demo, { recursive: true });
  execFileSync(process.execPath, [peel, 'demo', '--out', demo], {
    cwd: root,
    stdio: ['ignore', 'ignore', 'inherit'],
  });
  execFileSync(process.execPath, ['node_modules/vite/bin/vite.js', 'build', '--logLevel', 'warn'], {
    cwd: root,
    stdio: 'inherit',
  });
  await bundle('server/server.ts', 'dist/node');
  await bundle('e2e/core.ts', '.cache/e2e');
  writeFileSync(STAMP, state);
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) await build();
