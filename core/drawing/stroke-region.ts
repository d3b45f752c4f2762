import { strokedRegion, type Path, type Ring } from '../geometry/index.ts';
import type { Stroke } from './drawing.ts';

/** What a line covers along a path, given as its rings too; dashes count as solid. */
export function strokeRegion(
  path: Path,
  rings: readonly Ring[],
  { width, cap = 'butt', join = 'miter' }: Pick<Stroke, 'width' | 'cap' | 'join'>,
): Ring[] {
  const corners = ({ miter: 'mitre', round: 'round', bevel: 'bevel' } as const)[join];
  return strokedRegion(rings, {
    width,
    closed: path[path.length - 1]?.[0] === 'Z',
    cap,
    corners,
  });
}
