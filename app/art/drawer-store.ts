import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import type { Art, ReadArt } from '../../core/art/index.ts';
import { expectOk, withLicence, type Licence } from '../../core/base/index.ts';
import { calls } from '../calls/index.ts';
import {
  allArt,
  changeArt,
  keepInDrawer,
  putBackInDrawer,
  replaceArtEverywhere,
  takeOutOfDrawer,
  type ChangedJobs,
  type UsedArt,
} from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { drawingsOf, type ReadyMade } from './ready-made.ts';

export type SortedBy = keyof typeof texts.art.sorts;

const ORDERS: Readonly<Record<SortedBy, (one: UsedArt, other: UsedArt) => number>> = {
  newest: (one, other) => other.added - one.added,
  name: (one, other) => one.art.name.localeCompare(other.art.name),
  used: (one, other) => other.jobs.length - one.jobs.length,
  size: (one, other) => other.bytes - one.bytes,
};

/** The pictures of the workshop. */
export const useDrawer = defineStore('drawer', () => {
  const messages = useMessages();
  const all = shallowRef<readonly UsedArt[]>([]);
  const ready = ref(false);
  const typed = ref('');
  const tag = ref('');
  const sort = ref<SortedBy>('newest');

  const tags = computed(() =>
    [...new Set(all.value.flatMap(({ art }) => art.tags))].sort((one, other) =>
      one.localeCompare(other),
    ),
  );
  const found = computed(() => {
    const wanted = typed.value.trim().toLowerCase().split(/\s+/).filter(Boolean);
    return all.value
      .filter(({ art }) => tag.value === '' || art.tags.includes(tag.value))
      .filter(({ art }) => {
        const said = [art.name, ...art.tags].join(' ').toLowerCase();
        return wanted.every((word) => said.includes(word));
      })
      .sort(ORDERS[sort.value]);
  });

  async function refresh(): Promise<void> {
    all.value = await allArt();
    ready.value = true;
  }

  async function doing<T>(work: () => Promise<T>): Promise<T | undefined> {
    try {
      const done = await work();
      await refresh();
      return done;
    } catch (error) {
      messages.sayError(error);
      return undefined;
    }
  }

  const put = (reads: readonly ReadArt[]): Promise<unknown> =>
    doing(async () => {
      for (const read of reads) await keepInDrawer(read, Date.now());
    });

  /** Says which jobs could not be changed, since a tab has them open. */
  function tellOpen({ open }: ChangedJobs): void {
    if (open.length) messages.sayTrouble(texts.lock.open(open));
  }

  const change = (art: Art): Promise<unknown> =>
    doing(async () => tellOpen(await changeArt(art, Date.now())));

  /** Another note on what may be done with art; undefined forgets it. */
  function note(art: Art, licence: Licence | undefined): Promise<unknown> {
    return change(withLicence(art, licence));
  }

  function remove(entry: UsedArt): Promise<unknown> {
    if (entry.jobs.length > 0) {
      messages.say(texts.art.isUsed);
      return Promise.resolve();
    }
    return doing(async () => {
      await takeOutOfDrawer(entry.art.id);
      const back = (): void => void doing(() => putBackInDrawer(entry));
      messages.say(texts.art.removed(entry.art.name), { label: texts.undo, run: back });
    });
  }

  const replaceEverywhere = (from: string, to: ReadArt): Promise<unknown> =>
    doing(async () => {
      await keepInDrawer(to, Date.now());
      const done = await replaceArtEverywhere(from, to.art, Date.now());
      if (from !== to.art.id && done.open.length === 0) await takeOutOfDrawer(from);
      messages.say(texts.art.replaced(done.count));
      tellOpen(done);
    });

  /** A drawing that ships as art of this workshop, with its licence noted. */
  async function takeReadyMade({ id, subject, name }: ReadyMade): Promise<ReadArt | undefined> {
    return doing(async () => {
      const svg = (await drawingsOf(subject))[id] ?? '';
      const bytes = new TextEncoder().encode(svg);
      const read = expectOk(await calls.call('readArt', { bytes, name }).answer);
      const art: Art = { ...read.art, tags: [subject], licence: 'free' };
      await keepInDrawer({ art, bytes }, Date.now());
      return { ...read, art };
    });
  }

  return {
    all,
    found,
    ready,
    typed,
    tag,
    tags,
    sort,
    refresh,
    put,
    change,
    note,
    remove,
    replaceEverywhere,
    takeReadyMade,
  };
});
