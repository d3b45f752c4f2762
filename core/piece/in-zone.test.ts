import * as fc from 'fast-check';
import { expectOk } from '../base/index.ts';
import { corners, isInside, mapRing, type Ring } from '../geometry/index.ts';
import { exampleWords } from '../testing/example-job.ts';
import { isReadable, THING_KINDS, trySize, usualThing, zoneAt } from '../things/index.ts';
import { elementMap, elementSize, type PieceElement, type Plate } from './elements/index.ts';
import { elementInZone } from './in-zone.ts';

const plate = (width: number, height: number, at: { x: number; y: number }): Plate => ({
  ...{ id: 'p', kind: 'plate', angle: 0, locked: false, line: null, ...at },
  shape: { kind: 'rectangle', width, height, radius: 0 },
  fill: { color: '#ffffff', opacity: 1 },
});
const ringOf = (element: PieceElement): Ring => {
  const { width, height } = elementSize(element);
  const box = { left: -width / 2, top: -height / 2, right: width / 2, bottom: height / 2 };
  return mapRing(corners(box), elementMap(element));
};

const band = expectOk(
  trySize(usualThing('band', { width: 90, depth: 30, height: 60, around: 'w', strip: 30 })),
);
const zoneOf = (name: string) => {
  const zone = band.zones.find((one) => one.name === name);
  if (!zone) throw new Error(name);
  return { zone, edge: band.shape, safe: 2 };
};

test('in the middle of a zone an element is turned as that is read', () => {
  const made = elementInZone(plate(20, 8, { x: 50, y: 3 }), zoneOf('front'), 'middle');
  expect(made).toMatchObject({ x: -36, y: 0, angle: 270 });
  expect(elementSize(made)).toEqual({ width: 20, height: 8 });
  expect(elementInZone(made, zoneOf('back'), 'middle')).toMatchObject({ angle: 90 });
});

test('as near as it fits it moves no farther than it has to', () => {
  // The front ends 6 mm left of the middle; its words run across the strip of 30 mm.
  const made = elementInZone(plate(20, 8, { x: -7, y: 1 }), zoneOf('front'), 'nearest');
  expect(made.x).toBeCloseTo(-6 - 2 - 4, 9);
  expect(made.y).toBeCloseTo(1, 9);
});

test('what is larger than its zone is made smaller; words have a narrower box and keep their size', () => {
  const large = elementInZone(plate(52, 26, { x: 0, y: 0 }), zoneOf('front'), 'middle');
  expect(elementSize(large)).toEqual({ width: 26, height: 13 });
  const words = exampleWords({ text: 'Sea holly', width: 80, height: 10, size: 12 });
  const made = elementInZone(words, zoneOf('front'), 'middle');
  expect(made).toMatchObject({ kind: 'words', size: 12, width: 26, height: 10, angle: 270 });
  const fixed = exampleWords({ text: 'Sea holly', width: 80, height: 10, fit: 'fixed' });
  expect(elementInZone(fixed, zoneOf('front'), 'middle')).toMatchObject({ fit: 'shrink' });
  const short = exampleWords({ text: 'Sea holly', width: 20, height: 8, fit: 'fixed' });
  expect(elementInZone(short, zoneOf('front'), 'middle')).toMatchObject({ fit: 'fixed' });
});

test('whatever is moved into whichever zone of a thing stands in it', () => {
  const mm = fc.double({ min: 0.5, max: 150, noNaN: true });
  const at = fc.double({ min: -200, max: 200, noNaN: true });
  fc.assert(
    fc.property(
      fc.constantFrom(...THING_KINDS),
      fc.nat(),
      fc.tuple(mm, mm, at, at),
      fc.constantFrom('middle' as const, 'nearest' as const),
      (kind, which, [width, height, x, y], where) => {
        const flat = expectOk(trySize(usualThing(kind)));
        const zones = flat.zones.filter(isReadable);
        const zone = zones[which % zones.length];
        if (!zone) throw new Error(kind);
        const of = { zone, edge: flat.shape, safe: 1 };
        const made = elementInZone(plate(width, height, { x, y }), of, where);
        const again = elementInZone(made, of, 'nearest');
        expect(again.x).toBeCloseTo(made.x, 6);
        expect(again.y).toBeCloseTo(made.y, 6);
        expect(again.angle).toBeCloseTo(made.angle, 6);
        if (flat.shape.kind !== 'rectangle' && flat.shape.kind !== 'arc') return;
        expect(zoneAt(flat.zones, made)).toBe(zone);
        // Straight sides within; of bent zones at least the middle.
        if (flat.shape.kind === 'rectangle')
          for (const point of ringOf(made)) expect(isInside(point, zone.rings)).toBe(true);
      },
    ),
  );
});
