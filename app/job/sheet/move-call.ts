import type { CommandCall } from '../../../core/job/index.ts';
import type { HandPlace, Placement, SheetCopy } from '../../../core/sheet/index.ts';

/** The step that moves copies on a sheet: each to where it lies but for what is changed. */
export function moveCall(
  copies: readonly SheetCopy[],
  sheet: number,
  change: (placement: Placement) => Partial<HandPlace> = () => ({}),
): Extract<CommandCall, { name: 'move-copies' }> {
  const places = Object.fromEntries(
    copies.map(({ placement }) => {
      const { copy, x, y, angle } = placement;
      return [copy, { sheet, x, y, angle, ...change(placement) }];
    }),
  );
  return { name: 'move-copies', args: { places } };
}
