import { createJob } from '../job/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { measureContrasts, wantedContrast } from './index.ts';

test('white on black is measured as 21 and grey 119 on white as 4.48', async () => {
  const measured = async (color: string, ground: string): Promise<number> => {
    const made = await compiled(
      runAll(
        createJob('lid', { id: 'j', today: '2026-04-18' }),
        { name: 'change-piece', args: { piece: 'piece-1', changes: { ground } } },
        { name: 'add-element', args: { piece: 'piece-1', element: exampleWords({ color }) } },
      ),
      new Map(),
    );
    const all = await measureContrasts(made.compiled, {
      platform: nodePlatform,
      resources: made.resources,
    });
    return all.get('piece-1/words-1')?.ratio ?? 0;
  };
  expect(await measured('#ffffff', '#000000')).toBeCloseTo(21, 1);
  expect(await measured('#777777', '#ffffff')).toBeCloseTo(4.48, 1);
});

test('large and bold words need less contrast', () => {
  expect(wantedContrast(12, 'figtree-semibold')).toBe(4.5);
  expect(wantedContrast(14, 'figtree-semibold')).toBe(3);
  expect(wantedContrast(14, 'figtree-regular')).toBe(4.5);
  expect(wantedContrast(18, 'figtree-regular')).toBe(3);
});
