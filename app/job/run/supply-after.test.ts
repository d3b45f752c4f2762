import {
  MATT_PAPER,
  SHIPPED_STOCK,
  spotCount,
  spotPlaces,
  type Supply,
} from '../../../core/stock/index.ts';
import { supplyAfter } from './supply-after.ts';

const plain = SHIPPED_STOCK.find(({ spots }) => !spots);
const labels = SHIPPED_STOCK.find(({ spots }) => spots && spotCount(spots) >= 12);
if (!plain || !labels?.spots) throw new Error('no such stock');
const places = spotPlaces(labels.spots);
const material = { ...MATT_PAPER, pack: { sheets: 10, price: 5 } };
const supply = (changes: Partial<Supply>): Supply => ({
  ...{ id: 's', stock: plain, material, packs: 1, loose: 3, started: [] },
  ...changes,
});
const sheet = (spots: readonly number[]) => ({
  copies: spots.flatMap((at) => {
    const place = places[at];
    return place ? [{ placement: { x: place.x + 0.2, y: place.y } }] : [];
  }),
});

test('plain sheets are gone: loose ones first, then out of a pack', () => {
  expect(supplyAfter(supply({}), [sheet([]), sheet([])], [])).toMatchObject({ packs: 1, loose: 1 });
  const five = Array.from({ length: 5 }, () => sheet([]));
  expect(supplyAfter(supply({}), five, [])).toMatchObject({ packs: 0, loose: 8 });
  expect(supplyAfter(supply({ packs: 0, loose: 1 }), five, [])).toMatchObject({ loose: 0 });
});

test('of a bought sheet the labels that were printed are gone, and the next job goes on behind them', () => {
  const after = supplyAfter(supply({ stock: labels, loose: 2 }), [sheet([0, 1, 2])], []);
  expect(after).toMatchObject({ loose: 1, started: [{ used: [0, 1, 2] }] });
  const again = supplyAfter(after, [sheet([3, 4]), sheet([0])], [0, 1, 2]);
  expect(again).toMatchObject({ loose: 0, started: [{ used: [0, 1, 2, 3, 4] }, { used: [0] }] });
});
