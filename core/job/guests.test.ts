import {
  compiled,
  exampleJob,
  examplePicture,
  exampleWords,
  runAll,
} from '../testing/example-job.ts';
import { isProblem } from '../base/index.ts';
import type { PieceElement } from '../piece/index.ts';
import { arrange } from '../sheet/index.ts';
import { MATT_PAPER } from '../stock/index.ts';
import { usualThing } from '../things/index.ts';
import {
  asThing,
  changeThing,
  createJob,
  groupsOf,
  guestNow,
  guestsOf,
  hostOf,
  outdatedSources,
  ownPieces,
  parseJob,
  runCommand,
  thingAlone,
  thingsOf,
  type CommandCall,
  type Job,
} from './index.ts';

const NO_ART = new Map<string, Uint8Array>();
const compile = async (job: Job) => (await compiled(job, NO_ART)).compiled;
const words = (text: string): PieceElement =>
  exampleWords({ text, typeface: 'figtree-regular', size: 9 });

const lid = runAll(
  createJob('lid', { id: 'balm', today: '2026-04-18' }),
  { name: 'rename-job', args: { name: 'Balm tin' } },
  { name: 'set-artwork', args: { piece: 'piece-1', ground: '#f4e9d4', elements: [words('Balm')] } },
);
const tin = runAll(
  lid,
  {
    name: 'add-thing',
    args: { name: 'Tag', first: 'Lid', thing: usualThing('tag'), elements: [words('Tag')] },
  },
  {
    name: 'add-thing',
    args: { name: 'Jar', thing: usualThing('wrap'), elements: [words('Jar')] },
  },
);
const shared = runAll(tin, { name: 'share-sheets', args: { thing: 'thing-2', on: 'thing-1' } });

const done = (made: ReturnType<typeof runCommand>): Job => {
  if (isProblem(made)) throw new Error(JSON.stringify(made));
  return made;
};
const on = (job: Job, thing: string, call: CommandCall): Job => done(changeThing(job, thing, call));
const piecesOnSheets = (job: Job): string[] => [
  ...new Set(arrange(job).sheets.flatMap(({ placements }) => placements.map((one) => one.piece))),
];

describe('things of a set on the same sheets', () => {
  test('are one group, laid out and compiled together, and counted each as its own', async () => {
    expect(groupsOf(tin).map(({ name }) => name)).toEqual(['Lid', 'Tag', 'Jar']);
    expect(groupsOf(shared).map(({ name }) => name)).toEqual(['Lid + Tag', 'Jar']);
    const [group] = groupsOf(shared);
    expect(group?.things).toEqual(['thing-1', 'thing-2']);
    const seen = asThing(shared, 'thing-1');
    expect(piecesOnSheets(seen)).toEqual(['piece-1', 'thing-2-piece-1']);
    const made = await compile(seen);
    const drawn = made.sheets.flatMap(({ copies }) => copies);
    const wanted = (id: string): number => thingAlone(tin, id).plan.wanted['piece-1'] ?? 0;
    expect(drawn).toHaveLength(wanted('thing-1') + wanted('thing-2'));
    // The tag is what it is alone, folds of its own thing included.
    const alone = (await compile(thingAlone(shared, 'thing-2'))).pieces.get('piece-1');
    const guest = made.pieces.get('thing-2-piece-1');
    expect(guest?.nodes).toEqual(alone?.nodes);
    expect(guest?.creases).toEqual(alone?.creases);
  });

  test('what is said of them on the shared sheets is theirs', () => {
    const counted = on(shared, 'thing-1', {
      name: 'want',
      args: { piece: 'thing-2-piece-1', count: 7 },
    });
    expect(thingAlone(counted, 'thing-2').plan.wanted).toEqual({ 'piece-1': 7 });
    expect(thingAlone(counted, 'thing-1').plan).toEqual(thingAlone(shared, 'thing-1').plan);
    const left = on(counted, 'thing-1', {
      name: 'leave-out',
      args: { copies: ['thing-2-piece-1#2'], out: true },
    });
    expect(thingAlone(left, 'thing-2').oneOffs).toEqual({ 'piece-1#2': { out: true } });
    expect(thingAlone(left, 'thing-1').oneOffs).toBeUndefined();
    // What is kept holds no piece twice, and is read as it was.
    expect(JSON.stringify(left)).not.toContain('thing-2-piece-1');
    const read = parseJob(JSON.parse(JSON.stringify(left)));
    expect(read.ok && read.value).toEqual(left);
  });

  test('are changed where they belong, and are then others on the shared sheets', () => {
    const edit: CommandCall = {
      name: 'change-elements',
      args: { piece: 'thing-2-piece-1', changes: { 'words-1': { text: 'Other' } } },
    };
    expect(changeThing(shared, 'thing-1', edit)).toMatchObject({
      values: { code: 'guest-changed' },
    });
    const recolored = on(shared, 'thing-1', {
      name: 'recolor',
      args: { colors: { '#f4e9d4': '#ffeeaa' } },
    });
    expect(asThing(recolored, 'thing-2').pieces).toEqual(asThing(shared, 'thing-2').pieces);
    const changed = on(shared, 'thing-2', {
      name: 'change-elements',
      args: { piece: 'piece-1', changes: { 'words-1': { text: 'Other' } } },
    });
    const guest = asThing(changed, 'thing-1').pieces.find(({ id }) => id === 'thing-2-piece-1');
    expect(guest?.elements[0]).toMatchObject({ text: 'Other' });
    expect(ownPieces(asThing(changed, 'thing-1'))).toEqual(asThing(tin, 'thing-1').pieces);
  });

  test('follow the stock of their host, and leave it for another of their own', () => {
    const kraft = { ...MATT_PAPER, id: 'kraft', name: 'Kraft paper' };
    const both = on(shared, 'thing-1', { name: 'choose-material', args: { material: kraft } });
    expect(thingAlone(both, 'thing-2').material).toEqual(kraft);
    expect(hostOf(both, 'thing-2')).toBe('thing-1');
    const parted = on(both, 'thing-2', {
      name: 'choose-material',
      args: { material: MATT_PAPER },
    });
    expect(hostOf(parted, 'thing-2')).toBe('thing-2');
    expect(thingAlone(parted, 'thing-1').material).toEqual(kraft);
    const own = runAll(both, { name: 'share-sheets', args: { thing: 'thing-2', on: undefined } });
    expect(thingAlone(own, 'thing-2').material).toEqual(kraft);
    expect(groupsOf(own)).toHaveLength(3);
    // Only what is on the same can come together.
    expect(
      runCommand(both, { name: 'share-sheets', args: { thing: 'thing-3', on: 'thing-1' } }),
    ).toMatchObject({ values: { code: 'other-sheets' } });
  });

  test('come along when their host joins others, and stay when it is taken away', () => {
    const two = runAll(
      runAll(tin, { name: 'share-sheets', args: { thing: 'thing-3', on: 'thing-2' } }),
      { name: 'share-sheets', args: { thing: 'thing-1', on: 'thing-2' } },
    );
    // The first of the set keeps its sheets, the others come onto them.
    expect(groupsOf(two).map(({ name }) => name)).toEqual(['Lid + Tag + Jar']);
    const without = runAll(two, { name: 'remove-thing', args: { thing: 'thing-1' } });
    expect(thingsOf(without).map(({ name }) => name)).toEqual(['Tag', 'Jar']);
    expect(groupsOf(without)).toHaveLength(2);
    expect(thingAlone(without, 'thing-3').stock).toEqual(tin.stock);
  });

  test('a host that is not there, or lies on others itself, is none', () => {
    const others = shared.set?.others ?? [];
    const withHosts = (...hosts: (string | undefined)[]): Job => ({
      ...shared,
      ...(shared.set && {
        set: {
          ...shared.set,
          others: others.map(({ on: before, ...one }, at) => {
            void before;
            const now = hosts[at];
            return now === undefined ? one : { ...one, on: now };
          }),
        },
      }),
    });
    expect(groupsOf(withHosts('gone', 'thing-3'))).toHaveLength(3);
    expect(groupsOf(withHosts('thing-3', 'thing-2'))).toHaveLength(3);
    expect(groupsOf(withHosts('thing-1', 'thing-2')).map(({ name }) => name)).toEqual([
      'Lid + Tag',
      'Jar',
    ]);
  });
});

const { picture } = await exampleJob();

describe('guests from another job', () => {
  const source = runAll(
    createJob('wrap', { id: 'jars', today: '2026-05-02' }),
    { name: 'rename-job', args: { name: 'Honey' } },
    {
      name: 'set-artwork',
      args: {
        piece: 'piece-1',
        ground: null,
        elements: [words('{kind} of {today:yyyy}, no {#7}'), examplePicture(picture.id)],
        art: [picture],
      },
    },
    {
      name: 'set-list',
      args: {
        list: {
          columns: ['kind'],
          rows: [
            { key: 'r1', fields: ['Lime'] },
            { key: 'r2', fields: ['Heather'] },
          ],
        },
      },
    },
  );
  const picks = [{ piece: 'piece-1', row: 'r2', count: 3 }];
  const bring: CommandCall = { name: 'bring-guests', args: { source, picks } };
  const host = runAll(lid, bring);
  const [guest] = guestsOf(host);

  test('are filled where they come from, and counted on', () => {
    expect(guest).toMatchObject({
      id: 'guest-1',
      name: 'Heather · Honey',
      guest: { job: 'jars', jobName: 'Honey', piece: 'piece-1', row: 'r2' },
      elements: [{ text: 'Heather of 2026, no {#7}' }, { kind: 'picture' }],
    });
    expect(host.plan.wanted).toEqual({ ...lid.plan.wanted, 'guest-1': 3 });
    expect(piecesOnSheets(host)).toEqual(['piece-1', 'guest-1']);
    expect(runAll(host, bring).plan.wanted['guest-1']).toBe(6);
    expect(host.art).toEqual(source.art);
    const read = parseJob(JSON.parse(JSON.stringify(host)));
    expect(read.ok && read.value).toEqual(host);
  });

  test('are not filled by the list of the job that they lie in', async () => {
    const listed = runAll(host, {
      name: 'set-list',
      args: { list: { columns: ['kind'], rows: [{ key: 'r1', fields: ['Balm'] }] } },
    });
    const strange = runAll(lid, {
      name: 'bring-guests',
      args: {
        source: runAll(source, { name: 'set-list', args: { list: undefined } }),
        picks: [{ piece: 'piece-1', count: 1 }],
      },
    });
    const filled = runAll(strange, { name: 'set-list', args: { list: listed.list } });
    const said = async (job: Job): Promise<unknown> =>
      (await compile(job)).pieces.get('guest-1')?.elements[0]?.node;
    expect(await said(filled)).toEqual(await said(strange));
  });

  test('change only by an update from their job, and stay as they were when that has them no more', () => {
    const edit: CommandCall = { name: 'set-bleed', args: { pieces: ['guest-1'], bleed: 5 } };
    expect(runCommand(host, edit)).toMatchObject({ values: { code: 'guest-changed' } });
    const copy: CommandCall = { name: 'copy-piece', args: { piece: 'guest-1', name: 'More' } };
    expect(runCommand(host, copy)).toMatchObject({ values: { code: 'guest-changed' } });
    const all = runAll(host, {
      name: 'recolor',
      args: { colors: { '#f4e9d4': '#000000', '#2a1b2e': '#ffffff' } },
    });
    expect(guestsOf(all)).toEqual([guest]);

    if (!guest) throw new Error('no guest');
    expect(outdatedSources(host, [source])).toEqual([]);
    const later = runAll(source, {
      name: 'change-elements',
      args: { piece: 'piece-1', changes: { 'words-1': { text: '{kind} honey' } } },
    });
    expect(outdatedSources(host, [source, later])).toEqual([later]);
    const updated = runAll(host, { name: 'update-guests', args: { source: later } });
    expect(guestsOf(updated)[0]).toMatchObject({
      id: 'guest-1',
      elements: [{ text: 'Heather honey' }, {}],
    });
    expect(updated.plan).toEqual(host.plan);
    const gone = runAll(later, { name: 'delete-rows', args: { rows: ['r2'] } });
    expect(guestNow(updated, guest, gone)).toEqual([]);
    expect(runAll(updated, { name: 'update-guests', args: { source: gone } })).toBe(updated);
  });

  test('are taken off again, and the last piece of its own stays', () => {
    const off = runAll(host, { name: 'delete-piece', args: { piece: 'guest-1' } });
    expect(guestsOf(off)).toEqual([]);
    expect(off.plan.wanted).toEqual(lid.plan.wanted);
    expect(runCommand(host, { name: 'delete-piece', args: { piece: 'piece-1' } })).toMatchObject({
      values: { code: 'only-piece' },
    });
    expect(runCommand(source, { name: 'bring-guests', args: { source, picks } })).toMatchObject({
      values: { code: 'guest-of-itself' },
    });
  });

  test('bring their other side and the stickers that stand in them', () => {
    const backed = runAll(source, { name: 'add-back', args: { piece: 'piece-1' } });
    const two = runAll(lid, { name: 'bring-guests', args: { source: backed, picks } });
    expect(ownPieces(two)).toHaveLength(1);
    expect(guestsOf(two)).toHaveLength(1);
    expect(two.pieces.find(({ behind }) => behind === 'guest-1')?.guest?.job).toBe('jars');
    const off = runAll(two, { name: 'delete-piece', args: { piece: 'guest-1' } });
    expect(off.pieces).toEqual(lid.pieces);
  });

  test('keep their thing on sheets of its own until they are taken off', () => {
    const set = on(tin, 'thing-2', bring);
    const share: CommandCall = { name: 'share-sheets', args: { thing: 'thing-2', on: 'thing-1' } };
    expect(runCommand(set, share)).toMatchObject({ values: { code: 'guests-on-sheets' } });
    const off = on(set, 'thing-2', { name: 'delete-piece', args: { piece: 'guest-1' } });
    expect(groupsOf(runAll(off, share)).map(({ name }) => name)).toEqual(['Lid + Tag', 'Jar']);
  });

  test('stay as they are when the colours of the set that they lie in change', () => {
    const set = on(tin, 'thing-2', bring);
    expect(guestsOf(asThing(set, 'thing-2'))).toHaveLength(1);
    const before = guestsOf(asThing(set, 'thing-2'));
    const look = runAll(set, {
      name: 'change-look',
      args: { changes: { colors: { ground: '#112233', main: '#445566' } } },
    });
    expect(guestsOf(asThing(look, 'thing-2'))).toEqual(before);
  });
});
