import { readFileSync } from 'node:fs';
import type { Point } from '../../core/geometry/index.ts';
import { exportedExample, keep, tool } from '../../core/testing/exported.ts';
import { readHpgl } from './read-cuts.ts';

const MM = 25.4 / 72;

/** Lines that another program has cut into short ones, as they were. */
function rejoined(lines: readonly Point[][]): Point[][] {
  const whole: Point[][] = [];
  for (const [first, ...others] of lines) {
    const last = whole[whole.length - 1];
    const end = last?.[last.length - 1];
    if (last && end && first?.x === end.x && first.y === end.y) last.push(...others);
    else if (first) whole.push([first, ...others]);
  }
  return whole;
}

/** Points from the lowest x and y on: where the drawing lies on the paper is each plotter's own matter. */
function fromCorner(lines: readonly (readonly Point[])[]): Point[][] {
  const all = lines.flat();
  const [left, low] = [Math.min(...all.map(({ x }) => x)), Math.min(...all.map(({ y }) => y))];
  return lines.map((line) => line.map(({ x, y }) => ({ x: x - left, y: y - low })));
}

test('another reader of HPGL draws our cut file line for line as we do', async () => {
  const { bytes } = (await exportedExample(['hpgl'])).file('hpgl');
  const path = keep('seals.hpgl', bytes);
  tool('hp2xx', '-q', '-t', '-m', 'svg', '-f', `${path}.svg`, path);
  const pieces = [...readFileSync(`${path}.svg`, 'utf8').matchAll(/<path d="([^"]*)"/g)].map(
    ([, d = '']) =>
      [...d.matchAll(/([-\d.]+),\s*([-\d.]+)/g)].map(([, x, y]) => ({
        x: Number(x) * MM,
        y: -Number(y) * MM,
      })),
  );
  const theirs = rejoined(pieces);
  const ours = readHpgl(new TextDecoder().decode(bytes)).map(({ line }) =>
    line.map(({ x, y }) => ({ x: x / 40, y: y / 40 })),
  );
  expect(ours).toHaveLength(6);
  expect(theirs.map((line) => line.length)).toEqual(ours.map((line) => line.length));
  const [mine, other] = [fromCorner(ours).flat(), fromCorner(theirs).flat()];
  const apart = mine.map(({ x, y }, at) =>
    Math.hypot(x - (other[at]?.x ?? 0), y - (other[at]?.y ?? 0)),
  );
  expect(Math.max(...apart)).toBeLessThan(0.02);
});
