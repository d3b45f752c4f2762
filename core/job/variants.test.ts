import { isProblem } from '../base/index.ts';
import { shapeSize } from '../shape/index.ts';
import { usualThing } from '../things/index.ts';
import { exampleWords, runAll } from '../testing/example-job.ts';
import { arrange } from '../sheet/index.ts';
import { problemText } from '../../messages/index.ts';
import {
  createJob,
  parsePeel,
  redo,
  runCommand,
  sizesOf,
  startHistory,
  afterStep,
  undo,
  writePeel,
  type Job,
} from './index.ts';

const BASE = 'piece-1';
const lid = (size: number) => usualThing('lid', { size, clearance: 0 });

/** One design for lids of 62, 46 and 75 mm. */
const threeLids = (): Job =>
  runAll(
    createJob('lid', { id: 'caddies', today: '2026-04-18' }),
    { name: 'measure-thing', args: { thing: lid(62) } },
    {
      name: 'add-element',
      args: { piece: BASE, element: exampleWords({ y: 10, size: 14, width: 40 }) },
    },
    { name: 'add-size', args: { piece: BASE } },
    { name: 'add-size', args: { piece: BASE } },
    { name: 'measure-size', args: { piece: 'piece-2', thing: lid(46) } },
    { name: 'measure-size', args: { piece: 'piece-3', thing: lid(75) } },
  );
const piece = (job: Job, id: string) => {
  const found = job.pieces.find((one) => one.id === id);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const words = (job: Job, id: string) => {
  const [element] = piece(job, id).elements;
  if (element?.kind !== 'words') throw new Error('no words');
  return element;
};

test('each size has its own measurements, and the design is fitted to it', () => {
  const job = threeLids();
  expect(job.pieces.map(({ edge }) => shapeSize(edge).width)).toEqual([62, 46, 75]);
  expect(sizesOf(job, BASE).map(({ name }) => name)).toEqual(['Label, 2', 'Label, 3']);
  expect(words(job, 'piece-2').y).toBeCloseTo((10 * 46) / 62, 9);
  expect(words(job, 'piece-2').size).toBeCloseTo((14 * 46) / 62, 9);
  expect(words(job, 'piece-3').width).toBeCloseTo((40 * 75) / 62, 9);
});

test('what is changed on the base is changed on every size', () => {
  const job = runAll(
    threeLids(),
    {
      name: 'change-elements',
      args: { piece: BASE, changes: { 'words-1': { text: 'Ochre', color: '#b8862b' } } },
    },
    { name: 'change-piece', args: { piece: BASE, changes: { ground: '#f4e9d4', bleed: 3 } } },
  );
  for (const id of [BASE, 'piece-2', 'piece-3']) {
    expect(words(job, id)).toMatchObject({ text: 'Ochre', color: '#b8862b' });
    expect(piece(job, id)).toMatchObject({ ground: '#f4e9d4', bleed: 3 });
  }
});

test('what is changed on one size stays there, and the rest of it still follows', () => {
  const moved = runAll(
    threeLids(),
    { name: 'change-elements', args: { piece: 'piece-2', changes: { 'words-1': { y: 3 } } } },
    {
      name: 'change-elements',
      args: { piece: BASE, changes: { 'words-1': { text: 'Ochre', y: 12 } } },
    },
  );
  expect(words(moved, 'piece-2')).toMatchObject({ text: 'Ochre', y: 3 });
  expect(words(moved, BASE).y).toBe(12);
  expect(words(moved, 'piece-3').y).toBeCloseTo((12 * 75) / 62, 9);
  expect(piece(moved, 'piece-2').variant?.overrides).toEqual({ 'words-1': { y: 3 } });
});

test('measuring the base again leaves the other sizes as they were measured', () => {
  const job = runAll(threeLids(), { name: 'measure-thing', args: { thing: lid(60) } });
  expect(job.pieces.map(({ edge }) => shapeSize(edge).width)).toEqual([60, 46, 75]);
  expect(words(job, 'piece-2').y).toBeCloseTo((10 * 46) / 62, 6);
});

test('elements are added and deleted on the base only, and that is said', () => {
  for (const call of [
    { name: 'add-element', args: { piece: 'piece-2', element: exampleWords() } },
    { name: 'delete-elements', args: { piece: 'piece-2', elements: ['words-1'] } },
    { name: 'duplicate-elements', args: { piece: 'piece-2', elements: ['words-1'] } },
  ] as const) {
    const refused = runCommand(threeLids(), call);
    expect(isProblem(refused) && problemText(refused).what).toBe(
      '“Label, 2” follows “Label” in this.',
    );
  }
  const bad = runCommand(threeLids(), {
    name: 'measure-size',
    args: { piece: 'piece-2', thing: usualThing('lid', { size: 5, clearance: 4 }) },
  });
  expect(isProblem(bad)).toBe(true);
});

test('a piece takes its sizes with it, and the last piece stays', () => {
  const only = runCommand(threeLids(), { name: 'delete-piece', args: { piece: BASE } });
  expect(isProblem(only) && problemText(only).what).toContain('A job keeps at least one piece');
  const two = runAll(threeLids(), { name: 'copy-piece', args: { piece: BASE, name: 'Blue' } });
  const left = runAll(two, { name: 'delete-piece', args: { piece: BASE } });
  expect(left.pieces.map(({ name }) => name)).toEqual(['Blue']);
  const fewer = runAll(threeLids(), { name: 'delete-piece', args: { piece: 'piece-3' } });
  expect(fewer.pieces).toHaveLength(2);
});

test('undo and redo bring every size along, and it survives a file', () => {
  const before = threeLids();
  const done = runCommand(before, {
    name: 'change-elements',
    args: { piece: BASE, changes: { 'words-1': { text: 'Ochre' } } },
  });
  if (isProblem(done)) throw new Error(done.code);
  const history = afterStep(startHistory(before), done, 'change');
  expect(words(undo(history).now, 'piece-3').text).toBe('Sea Holly');
  expect(words(redo(undo(history)).now, 'piece-3').text).toBe('Ochre');
  const again = runAll(undo(history).now, { name: 'rename-job', args: { name: 'Caddies' } });
  expect(words(again, 'piece-2').text).toBe('Sea Holly');
  const read = parsePeel(writePeel({ job: done, art: new Map() }), 'caddies.peel');
  expect(read.ok && read.value.job).toEqual(done);
});

test('all sizes find their places on sheets', () => {
  const job = runAll(
    threeLids(),
    ...[BASE, 'piece-2', 'piece-3'].map((id) => ({
      name: 'want' as const,
      args: { piece: id, count: 4 },
    })),
  );
  const placed = arrange(job).sheets.flatMap(({ placements }) =>
    placements.map(({ piece: id }) => id),
  );
  for (const id of [BASE, 'piece-2', 'piece-3'])
    expect(placed.filter((one) => one === id)).toHaveLength(4);
});

test('a bought sheet has one size', () => {
  const job = createJob('label-sheet', { id: 'x', today: '2026-04-18' });
  expect(isProblem(runCommand(job, { name: 'add-size', args: { piece: BASE } }))).toBe(true);
});

const FOLLOWER = 'piece-2';
const seals = (): Job =>
  runAll(
    createJob('lid', { id: 'seals', today: '2026-04-18' }),
    {
      name: 'add-element',
      args: { piece: BASE, element: exampleWords({ text: 'Sea Holly', color: '#44203D' }) },
    },
    { name: 'change-piece', args: { piece: BASE, changes: { ground: '#f4e9d4' } } },
    { name: 'add-variant', args: { piece: BASE, name: 'Yarrow' } },
    {
      name: 'change-elements',
      args: { piece: FOLLOWER, changes: { 'words-1': { text: 'Yarrow' } } },
    },
  );
const recolor = (colors: Record<string, string>, id?: string) => ({
  name: 'recolor' as const,
  args: { colors, ...(id ? { piece: id } : {}) },
});

test('a variant has its own words and colours, and the layout of its base', () => {
  const job = runAll(seals(), recolor({ '#44203d': '#2c4a2f', '#f4e9d4': '#ffffff' }, FOLLOWER), {
    name: 'change-elements',
    args: { piece: BASE, changes: { 'words-1': { x: 7, text: 'Rue' } } },
  });
  expect(words(job, FOLLOWER)).toMatchObject({ text: 'Yarrow', color: '#2c4a2f', x: 7 });
  expect(piece(job, FOLLOWER).ground).toBe('#ffffff');
  expect(words(job, BASE)).toMatchObject({ text: 'Rue', color: '#44203D', x: 7 });
  expect(piece(job, BASE).ground).toBe('#f4e9d4');
});

test('colours of a variant changed twice, and back to those of the base', () => {
  const twice = runAll(
    seals(),
    recolor({ '#44203d': '#2c4a2f' }, FOLLOWER),
    recolor({ '#2c4a2f': '#101010' }, FOLLOWER),
  );
  expect(words(twice, FOLLOWER).color).toBe('#101010');
  const back = runAll(twice, {
    name: 'follow-again',
    args: { piece: FOLLOWER, elements: ['words-1'], colors: true },
  });
  expect(words(back, FOLLOWER)).toMatchObject({ text: 'Sea Holly', color: '#44203D' });
});

test('the base in another colour leaves a variant what it has of its own; the whole job does not', () => {
  const own = runAll(seals(), recolor({ '#44203d': '#2c4a2f' }, FOLLOWER));
  const base = runAll(own, recolor({ '#44203d': '#7a1f2b' }, BASE));
  expect([words(base, BASE).color, words(base, FOLLOWER).color]).toEqual(['#7a1f2b', '#2c4a2f']);
  const all = runAll(base, recolor({ '#2c4a2f': '#0000ff', '#7a1f2b': '#00ff00' }));
  expect([words(all, BASE).color, words(all, FOLLOWER).color]).toEqual(['#00ff00', '#0000ff']);
});

test('a colour chosen on one element of a variant is recoloured with the others', () => {
  const job = runAll(
    seals(),
    {
      name: 'change-elements',
      args: { piece: FOLLOWER, changes: { 'words-1': { color: '#123456' } } },
    },
    recolor({ '#123456': '#654321' }, FOLLOWER),
  );
  expect(words(job, FOLLOWER).color).toBe('#654321');
});

test('a ground of its own stays; what only the base decides is refused with the way to it', () => {
  const job = runAll(
    seals(),
    { name: 'change-piece', args: { piece: FOLLOWER, changes: { ground: null } } },
    { name: 'change-piece', args: { piece: BASE, changes: { ground: '#000000' } } },
  );
  expect(piece(job, FOLLOWER).ground).toBeNull();
  const refusal = runCommand(job, {
    name: 'change-piece',
    args: { piece: FOLLOWER, changes: { bleed: 5 } },
  });
  expect(isProblem(refusal) && refusal.code).toBe('job/follows');
});

test('a variant that goes its own way stays as it is when its base changes', () => {
  const job = runAll(
    seals(),
    { name: 'stop-following', args: { piece: FOLLOWER } },
    { name: 'delete-elements', args: { piece: BASE, elements: ['words-1'] } },
  );
  expect(words(job, FOLLOWER).text).toBe('Yarrow');
});

test('on another size an element grows along, keeps to the edge, or takes the room', () => {
  const job = runAll(
    createJob('face', { id: 'j', today: '2026-04-18' }),
    {
      name: 'measure-thing',
      args: { thing: usualThing('face', { width: 60, height: 30, radius: 0, clearance: 0 }) },
    },
    ...[undefined, 'edge' as const, 'room' as const].map((adapt) => ({
      name: 'add-element' as const,
      args: {
        piece: BASE,
        element: exampleWords({
          ...{ x: 20, y: -10, width: 12, height: 6, size: 10, fit: 'shrink' as const },
          ...(adapt ? { adapt } : {}),
        }),
      },
    })),
    {
      name: 'measure-thing',
      args: { thing: usualThing('face', { width: 120, height: 45, radius: 0, clearance: 0 }) },
    },
  );
  const [grows, edge, room] = piece(job, BASE).elements;
  // 1.5 times as high is the smaller growth; it is 20 - 30 = -10 mm from the right edge before and after.
  expect(grows).toMatchObject({ x: 30, y: -15, width: 18, height: 9, size: 15 });
  expect(edge).toMatchObject({ x: 50, y: -17.5, width: 12, height: 6, size: 10 });
  expect(room).toMatchObject({ x: 40, y: -15, width: 24, height: 9, size: 20 });
});
