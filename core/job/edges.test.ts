import type { Art } from '../art/index.ts';
import { isProblem } from '../base/index.ts';
import { pieceSize, type Piece } from '../piece/index.ts';
import { plainBuild, plainShape, shapePath, shapeSize, type EdgeBuild } from '../shape/index.ts';
import { boxOfRings, flatten } from '../geometry/index.ts';
import { createJob, parseJob, runCommand, VERSION, type CommandCall, type Job } from './index.ts';

const HASH = (letter: string): string => letter.repeat(64);
const start = createJob('own', { id: 'job-1', today: '2026-04-18' });
function run(job: Job, ...calls: CommandCall[]): Job {
  return calls.reduce((now, call) => {
    const done = runCommand(now, call);
    if (isProblem(done)) throw new Error(done.code);
    return done;
  }, job);
}
const art = (letter: string, more: object = {}): Art => ({
  kind: 'vector',
  id: HASH(letter),
  name: letter,
  tags: [],
  width: 30,
  height: 20,
  ...more,
});
const PICTURE = {
  id: '',
  kind: 'picture',
  art: HASH('a'),
  x: 5,
  y: 3,
  angle: 0,
  locked: false,
  width: 30,
  height: 20,
  fit: 'contain',
} as const;
const withPicture = run(start, {
  name: 'add-element',
  args: { piece: 'piece-1', element: PICTURE, art: art('a') },
});
const heart: EdgeBuild = {
  ...plainBuild(plainShape('heart', 40, 36), 'Heart'),
  offset: 2,
  punched: [{ x: 0, y: -6, width: 4, height: 4, angle: 0 }],
};
const piece = (job: Job): Piece => job.pieces[0] as Piece;
const build = (job: Job, made: EdgeBuild): Job =>
  run(job, { name: 'build-edge', args: { piece: 'piece-1', build: made } });

test('what stands in a piece stays over the shapes that its edge is built from', () => {
  const off: EdgeBuild = { ...heart, parts: heart.parts.map((part) => ({ ...part, x: 7, y: -4 })) };
  const job = build(withPicture, off);
  const [part] = piece(job).build?.parts ?? [];
  const [picture] = piece(job).elements;
  // Both were moved by the same way, so that the middle of the edge is that of the piece.
  expect((picture?.x ?? 0) - (part?.x ?? 0)).toBeCloseTo(5 - 7, 6);
  expect((picture?.y ?? 0) - (part?.y ?? 0)).toBeCloseTo(3 + 4, 6);
  const box = boxOfRings(flatten(shapePath(piece(job).edge)));
  expect(box?.left).toBeCloseTo(-(box?.right ?? 0), 2);
  expect(parseJob(JSON.parse(JSON.stringify(job))).ok).toBe(true);
});

test('sized to a height the piece is exactly as high, with offset and hole as they were', () => {
  const job = run(build(withPicture, heart), {
    name: 'size-edge',
    args: { piece: 'piece-1', height: 80 },
  });
  expect(pieceSize(piece(job)).height).toBeCloseTo(80, 2);
  expect(piece(job).build).toMatchObject({ offset: 2, punched: [{ width: 4, height: 4 }] });
  const scale =
    shapeSize(piece(job).build?.parts[0]?.shape ?? plainShape('circle', 1, 1)).height / 36;
  expect(piece(job).elements[0]).toMatchObject({ kind: 'picture' });
  expect((piece(job).elements[0] as typeof PICTURE).width).toBeCloseTo(30 * scale, 4);
});

test('measured again, a built edge keeps its shape; given a plain edge, it is forgotten', () => {
  const built = build(withPicture, heart);
  const measured = run(built, {
    name: 'measure-thing',
    args: { thing: { kind: 'own', shape: 'rectangle', width: 30, height: 90, allowance: 0 } },
  });
  const { width } = pieceSize(piece(measured));
  expect(width).toBeCloseTo(30, 1);
  expect(piece(measured).edge.kind).toBe('outline');
  const plain = run(built, {
    name: 'change-piece',
    args: { piece: 'piece-1', changes: { edge: { kind: 'circle', diameter: 40 } } },
  });
  expect(piece(plain).build).toBeUndefined();
});

test('a ring along the rim follows the edge', () => {
  const ring = {
    id: '',
    kind: 'plate',
    x: 0,
    y: 0,
    angle: 0,
    locked: false,
    shape: { kind: 'circle', diameter: 10 },
    fill: null,
    line: { color: '#44203d', width: 0.5, style: 'double' },
    rim: { inset: 3 },
  } as const;
  const job = run(
    start,
    { name: 'add-element', args: { piece: 'piece-1', element: ring } },
    {
      name: 'change-piece',
      args: { piece: 'piece-1', changes: { edge: { kind: 'circle', diameter: 64 } } },
    },
  );
  expect(piece(job).elements[0]).toMatchObject({ shape: { kind: 'circle', diameter: 58 } });
});

test('replaced art is changed wherever it is, and its original is kept while it is needed', () => {
  const made = art('b', {
    made: {
      from: HASH('a'),
      recipe: { kind: 'vector', hidden: [0], shapes: {}, colors: {}, mirror: false },
    },
  });
  const job = run(withPicture, {
    name: 'replace-art',
    args: { from: HASH('a'), to: made },
  });
  expect(piece(job).elements[0]).toMatchObject({ art: HASH('b') });
  expect(Object.keys(job.art).sort()).toEqual([HASH('a'), HASH('b')]);
  const other = run(job, { name: 'replace-art', args: { from: HASH('b'), to: art('c') } });
  expect(Object.keys(other.art)).toEqual([HASH('c')]);
});

test('pieces made elsewhere come in with their art, in place of an empty one', () => {
  const like = piece(start);
  const job = run(start, {
    name: 'add-pieces',
    args: {
      pieces: [
        { ...like, name: 'Fern' },
        { ...like, name: 'Moss' },
      ],
      art: [art('a')],
      wanted: 3,
      instead: 'piece-1',
    },
  });
  expect(job.pieces.map(({ name }) => name)).toEqual(['Fern', 'Moss']);
  expect(Object.values(job.plan.wanted)).toEqual([3, 3]);
});

test('a build that leaves nothing is refused and changes nothing', () => {
  const done = runCommand(withPicture, {
    name: 'build-edge',
    args: { piece: 'piece-1', build: { ...heart, offset: -40 } },
  });
  expect(isProblem(done) && done.code).toBe('edge/nothing-left');
});

test('a job of the third version is read as it was', async () => {
  const { readFileSync } = await import('node:fs');
  const old: unknown = JSON.parse(readFileSync('core/job/examples/version-3.json', 'utf8'));
  const read = parseJob(old);
  const { version, material, plan, ...rest } = old as Job & {
    material: { carrier: string };
    plan: { moved: object; used: number[] };
  };
  const { moved, used, ...samePlan } = plan;
  const { carrier, ...sameMaterial } = material;
  expect([version, carrier]).toEqual([3, 'none']);
  expect(read.ok && read.value).toEqual({
    ...rest,
    material: { ...sameMaterial, tack: 'none' },
    plan: { ...samePlan, handPlaces: moved, usedLabels: used },
    version: VERSION,
  });
});
