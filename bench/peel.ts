import { spawnSync } from 'node:child_process';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Row } from './row.ts';

const TRIES = 3;

/** The quickest of a few calls of `peel`, seconds. */
function seconds(...args: readonly string[]): number {
  const tries = Array.from({ length: TRIES }, () => {
    const before = performance.now();
    const { status, stderr } = spawnSync(process.execPath, ['bin/peel.mjs', ...args], {
      encoding: 'utf8',
    });
    if (status !== 0) throw new Error(stderr);
    return (performance.now() - before) / 1000;
  });
  return Math.min(...tries);
}

/** The command line as people call it, beside what it takes to start at all. */
export function benchPeel(): Promise<Row[]> {
  const folder = mkdtempSync(join(tmpdir(), 'peel-bench-'));
  seconds('demo', '--out', folder);
  const job = join(folder, 'seed-packets.peel');
  const start = seconds('--version');
  const row = (what: string, measured: number, wanted: string): Row => ({
    what,
    measured,
    unit: 's',
    baseline: start,
    wanted,
  });
  return Promise.resolve([
    row('peel run, four sheets', seconds('run', job, '--out', folder), 'half of 15 s'),
    row(
      'peel export --formats pdf, four sheets',
      seconds('export', job, '--out', folder, '--formats', 'pdf'),
      'half of 4 s',
    ),
  ]);
}
