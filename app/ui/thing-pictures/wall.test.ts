import { expectOk } from '../../../core/base/index.ts';
import { trySize, usualThing, type MeasuredThing } from '../../../core/things/index.ts';
import { turnedWall, wallOf } from './wall.ts';

function wall(thing: MeasuredThing) {
  const made = wallOf(thing, expectOk(trySize(thing)));
  if (!made) throw new Error('no wall');
  return made;
}

test('a straight wall shows the middle of its label in front, less what its ends overlap', () => {
  const { place, top, bottom } = wall(usualThing('wrap', { size: 100, overlap: 0, angle: 360 }));
  expect([top, bottom]).toEqual([1, 1]);
  expect(place(0, 0.5)).toEqual([0.5, 0.5]);
  expect(place(90, 0)).toEqual([0.75, 0]);
  const half = wall(usualThing('wrap', { size: 100, overlap: 0, angle: 180 }));
  expect(half.place(90, 1)).toEqual([1, 1]);
});

test.each([
  [110, 80],
  [80, 110],
])('on a pot of %i and %i mm the arcs of the flat label run along its rims', (above, below) => {
  const thing = usualThing('taper', {
    top: above,
    bottom: below,
    size: 95,
    overlap: 0,
    angle: 180,
  });
  const { place, top, bottom } = wall(thing);
  expect([top, bottom]).toEqual([above / 110, below / 110]);
  // The upper corners of the band are where the rim is at the sides, the lower ones where the foot is.
  const corners = [place(-90, 0), place(90, 0), place(-90, 1), place(90, 1)];
  const [left, right] = above > below ? [corners[0], corners[1]] : [corners[2], corners[3]];
  expect(left?.[0]).toBeCloseTo(0, 2);
  expect(right?.[0]).toBeCloseTo(1, 2);
  expect(Math.min(...[place(0, 0), ...corners].map(([, y]) => y))).toBeCloseTo(0, 2);
  expect(Math.max(...[place(0, 1), ...corners].map(([, y]) => y))).toBeCloseTo(1, 2);
});

test('from behind a wall shows the ends of its label, its right side at the left', () => {
  const behind = turnedWall(wall(usualThing('wrap', { size: 100, overlap: 0, angle: 360 })));
  expect(behind.place(-90, 0.5)).toEqual([0.75, 0.5]);
  expect(behind.place(90, 0.5)).toEqual([0.25, 0.5]);
  expect(behind.place(-0.36, 0)[0]).toBeCloseTo(0.999, 9);
  expect(behind.place(0.36, 0)[0]).toBeCloseTo(0.001, 9);
  expect(behind.top).toBe(1);
});

test('flat things have no wall', () => {
  for (const kind of ['lid', 'band', 'case'] as const) {
    const thing = usualThing(kind);
    expect(wallOf(thing, expectOk(trySize(thing)))).toBeUndefined();
  }
});
