import * as z from 'zod';
import { flat, mm, panelRow, rectangleOf, some, type Panel, type ThingKind } from './kind.ts';

/** The paper of a disc's case: an insert with its spines, or the cover of a slim one. */
export const caseSchema = z.object({
  kind: z.literal('case'),
  for: z.enum(['disc', 'slim']),
  width: mm,
  height: mm,
  /** How thick the case is, mm; most slim ones have no spine to print. */
  spine: some,
});
export type Case = z.infer<typeof caseSchema>;

/** Spines are read from the top down, as those of books are. */
const spineOf = (length: number): Panel => ({ name: 'spine', length, reading: 90 });

/** A back with a folded spine at each side; a slim case takes one flat card, with a spine where it has one. */
export const caseKind: ThingKind<Case> = {
  usual: { kind: 'case', for: 'disc', width: 138, height: 118, spine: 6.5 },
  size({ for: holds, width, height, spine }) {
    if (spine === 0) return flat(rectangleOf(width, height));
    const row = panelRow(
      [
        spineOf(spine),
        ...(holds === 'slim'
          ? [{ name: 'front' as const, length: width }]
          : [{ name: 'back' as const, length: width }, spineOf(spine)]),
      ],
      height,
    );
    return flat(rectangleOf(row.width, height), { zones: row.zones, folds: row.folds });
  },
};
