import { spotPlaces, withRun, withSheetsGone, type Supply } from '../../../core/stock/index.ts';

const NEAR = 1; // mm between a copy and the label that it stands on

/** What is on hand after a run on sheets: whole ones less, or labels gone from started ones. */
export function supplyAfter(
  supply: Supply,
  sheets: readonly {
    readonly copies: readonly { readonly placement: { x: number; y: number } }[];
  }[],
  gone: readonly number[],
): Supply {
  const { spots } = supply.stock;
  if (!spots) return withSheetsGone(supply, sheets.length);
  const places = spotPlaces(spots);
  const used = sheets.map(({ copies }) =>
    copies.flatMap(({ placement: { x, y } }) => {
      const spot = places.findIndex((one) => Math.hypot(one.x - x, one.y - y) < NEAR);
      return spot < 0 ? [] : [spot];
    }),
  );
  return withRun(supply, used, gone);
}
