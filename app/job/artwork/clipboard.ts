import * as z from 'zod';
import { artSchema, type Art } from '../../../core/art/index.ts';
import { artOfElement, elementSchema, type PieceElement } from '../../../core/piece/index.ts';
import type { DeskState } from './desk-state.ts';

const TYPE = 'application/x-little-peel-elements';
const copiedSchema = z.object({
  /** The piece that they were taken from. */
  from: z.string(),
  elements: z.array(elementSchema).min(1).max(500),
  art: z.array(artSchema),
});
const STEP = 3; // mm to the right and down, where a copy would cover what it was taken from

/** Copying elements to other places, pieces and jobs by the clipboard. */
export function useClipboard(desk: DeskState) {
  const key = (): string => `${desk.store.job?.id ?? ''}/${desk.piece.value?.id ?? ''}`;

  /** Puts the chosen elements on the clipboard; false when there are none. */
  function copy({ clipboardData }: ClipboardEvent): boolean {
    const elements = desk.elements.value;
    if (elements.length === 0 || !clipboardData) return false;
    const known = desk.store.job?.art ?? {};
    const named = new Set(elements.flatMap(artOfElement));
    const art = [...named].flatMap((id): Art[] => (known[id] ? [known[id]] : []));
    clipboardData.setData(TYPE, JSON.stringify({ from: key(), elements, art }));
    const words = elements.flatMap((one) => (one.kind === 'words' ? [one.text] : []));
    clipboardData.setData('text/plain', words.join('\n'));
    return true;
  }

  /** Takes elements from the clipboard; false when it holds none. */
  function paste({ clipboardData }: ClipboardEvent): boolean {
    const text = clipboardData?.getData(TYPE);
    if (!text) return false;
    const read = copiedSchema.safeParse(JSON.parse(text));
    if (!read.success) return false;
    const { from, elements, art } = read.data;
    const aside = from === key() ? STEP : 0;
    const placed = elements.map((one): PieceElement => ({
      ...one,
      x: one.x + aside,
      y: one.y + aside,
      locked: false,
    }));
    desk.addAll(placed, {
      art,
      doing: `paste ${placed.length === 1 ? placed[0]?.kind : placed.length}`,
    });
    return true;
  }

  return { copy, paste };
}
