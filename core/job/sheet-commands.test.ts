import fc from 'fast-check';
import { isProblem } from '../base/index.ts';
import { compiled, runAll } from '../testing/example-job.ts';
import { findLayoutViolations } from '../packing/index.ts';
import { arrange, type CopyId } from '../sheet/index.ts';
import { keepClear, PLAIN_SHEETS, printable, type Stock } from '../stock/index.ts';
import { createJob, runCommand, tryCommand, type CommandCall, type Job } from './index.ts';

const PIECE = 'piece-1';
const first = `${PIECE}#1` as CopyId;
const second = `${PIECE}#2` as CopyId;
const job = (...calls: CommandCall[]): Job =>
  runAll(
    createJob('lid', { id: 'j', today: '2026-04-18' }),
    { name: 'want', args: { piece: PIECE, count: 4 } },
    ...calls,
  );
const places = (of: Job, sheet = 0) =>
  new Map(arrange(of).sheets[sheet]?.placements.map((one) => [one.copy, one]));
const faultsOf = async (of: Job) => {
  const made = (await compiled(of, new Map())).compiled;
  const { stock, plan } = of;
  const room = { area: printable(stock), taken: keepClear(stock, plan.marks), gap: plan.gap };
  return made.sheets.map(({ copies }) =>
    findLayoutViolations(
      copies.flatMap(({ trim }) => trim.slice(0, 1)),
      room,
      0.06,
    ),
  );
};
const NO_FAULTS = { outside: [], onTaken: [], near: [] };

test('a pinned copy stays and the others are laid around it', async () => {
  const moved = job(
    {
      name: 'move-copies',
      args: { places: { [first]: { sheet: 0, x: 100, y: 140, angle: 0 } } },
    },
    { name: 'pin-copies', args: { copies: [first], pinned: true } },
    { name: 'want', args: { piece: PIECE, count: 9 } },
  );
  expect(places(moved).get(first)).toMatchObject({ x: 100, y: 140, byHand: true, pinned: true });
  expect(arrange(moved).sheets.flatMap(({ placements }) => placements)).toHaveLength(9);
  for (const faults of await faultsOf(moved)) expect(faults).toEqual(NO_FAULTS);
  // Moved again it stays pinned; unpinned it only lies elsewhere.
  const again = runAll(moved, {
    name: 'move-copies',
    args: { places: { [first]: { sheet: 0, x: 90, y: 150, angle: 0 } } },
  });
  expect(again.plan.handPlaces[first]?.pinned).toBe(true);
  const free = runAll(again, { name: 'pin-copies', args: { copies: [first], pinned: false } });
  expect(free.plan.handPlaces[first]).toEqual({ sheet: 0, x: 90, y: 150, angle: 0 });
});

test('copies are repeated in steps, are wanted as well, and stay', () => {
  const made = job({
    name: 'repeat-copies',
    args: { copies: [second], across: 2, down: 2, dx: 66, dy: 70 },
  });
  expect(made.plan.wanted[PIECE]).toBe(7);
  const at = places(job()).get(second);
  const found = places(made);
  expect(found.get(`${PIECE}#7`)).toMatchObject({ x: (at?.x ?? 0) + 66, y: (at?.y ?? 0) + 70 });
  expect(found.get(`${PIECE}#5`)).toMatchObject({ x: (at?.x ?? 0) + 66, y: at?.y });
});

test('copies that break a rule go to the nearest places where they break none', async () => {
  const pile = job({
    name: 'nest-sheets',
    args: {
      sheets: [
        [
          { piece: PIECE, x: 60, y: 80, angle: 0 },
          { piece: PIECE, x: 80, y: 80, angle: 0 },
          { piece: PIECE, x: 20, y: 20, angle: 0 },
          { piece: PIECE, x: 140, y: 200, angle: 0 },
        ],
      ],
    },
  });
  const copies = [1, 2, 3, 4].map((number) => `${PIECE}#${number}`);
  const freed = runAll(pile, { name: 'free-copies', args: { sheet: 0, copies } });
  expect(await faultsOf(freed)).toEqual([NO_FAULTS]);
  // What was right stays where it was.
  expect(freed.plan.handPlaces[`${PIECE}#4`]).toBeUndefined();
  const none = runCommand(freed, { name: 'free-copies', args: { sheet: 0, copies } });
  expect(isProblem(none) && none.code).toBe('sheet/no-free-place');
});

test('spares are made beside those that are wanted', () => {
  const plan = { changes: { spares: 30 } };
  const made = arrange(job({ name: 'change-plan', args: plan }));
  expect(made.sheets.flatMap(({ placements }) => placements)).toHaveLength(6);
});

test('a copy is taken away and the others stay where they were nested, moved or pinned', () => {
  const nested = [
    { piece: PIECE, x: 40, y: 60, angle: 0 },
    { piece: PIECE, x: 110, y: 60, angle: 90 },
    { piece: PIECE, x: 40, y: 130, angle: 0 },
  ];
  const made = job(
    {
      name: 'move-copies',
      args: { places: { [second]: { sheet: 0, x: 150, y: 200, angle: 0 } } },
    },
    { name: 'pin-copies', args: { copies: [second], pinned: true } },
    { name: 'nest-sheets', args: { sheets: [nested] } },
  );
  const at = (of: Job) =>
    arrange(of)
      .sheets.flatMap(({ placements }) => placements.map(({ x, y }) => `${x} ${y}`))
      .sort();
  expect(at(made)).toEqual(['110 60', '150 200', '40 130', '40 60']);
  const fewer = runAll(made, {
    name: 'remove-copies',
    args: { copies: [`${PIECE}#3` as CopyId] },
  });
  expect(at(fewer)).toEqual(['150 200', '40 130', '40 60']);
  expect(fewer.plan.wanted[PIECE]).toBe(3);
  const unpinned = runAll(fewer, { name: 'remove-copies', args: { copies: [second] } });
  expect(at(unpinned)).toEqual(['40 130', '40 60']);
  expect(unpinned.plan.handPlaces).toEqual({});
});

test('a sticker sheet holds the copies as kiss cuts in an outline that is cut through', async () => {
  const made = job({ name: 'make-sticker-sheet', args: { sheet: 0 } });
  const sheet = made.pieces.find(({ name }) => name === 'Sticker sheet');
  expect(sheet?.elements).toHaveLength(4);
  expect(made.plan.wanted).toEqual({ [PIECE]: 0, 'sheet-1': 1 });
  const { sheets } = (await compiled(made, new Map())).compiled;
  const kinds = sheets[0]?.cuts.map(({ kind }) => kind) ?? [];
  expect(kinds.filter((kind) => kind === 'kiss')).toHaveLength(4);
  expect(kinds.filter((kind) => kind === 'through')).toHaveLength(1);
  // The same edge alone is cut as the plan says.
  const alone = (await compiled(job(), new Map())).compiled.sheets[0]?.cuts ?? [];
  expect(new Set(alone.map(({ kind }) => kind))).toEqual(new Set(['kiss']));
  // The stickers lie in it as they lay on the sheet.
  const [one, two] = sheet?.elements ?? [];
  const [a, b] = [places(job()).get(first), places(job()).get(second)];
  expect((two?.x ?? 0) - (one?.x ?? 0)).toBeCloseTo((b?.x ?? 0) - (a?.x ?? 0), 9);
});

test('a sheet without copies makes no sticker sheet', () => {
  expect(tryCommand(job(), { name: 'make-sticker-sheet', args: { sheet: 5 } })).toBeUndefined();
});

test('sheets change places, and what a hand has put on them goes along', () => {
  const many = job(
    { name: 'want', args: { piece: PIECE, count: 30 } },
    { name: 'copy-piece', args: { piece: PIECE, name: 'Other' } },
    { name: 'want', args: { piece: 'piece-2', count: 3 } },
  );
  const before = arrange(many).sheets.map(({ placements }) => placements.map(({ copy }) => copy));
  const count = before.length;
  const held = runAll(many, {
    name: 'move-copies',
    args: { places: { 'piece-2#1': { sheet: count - 1, x: 100, y: 250, angle: 5 } } },
  });
  const turned = runAll(held, { name: 'move-sheet', args: { from: count - 1, to: 0 } });
  const after = arrange(turned).sheets.map(({ placements }) => placements.map(({ copy }) => copy));
  expect(after[0]?.slice().sort()).toEqual(before[count - 1]?.slice().sort());
  expect(after.slice(1)).toEqual(before.slice(0, -1));
  expect(turned.plan.handPlaces['piece-2#1']?.sheet).toBe(0);
  // And back again.
  const back = runAll(turned, { name: 'move-sheet', args: { from: 0, to: count - 1 } });
  expect(arrange(back).sheets).toEqual(arrange(held).sheets);
});

test('one sheet of a job lies on another stock, and takes what fits there', async () => {
  const small = PLAIN_SHEETS.find(({ id }) => id === 'a5') as Stock;
  const made = job(
    { name: 'want', args: { piece: PIECE, count: 30 } },
    { name: 'change-sheet-stock', args: { sheet: 1, stock: small } },
  );
  const { sheets, perSheet } = arrange(made);
  expect(sheets[1]?.stock.id).toBe('a5');
  expect(sheets[1]?.placements.length).toBeLessThan(perSheet);
  expect(sheets.flatMap(({ placements }) => placements)).toHaveLength(30);
  const drawings = (await compiled(made, new Map())).compiled.sheets.map(({ drawing }) => drawing);
  expect(drawings[1]).toMatchObject({ width: 148, height: 210 });
  expect(drawings[0]).toMatchObject({ width: 210, height: 297 });
  const usual = runAll(made, { name: 'change-sheet-stock', args: { sheet: 1, stock: undefined } });
  expect(usual.plan.stocks).toBeUndefined();
});

test('whichever copies of a nested sheet are taken away, the others stay where they were', () => {
  const spots = Array.from({ length: 12 }, (_, at) => ({
    piece: PIECE,
    x: 40 + 62 * (at % 3),
    y: 45 + 62 * Math.floor(at / 3),
    angle: 0,
  }));
  const names = spots.map((_, at) => `${PIECE}#${at + 1}` as CopyId);
  const some = fc.subarray(names, { maxLength: 11 });
  fc.assert(
    fc.property(some, fc.subarray(names, { maxLength: 3 }), (away, pinned) => {
      const laid = job({ name: 'want', args: { piece: PIECE, count: 12 } });
      const nested = runAll(laid, { name: 'nest-sheets', args: { sheets: [spots] } });
      const made = pinned.length
        ? runAll(nested, { name: 'pin-copies', args: { copies: pinned, pinned: true } })
        : nested;
      const before = places(made);
      expect(before.size).toBe(12);
      const fewer = away.length
        ? runAll(made, { name: 'remove-copies', args: { copies: away } })
        : made;
      const where = ({ x, y }: { x: number; y: number }): string => `${x} ${y}`;
      const stay = names.flatMap((name) => {
        const place = before.get(name);
        return place && !away.includes(name) ? [where(place)] : [];
      });
      expect([...places(fewer).values()].map(where).sort()).toEqual(stay.sort());
    }),
    { numRuns: 60 },
  );
});

test('so many of every label: counted ones, those of rows, and all of them are printed', () => {
  const list = { columns: ['name'], rows: [{ key: 'r1', fields: ['Mint'] }] };
  const listed = job(
    { name: 'copy-piece', args: { piece: PIECE, name: 'Other' } },
    { name: 'set-list', args: { list } },
    { name: 'want-rows', args: { piece: PIECE, each: 2 } },
    { name: 'print-only', args: { copies: [`${PIECE}#r1`] } },
  );
  const again = runAll(listed, { name: 'want-labels', args: { count: 9 } });
  expect(again.plan.copiesPerRow).toEqual({ [PIECE]: 9 });
  expect(again.plan.wanted['piece-2']).toBe(9);
  expect(again.plan.wanted[PIECE]).toBe(listed.plan.wanted[PIECE]);
  expect(again.plan.printOnly).toBeUndefined();
  for (const count of [0, 501, NaN])
    expect(runCommand(listed, { name: 'want-labels', args: { count } })).toMatchObject({
      values: { code: 'copies-of-row' },
    });
});
