import { boxesMeet, boxWithin, corners, distanceBetween, grown } from '../../geometry/index.ts';
import type { CompiledPiece } from '../../piece/index.ts';
import { printable } from '../../stock/index.ts';
import {
  copyParts,
  findGap,
  meetsZone,
  type CompiledSheet,
  type SheetCopy,
} from '../../sheet/index.ts';
import { findBleedInk } from '../bleed-ink.ts';
import type { Finding, FindingKind, Fix, ProofContext } from '../finding.ts';
import type { FindingName } from '../finding-values.ts';
import { rounded } from '../row-names.ts';

/** Copies of one sheet that something is the matter with, and what is said of them. */
interface Told {
  readonly copies: readonly SheetCopy[];
  readonly sheet: CompiledSheet;
  readonly values: { copies: number; piece: string; sheet?: number };
}

type Tell = (values: Told) => FindingName & Pick<Finding, 'severity'>;

type FixOf = (copies: readonly SheetCopy[], sheet: CompiledSheet, at: number) => Fix | undefined;

/** A finding about copies of one sheet, told once for all of them, that putting copies elsewhere mends. */
const perSheet = (
  context: ProofContext,
  found: (sheet: CompiledSheet) => readonly SheetCopy[],
  tell: Tell,
  otherwise?: FixOf,
): Finding[] =>
  toldPerSheet(context, found, {
    tell,
    fixOf: (copies, sheet, at) =>
      putBack(copies) ?? otherwise?.(copies, sheet, at) ?? freedFrom(copies, at),
  });

function toldPerSheet(
  { compiled }: ProofContext,
  found: (sheet: CompiledSheet) => readonly SheetCopy[],
  { tell, fixOf }: { readonly tell: Tell; readonly fixOf?: FixOf },
): Finding[] {
  return compiled.sheets.flatMap((sheet, index): Finding[] => {
    const copies = found(sheet);
    const [first] = copies;
    if (!first) return [];
    const fix = fixOf?.(copies, sheet, index);
    const values = {
      copies: copies.length,
      piece: first.piece.piece.name,
      ...(compiled.sheets.length > 1 ? { sheet: index + 1 } : {}),
    };
    const where = {
      sheet: index,
      copy: first.placement.copy,
      piece: first.placement.piece,
      box: first.box,
    };
    return [{ ...tell({ copies, sheet, values }), where, ...(fix ? { fix } : {}) }];
  });
}

function putBack(copies: readonly SheetCopy[]): Fix | undefined {
  const moved = copies
    .filter(({ placement }) => placement.byHand)
    .map(({ placement }) => placement.copy);
  if (moved.length === 0) return undefined;
  return {
    code: 'put-back',
    values: { count: moved.length },
    call: { name: 'return-copies', args: { copies: moved } },
  };
}

/** Copies that nobody moved go to where they break no rule; more than a few are better laid anew. */
const MOST_FREED = 12;

function freedFrom(copies: readonly SheetCopy[], sheet: number): Fix | undefined {
  if (copies.length > MOST_FREED) return undefined;
  return {
    code: 'free-places',
    values: { count: copies.length },
    call: {
      name: 'free-copies',
      args: { sheet, copies: copies.map(({ placement }) => placement.copy) },
    },
  };
}

export const outsidePrintable: FindingKind = {
  code: 'outside-printable',
  check(context) {
    return perSheet(
      context,
      ({ copies, stock }) => copies.filter(({ box }) => !boxWithin(box, printable(stock), 0.01)),
      ({ copies, sheet, values }) => {
        const { width, height } = sheet.stock;
        const sheetBox = { left: 0, top: 0, right: width, bottom: height };
        const off = copies.some(({ box }) => !boxWithin(box, sheetBox, 0.01));
        return {
          code: 'outside-printable',
          severity: off ? 'blocker' : 'warning',
          values: { ...values, beyond: off ? 'sheet' : 'margin' },
        };
      },
    );
  },
};

export const inKeepClear: FindingKind = {
  code: 'in-keep-clear',
  check: (context) =>
    perSheet(
      context,
      (sheet) => sheet.copies.filter((copy) => sheet.zones.some((zone) => meetsZone(copy, zone))),
      ({ values }) => ({ code: 'in-keep-clear', severity: 'blocker', values }),
    ),
};

/** Cut lines nearer than that are one line to the eye and two to the knife, mm. */
const DOUBLED = 0.3;

/** Edges that share a line are apart by no more than that, mm. */
const ONE_LINE = 0.02;

/** Two copies of a sheet that are near each other, with the distance between their edges. */
interface NearPair {
  readonly pair: readonly [SheetCopy, SheetCopy];
  readonly gap: number;
  /** Whether one line is cut for both where they touch. */
  readonly shared: boolean;
}

const known = new WeakMap<CompiledSheet, readonly NearPair[]>();

/** The pairs that any finding asks for, found once for a sheet. */
function nearPairs(sheet: CompiledSheet, { compiled }: ProofContext): readonly NearPair[] {
  const within = Math.max(DOUBLED, compiled.job.plan.gap);
  const lines = sheet.cuts.filter(({ copies }) => copies.length > 1);
  const shares = (one: SheetCopy, other: SheetCopy): boolean =>
    lines.some(
      ({ copies }) => copies.includes(one.placement.copy) && copies.includes(other.placement.copy),
    );
  const pairs =
    known.get(sheet) ??
    sheet.copies.flatMap((one, at) =>
      sheet.copies.slice(at + 1).flatMap((other): NearPair[] => {
        const gap = findGap(one, other, within);
        return gap === undefined ? [] : [{ pair: [one, other], gap, shared: shares(one, other) }];
      }),
    );
  known.set(sheet, pairs);
  return pairs;
}

/** The copies that have another one at a distance from one to less than another, mm. */
const copiesAt =
  (context: ProofContext, from: number, to: number) =>
  (sheet: CompiledSheet): readonly SheetCopy[] => {
    const near = nearPairs(sheet, context).filter(
      ({ gap, shared }) => gap >= from && gap < to && !(shared && Math.abs(gap) < ONE_LINE),
    );
    const found = new Set(near.flatMap(({ pair }) => pair));
    return sheet.copies.filter((copy) => found.has(copy));
  };

export const overlap: FindingKind = {
  code: 'overlap',
  check: (context) =>
    perSheet(context, copiesAt(context, -Infinity, -0.01), ({ values }) => ({
      code: 'overlap',
      severity: 'blocker',
      values,
    })),
};

export const doubledCuts: FindingKind = {
  code: 'doubled-cuts',
  check: (context) =>
    perSheet(
      context,
      copiesAt(context, -0.01, DOUBLED),
      ({ values }) => ({ code: 'doubled-cuts', severity: 'warning', values }),
      () => widened(context, DOUBLED, 2),
    ),
};

export const gapTooSmall: FindingKind = {
  code: 'gap-too-small',
  check(context) {
    const { plan } = context.compiled.job;
    if (plan.arrangement === 'spots') return [];
    return perSheet(
      context,
      copiesAt(context, DOUBLED, plan.gap - 0.05),
      ({ values }) => ({
        code: 'gap-too-small',
        severity: 'note',
        values: { ...values, gap: plan.gap },
      }),
      (copies, sheet) =>
        copies.length > MOST_FREED ? narrowed(nearPairs(sheet, context)) : undefined,
    );
  },
};

const gapOf = (gap: number): Fix => ({
  code: 'gap-of',
  values: { gap },
  call: { name: 'change-plan', args: { changes: { gap } } },
});

/** The gap that there really is, where many copies lie nearer than was asked for since. */
function narrowed(pairs: readonly NearPair[]): Fix | undefined {
  const least = Math.min(...pairs.filter(({ gap }) => gap >= DOUBLED).map(({ gap }) => gap));
  const gap = Math.floor(least * 10 + 0.5) / 10;
  return gapOf(gap);
}

/** A wider gap, unless there is none to be set or it is as wide already. */
function widened({ compiled }: ProofContext, least: number, gap: number): Fix | undefined {
  const { plan } = compiled.job;
  if (plan.arrangement === 'spots' || plan.gap >= least) return undefined;
  return gapOf(gap);
}

/** The colour in which a copy prints beyond its edge, where that is one. */
const inkOf = ({ piece }: SheetCopy, { compiled: { job } }: ProofContext): string | undefined =>
  findBleedInk(piece, { material: job.material.color, art: job.art });

/** The least bleed of copies of a piece whose neighbours print another colour there, and its sheet. */
function leastBleed(piece: CompiledPiece, context: ProofContext): { least: number; sheet: number } {
  let found = { least: piece.piece.bleed, sheet: -1 };
  for (const [sheet, { copies }] of context.compiled.sheets.entries())
    for (const copy of copies) {
      if (copy.piece !== piece || copy.bleed >= found.least - 1e-6) continue;
      const ink = inkOf(copy, context);
      const shows = (other: SheetCopy): boolean =>
        other !== copy &&
        (ink === undefined || ink !== inkOf(other, context)) &&
        findGap(copy, other, copy.piece.piece.bleed + other.piece.piece.bleed) !== undefined;
      if (copies.some(shows)) found = { least: copy.bleed, sheet };
    }
  return found;
}

export const bleedsMeet: FindingKind = {
  code: 'bleeds-meet',
  check: (context) =>
    [...context.compiled.pieces.values()].flatMap((piece): Finding[] => {
      const { least, sheet } = leastBleed(piece, context);
      if (sheet < 0) return [];
      const gap = 2 * piece.piece.bleed;
      const fix = widened(context, gap, gap);
      return [
        {
          code: 'bleeds-meet',
          severity: 'note',
          where: { sheet, piece: piece.piece.id },
          values: {
            piece: piece.piece.name,
            least: rounded(least, 1),
            bleed: piece.piece.bleed,
          },
          ...(fix ? { fix } : {}),
        },
      ];
    }),
};

/** How much of a copy's bleed the zones of marks take away, mm. */
function bleedLost(copy: SheetCopy, { zones }: CompiledSheet): number {
  const near = zones.filter((zone) => boxesMeet(grown(copy.box, copy.bleed), zone));
  const away = near.map((zone) => distanceBetween(copy.trim, [corners(zone)], copy.bleed));
  return copy.bleed - Math.max(0, Math.min(copy.bleed, ...away));
}

/** Less is not seen, mm. */
const LOST = 0.05;

/** Free places are judged by edges, so a copy would be left where it is: nothing mends it of itself. */
export const bleedCutOff: FindingKind = {
  code: 'bleed-cut-off',
  check: (context) => {
    const paper = context.compiled.job.material.color.toLowerCase();
    const lacking = (sheet: CompiledSheet): SheetCopy[] =>
      sheet.copies.filter(
        (copy) => bleedLost(copy, sheet) > LOST && inkOf(copy, context) !== paper,
      );
    const tell: Tell = ({ copies, sheet, values }) => {
      const lost = copies.map((copy) => bleedLost(copy, sheet));
      const worst = lost.indexOf(Math.max(...lost));
      const { placement, piece } = copies[worst] as SheetCopy;
      return {
        code: 'bleed-cut-off',
        severity: 'note',
        values: {
          ...values,
          piece: piece.piece.name,
          number: copyParts(placement.copy).which,
          by: rounded(lost[worst] ?? 0, 1),
        },
      };
    };
    return toldPerSheet(context, lacking, { tell });
  },
};
