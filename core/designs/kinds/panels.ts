import type { PieceElement } from '../../piece/index.ts';
import type { Layout } from '../layout.ts';

/** Small print is never set larger than this, pt. */
const SMALL_PRINT = 9;
/** What a label is called behind is said more softly than in front, pt. */
const TITLE = 20;

/**
 * What stands behind or beside the front: what it is once more, its small print, and who made it.
 * @param covered whether it stands on a plate, as what lies beneath is no plain colour
 */
export function backPanel(l: Layout, covered: boolean): PieceElement[] {
  const { words, colors } = l.given;
  const small = (words.small ?? '').trim();
  const hasSmall = small !== '';
  return [
    ...(covered ? l.plate('rectangle', { w: 1, h: 1 }, colors.ground) : []),
    ...l.text(
      words.name,
      { y: hasSmall ? -0.36 : -0.1, w: 0.88, h: hasSmall ? 0.18 : 0.26 },
      { most: TITLE },
    ),
    ...l.text(small, { y: 0.02, w: 0.86, h: 0.5 }, { face: 'text', wrap: true, most: SMALL_PRINT }),
    ...l.text(
      words.maker,
      { y: hasSmall ? 0.4 : 0.22, w: 0.8, h: 0.1 },
      { face: 'text', case: 'upper', tracking: 10, mayWiden: true, most: 14 },
    ),
  ];
}

/** Along a spine stands what it is. */
export function spinePanel(l: Layout): PieceElement[] {
  return l.text(l.given.words.name, { w: 0.7, h: 0.84 }, { most: 16 });
}
