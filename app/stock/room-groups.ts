import {
  differenceWords,
  DIE_CUTS,
  DISC_CARRIERS,
  PLAIN_SHEETS,
  readStockQuery,
  searchStock,
  spotCount,
  type FoundStock,
  type Stock,
} from '../../core/stock/index.ts';
import type { Unit } from '../../core/units/index.ts';
import { texts } from '../texts/index.ts';
import type { Offered, OfferGroup } from './offered.ts';
import { sheetSize } from './stock-words.ts';

const isDisc = ({ form, spots }: Stock): boolean =>
  form === 'carrier' || spots?.shape.kind === 'ring';

/** The sheets or the discs of the Stock room, or those of them that come nearest to what is typed. */
export function roomGroups(
  part: 'sheets' | 'discs',
  own: {
    readonly room: { readonly sheets: readonly Stock[] };
    readonly favourites: readonly Stock[];
    readonly recent: readonly Stock[];
  },
  { typed, unit }: { typed: string; unit: Unit },
): OfferGroup[] {
  const words = texts.stock;
  const belongs = (stock: Stock): boolean => isDisc(stock) === (part === 'discs');
  const offer = (stock: Stock, found?: FoundStock): Offered => ({
    stock,
    note: found && stock.spots ? differenceWords(found, unit) : sheetSize(stock, unit),
    fact: stock.spots
      ? (isDisc(stock) ? words.discsUp : words.perSheetUp)(spotCount(stock.spots))
      : '',
  });
  const group = (title: string, stocks: readonly Stock[]): OfferGroup[] => {
    const offers = stocks.filter(belongs).map((stock) => offer(stock));
    return offers.length ? [{ title, offers }] : [];
  };
  const { sheets } = own.room;
  // Of what was used last, only what does not stand above already.
  const shown = new Set([...sheets, ...own.favourites].map(({ id }) => id));
  if (typed.trim() !== '') {
    const among = [...sheets, ...PLAIN_SHEETS, ...DIE_CUTS, ...DISC_CARRIERS].filter(belongs);
    const found = searchStock(among, readStockQuery(typed, unit), 40);
    return [{ title: words.found, offers: found.map((one) => offer(one.stock, one)) }];
  }
  return [
    ...group(words.favourites, own.favourites),
    ...group(words.yours, sheets),
    ...group(
      words.recent,
      own.recent.filter(({ id }) => !shown.has(id)),
    ),
    ...(part === 'sheets'
      ? [...group(words.plain, PLAIN_SHEETS), ...group(words.dieCuts, DIE_CUTS)]
      : [...group(words.carriers, DISC_CARRIERS), ...group(words.discs, DIE_CUTS)]),
  ];
}
