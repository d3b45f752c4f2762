import { DIE_CUTS, spotPlaces, type Stock } from '../../../core/stock/index.ts';
import { useReadings } from './readings.ts';

const PLAIN = ['circle', 'ellipse', 'rectangle'];
const grids = DIE_CUTS.filter(
  ({ spots }) => spots?.layout === 'grid' && PLAIN.includes(spots.shape.kind),
);

test.each(grids)('$name is the same sheet when its readings are taken and read again', (stock) => {
  const readings = useReadings();
  readings.takeFrom(stock);
  const made = readings.made.value;
  if (!made.ok || !stock.spots) throw new Error('not made');
  const [before, after] = [spotPlaces(stock.spots), spotPlaces(made.value.spots)];
  expect(after).toHaveLength(before.length);
  after.forEach((place, at) => {
    expect(place.x).toBeCloseTo(before[at]?.x ?? 0, 6);
    expect(place.y).toBeCloseTo(before[at]?.y ?? 0, 6);
  });
});

test('a reading that is emptied is derived again, and a round label is measured once', () => {
  const readings = useReadings();
  readings.draft.shape = 'circle';
  readings.draft.across = { sheet: 210, count: 4, size: 40, pitch: 48 };
  readings.draft.down = { sheet: 297, count: 6, pitch: 46, first: 13.5 };
  expect(readings.round.value).toBe(true);
  expect(readings.derived.value.across).toMatchObject({ gap: 8, first: 13, last: 13 });
  expect(readings.derived.value.down).toMatchObject({ size: 40, gap: 6, last: 13.5 });
  readings.draft.down.first = 40;
  expect(readings.made.value.ok).toBe(false);
  expect(readings.derived.value.down).toBeUndefined();
});

test('a sheet without rows and columns leaves the readings as they are', () => {
  const readings = useReadings();
  const before = JSON.stringify(readings.draft);
  const free = DIE_CUTS.find(({ spots }) => spots?.layout === 'free') as Stock;
  readings.takeFrom({ ...free, name: '' });
  expect(JSON.stringify(readings.draft)).toBe(before);
});
