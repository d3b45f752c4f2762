import { isProblem } from '../../../core/base/index.ts';
import { runCommand, type Job } from '../../../core/job/index.ts';
import { shapeSize } from '../../../core/shape/index.ts';
import { copiesPerSheet } from '../../../core/sheet/index.ts';
import {
  DIE_CUTS,
  differenceWords,
  DISC_CARRIERS,
  formOf,
  labelCost,
  PLAIN_SHEETS,
  readStockQuery,
  searchStock,
  SHIPPED_STOCK,
  spotCount,
  type FoundStock,
  type Stock,
  type Supply,
} from '../../../core/stock/index.ts';
import type { Unit } from '../../../core/units/index.ts';
import type { Offered, OfferGroup } from '../../stock/offered.ts';
import { sheetSize } from '../../stock/stock-words.ts';
import { texts } from '../../texts/index.ts';
import { formatMoney, type Currency } from '../../ui/money.ts';

/** A sheet as it is offered for a job. */
export interface StockOffer extends Offered {
  readonly supply: Supply | undefined;
  readonly perSheet: number;
}

/** The sheets of a workshop beside those that ship. */
export interface OwnStock {
  readonly yours: readonly Stock[];
  readonly supplies: readonly Supply[];
  readonly favourites: readonly Stock[];
  readonly recent: readonly Stock[];
}

/** How offers are told. */
export interface Telling {
  readonly typed: string;
  readonly unit: Unit;
  readonly currency: Currency;
}

const SHOWN = 24;
const NEAREST = 8;

/** How much larger than a die-cut label a piece may be and still be laid on it, mm. */
const OVER = 1;

/** How many labels of a job lie on a sheet; none where they are larger than its labels. */
function perSheetOf(job: Job, stock: Stock): number {
  if (stock.spots) {
    const [spot, edge] = [shapeSize(stock.spots.shape), job.pieces[0]?.edge];
    const piece = edge && job.thing.kind !== 'label-sheet' ? shapeSize(edge) : spot;
    const fits = piece.width <= spot.width + OVER && piece.height <= spot.height + OVER;
    return fits ? spotCount(stock.spots) : 0;
  }
  const tried = runCommand(job, { name: 'choose-stock', args: { stock } });
  return isProblem(tried) ? 0 : copiesPerSheet(tried);
}

/** The die-cut layouts that come nearest to a job's label, discs in carriers among them. */
function nearestTo(job: Job): FoundStock[] {
  const edge = job.pieces[0]?.edge;
  if (!edge) return [];
  const { width, height } = shapeSize(edge);
  const shape = formOf(edge);
  const sides = width === height ? [width] : [width, height];
  const among = shape === 'disc' ? [...DISC_CARRIERS, ...DIE_CUTS] : DIE_CUTS;
  return searchStock(among, { sides, count: undefined, shape, words: [] }, NEAREST);
}

/**
 * The sheets for a job: what was typed for, or else what is on hand, favourites and what was used
 * last, plain sheets by how much they hold and the die-cut layouts that come nearest to the label.
 */
export function stockOffers(job: Job, own: OwnStock, telling: Telling): OfferGroup<StockOffer>[] {
  const { typed, unit, currency } = telling;
  const words = texts.stock;
  // What a label would cost on another sheet of the same material.
  const costWords = (perSheet: number): string => {
    const cost = labelCost(job.material.pack, perSheet);
    return cost === undefined ? '' : ` · ${words.each(formatMoney(cost, currency))}`;
  };
  const offer = (found: FoundStock, supply?: Supply): StockOffer => {
    const perSheet = perSheetOf(job, found.stock);
    return {
      stock: found.stock,
      supply,
      perSheet,
      note:
        (found.stock.spots ? differenceWords(found, unit) : sheetSize(found.stock, unit)) +
        costWords(perSheet),
      fact: perSheet === 0 ? words.tooSmall : words.perSheet(perSheet),
    };
  };
  const bare = (stock: Stock): StockOffer => {
    const made = offer({ stock, off: [], countOff: 0 });
    return { ...made, note: sheetSize(stock, unit) + costWords(made.perSheet) };
  };
  const group = (title: string, stocks: readonly Stock[]): OfferGroup<StockOffer>[] =>
    stocks.length ? [{ title, offers: stocks.map(bare) }] : [];
  const bought = job.thing.kind === 'label-sheet';
  if (typed.trim() !== '') {
    const among = [...own.yours, ...(bought ? [...DIE_CUTS, ...DISC_CARRIERS] : SHIPPED_STOCK)];
    const found = searchStock(among, readStockQuery(typed, unit), SHOWN);
    return [{ title: words.found, offers: found.map((one) => offer(one)) }];
  }
  const fits = (stock: Stock): boolean => !bought || stock.spots !== null;
  // Of what was used last, only what does not stand above already.
  const shown = new Set([...own.yours, ...own.favourites].map(({ id }) => id));
  const first = [
    ...onHand(
      job,
      own.supplies.filter(({ stock }) => fits(stock)),
      currency,
    ),
    ...group(words.yours, own.yours),
    ...group(words.favourites, own.favourites.filter(fits)),
    ...group(
      words.recent,
      own.recent.filter((stock) => fits(stock) && !shown.has(stock.id)),
    ),
  ];
  if (bought) {
    const chosen = DIE_CUTS.filter(({ id }) => id === job.stock.id);
    const others = DIE_CUTS.filter(({ id }) => id !== job.stock.id).slice(0, SHOWN - 1);
    return [...first, ...group(words.dieCuts, [...chosen, ...others])];
  }
  const plain = PLAIN_SHEETS.map(bare);
  return [
    ...first,
    {
      title: words.plain,
      offers: [...plain].sort((a, b) => Number(b.perSheet > 0) - Number(a.perSheet > 0)),
    },
    { title: words.nearest, offers: nearestTo(job).map((one) => offer(one)) },
  ];
}

/** What is on hand, the cheapest label first where prices are known. */
function onHand(
  job: Job,
  supplies: readonly Supply[],
  currency: Currency,
): OfferGroup<StockOffer>[] {
  if (supplies.length === 0) return [];
  const words = texts.stock;
  const priced = supplies
    .map((supply) => {
      const perSheet = perSheetOf(job, supply.stock);
      return { supply, perSheet, cost: labelCost(supply.material.pack, perSheet) };
    })
    .sort((one, other) => (one.cost ?? Infinity) - (other.cost ?? Infinity));
  const compared = priced.filter(({ cost }) => cost !== undefined).length > 1;
  const offers = priced.map(({ supply, perSheet, cost }, at): StockOffer => {
    const money = cost === undefined ? undefined : formatMoney(cost, currency);
    const priced = money && (compared && at === 0 ? words.cheapest(money) : words.each(money));
    return {
      stock: supply.stock,
      supply,
      perSheet,
      note: priced ?? supply.material.name,
      fact: perSheet === 0 ? words.tooSmall : words.perSheet(perSheet),
    };
  });
  return [{ title: words.onHand, offers }];
}
