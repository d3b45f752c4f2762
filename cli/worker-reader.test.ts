import { jest } from '@jest/globals';
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { doing, type Doing } from '../core/base/index.ts';
import { workerReader } from './worker-reader.ts';

const folder = mkdtempSync(join(tmpdir(), 'peel-reader-'));
const file = { bytes: Uint8Array.of(1, 2, 3), name: 'mint.svg' };

/** What a worker runs. */
function script(name: string, body: string): URL {
  const path = join(folder, `${name}.mjs`);
  writeFileSync(
    path,
    `import { parentPort, workerData } from 'node:worker_threads';\nconst say = (said) => parentPort.postMessage(said);\n${body}`,
  );
  return pathToFileURL(path);
}

test('a file that is read without end is refused by its name, and its worker is ended', async () => {
  const reader = workerReader(script('endless', 'for (;;);'), 0.3);
  await expect(reader.read(file)).rejects.toMatchObject({
    problem: { code: 'art/too-long', values: { name: 'mint.svg', seconds: 0.3 } },
  });
});

test('what gets on has its time anew, and tells how far it is', async () => {
  const steps = script(
    'steps',
    `const { file, choices } = workerData;
    for (const share of [0.25, 0.5, 0.75, 1]) {
      say({ kind: 'progress', share, doing: { code: 'nesting', values: {} } });
    }
    say({ kind: 'done', answer: { taken: [], refused: [file.name, file.bytes.length, choices.dpi] } });`,
  );
  const heard: [number, Doing][] = [];
  jest.useFakeTimers({ doNotFake: ['nextTick', 'setImmediate', 'queueMicrotask'] });
  const task = {
    progress: (share: number, at: Doing): void => {
      heard.push([share, at]);
      jest.advanceTimersByTime(900);
    },
    yieldNow: () => Promise.resolve(),
  };
  const reading = workerReader(steps, 1).takeIn(file, { choices: { dpi: 96 }, task });
  const taken = await reading.finally(() => jest.useRealTimers());
  expect(taken.refused).toEqual(['mint.svg', 3, 96]);
  expect(heard).toEqual([0.25, 0.5, 0.75, 1].map((share) => [share, doing('nesting', {})]));
});

test('a worker that breaks says why', async () => {
  const broken = script('broken', `throw new Error('no library');`);
  await expect(workerReader(broken).read(file)).rejects.toThrow('no library');
});

test('in a terminal the command reads by a worker of its own', () => {
  const [path, out] = [join(folder, 'leaf.svg'), join(folder, 'leaf.png')];
  writeFileSync(
    path,
    '<svg xmlns="http://www.w3.org/2000/svg" width="25.4mm" height="25.4mm" viewBox="0 0 2 2"><rect width="1" height="2" fill="#123456"/></svg>',
  );
  const args = ['bin/peel.mjs', 'take', path, '--out', out, '--dpi', '10', '--json'];
  const { status, stdout } = spawnSync(process.execPath, args, { encoding: 'utf8' });
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toMatchObject({ kind: 'shapes', width: 25.4, height: 25.4 });
  expect([...readFileSync(out).subarray(1, 4)]).toEqual([80, 78, 71]);
});
