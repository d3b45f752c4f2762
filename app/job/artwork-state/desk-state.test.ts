import { nextTick } from 'vue';
import type { PieceElement } from '../../../core/piece/index.ts';
import { exampleWords } from '../../../core/testing/example-job.ts';
import { usualThing } from '../../../core/things/index.ts';
import { closeDesk, openDesk } from '../../testing/desk.ts';
import { newPlate, newRing } from './new-elements.ts';

afterEach(closeDesk);

/** The Artwork desk of a job with three words: the first two are a group, the third is locked. */
async function opened() {
  const desk = await openDesk();
  desk.addAll([
    exampleWords({ text: 'Sea Holly', group: 'names', x: 1 }),
    exampleWords({ text: 'Wood Avens', group: 'names', x: 2, color: '#b5432a' }),
    exampleWords({ text: 'Meadow Rue', locked: true, x: 3 }),
  ]);
  const [first = '', second = '', locked = ''] = desk.selected.value;
  desk.clear();
  const all = () => desk.piece.value?.elements ?? [];
  const steps = () => desk.store.past.length;
  return { desk, first, second, locked, all, steps };
}

test('what is added is selected, and is one step', async () => {
  const { desk, first, second, locked, all, steps } = await opened();
  expect(all().map(({ id }) => id)).toEqual([first, second, locked]);
  expect(steps()).toBe(1);
  desk.addWords(false);
  expect(desk.only.value).toMatchObject({ kind: 'words' });
  expect([all().length, steps()]).toEqual([4, 2]);
});

test('what is new stands in the front, turned as that is read, or in the zone that is looked at', async () => {
  const { desk } = await opened();
  expect(desk.zones.value).toEqual([]);
  const box = { width: 120, depth: 35, height: 80, strip: 54, overlap: 12 };
  const thing = usualThing('band', { ...box, around: 'w' });
  desk.store.act({ name: 'measure-thing', args: { thing } });
  expect(desk.zones.value.map(({ name }) => name)).toEqual([
    'top',
    'front',
    'bottom',
    'back',
    'overlap',
  ]);
  desk.addTo((piece) => newPlate(piece));
  // Of 242 mm the front lies from 35 to 115 and the back from 150 to 230.
  expect(desk.only.value).toMatchObject({ x: -121 + 75, y: 0, angle: 270 });
  const back = desk.zones.value[3];
  if (!back) throw new Error('no back');
  expect(desk.lookAtZone(back)).toBe(true);
  desk.addWords(false);
  expect(desk.only.value).toMatchObject({ kind: 'words', angle: 90 });
  expect(Math.abs((desk.only.value?.x ?? 0) - (-121 + 190))).toBeLessThan(40);
  expect(desk.lookAtZone(back)).toBe(false);
  // A ring follows the edge of the whole label.
  desk.addTo(newRing);
  expect(desk.only.value).toMatchObject({ kind: 'plate', x: 0, y: 0, angle: 0 });
});

test('a group is selected as one, and one of it alone where that is asked for', async () => {
  const { desk, first, second, locked } = await opened();
  desk.select(second);
  expect(desk.selected.value).toEqual([first, second]);
  desk.select(locked, true);
  expect(desk.selected.value).toEqual([first, second, locked]);
  desk.select(first, true);
  expect(desk.selected.value).toEqual([locked]);
  desk.select(first, false, true);
  expect([desk.selected.value, desk.only.value?.id]).toEqual([[first], first]);
});

test('changes under one key are one step, under another a second, without one always a step', async () => {
  const { desk, first, steps } = await opened();
  desk.select(first);
  for (const size of [11, 12, 13]) desk.change({ size }, 'size');
  expect(steps()).toBe(2);
  desk.change({ tracking: 5 }, 'tracking');
  desk.change({ align: 'left' });
  desk.change({ align: 'right' });
  expect(steps()).toBe(5);
  expect(desk.elements.value).toMatchObject([
    { size: 13, tracking: 5, align: 'right' },
    { size: 13, tracking: 5, align: 'right' },
  ]);
  for (let step = steps(); step > 1; step--) desk.store.undo();
  expect(desk.elements.value).not.toContainEqual(expect.objectContaining({ size: 13 }));
});

test('what is locked is not nudged, and nudging that alone is no step', async () => {
  const { desk, first, locked, all, steps } = await opened();
  desk.selected.value = [first, locked];
  desk.nudge({ x: 0.5, y: -1 });
  desk.nudge({ x: 0.5, y: 0 });
  expect(all().map(({ x, y }) => [x, y])).toEqual([
    [2, exampleWords().y - 1],
    [2, exampleWords().y],
    [3, exampleWords().y],
  ]);
  expect(steps()).toBe(2);
  desk.select(locked);
  desk.nudge({ x: 1, y: 1 });
  expect(steps()).toBe(2);
});

test('copies are selected when they are made; what is deleted comes back where it was', async () => {
  const { desk, first, second, all } = await opened();
  desk.select(first);
  desk.duplicate();
  expect(desk.selected.value).toHaveLength(2);
  expect(desk.selected.value).not.toContain(first);
  const before = all();
  desk.select(second, false, true);
  desk.remove();
  expect(all().map(({ id }) => id)).not.toContain(second);
  desk.store.undo();
  expect(all()).toEqual(before);
});

test('a look is given to several in one step, and none of their words', async () => {
  const { desk, first, second, locked, all, steps } = await opened();
  const source = all().find(({ id }) => id === second);
  if (source) desk.copyStyle(source);
  desk.selected.value = [first, locked];
  desk.pasteStyle();
  expect(all()).toMatchObject([
    { text: 'Sea Holly', color: '#b5432a', x: 1 },
    { text: 'Wood Avens', color: '#b5432a' },
    { text: 'Meadow Rue', color: '#b5432a', x: 3 },
  ]);
  expect(steps()).toBe(2);
});

test('a change that is only tried is seen in a job of its own', async () => {
  const { desk, first, steps } = await opened();
  desk.select(first);
  const job = desk.tried((element) => ({ x: element.x + 10 }));
  expect(job?.pieces[0]?.elements.map(({ x }) => x)).toEqual([11, 12, 3]);
  expect(desk.elements.value.map(({ x }) => x)).toEqual([1, 2]);
  expect(steps()).toBe(1);
  desk.clear();
  expect(desk.tried(() => ({ x: 0 }))).toBeUndefined();
});

test('typing ends when other words are selected, and a panel closes by what opened it', async () => {
  const { desk, first, locked } = await opened();
  desk.select(first, false, true);
  desk.typing.value = first;
  desk.point.value = { ring: 0, node: 1 };
  desk.select(locked);
  await nextTick();
  expect([desk.typing.value, desk.point.value]).toEqual([undefined, undefined]);
  desk.toggle('faces');
  desk.toggle('ornaments');
  expect(desk.panel.value).toBe('ornaments');
  desk.toggle('ornaments');
  expect(desk.panel.value).toBeUndefined();
});

test('several kinds have no card in common, several words have that of the first', async () => {
  const { desk, first, second } = await opened();
  desk.selected.value = [first, second];
  expect(desk.alike.value?.id).toBe(first);
  const ring: PieceElement = {
    ...{ id: '', x: 0, y: 0, angle: 0, locked: false },
    kind: 'plate',
    shape: { kind: 'circle', diameter: 20 },
    fill: null,
    line: { color: '#24356f', width: 0.5, style: 'solid' },
  };
  desk.add(ring);
  desk.selected.value = [...desk.selected.value, first];
  expect(desk.alike.value).toBeUndefined();
});
