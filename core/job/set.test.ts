import { readFileSync } from 'node:fs';
import type { Art } from '../art/index.ts';
import { examplePicture, exampleWords, runAll } from '../testing/example-job.ts';
import { isProblem } from '../base/index.ts';
import type { PieceElement, Words } from '../piece/index.ts';
import { usualThing } from '../things/index.ts';
import {
  asThing,
  changeThing,
  createJob,
  eachThing,
  groupsOf,
  parseJob,
  runCommand,
  thingsOf,
  VERSION,
  withArtReplacedInAll,
  type CommandCall,
  type Job,
} from './index.ts';

const GREEN = '#2d5a3a';
const PAPER = '#f4e9d4';
const RUST = '#b4552d';

const named = exampleWords({
  text: 'Marigold balm',
  field: 'name',
  typeface: 'fraunces-semibold',
  color: GREEN,
  size: 20,
});
const small = exampleWords({
  text: 'beeswax, oil',
  field: 'ingredients',
  typeface: 'figtree-regular',
  color: RUST,
  size: 7,
});

const lid = runAll(
  createJob('lid', { id: 'balm', today: '2026-04-18' }),
  { name: 'rename-job', args: { name: 'Balm tin' } },
  { name: 'set-artwork', args: { piece: 'piece-1', ground: PAPER, elements: [named, small] } },
);
const addTag: CommandCall = {
  name: 'add-thing',
  args: { name: 'Tag', first: 'Lid', thing: usualThing('tag'), elements: [named, small] },
};
const tin = runAll(lid, addTag);

function ok(made: ReturnType<typeof runCommand>): Job {
  if (isProblem(made)) throw new Error(made.code);
  return made;
}
const elementsOf = (job: Job, id: string): readonly PieceElement[] =>
  asThing(job, id).pieces[0]?.elements ?? [];
const wordsIn = (job: Job, id: string, field: string): Words =>
  elementsOf(job, id).find((one) => one.field === field) as Words;

test('another thing makes a set of a job: each is seen as a job of its own, in one look', () => {
  expect(thingsOf(lid)).toEqual([{ id: 'thing-1', name: 'Balm tin' }]);
  expect(asThing(lid, 'thing-1')).toBe(lid);
  expect(thingsOf(tin).map(({ id, name }) => [id, name])).toEqual([
    ['thing-1', 'Lid'],
    ['thing-2', 'Tag'],
  ]);
  const tag = asThing(tin, 'thing-2');
  expect(tag.set).toBeUndefined();
  expect(tag).toMatchObject({ name: 'Balm tin', thing: { kind: 'tag' }, stock: lid.stock });
  expect(tag.pieces[0]?.ground).toBe(PAPER);
  expect(tin.set?.look).toMatchObject({
    colors: { ground: PAPER, main: GREEN, accent: RUST },
    faces: { title: 'fraunces-semibold', text: 'figtree-regular', small: 'figtree-regular' },
    says: { name: 'Marigold balm', ingredients: 'beeswax, oil' },
  });
  // What it is read again as is the same.
  const read = parseJob(JSON.parse(JSON.stringify(tin)));
  expect(read.ok && read.value).toEqual(tin);
});

test('no two things of a set have one name', () => {
  const named = (job: Job): string[] => thingsOf(job).map(({ name }) => name);
  const twice = runAll(tin, addTag);
  expect(named(twice)).toEqual(['Lid', 'Tag', 'Tag 2']);
  const again = runAll(twice, { name: 'rename-thing', args: { thing: 'thing-3', name: 'Lid' } });
  expect(named(again)).toEqual(['Lid', 'Tag', 'Lid 2']);
});

test('a shared colour is changed on all labels, but where one has its own; that can be shared again', () => {
  const green = runAll(tin, {
    name: 'change-look',
    args: { changes: { colors: { main: '#11643a' } } },
  });
  for (const id of ['thing-1', 'thing-2']) expect(wordsIn(green, id, 'name').color).toBe('#11643a');
  const own = runAll(green, {
    name: 'own-look',
    args: { thing: 'thing-2', own: { colors: { main: '#222222' } } },
  });
  expect(wordsIn(own, 'thing-1', 'name').color).toBe('#11643a');
  expect(wordsIn(own, 'thing-2', 'name').color).toBe('#222222');
  const blue = runAll(own, {
    name: 'change-look',
    args: { changes: { colors: { main: '#123a6b', ground: '#ffffff' } } },
  });
  expect(wordsIn(blue, 'thing-1', 'name').color).toBe('#123a6b');
  expect(wordsIn(blue, 'thing-2', 'name').color).toBe('#222222');
  expect(asThing(blue, 'thing-2').pieces[0]?.ground).toBe('#ffffff');
  const shared = runAll(blue, { name: 'share-look', args: { thing: 'thing-2', role: 'main' } });
  expect(wordsIn(shared, 'thing-2', 'name').color).toBe('#123a6b');
  expect(thingsOf(shared)[1]?.own).toEqual(undefined);
});

test('two roles of one colour stay two: each can be changed alone afterwards', () => {
  const alike = runAll(
    tin,
    { name: 'change-look', args: { changes: { colors: { accent: GREEN } } } },
    { name: 'change-look', args: { changes: { colors: { main: '#000000' } } } },
  );
  expect(wordsIn(alike, 'thing-1', 'name').color).toBe('#000000');
  // One step of blue away from the other, which nobody sees.
  expect(wordsIn(alike, 'thing-1', 'ingredients').color).toBe('#2d5a3b');
});

test('typefaces follow what they do, though two of them are the same one', () => {
  const made = runAll(tin, {
    name: 'change-look',
    args: { changes: { faces: { small: 'bitter-medium', title: 'cinzel-bold' } } },
  });
  for (const id of ['thing-1', 'thing-2']) {
    expect(wordsIn(made, id, 'ingredients').typeface).toBe('bitter-medium');
    expect(wordsIn(made, id, 'name').typeface).toBe('cinzel-bold');
  }
  const { id } = wordsIn(made, 'thing-1', 'name');
  const own = ok(
    changeThing(made, 'thing-1', {
      name: 'change-elements',
      args: { piece: 'piece-1', changes: { [id]: { typeface: 'caveat-bold' } } },
    }),
  );
  expect(wordsIn(own, 'thing-1', 'name').role).toBeUndefined();
  const again = runAll(own, {
    name: 'change-look',
    args: { changes: { faces: { title: 'pacifico-regular' } } },
  });
  expect(wordsIn(again, 'thing-1', 'name').typeface).toBe('caveat-bold');
  expect(wordsIn(again, 'thing-2', 'name').typeface).toBe('pacifico-regular');
});

test('what one label says is said by all that said the same, but for fields of its own', () => {
  const say = (job: Job, thing: string, text: string): Job =>
    ok(
      changeThing(job, thing, {
        name: 'change-elements',
        args: {
          piece: 'piece-1',
          changes: { [wordsIn(job, thing, 'name').id]: { text } },
        },
      }),
    );
  const sage = say(tin, 'thing-2', 'Sage balm');
  expect(wordsIn(sage, 'thing-1', 'name').text).toBe('Sage balm');
  expect(sage.set?.look.says.name).toBe('Sage balm');
  const own = runAll(sage, {
    name: 'own-look',
    args: { thing: 'thing-2', own: { says: ['name'] } },
  });
  const apart = say(say(own, 'thing-2', 'For you'), 'thing-1', 'Mint balm');
  expect(wordsIn(apart, 'thing-1', 'name').text).toBe('Mint balm');
  expect(wordsIn(apart, 'thing-2', 'name').text).toBe('For you');
  const shared = runAll(apart, { name: 'share-look', args: { thing: 'thing-2', role: 'name' } });
  expect(wordsIn(shared, 'thing-2', 'name').text).toBe('Mint balm');
});

test('a column of the shared list is renamed on every label of the set', () => {
  const list = { columns: ['name'], rows: [{ key: 'r1', fields: ['Mint'] }] };
  const listed = ok(changeThing(tin, 'thing-1', { name: 'set-list', args: { list } }));
  const filled = ok(
    changeThing(listed, 'thing-1', {
      name: 'change-elements',
      args: {
        piece: 'piece-1',
        changes: { [wordsIn(listed, 'thing-1', 'name').id]: { text: '{name}' } },
      },
    }),
  );
  expect(wordsIn(filled, 'thing-2', 'name').text).toBe('{name}');
  const renamed = ok(
    changeThing(filled, 'thing-2', {
      name: 'rename-column',
      args: { column: 'name', name: 'herb' },
    }),
  );
  expect(asThing(renamed, 'thing-1').list?.columns).toEqual(['herb']);
  for (const id of ['thing-1', 'thing-2']) expect(wordsIn(renamed, id, 'name').text).toBe('{herb}');
});

test('a shared colour in whose place rows have theirs is theirs as it is now', () => {
  const list = { columns: ['colour'], rows: [{ key: 'r1', fields: ['#112233'] }] };
  const calls: CommandCall[] = [
    { name: 'set-list', args: { list } },
    { name: 'bind-color', args: { color: GREEN, column: 'colour' } },
  ];
  const bound = calls.reduce((now, call) => ok(changeThing(now, 'thing-1', call)), tin);
  const made = runAll(bound, {
    name: 'change-look',
    args: { changes: { colors: { main: '#ABCDEF' } } },
  });
  expect(made.list?.colors).toEqual([{ column: 'colour', color: '#abcdef' }]);
});

test('one number is wanted of the whole set, unless a thing is counted by itself', () => {
  const wantedOf = (job: Job): number[] =>
    eachThing(job).map((one) => one.job.plan.wanted['piece-1'] ?? 0);
  const forty = runAll(tin, { name: 'want-sets', args: { count: 40 } });
  expect(wantedOf(forty)).toEqual([40, 40]);
  const single = ok(
    changeThing(forty, 'thing-2', { name: 'want', args: { piece: 'piece-1', count: 7 } }),
  );
  const sixty = runAll(single, { name: 'want-sets', args: { count: 60 } });
  expect(wantedOf(sixty)).toEqual([60, 7]);
  expect(sixty.set?.count).toBe(60);
});

test('jobs are joined to a set and taken out of it; of two things one is left alone as it was', () => {
  const tag = runAll(createJob('tag', { id: 'tag', today: '2026-04-18' }), {
    name: 'rename-job',
    args: { name: 'Gift tag' },
  });
  const joined = runAll(lid, { name: 'join-job', args: { other: tag, first: 'Lid' } });
  expect(thingsOf(joined).map(({ name }) => name)).toEqual(['Lid', 'Gift tag']);
  const gift = asThing(joined, 'thing-2');
  expect(gift.pieces).toEqual(tag.pieces);
  expect(gift.plan).toEqual(tag.plan);
  // The first is taken away: the second has its place.
  const left = runAll(joined, { name: 'remove-thing', args: { thing: 'thing-1' } });
  expect(left.set).toBeUndefined();
  expect(left).toEqual({ ...tag, id: 'balm', name: 'Balm tin' });
  expect(runAll(tin, { name: 'remove-thing', args: { thing: 'thing-2' } }).pieces).toEqual(
    asThing(tin, 'thing-1').pieces,
  );
});

test('jobs with different lists are not joined, and this is said', () => {
  const list = (text: string): CommandCall => ({
    name: 'set-list',
    args: { list: { columns: ['name'], rows: [{ key: 'r1', fields: [text] }] } },
  });
  const other = runAll(createJob('tag', { id: 'tag', today: '2026-04-18' }), list('Sage'));
  expect(
    runCommand(runAll(lid, list('Mint')), { name: 'join-job', args: { other } }),
  ).toMatchObject({ code: 'job/refused', values: { code: 'two-lists' } });
});

const picture = (letter: string): Art => ({
  id: letter.repeat(64),
  kind: 'pixels',
  name: `${letter}.png`,
  format: 'png',
  pixelWidth: 10,
  pixelHeight: 10,
  dpi: 300,
  dpiKnown: true,
  orientation: 1,
  tags: [],
});

test('a picture is replaced on every label, and what only another label shows stays with the job', () => {
  const shown = (letter: string): PieceElement => examplePicture(letter.repeat(64), {});
  const set = runAll(
    lid,
    {
      name: 'set-artwork',
      args: { piece: 'piece-1', ground: null, elements: [shown('a')], art: [picture('a')] },
    },
    {
      name: 'add-thing',
      args: {
        name: 'Tag',
        thing: usualThing('tag'),
        elements: [shown('a'), shown('b')],
        art: [picture('b')],
      },
    },
  );
  const made = runAll(set, { name: 'change-mark', args: { to: picture('c') } });
  // The picture of one is replaced from its own desk, or from the drawer: on all labels, and as the mark.
  for (const again of [
    ok(
      changeThing(set, 'thing-2', {
        name: 'replace-art',
        args: { from: 'a'.repeat(64), to: picture('d') },
      }),
    ),
    withArtReplacedInAll(set, 'a'.repeat(64), picture('d')),
  ]) {
    expect(again.set?.look.mark?.[0]).toBe('d');
    expect(
      Object.keys(again.art)
        .map((id) => id[0])
        .sort(),
    ).toEqual(['b', 'd']);
  }
  const artIn = (id: string): string[] =>
    elementsOf(made, id).map((one) => (one.kind === 'picture' ? one.art.slice(0, 1) : ''));
  expect([artIn('thing-1'), artIn('thing-2')]).toEqual([['c'], ['c', 'b']]);
  expect(Object.keys(made.art).map((id) => id[0])).toEqual(expect.arrayContaining(['b', 'c']));
  expect(made.set?.look.mark).toBe('c'.repeat(64));
});

test('a job that joins keeps its colours, typefaces and words as its own, until it takes those of the set', () => {
  const tag = runAll(createJob('tag', { id: 'tag', today: '2026-04-18' }), {
    name: 'set-artwork',
    args: {
      piece: 'piece-1',
      ground: '#102030',
      elements: [
        exampleWords({
          text: 'Sage',
          field: 'name',
          typeface: 'lobster-regular',
          color: '#ffeecc',
          size: 20,
        }),
        small,
      ],
    },
  });
  const joined = runAll(lid, { name: 'join-job', args: { other: tag, first: 'Lid' } });
  const own = thingsOf(joined)[1]?.own;
  expect(own).toEqual({
    colors: { ground: '#102030', main: '#ffeecc' },
    faces: { title: 'lobster-regular' },
    says: ['name'],
  });
  expect(asThing(joined, 'thing-2').pieces[0]?.ground).toBe('#102030');
  const changed = runAll(joined, {
    name: 'change-look',
    args: { changes: { colors: { ground: '#ddeeff', accent: '#008800' } } },
  });
  expect(asThing(changed, 'thing-2').pieces[0]?.ground).toBe('#102030');
  expect(wordsIn(changed, 'thing-2', 'ingredients').color).toBe('#008800');
  const shared = runAll(changed, {
    name: 'share-look',
    args: { thing: 'thing-2', role: undefined },
  });
  expect(thingsOf(shared)[1]?.own).toEqual({ says: ['name'] });
  expect(asThing(shared, 'thing-2').pieces[0]?.ground).toBe('#ddeeff');
  expect(wordsIn(shared, 'thing-2', 'name')).toMatchObject({
    text: 'Sage',
    color: GREEN,
    typeface: 'fraunces-semibold',
  });
});

test('all things take one design, whose look is the shared one then, as one step', () => {
  const owning = runAll(tin, {
    name: 'own-look',
    args: { thing: 'thing-2', own: { colors: { ground: '#000000' } } },
  });
  const label = (size: number) => ({
    ground: '#e0f0e0',
    elements: [
      exampleWords({
        text: 'Marigold balm',
        field: 'name',
        typeface: 'lobster-regular',
        color: '#203040',
        size,
      }),
    ],
  });
  const made = runAll(owning, {
    name: 'design-things',
    args: {
      labels: [
        { thing: 'thing-1', ...label(20) },
        { thing: 'thing-2', ...label(12) },
      ],
      design: 'quiet',
    },
  });
  expect(thingsOf(made).map(({ own }) => own)).toEqual([undefined, undefined]);
  expect(made.set?.look).toMatchObject({
    colors: { ground: '#e0f0e0', main: '#203040' },
    faces: { title: 'lobster-regular' },
    says: { name: 'Marigold balm', ingredients: 'beeswax, oil' },
  });
  for (const { job } of eachThing(made))
    expect(job.pieces[0]).toMatchObject({ ground: '#e0f0e0', startedFrom: 'quiet' });
  expect(wordsIn(made, 'thing-2', 'name')).toMatchObject({ size: 12, role: 'title' });
});

test('a set that is taken apart is the job of its first thing', () => {
  const apart = runAll(tin, { name: 'split-set', args: { keep: 'thing-1' } });
  expect(apart.set).toBeUndefined();
  expect(apart.pieces).toEqual(tin.pieces);
  expect(runCommand(lid, { name: 'split-set', args: { keep: 'thing-1' } })).toMatchObject({
    values: { code: 'no-set' },
  });
});

test('a set of the fourteenth version is what it was, each thing on sheets of its own', () => {
  const old = JSON.parse(readFileSync('core/job/examples/version-14.json', 'utf8')) as Job;
  const read = parseJob(old);
  expect(read.ok && read.value).toEqual({ ...old, version: VERSION });
  expect(read.ok && groupsOf(read.value).map(({ name }) => name)).toEqual(['Lid', 'Tag']);
});
