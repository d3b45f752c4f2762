import { useElementCommands } from './element-commands.ts';
import { useSelection } from './selection.ts';
import { useViewModes } from './view-modes.ts';

/** The state of the Artwork desk: what is selected, the steps that change it, and the modes of the view. */
export function useDeskState() {
  const selection = useSelection();
  return { ...selection, ...useElementCommands(selection), ...useViewModes(selection) };
}

export type DeskState = ReturnType<typeof useDeskState>;
