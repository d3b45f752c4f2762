import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import {
  sameArt,
  type Art,
  type ReadArt,
  type TakeInChoices,
  type TakenArt,
  type TakenIn,
} from '../../core/art/index.ts';
import { ProblemError } from '../../core/base/index.ts';
import { artNoteTexts, omissionsText } from '../../messages/index.ts';
import type { BoxShape, StickerCut } from '../../core/prepare/index.ts';
import { artCalls, calls, type CallHost, type Ongoing } from '../calls/index.ts';
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

/** Files are read side by side; who has read a picture finds its cuts without reading it again. */
const READERS = [artCalls, calls] as const;

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
  const ongoing = new Set<Ongoing<'takeIn'>>();

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
    groups.value = [];
    refused.value = [];
    cuts.value = new Map();
    drawings.clear();
    const own = ++cutting;
    const finding: Promise<void>[] = [];
    const results: TakenIn[] = [];
    const shares = files.map(() => 0);
    let next = 0;
    // Only what lasts is worth a window of its own.
    const slow = setTimeout(() => (open.value = true), 400);
    share.value = 0;
    const reading = async (host: CallHost, choices: TakeInChoices): Promise<void> => {
      for (let at = next++; at < files.length && own === cutting; at = next++) {
        const done = await readFile(files[at] as File, { host, choices }, (part) => {
          shares[at] = part;
          share.value = shares.reduce((sum, one) => sum + one, 0) / shares.length;
        });
        results[at] = done;
        if (purpose.value === 'stickers' && own === cutting)
          finding.push(...done.taken.map((one) => findCuts(one, host).catch(messages.sayError)));
      }
    };
    try {
      const choices = { dpi: dpi.value, typefaces: await ownTypefaces() };
      await Promise.all(READERS.map((host) => reading(host, choices)));
    } catch (error) {
      if (own !== cutting) return;
      close();
      return messages.sayError(error);
    } finally {
      clearTimeout(slow);
      if (own === cutting) busy.value = '';
    }
    if (own !== cutting) return;
    const taken = results.flatMap((one) => one.taken);
    const left = results.flatMap((one) => one.refused);
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

  /** Reads one file; what keeps it out keeps no other out. */
  async function readFile(
    file: File,
    { host, choices }: { host: CallHost; choices: TakeInChoices },
    progress: (share: number) => void,
  ): Promise<TakenIn> {
    const name = file.name || texts.artwork.pasted;
    busy.value = texts.art.tray.reading(name);
    const call = host.call('takeIn', { bytes: await bytesOf(file), name, choices }, progress);
    ongoing.add(call);
    try {
      return await call.answer;
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      return { taken: [], refused: [{ path: file.name, problem: error.problem }] };
    } finally {
      ongoing.delete(call);
      progress(1);
    }
  }

  const known = (cut: StickerCut, art = cut.read.art): void => {
    cuts.value = new Map([...cuts.value, [art.id, cut]]);
  };

  /** Finds where a picture is cut as a sticker, or the drawings of a page. */
  async function findCuts({ art, bytes }: ReadArt, host: CallHost = calls): Promise<void> {
    const own = cutting;
    const args = { read: { art, bytes, leftOut: [] } };
    const found = await host.call('cutStickers', args).answer;
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
    for (const [at, group] of groups.value.entries()) {
      const one = artOf(group);
      const host = READERS[at % READERS.length];
      if (!cuts.value.has(one.art.id)) void findCuts(one, host).catch(messages.sayError);
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
    for (const call of ongoing) call.cancel();
    cutting++;
    busy.value = '';
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
