import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  sameArt,
  type Art,
  type ReadArt,
  type TakenArt,
  type TakenIn,
} from '../../core/art/index.ts';
import { Cancelled, ProblemError } from '../../core/base/index.ts';
import { artNoteTexts, omissionsText } from '../../messages/index.ts';
import type { StickerCut } from '../../core/prepare/index.ts';
import { artCalls, calls, type Ongoing } from '../calls/index.ts';
import { bytesOf, keepInDrawer, ownTypefaces } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';

/** Files that show the same art, the best first, and whether it is wanted. */
export interface TrayGroup {
  readonly items: readonly TakenArt[];
  /** Which of the files is taken, from 0. */
  readonly pick: number;
  readonly wanted: boolean;
}

/** How pictures become stickers, by their art. */
export type Cuts = ReadonlyMap<string, StickerCut>;
type Take = (reads: readonly ReadArt[], cuts: Cuts) => void;

/** What pictures are taken in for: to stand on a piece, to be stickers, or to be kept. */
export type Purpose = 'piece' | 'stickers' | 'drawer';

/**
 * The tray on which files land: each is read in a worker; one picture alone goes straight on, several
 * are shown with what was refused, so that what is wanted can be chosen.
 */
export const useTray = defineStore('tray', () => {
  const messages = useMessages();
  const open = ref(false);
  const busy = ref('');
  const share = ref(0);
  const purpose = ref<Purpose>('drawer');
  const dpi = ref(300);
  const groups = shallowRef<readonly TrayGroup[]>([]);
  const refused = shallowRef<TakenIn['refused']>([]);
  /** Where stickers are cut, as far as it is found. */
  const cuts = shallowRef<Cuts>(new Map());
  let cutting = 0;
  let files: readonly File[] = [];
  let give: Take = () => undefined;
  let ongoing: Ongoing<'takeIn'> | undefined;

  const wanted = computed(() => groups.value.filter((group) => group.wanted));
  const hasPages = computed(() =>
    groups.value.some(({ items }) =>
      items.some(({ art, cameAs }) => cameAs === 'pdf' && art.kind === 'pixels'),
    ),
  );

  /** Reads files and hands on what is taken of them. */
  async function take(
    given: Iterable<File>,
    place: { purpose: Purpose; give: Take },
  ): Promise<void> {
    files = [...given];
    if (files.length === 0) return;
    purpose.value = place.purpose;
    give = place.give;
    await read();
  }

  async function read(): Promise<void> {
    const taken: TakenArt[] = [];
    const left: { path: string; problem: TakenIn['refused'][number]['problem'] }[] = [];
    groups.value = [];
    refused.value = [];
    cuts.value = new Map();
    cutting++;
    let finding: Promise<unknown> = Promise.resolve();
    try {
      const typefaces = await ownTypefaces();
      for (const file of files) {
        busy.value = texts.art.tray.reading(file.name || texts.artwork.pasted);
        share.value = 0;
        // Only what lasts is worth a window of its own.
        const slow = setTimeout(() => (open.value = true), 400);
        ongoing = artCalls.call(
          'takeIn',
          {
            bytes: await bytesOf(file),
            name: file.name || texts.artwork.pasted,
            choices: { dpi: dpi.value, typefaces },
          },
          (done) => (share.value = done),
        );
        try {
          const done = await ongoing.answer;
          taken.push(...done.taken);
          if (purpose.value === 'stickers')
            finding = Promise.all([finding, ...done.taken.map((one) => findCut(one))]).catch(
              messages.sayError,
            );
          left.push(...done.refused);
        } catch (error) {
          // One file that took too long keeps nothing else out.
          if (!(error instanceof ProblemError)) throw error;
          left.push({ path: file.name, problem: error.problem });
        } finally {
          clearTimeout(slow);
        }
      }
    } catch (error) {
      open.value = false;
      if (!(error instanceof Cancelled)) messages.sayError(error);
      return;
    } finally {
      busy.value = '';
      ongoing = undefined;
    }
    const [only] = taken;
    const [bad] = left;
    groups.value = sameArt(taken).map((items) => ({ items, pick: 0, wanted: true }));
    if (only && taken.length === 1 && !bad) await finding;
    const isToFree = only && cuts.value.get(only.art.id)?.way === 'photograph';
    if (only && taken.length === 1 && !bad && !isToFree) return hand([only]);
    if (!only && bad && left.length === 1) {
      open.value = false;
      return messages.sayProblem(bad.problem);
    }
    refused.value = left;
    open.value = true;
  }

  /** Finds where a picture is cut as a sticker. */
  async function findCut(read: ReadArt, from?: Art): Promise<void> {
    const own = cutting;
    const { art, bytes } = read;
    const args = { read: { art, bytes, leftOut: [] } };
    // In another worker than the one that takes in: both work at once.
    const cut = await calls.call('cutSticker', args).answer;
    if (own === cutting)
      cuts.value = new Map([...cuts.value, [art.id, { ...cut, ...(from ? { from } : {}) }]]);
  }

  /** A picture in the place of the one that it was made from, as when its subject was freed. */
  async function replace(from: Art, made: ReadArt): Promise<void> {
    groups.value = groups.value.map((group) => ({
      ...group,
      items: group.items.map((one) =>
        one.art.id === from.id ? { ...one, art: made.art, bytes: made.bytes } : one,
      ),
    }));
    await findCut(made, from);
  }

  function hand(reads: readonly TakenArt[]): void {
    open.value = false;
    groups.value = [];
    const known = cuts.value;
    cutting++;
    void (async () => {
      for (const one of reads) await keepInDrawer(one, Date.now());
      give(reads, known);
    })().catch(messages.sayError);
    const [one] = reads;
    if (reads.length !== 1 || !one) return;
    if (one.leftOut.length)
      messages.say(texts.artwork.withoutParts(one.art.name, omissionsText(one.leftOut)));
    else if (one.notes?.length)
      messages.say(texts.artwork.takenWith(one.art.name, artNoteTexts(one.notes)));
    else if (one.art.kind === 'pixels' && !one.art.dpiKnown)
      messages.say(texts.artwork.dpiAssumed(one.art.name));
  }

  function finish(): void {
    hand(wanted.value.flatMap(({ items, pick }) => items[pick] ?? []));
  }

  function set(at: number, changes: Partial<Pick<TrayGroup, 'pick' | 'wanted'>>): void {
    groups.value = groups.value.map((group, index) =>
      index === at ? { ...group, ...changes } : group,
    );
    const { items, pick } = groups.value[at] ?? { items: [], pick: 0 };
    const read = items[pick];
    if (purpose.value === 'stickers' && read && !cuts.value.has(read.art.id))
      void findCut(read).catch(messages.sayError);
  }

  function setAll(to: boolean): void {
    groups.value = groups.value.map((group) => ({ ...group, wanted: to }));
  }

  function drawAt(dots: number): void {
    dpi.value = dots;
    void read();
  }

  function close(): void {
    ongoing?.cancel();
    cutting++;
    open.value = false;
    groups.value = [];
    refused.value = [];
  }

  return {
    open,
    busy,
    share,
    purpose,
    dpi,
    groups,
    refused,
    cuts,
    wanted,
    hasPages,
    take,
    replace,
    finish,
    set,
    setAll,
    drawAt,
    close,
  };
});
