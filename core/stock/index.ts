export { keepClear, marksSchema, RING, sheetMarks, type Mark, type Marks } from './marks.ts';
export {
  checkSpots,
  printable,
  SHIPPED_STOCK,
  spotCentres,
  spotsSchema,
  stockSchema,
  type Spots,
  type Stock,
} from './stock.ts';
