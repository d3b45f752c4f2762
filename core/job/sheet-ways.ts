import type { Task } from '../base/index.ts';
import { pieceSize } from '../piece/index.ts';
import { arrange, copiesOfSize, leadPiece, type Plan } from '../sheet/index.ts';
import { labelCost, PLAIN_SHEETS, type Material, type Stock } from '../stock/index.ts';
import { tryCommand, type CommandCall } from './commands.ts';
import type { Job } from './schema.ts';

/** A way to lay out the copies of a job, and what it comes to. */
export interface SheetWay {
  readonly kind: 'now' | 'arrangement' | 'gap' | 'marks' | 'stock' | 'size';
  /** What it would be: an arrangement, a gap or mark size in mm, a sheet's name, a share of the size. */
  readonly value: string | number;
  /** The step that makes it so; none for what is now. */
  readonly call: CommandCall | undefined;
  readonly perSheet: number;
  readonly sheets: number;
  /** Copies that fit on no sheet. */
  readonly left: number;
  /** For all sheets, in the currency of the pack; undefined where no price is known. */
  readonly cost: number | undefined;
}

/** How many copies of the first piece that is wanted a sheet would take at another size. */
export interface SizeStep {
  /** By how much the piece would be scaled. */
  readonly scale: number;
  readonly copies: number;
}

/** What a sheet could do for a job otherwise. */
export interface ComparedSheets {
  readonly ways: readonly SheetWay[];
  /** From small to large. */
  readonly sizes: readonly SizeStep[];
}

type Other = Pick<SheetWay, 'kind' | 'value'> & { readonly call: CommandCall };

/** A sheet on hand, with its own material. */
export interface OnHand {
  readonly stock: Stock;
  readonly material: Material;
}

const MOST_ON_HAND = 3;
const SMALLER = [0.95, 0.9];
/** The size of the smallest marks that are offered, mm. */
const LEAST_MARK = { dot: 3, cross: 6, corner: 6 } as const;
/** From half the size to one and a half times it. */
const STEPS = { from: 0.5, to: 1.5, count: 51 };

/** Compares ways to lay out the copies of a job side by side, one thing changed in each. */
export async function compareSheets(
  job: Job,
  onHand: readonly OnHand[],
  task: Pick<Task, 'yieldNow'>,
): Promise<ComparedSheets> {
  const ways: SheetWay[] = [{ kind: 'now', value: '', call: undefined, ...comesTo(job) }];
  for (const way of otherWays(job, onHand)) {
    await task.yieldNow();
    const made = tryCommand(job, way.call);
    if (made) ways.push({ ...way, ...comesTo(made) });
  }
  const sizes: SizeStep[] = [];
  const { from, to, count } = STEPS;
  for (let at = 0; at < count && canBeScaled(job); at++) {
    if (at % 8 === 0) await task.yieldNow();
    const scale = from + ((to - from) * at) / (count - 1);
    sizes.push({ scale, copies: copiesAtScale(job, scale) });
  }
  return { ways, sizes };
}

/** Whether the copies of a sheet depend on the size of one piece alone, which may be changed. */
function canBeScaled(job: Job): boolean {
  const { arrangement } = job.plan;
  return arrangement !== 'spots' && arrangement !== 'nest' && !leadPiece(job)?.variant;
}

/** How many copies of the first piece that is wanted a sheet takes when it is scaled. */
export function copiesAtScale(job: Job, scale: number): number {
  const piece = leadPiece(job);
  if (!piece) return 0;
  const { width, height } = pieceSize(piece);
  const { kind } = piece.edge;
  const shape = { round: kind === 'circle', oval: kind === 'ellipse' };
  return copiesOfSize(job, { width: width * scale, height: height * scale, ...shape });
}

const LARGEST = 6;
const LEAST_SIDE = 5; // mm
const COARSE = 1.02;

/**
 * The largest scale at which so many copies of the first piece that is wanted lie on a sheet; undefined
 * when they would be too small to be labels.
 */
export function scaleThatFits(job: Job, count: number): number | undefined {
  const piece = leadPiece(job);
  if (!piece) return undefined;
  const { width, height } = pieceSize(piece);
  const least = LEAST_SIDE / Math.min(width, height);
  let [over, fits] = [LARGEST, LARGEST];
  while (fits >= least && copiesAtScale(job, fits) < count) [over, fits] = [fits, fits / COARSE];
  if (fits < least) return undefined;
  // The longer side in tenths of a millimetre.
  const side = Math.max(width, height) * 10;
  let [low, high] = [Math.floor(fits * side + 1e-6), Math.ceil(over * side)];
  if (copiesAtScale(job, low / side) < count) return fits;
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    if (copiesAtScale(job, middle / side) >= count) low = middle;
    else high = middle;
  }
  return low / side;
}

/** The step that scales the first piece that is wanted, and all others of its size. */
export function scaledAlike(job: Job, scale: number): CommandCall {
  const lead = leadPiece(job);
  const { width, height } = lead ? pieceSize(lead) : { width: 0, height: 0 };
  const alike = job.pieces.filter((piece) => {
    const size = pieceSize(piece);
    return !piece.variant && size.width === width && size.height === height;
  });
  return { name: 'scale-pieces', args: { pieces: alike.map(({ id }) => id), scale } };
}

function comesTo(job: Job): Pick<SheetWay, 'perSheet' | 'sheets' | 'left' | 'cost'> {
  const { sheets, perSheet, left } = arrange(job);
  const each = labelCost(job.material.pack, 1);
  return {
    perSheet,
    sheets: sheets.length,
    left: Object.values(left).reduce((sum, count) => sum + count, 0),
    cost: each === undefined ? undefined : each * sheets.length,
  };
}

function otherWays(job: Job, onHand: readonly OnHand[]): Other[] {
  const { plan, stock } = job;
  if (plan.arrangement === 'spots') return [];
  const change = (changes: Partial<Plan>): CommandCall => ({
    name: 'change-plan',
    args: { changes },
  });
  const bleed = leadPiece(job)?.bleed ?? 0;
  const gaps = [...new Set([0, 2, 2 * bleed])].filter((gap) => Math.abs(gap - plan.gap) > 0.05);
  const ways: Other[] = [];
  const others = (['step', 'best'] as const).filter((one) => one !== plan.arrangement);
  for (const arrangement of others)
    ways.push({ kind: 'arrangement', value: arrangement, call: change({ arrangement }) });
  if (plan.arrangement !== 'nest')
    for (const gap of gaps) ways.push({ kind: 'gap', value: gap, call: change({ gap }) });
  const { marks } = plan;
  const size = LEAST_MARK[marks.style];
  if (marks.on && marks.size > size)
    ways.push({ kind: 'marks', value: size, call: change({ marks: { ...marks, size } }) });
  const named = new Set<string>([stock.name]);
  const offered: { stock: Stock; material?: Material }[] = [
    ...onHand.filter((one) => !one.stock.spots).slice(0, MOST_ON_HAND),
    ...PLAIN_SHEETS.slice(0, 2).map((one) => ({ stock: one })),
  ];
  for (const other of offered) {
    const value = [other.stock.name, other.material?.name].filter(Boolean).join(', ');
    if (named.has(other.stock.name)) continue;
    named.add(other.stock.name);
    ways.push({ kind: 'stock', value, call: { name: 'choose-stock', args: other } });
  }
  if (canBeScaled(job))
    for (const scale of SMALLER)
      ways.push({
        kind: 'size',
        value: scale,
        call: scaledAlike(job, scale),
      });
  return ways;
}
