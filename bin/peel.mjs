#!/usr/bin/env node
// `peel`: bundles the sources into a cache when they are newer, then runs them.
import { existsSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { collectAssets } from '../tools/assets.mjs';
import { bundle, newest, root } from '../tools/bundle.mjs';

const made = join(root, '.cache/run/peel.mjs');
if (!existsSync(made) || statSync(made).mtimeMs < newest(['core', 'cli', 'demo', 'devices'])) {
  collectAssets(root);
  await bundle('cli/peel.ts', '.cache/run');
}
await import(pathToFileURL(made).href);
