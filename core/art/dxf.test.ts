import { boxOf, boxOfRings, flatten, signedArea } from '../geometry/index.ts';
import { outlinesOf } from '../drawing/index.ts';
import { nodePlatform } from '../testing/node-platform.ts';
import { exportedExample } from '../testing/exported.ts';
import { problemText } from '../../messages/index.ts';
import { artSize, readArt, vectorNodes, type ReadArt } from './index.ts';

/** A drawing of entities, each as its group codes and values one after the other. */
const drawing = (entities: readonly (readonly (string | number)[])[], header = ''): Uint8Array =>
  new TextEncoder().encode(
    [
      ...(header ? [header] : []),
      '0\nSECTION\n2\nENTITIES',
      ...entities.map((values) => values.join('\n')),
      '0\nENDSEC\n0\nEOF\n',
    ].join('\n'),
  );
const line = (x1: number, y1: number, x2: number, y2: number) =>
  [0, 'LINE', 8, '0', 10, x1, 20, y1, 11, x2, 21, y2] as const;

async function taken(bytes: Uint8Array): Promise<ReadArt> {
  const read = await readArt(nodePlatform, bytes, 'outline.dxf');
  if (!read.ok) throw new Error(read.problem.code);
  return read.value;
}
const ringsOf = (bytes: Uint8Array) =>
  outlinesOf(vectorNodes(bytes)).flatMap((path) => flatten(path, 0.001));
/** The area within all outlines, mm², holes taken off. */
const areaOf = ({ bytes }: ReadArt): number =>
  ringsOf(bytes).reduce((sum, ring) => sum + Math.abs(signedArea(ring)), 0);

test('lines that meet, whichever way they run, become one closed outline of its size', async () => {
  const read = await taken(
    drawing([
      line(10, 10, 50, 10),
      line(50, 40, 50, 10),
      line(50, 40, 10, 40),
      line(10, 10, 10, 40),
    ]),
  );
  expect(artSize(read.art).width).toBeCloseTo(40, 6);
  expect(artSize(read.art).height).toBeCloseTo(30, 6);
  expect(areaOf(read)).toBeCloseTo(1200, 3);
  expect(read.leftOut).toEqual([]);
});

test('arcs bulge to their side: a slot of two straights and two half circles', async () => {
  const slot = [
    [0, 'LWPOLYLINE', 8, '0', 90, 4, 70, 1],
    [10, 0, 20, 0],
    [10, 20, 20, 0, 42, 1],
    [10, 20, 20, 10],
    [10, 0, 20, 10, 42, 1],
  ].flat();
  const read = await taken(drawing([slot]));
  expect(artSize(read.art).width).toBeCloseTo(30, 2);
  expect(areaOf(read)).toBeCloseTo(200 + Math.PI * 25, 1);
});

test('circles, ellipses, arcs and curves have the areas that geometry gives them', async () => {
  const circle = await taken(drawing([[0, 'CIRCLE', 8, '0', 10, 5, 20, 5, 40, 20]]));
  expect(areaOf(circle)).toBeCloseTo(Math.PI * 400, 0);
  expect(artSize(circle.art).height).toBeCloseTo(40, 2);
  const ellipse = await taken(
    drawing([[0, 'ELLIPSE', 8, '0', 10, 0, 20, 0, 11, 30, 21, 0, 40, 0.5, 41, 0, 42, 2 * Math.PI]]),
  );
  expect(Math.abs(areaOf(ellipse) / (Math.PI * 30 * 15) - 1)).toBeLessThan(0.002);
  // A half disc: its arc from 0° to 180°, closed by its diameter.
  const half = await taken(
    drawing([[0, 'ARC', 8, '0', 10, 0, 20, 0, 40, 10, 50, 0, 51, 180], line(-10, 0, 10, 0)]),
  );
  expect(areaOf(half)).toBeCloseTo((Math.PI * 100) / 2, 1);
  // Of one piece and degree 2 with its ends on the axis: a parabola, two thirds of the box around it.
  const curve = [0, 'SPLINE', 8, '0', 70, 8, 71, 2, 72, 6, 73, 3];
  const parabola = await taken(
    drawing([
      [
        ...curve,
        40,
        0,
        40,
        0,
        40,
        0,
        40,
        1,
        40,
        1,
        40,
        1,
        10,
        -10,
        20,
        0,
        10,
        0,
        20,
        20,
        10,
        10,
        20,
        0,
      ],
      line(-10, 0, 10, 0),
    ]),
  );
  expect(Math.abs(areaOf(parabola) / ((2 / 3) * 20 * 10) - 1)).toBeLessThan(0.005);
});

test('inches are inches, and what stays open or is no line is named', async () => {
  const inches = '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n1\n0\nENDSEC';
  const square = [line(0, 0, 1, 0), line(1, 0, 1, 1), line(1, 1, 0, 1), line(0, 1, 0, 0)];
  const read = await taken(drawing([...square, line(5, 5, 6, 6)], inches));
  expect(artSize(read.art).width).toBeCloseTo(25.4, 3);
  expect(read.leftOut).toEqual([{ code: 'open-lines', values: { count: 1 } }]);
  const open = await readArt(nodePlatform, drawing([line(0, 0, 1, 0)]), 'hook.dxf');
  expect(!open.ok && problemText(open.problem).what).toBe('“hook.dxf” has no closed outline.');
  const cut = await readArt(nodePlatform, drawing([line(0, 0, 1, 0)]).slice(0, 40), 'cut.dxf');
  expect(cut.ok).toBe(false);
});

test('our own cut files are read by this foreign reader as they were meant', async () => {
  const { file, made } = await exportedExample(['dxf']);
  const read = await taken(file('dxf').bytes);
  const cuts = made.compiled.sheets[0]?.copies.map(({ trim }) => boxOfRings(trim)) ?? [];
  const rings = ringsOf(read.bytes);
  const large = rings.map((ring) => boxOf(ring)).filter((box) => box && box.right - box.left > 40);
  expect(large).toHaveLength(6);
  for (const box of large) expect((box?.right ?? 0) - (box?.left ?? 0)).toBeCloseTo(58, 1);
  const first = cuts.map((box) => box?.left ?? 0).sort((a, b) => a - b);
  const seen = large.map((box) => box?.left ?? 0).sort((a, b) => a - b);
  // The art begins at its leftmost line: places are compared among each other.
  seen.forEach((left, index) =>
    expect(left - (seen[0] ?? 0)).toBeCloseTo((first[index] ?? 0) - (first[0] ?? 0), 2),
  );
});

/** Blocks by name with what stands in them, each from a base point. */
const blocks = (
  entries: Readonly<
    Record<
      string,
      { base: readonly [number, number]; entities: readonly (readonly (string | number)[])[] }
    >
  >,
): string =>
  [
    '0\nSECTION\n2\nBLOCKS',
    ...Object.entries(entries).map(([name, { base, entities }]) =>
      [
        ...[0, 'BLOCK', 8, '0', 2, name, 70, 0, 10, base[0], 20, base[1], 30, 0, 3, name],
        ...entities.flat(),
        ...[0, 'ENDBLK', 8, '0'],
      ].join('\n'),
    ),
    '0\nENDSEC',
  ].join('\n');
const insert = (name: string, at: readonly [number, number], more: readonly number[] = []) =>
  [0, 'INSERT', 8, '0', 2, name, 10, at[0], 20, at[1], ...more] as const;
const DISC = { base: [1, 2], entities: [[0, 'CIRCLE', 8, '0', 10, 1, 20, 2, 40, 3]] } as const;

test('blocks come in where they are inserted: moved, scaled, turned, mirrored and in rows', async () => {
  const boxes = async (...entities: readonly (readonly (string | number)[])[]) => {
    const flag = [line(0, 0, 8, 0), line(8, 0, 8, 2), line(8, 2, 0, 2), line(0, 2, 0, 0)];
    const kept = blocks({
      disc: DISC,
      flag: { base: [0, 0], entities: flag },
      pair: { base: [0, 0], entities: [insert('disc', [0, 0]), insert('disc', [20, 0])] },
    });
    const read = await taken(drawing(entities, kept));
    return { read, boxes: ringsOf(read.bytes).map((ring) => boxOf(ring)) };
  };
  const plain = await boxes(insert('disc', [50, 50]));
  expect(artSize(plain.read.art)).toMatchObject({
    width: expect.closeTo(6, 3) as number,
    height: expect.closeTo(6, 3) as number,
  });
  expect(areaOf(plain.read)).toBeCloseTo(Math.PI * 9, 2);
  // Twice as wide as high: an ellipse, within 0.01 mm of the true one.
  const wide = await boxes(insert('disc', [0, 0], [41, 10, 42, 5]));
  const [ring = []] = ringsOf(wide.read.bytes);
  const far = ring.map(({ x, y }) => Math.hypot((x - 30) / 30, (y - 15) / 15));
  expect(ring.length).toBeGreaterThan(100);
  expect(Math.max(...far.map((value) => Math.abs(value - 1))) * 30).toBeLessThan(0.01);
  // Turned by a right angle, what was 8 by 2 is 2 by 8.
  expect(artSize((await boxes(insert('flag', [5, 5], [50, 90]))).read.art)).toMatchObject({
    width: expect.closeTo(2, 3) as number,
    height: expect.closeTo(8, 3) as number,
  });
  const mirrored = await boxes(insert('flag', [0, 0]), insert('flag', [0, 0], [41, -1]));
  expect(artSize(mirrored.read.art).width).toBeCloseTo(16, 3);
  const rows = await boxes(insert('disc', [0, 0], [70, 3, 71, 2, 44, 10, 45, 8]));
  expect(rows.boxes).toHaveLength(6);
  expect(artSize(rows.read.art)).toMatchObject({
    width: expect.closeTo(26, 2) as number,
    height: expect.closeTo(14, 2) as number,
  });
  const nested = await boxes(insert('pair', [0, 0], [41, 2, 42, 2]));
  expect(nested.boxes.map((box) => (box?.right ?? 0) - (box?.left ?? 0))).toEqual([
    expect.closeTo(12, 2),
    expect.closeTo(12, 2),
  ]);
});

test('blocks within blocks without an end, or that are not there, end in a sentence', async () => {
  const levels = Object.fromEntries(
    Array.from({ length: 12 }, (_, at) => [
      `l${at}`,
      {
        base: [0, 0] as const,
        entities:
          at === 0
            ? DISC.entities
            : Array.from({ length: 10 }, () => insert(`l${at - 1}`, [at, at])),
      },
    ]),
  );
  const code = async (bytes: Uint8Array): Promise<string> => {
    const read = await readArt(nodePlatform, bytes, 'blocks.dxf');
    return read.ok ? 'ok' : read.problem.code;
  };
  expect(await code(drawing([insert('l11', [0, 0])], blocks(levels)))).toBe('art/dxf-entities');
  const own = blocks({
    loop: { base: [0, 0], entities: [insert('loop', [1, 0]), ...DISC.entities] },
  });
  expect(await code(drawing([insert('loop', [0, 0])], own))).toBe('ok');
  const missing = await taken(
    drawing([insert('gone', [0, 0]), [0, 'CIRCLE', 8, '0', 10, 0, 20, 0, 40, 3]]),
  );
  expect(missing.leftOut).toEqual([{ code: 'foreign-entities', values: { count: 1 } }]);
});

/** A hatch with its boundaries, each as the groups behind their count. */
const hatch = (...boundaries: readonly (readonly (string | number)[])[]) => [
  ...[0, 'HATCH', 8, 'FILL', 10, 0, 20, 0, 30, 0, 2, 'SOLID', 70, 1, 71, 0, 91, boundaries.length],
  ...boundaries.flatMap((boundary) => [...boundary, 97, 0]),
  ...[75, 1, 76, 1, 98, 1, 10, 5, 20, 5],
];
const SQUARE = [
  92, 2, 72, 0, 73, 1, 93, 4, 10, 0, 20, 0, 10, 20, 20, 0, 10, 20, 20, 20, 10, 0, 20, 20,
];
// A disc of radius 5 about (10, 10) as two arcs, one each way round.
const ROUND_HOLE = [
  ...[92, 1, 93, 2, 72, 2, 10, 10, 20, 10, 40, 5, 50, 0, 51, 180, 73, 1],
  ...[72, 2, 10, 10, 20, 10, 40, 5, 50, 0, 51, 180, 73, 0],
];

test('what hatches fill comes in: polylines, lines and arcs, with their holes', async () => {
  const read = await taken(drawing([hatch(SQUARE, ROUND_HOLE)]));
  const areas = ringsOf(read.bytes).map((ring) => Math.abs(signedArea(ring)));
  expect(areas).toHaveLength(2);
  expect(areas[0]).toBeCloseTo(400, 3);
  expect(areas[1]).toBeCloseTo(Math.PI * 25, 1);
  expect(read.leftOut).toEqual([]);
  expect(read.notes).toBeUndefined();
  // A bulge of 1 is half a circle.
  const round = [92, 2, 72, 1, 73, 1, 93, 2, 10, 0, 20, 0, 42, 1, 10, 10, 20, 0, 42, 1];
  expect(areaOf(await taken(drawing([hatch(round)])))).toBeCloseTo(Math.PI * 25, 1);
});

test('what hatches fill may be bounded by ellipses and splines', async () => {
  // Half an ellipse of 10 by 4 each way round, turned upright.
  const half = (turn: number): (string | number)[] => [
    ...[72, 3, 10, 20, 20, 20, 11, 0, 21, 10, 40, 0.4],
    ...[50, 0, 51, 180, 73, turn],
  ];
  const oval = await taken(drawing([hatch([92, 1, 93, 2, ...half(1), ...half(0)])]));
  // Lines stay within 4 µm of curves, all along them.
  expect(Math.abs(areaOf(oval) - Math.PI * 40)).toBeLessThan(0.1);
  expect(oval.leftOut).toEqual([]);
  // A parabola over ten with its top at five, as a B-spline of degree two, closed by a line.
  const bow = [
    ...[72, 4, 94, 2, 73, 0, 74, 0, 95, 6, 96, 3, 40, 0, 40, 0, 40, 0, 40, 1, 40, 1, 40, 1],
    ...[10, 0, 20, 0, 10, 5, 20, 10, 10, 10, 20, 0],
  ];
  const fit = [97, 2, 11, 0, 21, 0, 11, 10, 21, 0, 12, 1, 22, 1, 13, 1, 23, -1];
  const chord = [72, 1, 10, 10, 20, 0, 11, 0, 21, 0];
  for (const curve of [bow, [...bow, ...fit]])
    expect(areaOf(await taken(drawing([hatch([92, 1, 93, 2, ...curve, ...chord])])))).toBeCloseTo(
      (2 / 3) * 50,
      1,
    );
});

test('an outline that is filled too is one shape, and a boundary of another kind is told', async () => {
  const lines = [line(0, 0, 20, 0), line(20, 0, 20, 20), line(20, 20, 0, 20), line(0, 20, 0, 0)];
  const read = await taken(drawing([...lines, hatch(SQUARE)]));
  expect(ringsOf(read.bytes)).toHaveLength(1);
  expect(read.notes).toEqual([{ code: 'layers', values: { names: ['0', 'FILL'] } }]);
  const spline = [92, 1, 93, 1, 72, 4, 94, 3, 73, 0, 74, 0];
  const partly = await taken(drawing([hatch(SQUARE, spline)]));
  expect(partly.leftOut).toEqual([{ code: 'foreign-entities', values: { count: 1 } }]);
  expect(ringsOf(partly.bytes)).toHaveLength(1);
  // What is cut off or lies about its corners ends.
  const lying = hatch([92, 2, 72, 0, 73, 1, 93, 1_000_000_000, 10, 0, 20, 0]);
  expect((await taken(drawing([...lines, lying]))).leftOut).toHaveLength(1);
});
