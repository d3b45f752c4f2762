import { createJob, type Job } from '../../../core/job/index.ts';
import {
  DIE_CUTS,
  MATT_PAPER,
  PLAIN_SHEETS,
  type Material,
  type Stock,
  type Supply,
} from '../../../core/stock/index.ts';
import { runAll } from '../../../core/testing/example-job.ts';
import { usualThing } from '../../../core/things/index.ts';
import type { OfferGroup } from '../../stock/offered.ts';
import { stockOffers, type OwnStock, type StockOffer } from './stock-offers.ts';

const NOTHING: OwnStock = { yours: [], supplies: [], favourites: [], recent: [] };
const lid = (size: number): Job =>
  runAll(createJob('lid', { id: 'j', today: '2026-04-18' }), {
    name: 'measure-thing',
    args: { thing: usualThing('lid', { size, clearance: 0 }) },
  });
const offered = (
  job: Job,
  own: Partial<OwnStock> = {},
  typed = '',
): Map<string, OfferGroup<StockOffer>> =>
  new Map(
    stockOffers(job, { ...NOTHING, ...own }, { typed, unit: 'mm', currency: 'EUR' }).map(
      (group) => [group.title, group],
    ),
  );
const sheet = (id: string): Stock => {
  const found = [...DIE_CUTS, ...PLAIN_SHEETS].find((stock) => stock.id === id);
  if (!found) throw new Error(id);
  return found;
};
const supply = (id: string, stock: Stock, pack: Material['pack']): Supply => ({
  id,
  stock,
  material: { ...MATT_PAPER, pack },
  packs: 1,
  loose: 0,
  started: [],
});
const names = (group: OfferGroup<StockOffer> | undefined): string[] =>
  (group?.offers ?? []).map(({ stock }) => stock.name);

test('an empty workshop is offered plain sheets and the nearest die-cut ones', () => {
  const groups = offered(lid(40));
  expect([...groups.keys()]).toEqual(['Plain sheets', 'Die-cut, nearest to your label']);
  const [nearest] = groups.get('Die-cut, nearest to your label')?.offers ?? [];
  expect(nearest).toMatchObject({ note: 'exactly', fact: '24 on a sheet', perSheet: 24 });
  expect(groups.get('Plain sheets')?.offers[0]?.note).toBe('210 × 297 mm');
});

test('of what is on hand the cheapest label comes first and is named', () => {
  const supplies = [
    supply('dear', sheet('a4-round-40-24'), { sheets: 10, price: 12 }),
    supply('unpriced', sheet('a4'), null),
    supply('cheap', sheet('a4-round-40-24'), { sheets: 50, price: 24 }),
  ];
  const offers = offered(lid(40), { supplies }).get('On hand')?.offers ?? [];
  expect(offers.map(({ supply: one }) => one?.id)).toEqual(['cheap', 'dear', 'unpriced']);
  expect(offers.map(({ note }) => note)).toEqual([
    '€0.02 each, the cheapest',
    '€0.05 each',
    'Matt paper',
  ]);
});

test('one price alone is not the cheapest of anything', () => {
  const supplies = [supply('one', sheet('a4-round-40-24'), { sheets: 10, price: 12 })];
  expect(offered(lid(40), { supplies }).get('On hand')?.offers[0]?.note).toBe('€0.05 each');
});

test('labels smaller than the piece are too small, a little bleed over the edge is not', () => {
  const fact = (size: number): string | undefined =>
    offered(lid(size), { yours: [sheet('a4-round-40-24')] }).get('Your sheets')?.offers[0]?.fact;
  expect([fact(40), fact(40.8), fact(43)]).toEqual(['24 on a sheet', '24 on a sheet', 'Too small']);
});

test('what was used last is offered once, not again beside one’s own sheets and favourites', () => {
  const [a4, a3, round] = [sheet('a4'), sheet('a3'), sheet('a4-round-40-24')];
  const groups = offered(lid(40), { yours: [round], favourites: [a3], recent: [round, a3, a4] });
  expect(names(groups.get('Used recently'))).toEqual(['A4']);
});

test('the price of the job’s material is told for every other sheet', () => {
  const material = { ...MATT_PAPER, pack: { sheets: 20, price: 24 } };
  const priced = runAll(lid(58), { name: 'choose-material', args: { material } });
  const [a4] = offered(priced).get('Plain sheets')?.offers ?? [];
  expect(a4?.note).toBe('210 × 297 mm · €0.10 each');
});

test('a disc is offered carriers, a bought sheet only die-cut ones', () => {
  const disc = runAll(lid(40), {
    name: 'measure-thing',
    args: { thing: usualThing('disc', { outer: 118, inner: 17 }) },
  });
  const [first] = offered(disc).get('Die-cut, nearest to your label')?.offers ?? [];
  expect(first?.stock.form).toBe('carrier');
  const bought = createJob('label-sheet', { id: 'b', today: '2026-04-18' });
  const groups = offered(bought, { favourites: [sheet('a4')] });
  expect([...groups.keys()]).toEqual(['Die-cut sheets']);
  expect(names(groups.get('Die-cut sheets'))[0]).toBe('A4 die-cut, 24 round labels of 40 mm');
});

test('what is typed is all that is offered, the nearest first', () => {
  const groups = offered(lid(40), { favourites: [sheet('a3')] }, 'round 35');
  expect([...groups.keys()]).toEqual(['Nearest first']);
  const [first] = groups.get('Nearest first')?.offers ?? [];
  expect(first).toMatchObject({ note: 'exactly', fact: 'Too small' });
});
