import { seededRandom } from '../base/index.ts';
import { flatten, mapPath, scaling, signedArea } from '../geometry/index.ts';
import { buildEdge, pathPart, plainBuild, shapePath } from '../shape/index.ts';
import { block, cornered, disc, drawn, pathErrors, STAR, type Region } from '../testing/drawn.ts';
import { parseSvg, traceImage, traceVector } from './index.ts';

const PER_MM = 300 / 25.4;
const SIDE = 400;
const INK = [40, 90, 60] as const;

/** Each with how many nodes its outline needs. */
const TRUTHS: Readonly<Record<string, { region: Region; nodes: number }>> = {
  'a disc': { region: disc(200.3, 199.6, 150.4), nodes: 4 },
  'a dot': { region: disc(200.2, 200.7, 14), nodes: 4 },
  'a square': { region: block(200.3, 200.6, { width: 240.6, height: 240.6 }), nodes: 4 },
  'a turned block': {
    region: block(200.3, 200.6, { width: 240.6, height: 160.4, angle: 17 }),
    nodes: 4,
  },
  'a rounded block': {
    region: block(200.1, 200.6, { width: 240, height: 160, angle: 6, radius: 30 }),
    nodes: 8,
  },
  'a star': { region: cornered(STAR), nodes: 10 },
};

function tracedOf(region: Region) {
  const image = drawn(SIDE, SIDE, [{ region, color: INK }]);
  const traced = traceImage(image, { perMm: PER_MM, tolerance: 0.02, least: 0.1 });
  if (!traced.ok) throw new Error(traced.problem.code);
  return traced.value;
}

test.each(Object.entries(TRUTHS))(
  '%s at 300 dpi is traced within 0.02 mm for 95 % of its way, 0.1 mm at worst, in few nodes',
  (_, { region, nodes }) => {
    const traced = tracedOf(region);
    const away = pathErrors(traced.path, region, PER_MM);
    expect(away[Math.floor(away.length * 0.95)]).toBeLessThan(0.02);
    expect(away[away.length - 1]).toBeLessThan(0.1);
    expect(traced.nodes).toBeLessThanOrEqual(3 * nodes);
    expect(traced).toMatchObject({ parts: 1, holes: 0 });
    expect(traced.deviation).toBeLessThanOrEqual(0.0201);
  },
);

test.each([2, 3, 5])('a bar of %i pixels is traced once round, not more', (high) => {
  const { area } = tracedOf(block(200, 200.5, { width: 240, height: high }));
  const image = drawn(SIDE, SIDE, [
    { region: block(200, 200.5, { width: 240, height: high }), color: INK },
  ]);
  const traced = traceImage(image, { perMm: PER_MM, tolerance: 0.02, least: 0.1 });
  const path = traced.ok ? traced.value.path : [];
  const curved = flatten(path).reduce((sum, ring) => sum + signedArea(ring), 0);
  expect(Math.abs(curved / area - 1)).toBeLessThan(0.05);
});

test('an outline of noise winds round once', () => {
  const random = seededRandom(7);
  const image = drawn(120, 90, [], () => [random.next() * 255, random.next() * 255, 0]);
  for (let at = 0; at < 120 * 90; at++) if (random.next() < 0.2) image.data[at * 4 + 3] = 0;
  const traced = traceImage(image, { perMm: 4, tolerance: 0.02, least: 0.1 });
  if (!traced.ok) throw new Error(traced.problem.code);
  const curved = flatten(traced.value.path).reduce((sum, ring) => sum + signedArea(ring), 0);
  expect(Math.abs(curved / traced.value.area - 1)).toBeLessThan(0.05);
});

test('the corners of a square are where they are', () => {
  const { path } = tracedOf(block(200.3, 200.6, { width: 240.6, height: 240.6 }));
  const [ring = []] = flatten(path);
  for (const x of [80, 320.6])
    for (const y of [80.3, 320.9])
      expect(
        Math.min(...ring.map((at) => Math.hypot(at.x - x / PER_MM, at.y - y / PER_MM))),
      ).toBeLessThan(0.1);
});

test.each([2, -1])(
  'the offset of a traced star by %s mm is within 0.04 mm of the true one',
  (by) => {
    const region = cornered(STAR);
    const build = { ...plainBuild({ kind: 'circle', diameter: 1 }, 'x'), offset: by };
    const built = buildEdge({ ...build, parts: [pathPart(tracedOf(region).path, 'star')] });
    if (!built.ok) throw new Error(built.problem.code);
    const { centre, shape } = built.value;
    const path = mapPath(shapePath(shape), [1, 0, 0, 1, centre.x, centre.y]);
    // Inside corners an offset meets itself: there it keeps further away, never closer.
    const away = pathErrors(path, region, PER_MM, by);
    expect(away[Math.floor(away.length * 0.99)]).toBeLessThan(0.04);
  },
);

test('a ring has a hole, and a picture with nothing on it says so', () => {
  const ring: Region = (x, y) => Math.max(disc(200, 200, 150)(x, y), -disc(200, 200, 60)(x, y));
  const traced = tracedOf(ring);
  expect(traced).toMatchObject({ parts: 1, holes: 1 });
  const area = (Math.PI * (150 * 150 - 60 * 60)) / PER_MM ** 2;
  expect(Math.abs(traced.area / area - 1)).toBeLessThan(0.002);
  const nothing = traceImage(drawn(50, 50, []), { perMm: 1, tolerance: 0.02, least: 0.1 });
  expect(!nothing.ok && nothing.problem.code).toBe('art/nothing-to-trace');
});

test('a picture that is covered up to its sides is traced along them', () => {
  const image = drawn(60, 40, [], () => [9, 9, 9]);
  const traced = traceImage(image, { perMm: 1, tolerance: 0.02, least: 0.1 });
  expect(traced.ok && traced.value.nodes).toBe(4);
  expect(traced.ok && Math.abs(traced.value.area - 2400)).toBeLessThan(5);
});

test('what is clipped is traced no further than its clip', () => {
  const read = parseSvg(
    `<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="50mm" viewBox="0 0 50 50">
      <clipPath id="k"><rect x="10" y="10" width="10" height="10"/></clipPath>
      <g clip-path="url(#k)"><rect width="50" height="50"/></g></svg>`,
    'a.svg',
  );
  const traced = read.ok && traceVector(read.value.nodes);
  expect(traced && traced.ok && traced.value.area).toBeCloseTo(100, 1);
});

test('vector art has the outline of all its shapes and lines together, as large as they are', () => {
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="30mm" viewBox="0 0 50 30">
    <rect x="5" y="5" width="20" height="20"/><circle cx="25" cy="15" r="10"/>
    <path d="M34 15H45" stroke="#000" stroke-width="2" fill="none"/>
    <path fill-rule="evenodd" d="M8 8H12V12H8Z M9 9H11V11H9Z" fill="#fff"/></svg>`;
  const read = parseSvg(svg, 'a.svg');
  const traced = read.ok && traceVector(read.value.nodes);
  if (!traced || !traced.ok) throw new Error('not traced');
  // Half of the disc lies on the square; the line reaches on to 45 mm.
  const area = 400 + (Math.PI * 100) / 2 + 20;
  expect(traced.value.area).toBeCloseTo(area, 0);
  const right = Math.max(
    ...flatten(traced.value.path)
      .flat()
      .map(({ x }) => x),
  );
  expect(right).toBeCloseTo(45, 2);
  expect(traced.value.parts).toBe(1);
  const scaled = mapPath(traced.value.path, scaling(2));
  expect(
    Math.max(
      ...flatten(scaled)
        .flat()
        .map(({ x }) => x),
    ),
  ).toBeCloseTo(90, 1);
});
