import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { withLicence, type Licence } from '../../core/base/index.ts';
import { isCollection, type FaceInFile, type OwnTypeface } from '../../core/type/index.ts';
import { calls } from '../calls/index.ts';
import {
  artBytes,
  bytesOf,
  keepArt,
  keepOwnTypefaces,
  oldTypefaces,
  ownTypefaces,
} from '../storage/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { texts } from '../texts/index.ts';

/** The typeface files that are taken. */
export const TYPEFACE_FILES = '.ttf,.otf,.ttc,.otc,.woff,.woff2';

/** Whether a file is a typeface by its name. */
export const isTypefaceFile = ({ name }: File): boolean => /\.(tt[fc]|ot[fc]|woff2?)$/i.test(name);

/** A file of several typefaces, and who waits for the numbers of those that are chosen. */
export interface AskedCollection {
  readonly name: string;
  readonly faces: readonly FaceInFile[];
  answer(numbers: readonly number[]): void;
}

/** The typefaces that were added to this workshop, kept in this browser. */
export const useOwnTypefaces = defineStore('own-typefaces', () => {
  const list = shallowRef<readonly OwnTypeface[]>([]);
  const adding = ref(false);
  const asked = shallowRef<AskedCollection>();
  const messages = useMessages();
  let loading: Promise<void> | undefined;

  /** Loads the list, once. */
  function load(): Promise<void> {
    loading ??= ownTypefaces()
      .then(async (kept) => {
        list.value = kept;
        for (const id of await oldTypefaces()) await readAgain(id);
      })
      .catch(messages.sayError);
    return loading;
  }

  /** Loads the list anew, where others have come into the workshop. */
  function again(): Promise<void> {
    loading = undefined;
    return load();
  }

  /** Looks at a kept typeface once more: an earlier version noted less of it. */
  async function readAgain(id: string): Promise<void> {
    const bytes = await artBytes(id);
    const read = bytes && (await calls.call('readTypeface', { bytes, name: id }).answer);
    const before = list.value.find((one) => one.id === id);
    if (!read?.ok || !before) return;
    const now = withLicence(read.value.typeface, before.licence);
    await change(list.value.map((one) => (one.id === id ? now : one)));
  }

  /** Which typefaces of a file are wanted: of a collection the user is asked. */
  async function wanted(bytes: Uint8Array, name: string): Promise<readonly number[]> {
    if (!isCollection(bytes)) return [0];
    const read = await calls.call('facesInFile', { bytes, name }).answer;
    if (!read.ok) {
      messages.sayProblem(read.problem);
      return [];
    }
    const { value: faces } = read;
    if (faces.length < 2) return [0];
    return new Promise<readonly number[]>((answer) => {
      asked.value = { name, faces, answer };
    }).finally(() => (asked.value = undefined));
  }

  /** The typefaces of a file, kept; says which were refused and why. */
  async function taken(bytes: Uint8Array, name: string): Promise<OwnTypeface[]> {
    const found: OwnTypeface[] = [];
    for (const number of await wanted(bytes, name)) {
      const read = await calls.call('readTypeface', { bytes, name, number }).answer;
      if (!read.ok) {
        messages.sayProblem(read.problem);
        continue;
      }
      const { typeface, bytes: kept } = read.value;
      await keepArt(typeface.id, kept, Date.now());
      const before = list.value.find(({ id }) => id === typeface.id);
      found.push(withLicence(typeface, before?.licence));
    }
    return found;
  }

  /** Adds typeface files; says which were refused and why, and gives those that are there now. */
  async function add(files: readonly File[]): Promise<OwnTypeface[]> {
    await load();
    adding.value = true;
    const added: OwnTypeface[] = [];
    try {
      for (const file of files) added.push(...(await taken(await bytesOf(file), file.name)));
      if (added.length) {
        const ids = added.map(({ id }) => id);
        await change([...list.value.filter(({ id }) => !ids.includes(id)), ...added]);
        if (added.length >= files.length) messages.say(texts.typefaces.added(added));
      }
    } catch (error) {
      messages.sayError(error);
    } finally {
      adding.value = false;
    }
    return added;
  }

  async function change(next: readonly OwnTypeface[]): Promise<void> {
    await keepOwnTypefaces(next);
    list.value = next;
  }

  /** Notes what may be done with a family; the jobs that are set in it know it when they are opened. */
  function note(family: string, licence: Licence | undefined): Promise<unknown> {
    return change(
      list.value.map((one) => (one.family === family ? withLicence(one, licence) : one)),
    ).catch(messages.sayError);
  }

  /** Takes a family out of the workshop; jobs that are set in it keep it. */
  async function remove(family: string): Promise<void> {
    const before = list.value;
    try {
      await change(before.filter((one) => one.family !== family));
      messages.say(texts.typefaces.removed(family), {
        label: texts.undo,
        run: () => void change(before).catch(messages.sayError),
      });
    } catch (error) {
      messages.sayError(error);
    }
  }

  return { list, adding, asked, load, again, add, note, remove };
});
