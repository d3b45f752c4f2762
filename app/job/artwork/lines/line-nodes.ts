import { apply } from '../../../../core/geometry/index.ts';
import type { ElementChanges } from '../../../../core/job/index.ts';
import { centredLine, elementMap, type Line } from '../../../../core/piece/index.ts';

/** The changes that give a line other nodes: it stays where it is though its middle moves. */
export function recentred(line: Line, nodes: Line['nodes']): ElementChanges {
  const { nodes: made, centre } = centredLine(nodes, line.closed);
  const { x, y } = apply(elementMap(line), centre);
  return { nodes: made, x, y };
}
