import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { withLicence, type Licence } from '../../core/base/index.ts';
import type { OwnTypeface } from '../../core/type/index.ts';
import { calls } from '../calls/index.ts';
import { bytesOf, keepArt, keepOwnTypefaces, ownTypefaces } from '../storage/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { texts } from '../texts/index.ts';

/** The typeface files that are taken. */
export const TYPEFACE_FILES = '.ttf,.otf,.woff,.woff2';

/** Whether a file is a typeface by its name. */
export const isTypefaceFile = ({ name }: File): boolean => /\.(ttf|otf|woff2?)$/i.test(name);

/** The typefaces that were added to this workshop, kept in this browser. */
export const useOwnTypefaces = defineStore('own-typefaces', () => {
  const list = shallowRef<readonly OwnTypeface[]>([]);
  const adding = ref(false);
  const messages = useMessages();
  let loading: Promise<void> | undefined;

  /** Loads the list, once. */
  function load(): Promise<void> {
    loading ??= ownTypefaces()
      .then((kept) => void (list.value = kept))
      .catch(messages.sayError);
    return loading;
  }

  /** Loads the list anew, where others have come into the workshop. */
  function again(): Promise<void> {
    loading = undefined;
    return load();
  }

  /** Adds typeface files; says which were refused and why, and gives those that are there now. */
  async function add(files: readonly File[]): Promise<OwnTypeface[]> {
    await load();
    adding.value = true;
    const added: OwnTypeface[] = [];
    try {
      for (const file of files) {
        const args = { bytes: await bytesOf(file), name: file.name };
        const read = await calls.call('readTypeface', args).answer;
        if (!read.ok) {
          messages.sayProblem(read.problem);
          continue;
        }
        const { typeface, bytes } = read.value;
        await keepArt(typeface.id, bytes, Date.now());
        added.push(list.value.find(({ id }) => id === typeface.id) ?? typeface);
      }
      if (added.length) {
        const ids = added.map(({ id }) => id);
        await change([...list.value.filter(({ id }) => !ids.includes(id)), ...added]);
        if (added.length === files.length)
          messages.say(texts.words.faceAdded(added[0]?.family ?? ''));
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
      messages.say(texts.words.faceRemoved(family), {
        label: texts.undo,
        run: () => void change(before).catch(messages.sayError),
      });
    } catch (error) {
      messages.sayError(error);
    }
  }

  return { list, adding, load, again, add, note, remove };
});
