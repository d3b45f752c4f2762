// Every check, with a count at the end that machines read: N passed, N failed.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { root } from './bundle.mjs';

const bin = (name) => `node_modules/.bin/${name}`;
const jest = [
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  'node_modules/jest/bin/jest.js',
];
const OUT = `${root}/.e2e-out`;
const FOLDERS = ['core', 'app', 'devices', 'server', 'cli', 'demo', 'e2e', 'bench'];
let passed = 0;
let failed = 0;

const env = { ...process.env, FORCE_COLOR: '0' };

function run(command, args) {
  return spawnSync(command, args, { cwd: root, stdio: 'inherit', env }).status === 0;
}

/** A check that is one thing: it passes or fails. What it says is shown when it has ended. */
function check([name, command, args]) {
  return new Promise((end) => {
    let said = '';
    const child = spawn(command, args, { cwd: root, env });
    const hear = (part) => (said += part);
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.on('error', (error) => hear(error.message));
    child.on('close', (code) => {
      console.log(`\n— ${name}\n${said.trimEnd()}`);
      if (code === 0) passed++;
      else failed++;
      end();
    });
  });
}

/** Works through checks, two at a time. */
async function checks(list) {
  const left = [...list];
  const lane = async () => {
    for (let next = left.shift(); next; next = left.shift()) await check(next);
  };
  await Promise.all([lane(), lane()]);
}

/** A check of many tests: `count` reads how many there were; a run that failed fails at least one. */
function tests(name, [command, args], report, count) {
  console.log(`\n— ${name}`);
  rmSync(report, { force: true });
  const fine = run(command, args);
  const found = existsSync(report)
    ? count(JSON.parse(readFileSync(report, 'utf8')))
    : { passed: 0, failed: 0 };
  passed += found.passed;
  failed += fine ? found.failed : Math.max(1, found.failed);
}

mkdirSync(OUT, { recursive: true });
await checks([
  ['lint', bin('eslint'), ['.']],
  ['types of all', bin('vue-tsc'), ['-p', 'tsconfig.json']],
  ['format', bin('prettier'), ['--check', '.', '--log-level', 'warn']],
  ['types of the core', bin('tsc'), ['-p', 'tsconfig.core.json']],
  ['layers', bin('depcruise'), [...FOLDERS, '--config', '.dependency-cruiser.cjs']],
  ['licences', process.execPath, ['tools/licences.mjs']],
]);
tests(
  'unit tests',
  [process.execPath, [...jest, '--json', `--outputFile=${OUT}/unit.json`]],
  `${OUT}/unit.json`,
  (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
  }),
);
tests('the real interface', [bin('playwright'), ['test']], `${OUT}/report.json`, ({ stats }) => ({
  passed: stats.expected,
  failed: stats.unexpected + stats.flaky,
}));

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
