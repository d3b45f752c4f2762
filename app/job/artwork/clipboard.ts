import { onBeforeUnmount } from 'vue';
import * as z from 'zod';
import { artSchema, type Art } from '../../../core/art/index.ts';
import { artOfElement, elementSchema, type PieceElement } from '../../../core/piece/index.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

const TYPE = 'application/x-little-peel-elements';
const copiedSchema = z.object({
  /** The piece that they were taken from. */
  from: z.string(),
  elements: z.array(elementSchema).min(1).max(500),
  art: z.array(artSchema),
});
const STEP = 3; // mm to the right and down, where a copy would cover what it was taken from

const inField = (event: Event): boolean =>
  Boolean((event.target as Element).closest?.('input, textarea, select'));

/**
 * Copying elements to other places, pieces and jobs by the clipboard.
 * @param pasteOther takes what is pasted and is no element
 */
export function useClipboard(desk: DeskState, pasteOther: (event: ClipboardEvent) => void): void {
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

  function hearPaste(event: ClipboardEvent): void {
    if (!inField(event) && !paste(event)) pasteOther(event);
  }

  function hearCopy(event: ClipboardEvent): void {
    if (inField(event) || !copy(event)) return;
    event.preventDefault();
    if (event.type === 'cut') desk.remove();
  }

  addEventListener('paste', hearPaste);
  addEventListener('copy', hearCopy);
  addEventListener('cut', hearCopy);
  onBeforeUnmount(() => {
    removeEventListener('paste', hearPaste);
    removeEventListener('copy', hearCopy);
    removeEventListener('cut', hearCopy);
  });
}
