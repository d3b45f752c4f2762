import { createJob, type Job } from '../../core/job/index.ts';
import { arrange } from '../../core/sheet/index.ts';
import type { Finding, FindingCode } from '../../core/proof/index.ts';
import { runAll } from '../../core/testing/example-job.ts';
import { usualThing, type MeasuredThing } from '../../core/things/index.ts';
import { ticketLines } from './ticket-lines.ts';

const job = createJob('lid', { id: 'j', today: '2026-04-18' });
const lines = (
  value: Job,
  findings: readonly Finding[] = [],
  more: { looking?: boolean; lastRun?: string; openRun?: string; unit?: 'mm' | 'in' } = {},
) =>
  Object.fromEntries(
    ticketLines({
      job: value,
      onSheets: value,
      layout: arrange(value),
      findings,
      looking: more.looking ?? false,
      unit: more.unit ?? 'mm',
      lastRun: more.lastRun,
      openRun: more.openRun,
    }).map((line) => [line.id, line]),
  );
const finding = (code: FindingCode, severity: Finding['severity']): Finding =>
  ({ code, severity, where: {}, values: {} }) as Finding;

test('each line says its computed fact in the user’s unit', () => {
  expect(lines(job).thing?.fact).toBe('Lid, 67 mm across the flat');
  expect(lines(job).size?.fact).toBe('Round, Ø 58 mm');
  expect(lines(job, [], { unit: 'in' }).size?.fact).toBe('Round, Ø 2.283 in');
  expect(lines(job).copies?.fact).toBe('12 wanted · 1 sheet');
  const more = runAll(job, { name: 'add-size', args: { piece: 'piece-1' } });
  expect(lines(more).size?.fact).toBe('Round, Ø 58 mm · 1 more');
});

test.each<[MeasuredThing, string, string]>([
  [usualThing('wrap'), 'Wall, Ø 72 × 80 mm', '236.2 mm × 76 mm'],
  [usualThing('taper'), 'Wall, 90 to 65 × 80 mm', 'Bent, 284 mm × 107.6 mm'],
  [usualThing('band'), 'Box, 90 × 30 × 60 mm', '252 mm × 30 mm'],
  [usualThing('tag'), 'Tag, 50 × 90 mm', '50 mm × 90 mm'],
  [usualThing('disc'), 'Disc, Ø 116 mm', 'Ring, Ø 116 mm'],
  [usualThing('envelope'), 'Envelope label, 99 × 38 mm', '99 mm × 38 mm'],
  [usualThing('picture'), 'Picture, 60 mm', '60 mm × 60 mm'],
])('a thing is told by what was measured of it', (thing, fact, size) => {
  const told = lines(runAll(job, { name: 'measure-thing', args: { thing } }));
  expect([told.thing?.fact, told.size?.fact]).toEqual([fact, size]);
});

test('an empty artwork is open, a finding shows at the line it belongs to', () => {
  expect(lines(job).artwork?.state).toBe('open');
  const found = [finding('overlap', 'blocker'), finding('low-contrast', 'warning')];
  const drawn: Job = {
    ...job,
    pieces: job.pieces.map((piece) => ({
      ...piece,
      elements: [
        {
          id: 'plate-1',
          kind: 'plate',
          x: 0,
          y: 0,
          angle: 0,
          locked: false,
          shape: { kind: 'circle', diameter: 5 },
          fill: null,
          line: null,
        },
      ],
    })),
  };
  const told = lines(drawn, found);
  expect([told.artwork?.state, told.copies?.state, told.proof?.state]).toEqual([
    'look',
    'stop',
    'stop',
  ]);
  expect(told.proof?.fact).toBe('1 blocker · 1 warning');
});

test('a note alone leaves the proof done, and the first look is said', () => {
  expect(lines(job, [finding('bleeds-meet', 'note')]).proof).toMatchObject({
    state: 'done',
    fact: '1 note',
  });
  expect(lines(job, [], { looking: true }).proof).toMatchObject({
    state: 'open',
    fact: 'Looking …',
  });
});

test('varieties of the same number are told as such', () => {
  const two: Job = {
    ...job,
    pieces: [...job.pieces, { ...(job.pieces[0] as Job['pieces'][0]), id: 'b' }],
    plan: { ...job.plan, wanted: { 'piece-1': 6, b: 6 } },
  };
  expect(lines(two).copies?.fact).toBe('12 wanted · 6 of each');
});

test('a run under way is told before the last one; what the edge and the cutter lack shows at their lines', () => {
  const told = lines(
    job,
    [finding('tight-curve', 'warning'), finding('larger-than-machine', 'blocker')],
    { lastRun: '18 April · 12 copies', openRun: 'Under way, 2 steps done' },
  );
  expect(told.run).toMatchObject({ fact: 'Under way, 2 steps done', state: 'open' });
  expect([told.edge?.state, told.stock?.state, told.artwork?.state]).toEqual([
    'look',
    'stop',
    'open',
  ]);
});
