import { seededRandom } from '../core/base/index.ts';
import { tryPack } from '../core/packing/index.ts';
import { median, type Row } from './row.ts';

const SHEETS = [
  { width: 210, height: 297 },
  { width: 215.9, height: 279.4 },
] as const;
const INSTANCES = 200;
const MOST = 60;

const SOLVED = 40; // of these sheets, as each takes about a second

/** Circles on a sheet: what shifted rows hold, against square ones, and what is added to them. */
async function circles(): Promise<Row[]> {
  const random = seededRandom(3);
  let [shifted, square, longest] = [0, 0, 0];
  let [added, before, slowest] = [0, 0, 0];
  for (let made = 0; made < INSTANCES; made++) {
    const side = 20 + random.next() * 60;
    const [width, height] = [190, random.next() < 0.5 ? 277 : 259.4];
    const gap = random.next() * 4;
    const pieces = [{ id: 'a', shape: { circle: side }, quantity: 'max' }];
    const packed = async (effort: { rounds?: number }): Promise<[number, number]> => {
      const start = performance.now();
      const answer = await tryPack({ sheet: { width, height }, gap, pieces }, effort);
      return [answer.ok ? (answer.value.placed.a ?? 0) : 0, performance.now() - start];
    };
    const [rows, took] = await packed({ rounds: 0 });
    longest = Math.max(longest, took);
    shifted += rows;
    if (made < SOLVED) {
      const [count, time] = await packed({});
      added += count;
      before += rows;
      slowest = Math.max(slowest, time);
    }
    const along = (length: number): number => Math.floor((length + gap) / (side + gap));
    square += along(width) * along(height);
  }
  return [
    {
      what: `circles, ${INSTANCES} sheets: copies in the best rows`,
      measured: shifted,
      unit: '',
      baseline: square,
      wanted: 'the best of square, hexagonal and squeezed (baseline: square)',
    },
    { what: 'circles in rows: longest time', measured: longest, unit: 'ms', wanted: 'at once' },
    {
      what: `circles, ${SOLVED} sheets: copies with those that are added`,
      measured: added,
      unit: '',
      baseline: before,
      wanted: 'more where more fit (baseline: the best rows)',
    },
    { what: 'circles added: longest time', measured: slowest, unit: 'ms', wanted: 'within 1 s' },
  ];
}

/** Equal rectangles on a sheet: how many optima are proved, how long it takes, what rows alone hold. */
export async function benchPack(): Promise<Row[]> {
  const random = seededRandom(1);
  const between = (least: number, most: number): number =>
    Math.round((least + random.next() * (most - least)) * 10) / 10;
  const times: number[] = [];
  let [made, proved, more, rows] = [0, 0, 0, 0];
  while (made < INSTANCES) {
    const sheet = SHEETS[Math.floor(random.next() * 2)] ?? SHEETS[0];
    const margin = between(5, 15);
    const gap = between(0, 4);
    const rect = [between(20, 120), between(20, 120)];
    const request = (turns: string) => ({
      sheet: { ...sheet, margin: [margin, margin, margin, margin] },
      gap,
      pieces: [{ id: 'a', shape: { rect }, quantity: 'max', turns }],
    });
    const start = performance.now();
    const answer = await tryPack(request('quarter'));
    const took = performance.now() - start;
    if (!answer.ok || (answer.value.placed.a ?? 0) > MOST) continue;
    made++;
    times.push(took);
    if (answer.value.proved) proved++;
    const upright = await tryPack(request('none'));
    const plain = upright.ok ? (upright.value.placed.a ?? 0) : 0;
    rows += plain;
    more += answer.value.placed.a ?? 0;
  }
  return [
    {
      what: `equal rectangles, ${INSTANCES} sheets: proved optimum`,
      measured: (100 * proved) / made,
      unit: '%',
      wanted: 'at least 98 %',
    },
    {
      what: 'equal rectangles: median time',
      measured: median(times),
      unit: 'ms',
      wanted: 'under 20 ms',
    },
    {
      what: 'equal rectangles: longest time',
      measured: Math.max(...times),
      unit: 'ms',
      wanted: 'under 200 ms',
    },
    {
      what: 'equal rectangles: copies (baseline: upright rows)',
      measured: more,
      unit: '',
      baseline: rows,
      wanted: 'never fewer',
    },
    ...(await circles()),
  ];
}
