import { byPack, type RunRecord } from '../../core/run/index.ts';
import { packName, runsFor, spoilageOverTime, sums } from './ledger-facts.ts';

const NOW = Date.parse('2026-06-01T12:00:00.000Z');
const run = (changes: Partial<RunRecord>): RunRecord => ({
  ...{ id: 'r', job: 'j', at: '2026-05-20T10:00:00.000Z', sheets: 1, copies: 10 },
  ...{ jobName: 'Pot-lid seals', stock: 'A4 plain', material: 'Matt paper', sheetPrice: 0.5 },
  ...changes,
});

test('runs are found by job, stock or material, in a span of time; one under way is none yet', () => {
  const old = run({ id: 'old', at: '2025-01-01T10:00:00.000Z', jobName: 'Tea' });
  const open = run({ id: 'open', open: { done: [] } });
  const all = [run({}), old, open];
  const found = (typed: string, span: 'all' | 'month' | 'year') =>
    runsFor(all, { typed, span, now: NOW }).map(({ id }) => id);
  expect(found('', 'all')).toEqual(['r', 'old']);
  expect(found('', 'year')).toEqual(['r']);
  expect(found(' SEALS ', 'all')).toEqual(['r']);
  expect(found('matt', 'all')).toEqual(['r', 'old']);
  expect(found('parchment', 'all')).toEqual([]);
});

test('plots: spoilage from the earliest run on', () => {
  const runs = [run({ spoiled: ['a', 'b'] }), run({ at: '2026-05-01T10:00:00.000Z' })];
  expect(spoilageOverTime(runs)).toEqual([
    { day: '1 May', percent: 0 },
    { day: '20 May', percent: 20 },
  ]);
  expect(sums(runs)).toEqual({ good: 18, spoiled: 2, sheets: 2 });
});

test('packs are called by their stock and material, and by their price where that tells them apart', () => {
  const packs = byPack([run({}), run({ sheetPrice: 0.25 }), run({ stock: 'Film', sheets: 9 })]);
  const names = packs.map((pack) => packName(pack, packs, (amount) => `€${amount.toFixed(2)}`));
  expect(names).toEqual([
    'Film, Matt paper',
    'A4 plain, Matt paper, €0.50',
    'A4 plain, Matt paper, €0.25',
  ]);
});
