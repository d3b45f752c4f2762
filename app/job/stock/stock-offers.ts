import { computed, type Ref } from 'vue';
import { isProblem } from '../../../core/base/index.ts';
import { runCommand, type Job } from '../../../core/job/index.ts';
import { shapeSize } from '../../../core/shape/index.ts';
import { arrange } from '../../../core/sheet/index.ts';
import {
  DIE_CUTS,
  differenceWords,
  PLAIN_SHEETS,
  readStockQuery,
  searchStock,
  SHIPPED_STOCK,
  type FoundStock,
  type Stock,
} from '../../../core/stock/index.ts';
import type { Unit } from '../../../core/units/index.ts';
import { texts } from '../../texts/index.ts';

/** A sheet as it is offered. */
export interface StockOffer {
  readonly stock: Stock;
  readonly perSheet: number;
  /** How its labels differ from what is wanted; undefined for a plain sheet. */
  readonly difference: string | undefined;
}

/** Sheets under one heading. */
export interface OfferGroup {
  readonly title: string;
  readonly offers: readonly StockOffer[];
}

const SHOWN = 24;
const NEAREST = 8;

/** How many labels of a job lie on a sheet. */
function perSheetOf(job: Job, stock: Stock): number {
  if (stock.spots) return stock.spots.columns * stock.spots.rows;
  const tried = runCommand(job, { name: 'choose-stock', args: { stock } });
  return isProblem(tried) ? 0 : arrange(tried.job).perSheet;
}

/**
 * The sheets for a job: what was typed for, or else plain sheets by how much they hold and the die-cut
 * layouts that come nearest to the label.
 */
export function stockOffers(
  job: Job,
  { typed, unit, yours }: { typed: string; unit: Unit; yours: readonly Stock[] },
): OfferGroup[] {
  const offer = (found: FoundStock): StockOffer => ({
    stock: found.stock,
    perSheet: perSheetOf(job, found.stock),
    difference: found.stock.spots ? differenceWords(found, unit) : undefined,
  });
  const bare = (stock: Stock): StockOffer => offer({ stock, off: [], countOff: 0 });
  const own = job.thing.kind === 'label-sheet';
  const words = texts.stock;
  if (typed.trim() !== '') {
    const found = searchStock(
      [...yours, ...(own ? DIE_CUTS : SHIPPED_STOCK)],
      readStockQuery(typed, unit),
      SHOWN,
    );
    return [{ title: words.found, offers: found.map(offer) }];
  }
  const mine = yours.length ? [{ title: words.yours, offers: yours.map(bare) }] : [];
  if (own) {
    const chosen = DIE_CUTS.filter(({ id }) => id === job.stock.id);
    const others = DIE_CUTS.filter(({ id }) => id !== job.stock.id).slice(0, SHOWN - 1);
    const plain = [...chosen, ...others].map((stock) => ({
      ...bare(stock),
      difference: undefined,
    }));
    return [...mine, { title: words.dieCuts, offers: plain }];
  }
  const edge = job.pieces[0]?.edge;
  const size = edge ? shapeSize(edge) : { width: 0, height: 0 };
  const shapes = { circle: 'round', ring: 'round', ellipse: 'oval' } as const;
  const shape = edge && edge.kind in shapes ? shapes[edge.kind as keyof typeof shapes] : 'square';
  const sides = shape === 'round' ? [size.width] : [size.width, size.height];
  const nearest = searchStock(DIE_CUTS, { sides, count: undefined, shape, words: [] }, NEAREST);
  const plain = PLAIN_SHEETS.map(bare);
  return [
    ...mine,
    {
      title: words.plain,
      offers: [...plain].sort((a, b) => Number(b.perSheet > 0) - Number(a.perSheet > 0)),
    },
    { title: words.nearest, offers: nearest.map(offer) },
  ];
}

/** The offers for the open job, anew when it or what is typed changes. */
export function useStockOffers(of: {
  job: Ref<Job | undefined>;
  typed: Ref<string>;
  unit: Ref<Unit>;
  yours: Ref<readonly Stock[]>;
}) {
  return computed(() =>
    of.job.value
      ? stockOffers(of.job.value, {
          typed: of.typed.value,
          unit: of.unit.value,
          yours: of.yours.value,
        })
      : [],
  );
}
