import { firstStock } from '../stock/index.ts';
import { trySize, usualThing } from '../things/index.ts';
import { fitsOn, partsThatFit } from './index.ts';

const a4 = firstStock(false);

test('a label fits upright or lying in what the printer reaches', () => {
  expect(fitsOn(a4, { width: 200, height: 287 })).toBe(true);
  expect(fitsOn(a4, { width: 287, height: 200 })).toBe(true);
  expect(fitsOn(a4, { width: 201, height: 287 })).toBe(false);
  expect(fitsOn(a4, { width: 288, height: 10 })).toBe(false);
});

test('a wall that is too long for a sheet is divided into as few parts as fit', () => {
  const barrel = usualThing('wrap', { size: 160, height: 90 });
  // π · 160 = 502.7: halves of 251.3 and 10 of overlap lie on 287 mm.
  expect(partsThatFit(barrel, [a4])).toBe(2);
  const size = trySize({ ...barrel, parts: 2 });
  expect(size.ok && size.value.width).toBeCloseTo(261.33, 2);
  expect(partsThatFit(usualThing('wrap', { size: 400, height: 90 }), [a4])).toBe(5);
  expect(partsThatFit(usualThing('wrap', { size: 160, height: 900 }), [a4])).toBeUndefined();
});

test('a band is divided at its folds, once; a face not at all', () => {
  const box = usualThing('band', { width: 180, depth: 60, height: 80 });
  expect(partsThatFit(box, [a4])).toBe(2);
  expect(partsThatFit({ ...box, width: 500 }, [a4])).toBeUndefined();
  expect(partsThatFit(usualThing('face', { width: 900 }), [a4])).toBeUndefined();
});
