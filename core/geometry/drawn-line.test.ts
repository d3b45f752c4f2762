import { drawnLine, flatten } from './index.ts';

test('a circle drawn by a shaking hand becomes a few smooth curves near it', () => {
  const points = Array.from({ length: 300 }, (_, at) => {
    const turn = (at / 300) * 5.5;
    const shake = 0.08 * Math.sin(at * 2.3);
    return { x: (20 + shake) * Math.cos(turn), y: (20 + shake) * Math.sin(turn) };
  });
  const path = drawnLine(points, 0.3);
  expect(path.length).toBeLessThan(9);
  for (const { x, y } of flatten(path).flat())
    expect(Math.abs(Math.hypot(x, y) - 20)).toBeLessThan(0.45);
  expect(path[0]).toEqual(['M', points[0]?.x, points[0]?.y]);
});

test('a line that is almost straight is straight, and a single point is none', () => {
  const points = Array.from({ length: 40 }, (_, at) => ({ x: at, y: 0.05 * Math.sin(at) }));
  expect(drawnLine(points, 0.3)).toEqual([
    ['M', 0, 0],
    ['L', 39, points[39]?.y],
  ]);
  expect(drawnLine([{ x: 1, y: 1 }], 0.3)).toEqual([]);
  expect(
    drawnLine(
      [
        { x: 1, y: 1 },
        { x: 1, y: 1 },
      ],
      0.3,
    ),
  ).toEqual([]);
});
