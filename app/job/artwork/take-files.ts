import { watch } from 'vue';
import { useRouter } from 'vue-router';
import type { Art, ReadArt } from '../../../core/art/index.ts';
import { useTray } from '../../art/tray-store.ts';
import { useHandedFiles } from '../../session/handed-files.ts';
import { isTypefaceFile, useOwnTypefaces } from '../../session/own-typefaces.ts';
import { stickersFrom, type StickerChoices } from '../../session/stickers.ts';
import { chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { placeOf } from '../../ui/file-place.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { PICTURE_FILES } from '../../ui/picture-files.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';
import { newPicture, newWords } from '../artwork-state/new-elements.ts';

/** Takes pictures in by dialog, drop or paste: read in the worker, kept once, put on the piece. */
export function useTakeFiles(desk: DeskState) {
  const tray = useTray();
  const own = useOwnTypefaces();
  const messages = useMessages();
  const router = useRouter();

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
    } else desk.addNew(newPicture(desk.piece.value, art), { art });
  }

  async function take(files: Iterable<File>, replaces?: string): Promise<void> {
    const all = [...files];
    const faces = all.filter(isTypefaceFile);
    const others = all.filter((file) => !faces.includes(file));
    if (faces.length) await takeFaces(faces);
    if (faces.length && others.length === 0) return;
    const give = (reads: readonly ReadArt[]): void =>
      reads.forEach(({ art }, at) => put(art, at === 0 ? replaces : undefined));
    await tray.take(
      others,
      replaces === undefined ? { piece: give, stickers: makeStickers } : { piece: give },
    );
  }

  /** Pictures as pieces of the job, each cut by what it is: one step. */
  async function addStickers(reads: readonly ReadArt[], choices: StickerChoices): Promise<void> {
    const { store } = desk;
    const { pieces, art } = await stickersFrom(reads, choices, (at) =>
      messages.say(texts.shelf.sticker.cutting(at, reads.length)),
    );
    const [only, ...others] = store.own;
    // The empty piece that a job begins with was there to bring them in.
    const isEmpty = only && others.length === 0 && only.elements.length === 0;
    const doing = texts.artwork.addPieces(pieces.length);
    const added = store.act({
      name: 'add-pieces',
      args: { pieces, art, wanted: 1, nest: true, doing, ...(isEmpty ? { instead: only.id } : {}) },
    });
    if (!added) return;
    messages.say(texts.shelf.sticker.made(pieces.length));
    await router.push({ name: 'edge', query: { all: '' } });
  }

  const makeStickers = (reads: readonly ReadArt[], choices: StickerChoices): void =>
    void addStickers(reads, choices).catch(messages.sayError);

  /** Adds typefaces to the workshop; words that are chosen are set in the first of them. */
  async function takeFaces(files: readonly File[]): Promise<void> {
    const [first] = await own.add(files);
    if (first && desk.alike.value?.kind === 'words') desk.change({ typeface: first.id });
  }

  /** Asks for pictures; for one where it takes the place of what an element shows. */
  async function choosePictures(replaces?: string): Promise<void> {
    await take(await chooseFiles(PICTURE_FILES, replaces === undefined), replaces);
  }

  /** Takes what is dropped on the bench; what is not for the piece goes on to where it belongs. */
  function drop(event: DragEvent, known: (id: string) => Art | undefined): void {
    const files = [...(event.dataTransfer?.files ?? [])];
    if (files[0] && placeOf(files[0]) !== 'artwork') return;
    event.preventDefault();
    const onto = (event.target as Element).closest('[data-element]')?.getAttribute('data-element');
    const picture = desk.piece.value?.elements.find(
      ({ id, kind }) => id === onto && kind === 'picture',
    );
    if (files.length) void take(files, picture?.id);
    const kept = event.dataTransfer?.getData('application/x-little-peel-art');
    const art = kept ? known(kept) : undefined;
    if (art) put(art, picture?.id);
  }

  /** Takes the files that were dropped elsewhere for this desk; a list waits in its drawer. */
  function takeHanded(): void {
    const handed = useHandedFiles();
    handed.takeAt('artwork', (files) => void take(files));
    watch(
      () => handed.waiting?.place,
      (place) => {
        if (place === 'list') desk.listOpen.value = true;
      },
    );
  }

  function paste(event: ClipboardEvent): void {
    const files = [...(event.clipboardData?.files ?? [])];
    const text = event.clipboardData?.getData('text/plain').trim();
    if (files.length) void take(files);
    else if (text && desk.piece.value)
      desk.addNew(newWords(desk.piece.value, false, text.slice(0, 500)));
    else return;
    event.preventDefault();
  }

  return { take, put, paste, drop, choosePictures, takeHanded };
}
