export { DIE_CUTS, firstStock, PLAIN_SHEETS, SHIPPED_STOCK } from './catalogue.ts';
export {
  differenceWords,
  readStockQuery,
  searchStock,
  type FoundStock,
  type StockQuery,
} from './search.ts';
export { keepClear, marksSchema, RING, sheetMarks, type Mark, type Marks } from './marks.ts';
export {
  checkSpots,
  printable,
  spotCentres,
  spotsSchema,
  stockSchema,
  type Spots,
  type Stock,
} from './stock.ts';
export {
  tryDirection,
  tryTemplate,
  type Direction,
  type MeasuredTemplate,
  type Readings,
} from './template.ts';
