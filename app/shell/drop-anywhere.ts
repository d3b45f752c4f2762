import { onBeforeUnmount } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useHouseStyle } from '../session/house-style-store.ts';
import { useShelf } from '../session/shelf-store.ts';
import { texts } from '../texts/index.ts';
import { useMessages } from '../ui/messages-store.ts';
import { placeOf } from '../ui/file-place.ts';
import { useHandedFiles } from '../session/handed-files.ts';

/** Files that are dropped where nothing takes them go to where they belong. */
export function useDropAnywhere(): void {
  const route = useRoute();
  const router = useRouter();
  const shelf = useShelf();
  const messages = useMessages();
  const handed = useHandedFiles();
  const house = useHouseStyle();

  const hasFiles = ({ dataTransfer }: DragEvent): boolean =>
    dataTransfer?.types.includes('Files') ?? false;

  function over(event: DragEvent): void {
    if (hasFiles(event)) event.preventDefault();
  }

  async function drop(event: DragEvent): Promise<void> {
    if (event.defaultPrevented || !hasFiles(event)) return;
    event.preventDefault();
    await give([...(event.dataTransfer?.files ?? [])]);
  }

  /** Brings files to the view that knows what to do with them. */
  async function give(files: readonly File[]): Promise<void> {
    const [first] = files;
    if (!first) return;
    const place = placeOf(first);
    const inJob = route.path.startsWith('/job/');
    if (place === 'shelf') {
      await router.push('/');
      return shelf.take(files);
    }
    if (place === 'template') {
      handed.hand('template', files);
      return void (await router.push('/stock/sheets'));
    }
    if (place === 'palette') return house.takePalettes(files);
    if (!inJob) return messages.say(place === 'list' ? texts.drops.list : texts.drops.picture);
    handed.hand(place, files);
    await router.push({ name: 'artwork', query: place === 'list' ? { list: 'open' } : {} });
  }

  const listen = (event: DragEvent): void => void drop(event).catch(messages.sayError);
  addEventListener('dragover', over);
  addEventListener('drop', listen);
  onBeforeUnmount(() => {
    removeEventListener('dragover', over);
    removeEventListener('drop', listen);
  });
}
