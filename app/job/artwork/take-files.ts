import type { Art, ReadArt } from '../../../core/art/index.ts';
import { useTray } from '../../art/tray-store.ts';
import { isTypefaceFile, useOwnTypefaces } from '../store/own-typefaces.ts';
import type { DeskState } from './desk-state.ts';
import { newPicture, newWords } from './new-elements.ts';

/** Takes pictures in by dialog, drop or paste: read in the worker, kept once, put on the piece. */
export function useTakeFiles(desk: DeskState) {
  const tray = useTray();
  const own = useOwnTypefaces();

  /** Puts art on the piece, or in the place of what an element shows. */
  function put(art: Art, replaces?: string): void {
    if (!desk.piece.value) return;
    if (replaces) {
      desk.store.act({
        name: 'change-elements',
        args: {
          piece: desk.piece.value.id,
          changes: { [replaces]: { art: art.id, spread: undefined } },
          doing: 'replace',
          art,
        },
      });
    } else desk.add(newPicture(desk.piece.value, art), { art });
  }

  async function take(files: Iterable<File>, replaces?: string): Promise<void> {
    const all = [...files];
    const faces = all.filter(isTypefaceFile);
    const others = all.filter((file) => !faces.includes(file));
    if (faces.length) await takeFaces(faces);
    if (faces.length && others.length === 0) return;
    const give = (reads: readonly ReadArt[]): void =>
      reads.forEach(({ art }, at) => put(art, at === 0 ? replaces : undefined));
    await tray.take(others, { purpose: 'piece', give });
  }

  /** Adds typefaces to the workshop; words that are chosen are set in the first of them. */
  async function takeFaces(files: readonly File[]): Promise<void> {
    const [first] = await own.add(files);
    const { value: chosen } = desk.committedSelection;
    if (first && chosen.length > 0 && chosen.every(({ kind }) => kind === 'words'))
      desk.change({ typeface: first.id });
  }

  function paste(event: ClipboardEvent): void {
    const files = [...(event.clipboardData?.files ?? [])];
    const text = event.clipboardData?.getData('text/plain').trim();
    if (files.length) void take(files);
    else if (text && desk.piece.value)
      desk.add(newWords(desk.piece.value, false, text.slice(0, 500)));
    else return;
    event.preventDefault();
  }

  return { take, put, paste };
}
