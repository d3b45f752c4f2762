import type { PieceElement } from '../../../core/piece/index.ts';
import { anchored, anchorOf, turnedAbout } from './anchor.ts';

const plate: PieceElement = {
  id: 'p',
  kind: 'plate',
  x: 10,
  y: 5,
  angle: 0,
  locked: false,
  shape: { kind: 'rectangle', width: 20, height: 10, radius: 1 },
  fill: null,
  line: null,
};

test('an anchor of a turned element is found where it is seen', () => {
  expect(anchorOf(plate, { x: -1, y: -1 })).toEqual({ x: 0, y: 0 });
  const turned = anchorOf({ ...plate, angle: 90 }, { x: 1, y: 0 });
  expect([turned.x, turned.y].map((value) => Math.round(value * 1e6) / 1e6)).toEqual([10, 15]);
});

test('another size leaves the anchor where it is', () => {
  const changes = anchored(plate, { x: 1, y: 0 }, { width: 30, height: 10 });
  expect(changes.shape).toMatchObject({ width: 30, height: 10 });
  expect([changes.x, changes.y]).toEqual([5, 5]);
  const turned = { ...plate, angle: 30 };
  const grown = { ...turned, ...anchored(turned, { x: -1, y: 1 }, { width: 8, height: 33 }) };
  const [before, after] = [turned, grown as PieceElement].map((one) =>
    anchorOf(one, { x: -1, y: 1 }),
  );
  expect(after?.x).toBeCloseTo(before?.x ?? 0, 9);
  expect(after?.y).toBeCloseTo(before?.y ?? 0, 9);
});

test('an element is turned about its corner', () => {
  const changes = turnedAbout(plate, { x: -1, y: -1 }, 90);
  expect(changes.angle).toBe(90);
  expect(changes.x).toBeCloseTo(-5, 9);
  expect(changes.y).toBeCloseTo(10, 9);
});
