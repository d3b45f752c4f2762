import { trySize } from './index.ts';

test('a lid of 67 mm with 4.5 mm bare all round takes a round label of 58 mm', () => {
  const size = trySize({ kind: 'lid', measured: 'diameter', size: 67, clearance: 4.5 });
  expect(size.ok && size.value).toMatchObject({
    shape: { kind: 'circle', diameter: 58 },
    width: 58,
    height: 58,
  });
});

test('a tape around the lid is divided by π', () => {
  const size = trySize({ kind: 'lid', measured: 'circumference', size: 210.487, clearance: 0 });
  expect(size.ok && size.value.width).toBeCloseTo(67, 3);
});

test('round corners of a face follow its clearance inwards', () => {
  const size = trySize({ kind: 'face', width: 80, height: 110, radius: 6, clearance: 2 });
  expect(size.ok && size.value.shape).toEqual({
    kind: 'rectangle',
    width: 76,
    height: 106,
    radius: 4,
  });
});

test('a clearance that eats the label is named with both numbers', () => {
  const size = trySize({ kind: 'lid', measured: 'diameter', size: 40, clearance: 20 });
  expect(!size.ok && size.problem.what).toBe(
    'A clearance of 20 mm on each side leaves nothing of 40 mm.',
  );
});

test('a radius that swallows the side is said', () => {
  const size = trySize({ kind: 'face', width: 20, height: 60, radius: 15, clearance: 0 });
  expect(size.ok && size.value.warnings).toHaveLength(1);
  expect(size.ok && size.value.shape).toMatchObject({ radius: 10 });
});
