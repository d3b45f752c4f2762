import { onceFor } from '../base/index.ts';
import { boxOf, boxWithin, isInside, type Point, type Ring } from '../geometry/index.ts';
import { edgePart, joinedEdges, startedAt, type CutKind } from '../shape/index.ts';
import type { SheetCut } from '../sheet/index.ts';
import { shortTour, type Visit } from './tour.ts';

/** A cut at its turn: what stands within a label comes before its outline. */
export type OrderedCut = SheetCut & {
  readonly order: number;
  /** The cut as the sheet has it. */
  readonly of: SheetCut;
  /** At which point of the sheet's ring each of the rings begins; of an open line, 0. */
  readonly starts: readonly number[];
  /** Whether open lines are followed backwards. */
  readonly backwards: boolean;
};

/** Folds first, then the label layer, then what falls out: inner before outer. */
const KINDS: readonly CutKind[] = ['crease', 'kiss', 'through'];

const SHARP = Math.cos((30 * Math.PI) / 180);
const MOST_STARTS = 24;

/**
 * The cuts of a sheet in order: by kind, and in each kind so that the knife goes a short way without
 * cutting. A ring begins at one of its corners, where the start is not seen; one without corners
 * wherever the knife comes from.
 */
export const orderCuts = onceFor((cuts: readonly SheetCut[]): readonly OrderedCut[] => {
  const ordered: OrderedCut[] = [];
  let at: Point = { x: 0, y: 0 };
  for (const kind of KINDS) {
    const found = orderOfKind(
      cuts.filter((cut) => cut.kind === kind),
      at,
    );
    for (const one of found) ordered.push({ ...one, order: ordered.length });
    at = endOf(ordered[ordered.length - 1]) ?? at;
  }
  return ordered;
});

function orderOfKind(cuts: readonly SheetCut[], from: Point): Omit<OrderedCut, 'order'>[] {
  const choices = cuts.map(({ rings, open }) => (open ? [] : startsOf(rings[0] ?? [])));
  const starts = choices.map(([first = 0]) => first);
  const visits = (): Visit[] => cuts.map((cut, at) => visitOf(cut, starts[at] ?? 0));
  // Starts and order follow each other: a rough way first, then a short one.
  const rough = shortTour(visits(), from, 0);
  nearerStarts(cuts, { choices, starts, order: rough.order }, from);
  const tour = shortTour(visits(), from);
  nearerStarts(cuts, { choices, starts, order: tour.order }, from);
  return tour.order.map((at) => {
    const cut = cuts[at] as SheetCut;
    return turned(cut, starts[at] ?? 0, tour.flipped[at] === true);
  });
}

/** Where a ring may begin: at its corners; where it has none, at points all around. */
function startsOf(ring: Ring): number[] {
  const corners = ring.flatMap((here, at) => {
    const before = ring[(at + ring.length - 1) % ring.length] ?? here;
    const after = ring[(at + 1) % ring.length] ?? here;
    const [ax, ay, bx, by] = [
      here.x - before.x,
      here.y - before.y,
      after.x - here.x,
      after.y - here.y,
    ];
    const cosine = (ax * bx + ay * by) / (Math.hypot(ax, ay) * Math.hypot(bx, by) || 1);
    return cosine < SHARP ? [at] : [];
  });
  const all = corners.length ? corners : ring.map((_, at) => at);
  const step = Math.max(1, Math.ceil(all.length / MOST_STARTS));
  return all.filter((_, at) => at % step === 0);
}

function visitOf({ rings, open }: SheetCut, start: number): Visit {
  const outline = rings[0] ?? [];
  const first = outline[start] ?? { x: 0, y: 0 };
  const last = open ? endOfLine(rings) : first;
  return { ax: first.x, ay: first.y, bx: last.x, by: last.y };
}

function endOfLine(rings: readonly Ring[]): Point {
  const line = rings[rings.length - 1] ?? [];
  return line[line.length - 1] ?? { x: 0, y: 0 };
}

interface Starts {
  readonly choices: readonly (readonly number[])[];
  readonly starts: number[];
  readonly order: readonly number[];
}

/** Begins each ring where it is nearest to what comes before and after it. */
function nearerStarts(
  cuts: readonly SheetCut[],
  { choices, starts, order }: Starts,
  from: Point,
): void {
  const place = (at: number | undefined): Point | undefined =>
    at === undefined ? undefined : cuts[at]?.rings[0]?.[starts[at] ?? 0];
  order.forEach((at, turn) => {
    const before = turn === 0 ? from : place(order[turn - 1]);
    const after = place(order[turn + 1]);
    const away = (start: number): number => {
      const here = cuts[at]?.rings[0]?.[start];
      if (!here) return 0;
      const to = (one: Point | undefined): number =>
        one ? Math.hypot(one.x - here.x, one.y - here.y) : 0;
      return to(before) + to(after);
    };
    const [first = 0, ...others] = choices[at] ?? [];
    starts[at] = others.reduce((best, one) => (away(one) < away(best) ? one : best), first);
  });
}

/** A cut as the knife follows it. */
function turned(cut: SheetCut, start: number, backwards: boolean): Omit<OrderedCut, 'order'> {
  const { rings, open } = cut;
  if (open) {
    const back = [...rings].reverse().map((line) => edgePart([...line].reverse()));
    return {
      ...cut,
      of: cut,
      starts: rings.map(() => 0),
      backwards,
      rings: backwards ? joinedEdges(back) : rings,
    };
  }
  const starts = rings.map((_, at) => (at === 0 ? start : 0));
  return { ...cut, of: cut, starts, backwards: false, rings: startedAt(rings, starts) };
}

/** The rings of a cut in the order of the knife: what lies within others first, the first outline last. */
export function knifeRings({ rings, open }: Pick<SheetCut, 'rings' | 'open'>): readonly Ring[] {
  return open || rings.length < 2 ? rings : innerFirst(rings);
}

const innerFirst = onceFor((rings: readonly Ring[]): readonly Ring[] => {
  const depths = new Map(depthsOf(rings).map((depth, at) => [rings[at], depth]));
  const depth = (ring: Ring): number => depths.get(ring) ?? 0;
  return [...rings.slice(1), ...rings.slice(0, 1)].sort((one, other) => depth(other) - depth(one));
});

/** Within how many of the other rings each of some lies. */
function depthsOf(rings: readonly Ring[]): number[] {
  const boxes = rings.map((ring) => boxOf(ring));
  return rings.map((ring, at) => {
    const [point] = ring;
    const box = boxes[at];
    if (!point || !box) return 0;
    const around = rings.filter((other, index) => {
      const whole = boxes[index];
      return index !== at && whole && boxWithin(box, whole, 0) && isInside(point, [other]);
    });
    return around.length;
  });
}

/** Where the knife is when it has gone along all lines of a cut. */
function endOf(cut: OrderedCut | undefined): Point | undefined {
  if (!cut) return undefined;
  return cut.open ? endOfLine(cut.rings) : cut.rings[0]?.[0];
}
