import {
  bookedRuns,
  byPack,
  costPerGood,
  daysLeft,
  goodOf,
  ledgerCsv,
  runRecordSchema,
  spoilage,
  type RunRecord,
} from './index.ts';

const run = (changes: Partial<RunRecord>): RunRecord => ({
  id: 'r',
  job: 'seals',
  at: '2026-04-18T10:00:00.000Z',
  sheets: 2,
  copies: 24,
  jobName: 'Pot-lid seals',
  stock: 'A4 plain',
  material: 'Matt paper',
  sheetPrice: 0.3,
  seconds: 600,
  ...changes,
});

test('a good label costs its share of the sheets, the spoiled ones too', () => {
  const some = run({ spoiled: ['a', 'b', 'c', 'd'] });
  expect(goodOf(some)).toBe(20);
  expect(costPerGood([some])).toBeCloseTo(0.03, 10);
  expect(spoilage([some, run({})])).toBeCloseTo(4 / 48, 10);
  expect(costPerGood([run({ sheetPrice: undefined })])).toBeUndefined();
  expect(costPerGood([run({ copies: 0 })])).toBeUndefined();
});

test('a run keeps a small picture of its first sheet, and nothing that is none', () => {
  const of = (picture: string) => runRecordSchema.safeParse(run({ picture })).success;
  expect(of('data:image/png;base64,iVBORw0KGgo=')).toBe(true);
  expect(of('data:image/svg+xml,<svg/>')).toBe(false);
  expect(of('https://a.example/sheet.png')).toBe(false);
  expect(of(`data:image/png;base64,${'A'.repeat(400_000)}`)).toBe(false);
});

test('a run with guests is booked to each of its jobs, the paper by the labels', () => {
  const copies = ['piece-1#1', 'piece-1#2', 'guest-1#1', 'guest-2#1'];
  const booked = bookedRuns(
    run({
      copies: 4,
      printed: Object.fromEntries(copies.map((copy) => [copy, 'k'])),
      spoiled: ['piece-1#2', 'guest-2#1'],
      guests: [
        { job: 'honey', jobName: 'Honey', pieces: ['guest-1', 'guest-2'] },
        { job: 'tins', jobName: 'Tins', thing: 'thing-2', pieces: ['guest-9'] },
      ],
    }),
  );
  expect(booked).toMatchObject([
    {
      id: 'r',
      job: 'seals',
      sheets: 2,
      copies: 2,
      spoiled: ['piece-1#2'],
      spoiledGuests: ['guest-2#1'],
      paidSheets: 1,
    },
    {
      id: 'r/1',
      job: 'honey',
      jobName: 'Honey',
      guestOf: 'Pot-lid seals',
      sheets: 0,
      copies: 2,
      spoiled: ['guest-2#1'],
      paidSheets: 1,
    },
  ]);
  expect(booked.every((one) => runRecordSchema.safeParse(one).success)).toBe(true);
  expect(booked.map((one) => costPerGood([one]))).toEqual([0.3, 0.3]);
  expect(byPack(booked)).toMatchObject([{ runs: 1, sheets: 2, good: 2, spoiled: 2, cost: 0.3 }]);
  // Without guests it is the run itself.
  expect(bookedRuns(run({}))).toEqual([run({})]);
});

test('a run without a price does not make the others cheaper', () => {
  expect(costPerGood([run({}), run({ sheetPrice: undefined, copies: 1000 })])).toBeCloseTo(0.025);
});

test('runs are summed by stock and material, the most used first', () => {
  const film = run({ stock: 'A4 film', material: 'Satin film', sheets: 1, copies: 6 });
  expect(byPack([film, run({}), run({ spoiled: ['a'] })])).toMatchObject([
    { stock: 'A4 plain', runs: 2, sheets: 4, good: 47, spoiled: 1 },
    { stock: 'A4 film', runs: 1, sheets: 1, good: 6, spoiled: 0 },
  ]);
});

test('two packs of the same sheets at different prices are told apart', () => {
  const dear = run({ sheetPrice: 0.45, spoiled: ['a', 'b', 'c', 'd'] });
  const packs = byPack([
    run({ sheets: 3 }),
    dear,
    run({ sheetPrice: 0.3 }),
    run({ sheetPrice: undefined }),
  ]);
  expect(packs.map(({ sheetPrice, sheets, good }) => [sheetPrice, sheets, good])).toEqual([
    [0.3, 5, 48],
    [0.45, 2, 20],
    [undefined, 2, 24],
  ]);
  expect(packs[1]?.cost).toBeCloseTo(0.045, 10);
});

test('stock lasts as long as it has been used up to now; of one day there is no telling', () => {
  const now = Date.parse('2026-04-28T10:00:00.000Z');
  const runs = [run({}), run({ at: '2026-04-23T10:00:00.000Z', sheets: 3 })];
  // 5 sheets in 10 days: 20 last 40 days.
  expect(daysLeft({ stock: 'A4 plain', onHand: 20 }, runs, now)).toBeCloseTo(40, 6);
  expect(daysLeft({ stock: 'A4 film', onHand: 20 }, runs, now)).toBeUndefined();
  expect(daysLeft({ stock: 'A4 plain', onHand: 20 }, runs, Date.parse(runs[0]?.at ?? ''))).toBe(
    undefined,
  );
});

test('as CSV names with commas, quotes and signs of a formula come out as they are', () => {
  const csv = ledgerCsv([run({ jobName: 'Moss, "soft"', stock: '=1+1', spoiled: ['x'] })]);
  expect(csv.split('\r\n')[1]).toBe(
    `2026-04-18,"Moss, ""soft""",'=1+1,Matt paper,2,24,23,1,600,0.0261`,
  );
});
