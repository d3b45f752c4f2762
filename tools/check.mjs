// Every check, one after the other, with a count at the end that machines read: N passed, N failed.
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { root } from './bundle.mjs';

const bin = (name) => `node_modules/.bin/${name}`;
const jest = [
  '--experimental-vm-modules',
  '--disable-warning=ExperimentalWarning',
  'node_modules/jest/bin/jest.js',
];
const OUT = `${root}/.e2e-out`;
let passed = 0;
let failed = 0;

function run(command, args) {
  const done = spawnSync(command, args, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, FORCE_COLOR: '0' },
  });
  return done.status === 0;
}

/** A check that is one thing: it passes or fails. */
function check(name, command, args) {
  console.log(`\n— ${name}`);
  if (run(command, args)) passed++;
  else failed++;
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
check('lint', bin('eslint'), ['.']);
check('format', bin('prettier'), ['--check', '.', '--log-level', 'warn']);
check('types of the core', bin('tsc'), ['-p', 'tsconfig.core.json']);
check('types of all', bin('vue-tsc'), ['-p', 'tsconfig.json']);
check('layers', bin('depcruise'), [
  'core',
  'app',
  'devices',
  'server',
  'cli',
  'demo',
  'e2e',
  'bench',
  '--config',
  '.dependency-cruiser.cjs',
]);
check('licences', process.execPath, ['tools/licences.mjs']);
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
