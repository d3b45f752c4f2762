import type { PieceElement } from '../../../core/piece/index.ts';
import { copyableStyle } from './copyable-style.ts';

const place = { id: 'a', x: 1, y: 2, angle: 0, locked: false };
const plate: PieceElement = {
  ...place,
  kind: 'plate',
  shape: { kind: 'circle', diameter: 9 },
  fill: { color: '#112233', opacity: 0.5 },
  line: null,
  opacity: 0.7,
};
const sprig: PieceElement = {
  ...place,
  kind: 'ornament',
  ornament: 'sprig',
  width: 5,
  height: 9,
  count: 4,
  weight: 0.2,
  inks: ['#445566', '#778899'],
};

test('of its own kind an element takes all that is look, and neither place nor size', () => {
  expect(copyableStyle(plate, { ...plate, fill: null })).toEqual({
    opacity: 0.7,
    fill: { color: '#112233', opacity: 0.5 },
    line: null,
  });
  expect(copyableStyle(sprig, sprig)).toEqual({
    opacity: undefined,
    inks: sprig.inks,
    weight: 0.2,
  });
});

test('of another kind it takes the colour', () => {
  expect(copyableStyle(plate, sprig)).toEqual({ opacity: 0.7, inks: ['#112233', '#778899'] });
  expect(copyableStyle(sprig, plate).fill).toEqual({ color: '#445566', opacity: 0.5 });
});
