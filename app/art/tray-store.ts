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
import type { BoxShape, StickerCut } from '../../core/prepare/index.ts';
import { artCalls, calls, type Ongoing } from '../calls/index.ts';
import type { StickerChoices } from '../session/stickers.ts';
import { bytesOf, keepInDrawer, ownTypefaces } from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';

/** Files that show the same art, the best first, and whether it is wanted. */
export interface TrayGroup {
  readonly items: readonly TakenArt[];
  /** Which of the files is taken, from 0. */
  readonly pick: number;
  readonly wanted: boolean;
  /** The page of drawings that it is one of. */
  readonly page?: TrayGroup;
}

/** What pictures can be taken in for: to stand on a piece, to be stickers, or to be kept. */
export type Purpose = 'piece' | 'stickers' | 'drawer';

/** Who takes pictures for a purpose; several where the user is to choose. The first one is meant at first. */
export interface Takers {
  readonly piece?: (reads: readonly ReadArt[]) => void;
  readonly stickers?: (reads: readonly ReadArt[], choices: StickerChoices) => void;
  readonly drawer?: (reads: readonly ReadArt[]) => void;
}

/** So many pictures at once are rather stickers than parts of one label. */
const MOST_ON_A_PIECE = 3;

export const artOf = ({ items, pick }: TrayGroup): TakenArt =>
  (items[pick] ?? items[0]) as TakenArt;

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
  const cuts = shallowRef<StickerChoices['cuts']>(new Map());
  /** The shape of stickers without an outline. */
  const shape = ref<BoxShape>('rectangle');
  const takers = shallowRef<Takers>({});
  /** The drawings of pages, by the art of the page. */
  const drawings = new Map<string, readonly StickerCut[]>();
  let cutting = 0;
  let files: readonly File[] = [];
  let ongoing: Ongoing<'takeIn'> | undefined;

  const wanted = computed(() => groups.value.filter((group) => group.wanted));
  const hasPages = computed(() =>
    groups.value.some(({ items }) =>
      items.some(({ art, cameAs }) => cameAs === 'pdf' && art.kind === 'pixels'),
    ),
  );
  /** What there is to choose from, where there is more than one purpose. */
  const purposes = computed(() => Object.keys(takers.value) as Purpose[]);
  /** Whether a wanted sticker has no outline of its own. */
  const hasBoxes = computed(
    () =>
      purpose.value === 'stickers' &&
      wanted.value.some((group) => {
        const cut = cuts.value.get(artOf(group).art.id);
        return cut && !cut.traced;
      }),
  );

  /** Reads files and hands on what is taken of them. */
  async function take(given: Iterable<File>, to: Takers): Promise<void> {
    files = [...given];
    if (files.length === 0) return;
    takers.value = to;
    purpose.value = purposes.value[0] ?? 'drawer';
    await read();
  }

  async function read(): Promise<void> {
    const taken: TakenArt[] = [];
    const left: { path: string; problem: TakenIn['refused'][number]['problem'] }[] = [];
    groups.value = [];
    refused.value = [];
    cuts.value = new Map();
    drawings.clear();
    cutting++;
    const finding: Promise<void>[] = [];
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
          left.push(...done.refused);
          if (purpose.value === 'stickers')
            finding.push(...done.taken.map((one) => findCuts(one).catch(messages.sayError)));
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
    const isAlone = only !== undefined && taken.length === 1 && !bad;
    groups.value = sameArt(taken).map((items) => ({ items, pick: 0, wanted: true }));
    if (isAlone) await Promise.all(finding);
    for (const page of drawings.keys()) showDrawings(page);
    const waits =
      groups.value.length > 1 || cuts.value.get(only?.art.id ?? '')?.way === 'photograph';
    if (isAlone && !waits) return hand([only]);
    if (!only && bad && left.length === 1) {
      open.value = false;
      return messages.sayProblem(bad.problem);
    }
    refused.value = left;
    open.value = true;
    if (purpose.value === 'piece' && takers.value.stickers && taken.length > MOST_ON_A_PIECE)
      choosePurpose('stickers');
  }

  const known = (cut: StickerCut, art = cut.read.art): void => {
    cuts.value = new Map([...cuts.value, [art.id, cut]]);
  };

  /** Finds where a picture is cut as a sticker, or the drawings of a page. */
  async function findCuts({ art, bytes }: ReadArt): Promise<void> {
    const own = cutting;
    // In another worker than the one that takes in: both work at once.
    const args = { read: { art, bytes, leftOut: [] } };
    const found = await calls.call('cutStickers', args).answer;
    if (own !== cutting) return;
    const [first] = found;
    if (found.length > 1) {
      for (const cut of found) known(cut);
      known({ way: 'page', read: { art, bytes, leftOut: [] } });
      drawings.set(art.id, found);
      showDrawings(art.id);
    } else if (first) known(first, art);
  }

  /** Shows the drawings of a page in its place. */
  function showDrawings(page: string): void {
    const found = drawings.get(page) ?? [];
    groups.value = groups.value.flatMap((group): TrayGroup[] => {
      if (group.page || artOf(group).art.id !== page) return [group];
      return found.map(({ read }) => ({
        items: [{ ...artOf(group), ...read, notes: [] }],
        pick: 0,
        wanted: group.wanted,
        page: group,
      }));
    });
  }

  /** A page of drawings as the one picture that it came in as. */
  function keepWhole(page: TrayGroup): void {
    const first = groups.value.findIndex((group) => group.page === page);
    groups.value = groups.value.flatMap((group, at) =>
      group.page !== page ? [group] : at === first ? [page] : [],
    );
  }

  /** Whether it is known what drawings a picture is a page of. */
  const canSplit = (group: TrayGroup): boolean =>
    !group.page && purpose.value === 'stickers' && drawings.has(artOf(group).art.id);

  /** A picture in the place of the one that it was made from, as when its subject was freed. */
  async function replace(from: Art, made: ReadArt): Promise<void> {
    groups.value = groups.value.map((group) => ({
      ...group,
      items: group.items.map((one) =>
        one.art.id === from.id ? { ...one, art: made.art, bytes: made.bytes } : one,
      ),
    }));
    const own = cutting;
    const args = { read: { art: made.art, bytes: made.bytes, leftOut: [] } };
    const cut = await calls.call('cutSticker', args).answer;
    if (own === cutting) known({ ...cut, from }, made.art);
  }

  function hand(reads: readonly TakenArt[]): void {
    open.value = false;
    groups.value = [];
    const [choices, to, meant] = [
      { cuts: cuts.value, shape: shape.value },
      takers.value,
      purpose.value,
    ];
    cutting++;
    void (async () => {
      for (const one of reads) await keepInDrawer(one, Date.now());
      if (meant === 'stickers') to.stickers?.(reads, choices);
      else to[meant]?.(reads);
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
    hand(wanted.value.map(artOf));
  }

  /** Finds the cuts of all that is looked at and not known yet. */
  function findMissing(): void {
    if (purpose.value !== 'stickers') return;
    for (const group of groups.value) {
      const one = artOf(group);
      if (!cuts.value.has(one.art.id)) void findCuts(one).catch(messages.sayError);
    }
  }

  function set(at: number, changes: Partial<Pick<TrayGroup, 'pick' | 'wanted'>>): void {
    groups.value = groups.value.map((group, index) =>
      index === at ? { ...group, ...changes } : group,
    );
    findMissing();
  }

  function setAll(to: boolean): void {
    groups.value = groups.value.map((group) => ({ ...group, wanted: to }));
  }

  function choosePurpose(to: Purpose): void {
    purpose.value = to;
    if (to !== 'stickers') for (const { page } of groups.value) if (page) keepWhole(page);
    if (to === 'stickers') for (const page of drawings.keys()) showDrawings(page);
    findMissing();
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
    purposes,
    dpi,
    groups,
    refused,
    cuts,
    shape,
    wanted,
    hasPages,
    hasBoxes,
    take,
    replace,
    finish,
    set,
    setAll,
    canSplit,
    keepWhole,
    showDrawings,
    choosePurpose,
    drawAt,
    close,
  };
});
