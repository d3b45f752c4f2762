import type { PieceElement } from '../../../core/piece/index.ts';
import { resizedTo } from './gestures.ts';

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

test('a dragged corner keeps the opposite one and the proportions', () => {
  const changes = resizedTo(plate, { x: 1, y: 1 }, { x: 40, y: 10 }, false);
  expect(changes.shape).toMatchObject({ width: 40, height: 20 });
  expect([changes.x, changes.y]).toEqual([20, 10]);
});

test('freely, each side follows the pointer', () => {
  const changes = resizedTo(plate, { x: -1, y: -1 }, { x: -10, y: -10 }, true);
  expect(changes.shape).toMatchObject({ width: 30, height: 20 });
  expect([changes.x, changes.y]).toEqual([5, 0]);
});

test('a turned element is resized along its own sides', () => {
  const changes = resizedTo({ ...plate, angle: 90 }, { x: 1, y: 1 }, { x: 5, y: 15 }, true);
  expect(changes.shape).toMatchObject({ width: 20, height: 10 });
  expect(changes.x).toBeCloseTo(10, 6);
  expect(changes.y).toBeCloseTo(5, 6);
});

test('words grow with their box, and not when it is dragged freely', () => {
  const words: PieceElement = {
    id: 'w',
    kind: 'words',
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    text: 'a',
    typeface: 't',
    size: 10,
    tracking: 0,
    leading: 1,
    align: 'left',
    fit: 'fixed',
    least: 6,
    path: { kind: 'straight' },
    color: '#000000',
    width: 20,
    height: 10,
  };
  expect(resizedTo(words, { x: 1, y: 1 }, { x: 30, y: 5 }, false)).toMatchObject({
    size: 20,
    width: 40,
  });
  expect(resizedTo(words, { x: 1, y: 1 }, { x: 30, y: 5 }, true)).toMatchObject({
    width: 40,
    height: 10,
  });
  expect(resizedTo(words, { x: 1, y: 1 }, { x: 30, y: 5 }, true).size).toBe(10);
});

test('nothing becomes smaller than a millimetre', () => {
  expect(resizedTo(plate, { x: 1, y: 1 }, { x: -90, y: -90 }, true).shape).toMatchObject({
    width: 1,
    height: 1,
  });
});
