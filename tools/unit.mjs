// Runs the unit tests: node tools/unit.mjs [paths and options of Jest]
//
// Tests are bundled with what they import first: Jest takes longer to load hundreds of modules one
// by one than most tests take.
import { spawn } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { bundleTests, root } from './bundle.mjs';

const OUT = '.cache/unit';
const args = process.argv.slice(2);
const all = ['app', 'cli', 'core', 'demo', 'devices', 'messages', 'server'].flatMap((folder) =>
  readdirSync(`${root}/${folder}`, { recursive: true })
    .filter((file) => file.endsWith('.test.ts'))
    .map((file) => `${folder}/${file}`),
);
const named = all.filter((file) => args.some((arg) => file.includes(arg)));
const files = await bundleTests(named.length ? named : all, OUT);
const options = args.filter((arg) => !all.some((file) => file.includes(arg)));

const jest = spawn(
  process.execPath,
  [
    '--experimental-vm-modules',
    '--disable-warning=ExperimentalWarning',
    'node_modules/jest/bin/jest.js',
    ...options,
    '--runTestsByPath',
    ...files,
  ],
  { cwd: root, stdio: 'inherit' },
);
jest.on('close', (code) => (process.exitCode = code ?? 1));
