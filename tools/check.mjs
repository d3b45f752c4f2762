// Every check, with a count at the end that machines read: N passed, N failed.
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { root } from './bundle.mjs';

const bin = (name) => `node_modules/.bin/${name}`;
const OUT = `${root}/.e2e-out`;
const FOLDERS = ['core', 'messages', 'app', 'devices', 'server', 'cli', 'demo', 'e2e', 'bench'];
let passed = 0;
let failed = 0;

const env = { ...process.env, FORCE_COLOR: '0' };

/** Runs a command; says what it said at its end, or as it comes. */
function run(name, [command, args], live = false) {
  return new Promise((end) => {
    let said = '';
    const child = spawn(command, args, { cwd: root, env, stdio: live ? 'inherit' : 'pipe' });
    const hear = (part) => (said += part);
    child.stdout?.on('data', hear);
    child.stderr?.on('data', hear);
    child.on('error', (error) => hear(error.message));
    child.on('close', (code) => {
      if (!live) console.log(`\n— ${name}\n${said.trimEnd()}`);
      end(code === 0);
    });
  });
}

/** A check that is one thing: it passes or fails. */
async function check([name, command, args]) {
  if (await run(name, [command, args])) passed++;
  else failed++;
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
async function tests(name, command, { report, count, live }) {
  rmSync(report, { force: true });
  const fine = await run(name, command, live);
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
// The browser waits more than it works: unit tests use what it leaves, and never take its turn.
const gently = existsSync('/usr/bin/nice') ? ['/usr/bin/nice', '-n', '10'] : [];
const [node, ...unit] = [...gently, process.execPath, 'tools/unit.mjs'];
await Promise.all([
  tests('unit tests', [node, [...unit, '--json', `--outputFile=${OUT}/unit.json`]], {
    report: `${OUT}/unit.json`,
    count: (report) => ({
      passed: report.numPassedTests,
      failed: report.numFailedTests + report.numRuntimeErrorTestSuites,
    }),
  }),
  tests('the real interface', [bin('playwright'), ['test']], {
    report: `${OUT}/report.json`,
    count: ({ stats }) => ({ passed: stats.expected, failed: stats.unexpected + stats.flaky }),
    live: true,
  }),
]);

console.log(`\n${passed} passed, ${failed} failed`);
process.exitCode = failed === 0 && passed > 0 ? 0 : 1;
