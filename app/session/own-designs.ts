import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { expectOk } from '../../core/base/index.ts';
import {
  designFrom,
  isDesign,
  parsePeel,
  writePeel,
  type Job,
  type OwnDesign,
} from '../../core/job/index.ts';
import { fileStem } from '../../core/output/index.ts';
import type { Piece } from '../../core/piece/index.ts';
import {
  bytesOf,
  download,
  dropDesign,
  keepDesign,
  ownDesigns,
  withArt,
} from '../storage/index.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { useOwnTypefaces } from './own-typefaces.ts';

/** The starting designs of this workshop: kept from its jobs, or taken from files. */
export const useOwnDesigns = defineStore('own-designs', () => {
  const list = shallowRef<readonly OwnDesign[]>([]);
  const messages = useMessages();
  const typefaces = useOwnTypefaces();

  async function doing(work: () => Promise<void>): Promise<boolean> {
    try {
      await work();
      list.value = await ownDesigns();
      return true;
    } catch (error) {
      messages.sayError(error);
      return false;
    }
  }

  const load = (): Promise<boolean> => doing(() => Promise.resolve());

  /** A piece of a job as a design of an id that no other has. */
  function made(job: Job, piece: Piece, name: string, open: readonly string[]): OwnDesign {
    return designFrom(job, piece, {
      id: `design-${crypto.getRandomValues(new Uint32Array(2)).join('-')}`,
      name,
      open,
    });
  }

  /** Keeps a piece as a design in the workshop. */
  const keep = (job: Job, piece: Piece, name: string, open: readonly string[]): Promise<boolean> =>
    doing(async () => {
      const design = made(job, piece, name, open);
      await keepDesign(design, (await withArt(design)).art, Date.now());
      messages.say(texts.start.designKept(design.name));
    });

  /** Gives a piece away as the file of a design. */
  const give = (job: Job, piece: Piece, name: string, open: readonly string[]): Promise<boolean> =>
    doing(async () => {
      const design = made(job, piece, name, open);
      download(
        `${fileStem(design.name)}.peel`,
        writePeel(await withArt(design)),
        'application/zip',
      );
    });

  /** Takes a design in that was read from a file. */
  const take = (design: OwnDesign, files: ReadonlyMap<string, Uint8Array>): Promise<boolean> =>
    doing(async () => {
      await keepDesign(design, files, Date.now());
      await typefaces.again();
      messages.say(texts.start.designTaken(design.name));
    });

  /** Takes in a file that somebody gave; a plain job is no design. */
  async function takeFile(file: File | undefined): Promise<void> {
    if (!file) return;
    await doing(async () => {
      const { job, art } = expectOk(parsePeel(await bytesOf(file), file.name));
      if (isDesign(job)) return void (await take(job, art));
      messages.sayTrouble({
        what: texts.start.noDesign(file.name),
        remedy: texts.start.noDesignRemedy,
      });
    });
  }

  function remove(design: OwnDesign): Promise<boolean> {
    return doing(async () => {
      await dropDesign(design.id);
      messages.say(texts.start.designRemoved(design.name), {
        label: texts.undo,
        run: () => void doing(() => keepDesign(design, new Map(), Date.now())),
      });
    });
  }

  return { list, load, keep, give, take, takeFile, remove };
});
