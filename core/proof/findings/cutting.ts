import { flatten, type Point, type Ring } from '../../geometry/index.ts';
import type { CompiledJob } from '../../job/index.ts';
import type { Piece } from '../../piece/index.ts';
import { buildEdge, plainBuild, shapePath } from '../../shape/index.ts';
import type { Cutter } from '../../stock/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import type { FindingCode } from '../finding-values.ts';

/** A knife that turns by more than this, in degrees, … */
const MOST_TURN = 150;
/** … within so much of its way, mm, drags the material along instead of cutting it. */
const WITHIN = 1;

const byKnife = ({ job }: CompiledJob): boolean =>
  job.material.tool === 'knife' && !job.stock.spots;

export const tightCurve: FindingKind = {
  code: 'tight-curve',
  check: ({ compiled }) =>
    byKnife(compiled)
      ? [...compiled.pieces.values()].flatMap(({ piece, trim, kissCuts }): Finding[] => {
          const places = [...flatten(trim), ...kissCuts].flatMap(tightPlaces);
          const [first] = places;
          if (!first) return [];
          const { x, y } = first;
          return [
            {
              code: 'tight-curve',
              severity: 'warning',
              where: {
                piece: piece.id,
                box: { left: x - 2, top: y - 2, right: x + 2, bottom: y + 2 },
              },
              values: {
                piece: piece.name,
                places: places.length,
                turn: MOST_TURN,
                within: WITHIN,
              },
              ...smoothing(piece),
            },
          ];
        })
      : [],
};

/** So much smoothed an edge has no place in which a knife turns too tightly, mm. */
const SMOOTH = 0.5;

/** An edge of its own is smoothed as little as it takes, where that leaves no such place. */
function smoothing(piece: Piece): Pick<Finding, 'fix'> {
  const before = piece.build ?? plainBuild(piece.edge, piece.name);
  if (piece.variant || piece.behind || before.smooth >= SMOOTH) return {};
  const build = { ...before, smooth: SMOOTH };
  const built = buildEdge(build);
  if (!built.ok || flatten(shapePath(built.value.shape)).some((ring) => tightPlaces(ring).length))
    return {};
  const args = { piece: piece.id, build };
  return {
    fix: { code: 'smooth-edge', values: { by: SMOOTH }, call: { name: 'build-edge', args } },
  };
}

/**
 * Where a ring turns by more than a knife follows, once for each such place: the turns of all its
 * corners, added up over a window that is moved along the ring.
 */
function tightPlaces(ring: Ring): Point[] {
  const count = ring.length;
  const at = (index: number): Point => ring[((index % count) + count) % count] as Point;
  const turn = (index: number): number => {
    const [before, here, after] = [at(index - 1), at(index), at(index + 1)];
    const into = Math.atan2(here.y - before.y, here.x - before.x);
    const out = Math.atan2(after.y - here.y, after.x - here.x);
    const by = Math.abs(out - into) * (180 / Math.PI);
    return by > 180 ? 360 - by : by;
  };
  const places: Point[] = [];
  let [first, way, turned] = [0, 0, 0];
  let free = 0; // corners before it belong to a place that was told
  // The first lap only fills the window, so that what lies over the ring's start counts once.
  for (let last = 0; last < 2 * count; last++) {
    if (last > first) way += distance(at(last - 1), at(last));
    turned += turn(last);
    while (first < last && way > WITHIN) {
      turned -= turn(first);
      way -= distance(at(first), at(first + 1));
      first++;
    }
    if (last < count || turned <= MOST_TURN || first < free) continue;
    places.push(at(last));
    free = last + 1;
  }
  return places;
}

const distance = (one: Point, other: Point): number => Math.hypot(one.x - other.x, one.y - other.y);

/** A kind of finding about the cutter that is chosen; it has nothing to say where none is. */
const ofMachine = (
  code: FindingCode,
  check: (compiled: CompiledJob, machine: Cutter) => Finding[],
): FindingKind => ({
  code,
  check: ({ compiled, machine }) => (machine && byKnife(compiled) ? check(compiled, machine) : []),
});

export const largerThanMachine = ofMachine('larger-than-machine', ({ sheets }, machine) => {
  const at = sheets.findIndex(({ drawing, cuts }) => {
    const [across, along] = [drawing.width, drawing.height].sort((one, other) => one - other);
    return cuts.length > 0 && ((across ?? 0) > machine.width || (along ?? 0) > machine.length);
  });
  const drawing = sheets[at]?.drawing;
  if (!drawing) return [];
  return [
    {
      code: 'larger-than-machine',
      severity: 'blocker',
      where: { sheet: at },
      values: {
        sheet: at + 1,
        width: drawing.width,
        height: drawing.height,
        machine: machine.name,
        mostWidth: machine.width,
        mostLength: machine.length,
      },
    },
  ];
});

export const markTooSmall = ofMachine('mark-too-small', ({ job }, machine) => {
  const { marks } = job.plan;
  const least = machine.smallestMark;
  if (!marks.on || least === null || marks.size >= least - 1e-6) return [];
  return [
    {
      code: 'mark-too-small',
      severity: 'warning',
      where: { sheet: 0 },
      values: { size: marks.size, machine: machine.name, least },
      fix: {
        code: 'marks-of',
        values: { size: least },
        call: { name: 'change-plan', args: { changes: { marks: { ...marks, size: least } } } },
      },
    },
  ];
});

export const forceOutOfRange = ofMachine('force-out-of-range', ({ job, sheets }, machine) => {
  const { leastForce, mostForce, name } = machine;
  const kinds = new Set(sheets.flatMap(({ cuts }) => cuts.map(({ kind }) => kind)));
  return [...kinds].flatMap((kind) => {
    const force = job.material.cut[kind]?.force;
    if (!force || (force >= leastForce && force <= mostForce)) return [];
    return [
      {
        code: 'force-out-of-range' as const,
        severity: 'warning' as const,
        where: {},
        values: {
          cut: kind,
          material: job.material.name,
          force,
          machine: name,
          least: leastForce,
          most: mostForce,
        },
      },
    ];
  });
});
