import { freeingSchema, USUAL_FREEING } from '../../../core/subject/index.ts';
import { thinned } from './thinned.ts';

const line = (count: number): [number, number][] =>
  Array.from({ length: count }, (_, at) => [at, at * 2]);

test.each([1, 2, 3999, 4000, 4001, 5001, 60_000])(
  '%i places can be kept, with both ends',
  (count) => {
    const places = thinned(line(count));
    expect(places[0]).toEqual([0, 0]);
    expect(places[places.length - 1]).toEqual([count - 1, 2 * (count - 1)]);
    expect(places.length).toBeLessThanOrEqual(Math.min(count, 4001));
    const strokes = [{ mode: 'keep', radius: 3, points: places }];
    const around = places.length > 1 ? places : line(2);
    expect(freeingSchema.safeParse({ ...USUAL_FREEING, around, strokes }).success).toBe(true);
  },
);
