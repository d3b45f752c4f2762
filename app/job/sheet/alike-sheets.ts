import type { Placement, SheetLayout } from '../../../core/sheet/index.ts';

/** Sheets one after the other that print alike: the first and the last of them, and what they are. */
export interface AlikeSheets {
  readonly first: number;
  readonly last: number;
  readonly sheet: SheetLayout;
}

/**
 * Sheets that print alike, one after the other, as one.
 * @param isOwn whether a copy prints otherwise than others of its piece, so that no sheet with it is like another
 */
export function alikeSheets(
  sheets: readonly SheetLayout[],
  isOwn: (copy: Placement) => boolean,
): AlikeSheets[] {
  const keyOf = ({ placements, stock }: SheetLayout): string | undefined =>
    placements.some(isOwn)
      ? undefined
      : [stock.id, ...placements.map(({ piece, x, y, angle }) => [piece, x, y, angle])].join();
  const found: AlikeSheets[] = [];
  let before: string | undefined;
  for (const [at, sheet] of sheets.entries()) {
    const key = keyOf(sheet);
    const group = found[found.length - 1];
    if (group && key !== undefined && key === before)
      found[found.length - 1] = { ...group, last: at };
    else found.push({ first: at, last: at, sheet });
    before = key;
  }
  return found;
}
