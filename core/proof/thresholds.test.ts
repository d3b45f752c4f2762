import type { Job } from '../job/index.ts';
import { keepClear, USUAL_CUTTER, type Cutter } from '../stock/index.ts';
import { compiled, runAll } from '../testing/example-job.ts';
import { edge, lined, listed, move, PIECE, plain, scissors, words } from '../testing/proof-jobs.ts';
import { quickFindings, type FindingCode } from './index.ts';

/** Each limit from both sides: what is just within it is not told, what is just beyond it is. */

const codesOf = async (job: Job, machine?: Partial<Cutter>): Promise<string[]> => {
  const cutter = machine && { ...USUAL_CUTTER, id: 'own', name: 'Own', ...machine };
  const made = (await compiled(job, new Map())).compiled;
  return quickFindings(made, { machine: cutter }).map(({ code }) => code);
};

/** The round label of 58 mm laid twice, so far apart, mm. */
const apart = (gap: number): Job =>
  plain(
    { name: 'want', args: { piece: PIECE, count: 2 } },
    {
      name: 'nest-sheets',
      args: { sheets: [[60, 118 + gap].map((x) => ({ piece: PIECE, x, y: 150, angle: 0 }))] },
    },
  );

/** The label alone, with its left side so far from that of the sheet, mm. */
const fromLeft = (distance: number): Job =>
  plain(
    { name: 'want', args: { piece: PIECE, count: 1 } },
    {
      name: 'nest-sheets',
      args: { sheets: [[{ piece: PIECE, x: 29 + distance, y: 150, angle: 0 }]] },
    },
  );

/** The first copy so far from the zone of the first mark, mm. */
function fromMark(distance: number): Job {
  const job = plain();
  const [zone] = keepClear(job.stock, job.plan.marks);
  const aside = (29 + distance) * Math.SQRT1_2;
  return runAll(job, move((zone?.right ?? 0) + aside, (zone?.bottom ?? 0) + aside));
}

/** A label with a point of an angle, degrees, at its top. */
function pointed(angle: number): Job {
  const half = 40 * Math.tan((angle * Math.PI) / 360);
  const nodes = [
    { x: 0, y: -20 },
    { x: half, y: 20 },
    { x: -half, y: 20 },
  ];
  const shape = { kind: 'outline' as const, rings: [nodes] };
  return plain({ name: 'change-piece', args: { piece: PIECE, changes: { edge: shape } } });
}

const rows = (count: number): string =>
  ['name\tmany', ...Array.from({ length: 5 }, (_, at) => `Bed ${at}\t1000`), `Last\t${count}`].join(
    '\n',
  );
const counted = (last: number): Job =>
  listed(rows(last), { name: 'bind-quantity', args: { column: 'many' } });

const plan = (changes: { gap: number }): Parameters<typeof runAll>[1] => ({
  name: 'change-plan',
  args: { changes },
});

interface Limit {
  readonly code: FindingCode;
  readonly within: Job;
  readonly beyond: Job;
  readonly machine?: Partial<Cutter>;
}

const LIMITS: readonly Limit[] = [
  // 0.25 pt is 0.0882 mm.
  { code: 'hairline', within: plain(lined(0.0885)), beyond: plain(lined(0.088)) },
  {
    code: 'words-too-small',
    within: plain(words({ size: 6 })),
    beyond: plain(words({ size: 5.9 })),
  },
  {
    // A disc of 20 mm with a hole of 4 mm.
    code: 'thin-rim',
    within: plain(edge([{ x: 0 }], { x: 0, y: -6, width: 4, height: 4, angle: 0 })),
    beyond: plain(edge([{ x: 0 }], { x: 0, y: -6.1, width: 4, height: 4, angle: 0 })),
  },
  {
    // Discs of 20 mm: they touch at 20 mm.
    code: 'loose-parts',
    within: plain(edge([{ x: 0 }, { x: 19 }])),
    beyond: plain(edge([{ x: 0 }, { x: 21 }])),
  },
  {
    code: 'bleed-missing',
    within: plain({ name: 'set-bleed', args: { pieces: [PIECE], bleed: 0.5 } }),
    beyond: plain({ name: 'set-bleed', args: { pieces: [PIECE], bleed: 0.4 } }),
  },
  { code: 'overlap', within: apart(0), beyond: apart(-0.05) },
  { code: 'doubled-cuts', within: apart(0.35), beyond: apart(0.25) },
  // The plan asks for 4 mm.
  { code: 'gap-too-small', within: apart(4), beyond: apart(3.9) },
  // The sheet leaves 5 mm unprinted.
  { code: 'outside-printable', within: fromLeft(5), beyond: fromLeft(4.9) },
  { code: 'in-keep-clear', within: fromMark(0.05), beyond: fromMark(-0.05) },
  // A point of 30° turns the knife by 150°.
  { code: 'tight-curve', within: pointed(31), beyond: pointed(29) },
  {
    code: 'scissors-gap',
    within: plain(scissors, plan({ gap: 6 })),
    beyond: plain(scissors, plan({ gap: 5.9 })),
  },
  { code: 'too-many-copies', within: counted(0), beyond: counted(1) },
];

test.each(LIMITS.map((limit) => [limit.code, limit] as const))(
  '%s: just within it nothing is told, just beyond it it is',
  async (code, { within, beyond }) => {
    expect(await codesOf(within)).not.toContain(code);
    expect(await codesOf(beyond)).toContain(code);
  },
);

test.each<[FindingCode, Partial<Cutter>, Partial<Cutter>]>([
  // A4 is 210 mm wide and 297 mm long.
  ['larger-than-machine', { width: 210 }, { width: 209 }],
  ['larger-than-machine', { length: 297 }, { length: 296 }],
  ['mark-too-small', { smallestMark: 5 }, { smallestMark: 5.1 }],
  // Matt paper is kiss-cut with 80 g.
  ['force-out-of-range', { leastForce: 80 }, { leastForce: 81 }],
  ['force-out-of-range', { mostForce: 160 }, { mostForce: 79 }],
])('%s of the cutter: %j will do, %j will not', async (code, enough, less) => {
  expect(await codesOf(plain(), enough)).not.toContain(code);
  expect(await codesOf(plain(), less)).toContain(code);
});

test('a copy over the edge of the sheet stops a run, one in the margin does not', async () => {
  const severity = async (distance: number): Promise<unknown> =>
    quickFindings((await compiled(fromLeft(distance), new Map())).compiled)
      .filter(({ code }) => code === 'outside-printable')
      .map((finding) => finding.severity);
  expect(await severity(0.02)).toEqual(['warning']);
  expect(await severity(-0.05)).toEqual(['blocker']);
});
