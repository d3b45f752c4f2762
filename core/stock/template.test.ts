import fc from 'fast-check';
import { shapeSize, type PlainShape } from '../shape/index.ts';
import { problemText } from '../../messages/index.ts';
import { DIE_CUTS, spotPlaces, tryDirection, tryTemplate, type Readings } from './index.ts';

const NAMES = ['size', 'gap', 'pitch', 'first', 'last'] as const;
const side = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((tenths) => tenths / 10);

/** Readings of a sheet that closes, in tenths of a millimetre. */
const consistent = fc
  .record({
    count: fc.integer({ min: 1, max: 12 }),
    size: side(5, 80),
    gap: side(0, 12),
    first: side(0, 20),
    last: side(0, 20),
  })
  .map(({ count, size, gap, first, last }): Required<Readings> => {
    const pitch = size + gap;
    return {
      count,
      size,
      gap,
      pitch,
      first,
      last,
      sheet: first + last + size + (count - 1) * pitch,
    };
  });

const found = (readings: Readings) => {
  const direction = tryDirection('width', readings);
  if (!direction.ok) throw new Error(direction.problem.code);
  return direction.value;
};

test('any consistent sheet survives leaving out each reading that follows from the others', () => {
  fc.assert(
    fc.property(consistent, fc.constantFrom(...NAMES), (readings, name) => {
      const { size, first, last, pitch } = found({ ...readings, [name]: undefined });
      return (
        Math.abs(size - readings.size) < 1e-6 &&
        Math.abs(first - readings.first) < 1e-6 &&
        Math.abs(last - readings.last) < 1e-6 &&
        (readings.count === 1 || Math.abs(pitch - readings.pitch) < 1e-6)
      );
    }),
    { numRuns: 300 },
  );
});

test('three of the five readings are enough for more than one label', () => {
  fc.assert(
    fc.property(
      consistent.filter(({ count }) => count > 1),
      fc.constantFrom(
        ['size', 'gap', 'first'],
        ['size', 'pitch', 'last'],
        ['size', 'first', 'last'],
        ['gap', 'first', 'last'],
        ['pitch', 'gap', 'first'],
      ),
      (readings, kept) => {
        const few = { sheet: readings.sheet, count: readings.count } as Record<string, number>;
        for (const name of kept) few[name] = readings[name as 'size'];
        const { size, pitch } = found(few as unknown as Readings);
        return Math.abs(size - readings.size) < 1e-6 && Math.abs(pitch - readings.pitch) < 1e-6;
      },
    ),
    { numRuns: 200 },
  );
});

test('any reading that is wrong by more than the tolerance is refused', () => {
  fc.assert(
    fc.property(
      consistent.filter(({ count }) => count > 1),
      fc.constantFrom(...NAMES),
      fc.constantFrom(-2, 2, 5),
      (readings, name, by) => {
        const wrong = tryDirection('width', { ...readings, [name]: readings[name] + by });
        return !wrong.ok;
      },
    ),
    { numRuns: 300 },
  );
});

test('readings that differ by what a ruler cannot tell are taken', () => {
  const readings = { sheet: 210, count: 4, size: 40, gap: 8, pitch: 48.1, first: 13, last: 13 };
  expect(found(readings).pitch).toBe(48.1);
});

test('the contradiction names both sides of it', () => {
  const pitch = tryDirection('width', {
    sheet: 210,
    count: 4,
    size: 40,
    gap: 5,
    pitch: 48,
    first: 13,
    last: 13,
  });
  expect(!pitch.ok && problemText(pitch.problem).what).toBe(
    'The pitch of 48 mm and the label with its gap, 45 mm, do not agree.',
  );
  const sum = tryDirection('height', {
    sheet: 297,
    count: 6,
    size: 40,
    pitch: 46,
    first: 13.5,
    last: 20,
  });
  expect(!sum.ok && problemText(sum.problem).what).toBe(
    "The margins and labels add up to 303.5 mm, and the sheet's height is 297 mm.",
  );
});

test('without a margin the labels stand in the middle; with one, the other is the same', () => {
  expect(found({ sheet: 210, count: 4, size: 40, gap: 8 })).toMatchObject({
    first: 13,
    last: 13,
    centred: true,
  });
  expect(found({ sheet: 210, count: 4, size: 40, first: 13 })).toMatchObject({
    pitch: 48,
    last: 13,
    centred: true,
  });
});

test('too few readings say what to read next', () => {
  const few = tryDirection('width', { sheet: 210, count: 4, size: 40 });
  expect(!few.ok && problemText(few.problem).what).toBe('The width needs one more reading.');
  expect(!few.ok && problemText(few.problem).remedy).toContain('pitch');
});

test('every layout of the catalogue is found again from its label, pitch and first margin', () => {
  for (const stock of DIE_CUTS) {
    const { spots } = stock;
    if (spots?.layout !== 'grid' || spots.stagger > 0) continue;
    const [first] = spotPlaces(spots);
    if (!['circle', 'ellipse', 'rectangle'].includes(spots.shape.kind)) continue;
    const size = shapeSize(spots.shape);
    const made = tryTemplate({
      id: 'own',
      name: 'Own',
      shape: spots.shape.kind as PlainShape['kind'],
      radius: spots.shape.kind === 'rectangle' ? spots.shape.radius : 0,
      across: {
        sheet: stock.width,
        count: spots.columns,
        size: size.width,
        pitch: spots.pitchX,
        first: (first?.x ?? 0) - size.width / 2,
      },
      down: {
        sheet: stock.height,
        count: spots.rows,
        size: size.height,
        pitch: spots.pitchY,
        first: (first?.y ?? 0) - size.height / 2,
      },
    });
    if (!made.ok) throw new Error(`${stock.name}: ${problemText(made.problem).what}`);
    expect(made.value.spots.left).toBeCloseTo(spots.left, 6);
    expect(made.value.spots.top).toBeCloseTo(spots.top, 6);
  }
});
