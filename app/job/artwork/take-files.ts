import { calls } from '../../calls/index.ts';
import { bytesOf, keepArt } from '../../storage/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import type { DeskState } from './desk-state.ts';
import { newPicture, newWords } from './new-elements.ts';
import { texts } from '../../texts/index.ts';

/** Takes pictures in by dialog, drop or paste: read in the worker, kept once, put on the piece. */
export function useTakeFiles(desk: DeskState) {
  const messages = useMessages();

  async function takeFile(file: File, replaces?: string): Promise<void> {
    const read = await calls.call('readArt', {
      bytes: await bytesOf(file),
      name: file.name || texts.artwork.pasted,
    }).answer;
    if (!read.ok) return messages.sayProblem(read.problem);
    const { art, bytes, leftOut } = read.value;
    await keepArt(art.id, bytes, Date.now());
    if (!desk.piece.value) return;
    if (replaces) {
      desk.store.act({
        name: 'change-elements',
        args: {
          piece: desk.piece.value.id,
          changes: { [replaces]: { art: art.id } },
          doing: 'replace',
          art,
        },
      });
    } else desk.add(newPicture(desk.piece.value, art), { art });
    if (leftOut.length)
      messages.say(`“${art.name}” was taken in without its ${leftOut.join(', ')}.`);
    else if (art.kind === 'pixels' && !art.dpiKnown)
      messages.say(`“${art.name}” names no resolution, so 300 dpi was taken.`);
  }

  async function take(files: Iterable<File>, replaces?: string): Promise<void> {
    for (const file of files) await takeFile(file, replaces).catch(messages.sayError);
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

  return { take, paste };
}
