import { apply, flatten, signedArea, type Ring } from '../geometry/index.ts';
import { compiled, exampleWords, runAll } from '../testing/example-job.ts';
import {
  elementMap,
  MEETINGS,
  type Meeting,
  type Piece,
  type PieceElement,
} from '../piece/index.ts';
import { isProblem } from '../base/index.ts';
import { createJob, runCommand, type CommandCall, type Job } from './index.ts';

const square = (id: string, x: number): PieceElement => ({
  id,
  x,
  y: 0,
  angle: 0,
  locked: false,
  kind: 'plate',
  shape: { kind: 'rectangle', width: 10, height: 10, radius: 0 },
  fill: { color: '#5d2a53', opacity: 1 },
  line: null,
});
const LETTERS = {
  ...(exampleWords() as Extract<PieceElement, { kind: 'words' }>),
  text: 'FEN',
  x: 0,
  y: 0,
};
const holding = (...elements: PieceElement[]): Job =>
  runAll(createJob('lid', { id: 'j', today: '2026-04-18' }), {
    name: 'add-elements',
    args: { piece: 'piece-1', elements },
  });
const idsOf = (job: Job): string[] => (job.pieces[0] as Piece).elements.map(({ id }) => id);
const combine = (job: Job, how: Meeting): CommandCall => ({
  name: 'combine-elements',
  args: { piece: 'piece-1', elements: idsOf(job), how },
});

/** What the uppermost element of a job's only piece covers, mm². */
async function areaOf(job: Job): Promise<number> {
  const { compiled: drawn } = await compiled(job, new Map());
  const node = drawn.pieces.get('piece-1')?.elements.at(-1)?.compiled.nodes[0];
  if (node?.kind !== 'path') throw new Error('no path');
  const rings: readonly Ring[] = flatten(node.path);
  return Math.abs(rings.reduce((sum, ring) => sum + signedArea(ring), 0));
}

test.each<[Meeting, number]>([
  ['join', 150],
  ['cut', 50],
  ['common', 50],
  ['either', 100],
])('two squares of 100 mm² that share 50: %s covers %d', async (how, area) => {
  const job = holding(square('a', -2.5), square('b', 2.5));
  expect(await areaOf(runAll(job, combine(job, how)))).toBeCloseTo(area, 2);
});

test('letters cut out of a plate and what they have in common with it make up the plate', async () => {
  const plate = {
    ...square('a', 0),
    shape: { kind: 'rectangle', width: 40, height: 20, radius: 0 },
  };
  const job = holding(plate as PieceElement, { ...LETTERS, width: 36, height: 16 });
  const areas = await Promise.all(MEETINGS.map((how) => areaOf(runAll(job, combine(job, how)))));
  const [joined = 0, cut = 0, common = 0, either = 0] = areas;
  expect(joined).toBeCloseTo(800, 2);
  expect(common).toBeGreaterThan(10);
  expect(cut + common).toBeCloseTo(800, 2);
  expect(either).toBeCloseTo(cut, 2);
});

test('other words in a part make another shape, found and replaced as anywhere', async () => {
  const job = holding({ ...square('a', 0) }, LETTERS);
  const made = runAll(job, combine(job, 'cut'));
  const replaced = runAll(made, { name: 'replace-words', args: { find: 'FEN', by: 'I' } });
  expect(await areaOf(replaced)).not.toBeCloseTo(await areaOf(made), 1);
});

test('a letter that the typeface of a part has not got is said', async () => {
  const job = holding(square('a', 0), { ...LETTERS, text: 'x\u{1F33F}' });
  const { compiled: drawn } = await compiled(runAll(job, combine(job, 'cut')), new Map());
  expect(drawn.pieces.get('piece-1')?.elements[0]?.compiled.missing).toEqual(['\u{1F33F}']);
});

test.each([undefined, 'across', 'down', 'both'] as const)(
  'taken apart after it was moved, turned and mirrored (%s), each part stands where it was seen',
  (flip) => {
    const job = holding(
      { ...square('a', -6), angle: 20 },
      { ...square('b', 9), y: 3, flip: 'down' },
    );
    const whole = runAll(job, combine(job, 'join'));
    const id = idsOf(whole)[0] as string;
    const turned = runAll(whole, {
      name: 'change-elements',
      args: { piece: 'piece-1', changes: { [id]: { x: 4, y: -2, angle: 35, flip } } },
    });
    const shape = turned.pieces[0]?.elements[0];
    if (shape?.kind !== 'combined') throw new Error('no shape');
    const apart = runAll(turned, { name: 'take-apart', args: { piece: 'piece-1', element: id } });
    for (const [at, { element }] of shape.parts.entries()) {
      const out = apart.pieces[0]?.elements[at] as PieceElement;
      for (const corner of [
        { x: 5, y: 5 },
        { x: -5, y: 2 },
      ]) {
        const seen = apply(elementMap(shape), apply(elementMap(element), corner));
        const now = apply(elementMap(out), corner);
        expect([now.x, now.y]).toEqual([expect.closeTo(seen.x, 6), expect.closeTo(seen.y, 6)]);
      }
    }
  },
);

test('only words, plates and drawn lines become one shape, and one alone does not', () => {
  const one = holding(square('a', 0));
  expect(isProblem(runCommand(one, combine(one, 'join')))).toBe(true);
  const code: PieceElement = {
    ...{ id: 'c', x: 0, y: 0, angle: 0, locked: false, kind: 'code', symbology: 'qr' },
    ...{ text: 'a', width: 20, height: 20, color: '#000000', ground: null, caption: false },
  } as PieceElement;
  const two = holding(square('a', 0), code);
  expect(isProblem(runCommand(two, combine(two, 'join')))).toBe(true);
});

test('twice as large is twice as wide, with all parts in proportion', async () => {
  const job = holding(square('a', -2.5), square('b', 2.5));
  const made = runAll(job, combine(job, 'cut'));
  const larger = runAll(made, {
    name: 'measure-thing',
    args: { thing: { kind: 'lid', measured: 'diameter', size: 116, clearance: 0, dome: 0 } },
  });
  const before = (made.pieces[0] as Piece).edge;
  const after = (larger.pieces[0] as Piece).edge;
  if (before.kind !== 'circle' || after.kind !== 'circle') throw new Error('not round');
  const scale = after.diameter / before.diameter;
  expect(await areaOf(larger)).toBeCloseTo(50 * scale * scale, 2);
});
