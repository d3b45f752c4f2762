// Makes a checkout ready to run, with nothing but Node: installs what the lockfile names when it
// has changed, collects the core's assets, and with --build / --tools builds the application
// and installs what the checks need from Debian. Does nothing when nothing is missing.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const wants = new Set(process.argv.slice(2));

/** Runs a command to its end. */
function run(command, args) {
  return new Promise((end, failed) => {
    const child = spawn(command, args, { cwd: root, stdio: 'inherit' });
    child.on('error', failed);
    child.on('close', (code) =>
      code === 0 ? end() : failed(new Error(`${command} ended with ${code}.`)),
    );
  });
}

async function installPackages() {
  const stamp = join(root, 'node_modules/.little-peel');
  const state = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .update(process.version)
    .digest('hex');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === state) return;
  console.log('Installing packages …');
  await run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error']);
  writeFileSync(stamp, state);
}

/** What the checks need from Debian: a browser, and readers, printers and plotters that are not ours. */
const TOOLS = {
  'chromium-headless-shell': 'chromium-headless-shell',
  pdftotext: 'poppler-utils',
  qpdf: 'qpdf',
  ipptool: 'cups-ipp-utils',
  'dbus-daemon': 'dbus',
  hp2xx: 'hp2xx',
  openssl: 'openssl',
  socat: 'socat',
};

async function installTools() {
  const missing = Object.entries(TOOLS).filter(([tool]) =>
    ['bin', 'sbin'].every((folder) => !existsSync(`/usr/${folder}/${tool}`)),
  );
  if (missing.length === 0) return;
  const packages = missing.map(([, name]) => name);
  console.log(`Installing ${packages.join(', ')} …`);
  const wait = ['-o', 'DPkg::Lock::Timeout=600'];
  await run('apt-get', [...wait, 'update', '-qq']);
  await run('apt-get', [...wait, 'install', '-y', '-qq', '--no-install-recommends', ...packages]);
}

// What is fetched is fetched side by side.
await Promise.all([installPackages(), wants.has('--tools') && installTools()]);
const { collectAssets } = await import('./assets.mjs');
collectAssets(root);
const { collectPictures } = await import('./pictures.mjs');
collectPictures(root);
if (wants.has('--build')) await (await import('./build.mjs')).buildWhenStale();
