import { computed, ref, shallowRef } from 'vue';
import type { Result } from '../../../core/base/index.ts';
import { fileStem } from '../../../core/output/index.ts';
import { shapeSize } from '../../../core/shape/index.ts';
import {
  checkSpots,
  spotCount,
  spotPlaces,
  type PhotoTemplate,
  type SpotPlace,
  type Stock,
} from '../../../core/stock/index.ts';
import { calls } from '../../calls/index.ts';
import { useOneCall } from '../../ui/one-call.ts';
import { bytesOf, chooseFiles } from '../../storage/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';
import { useReadings } from './readings.ts';

type Corners = PhotoTemplate['corners'];

/** What a file brought: the labels that were found, and the picture that they were found in. */
interface Found {
  readonly stock: Result<Stock>;
  readonly photo: PhotoTemplate | undefined;
}

/** The sheets that a picture is most often of. */
export const PICTURED = {
  a4: { width: 210, height: 297 },
  letter: { width: 215.9, height: 279.4 },
  legal: { width: 215.9, height: 355.6 },
  a5: { width: 148, height: 210 },
} as const;

/** What they are called. */
export const PAPERS: Record<keyof typeof PICTURED, string> = {
  a4: 'A4',
  letter: 'US letter',
  legal: 'US legal',
  a5: 'A5',
};

const ACCEPT = '.pdf,.svg,.json,image/png,image/jpeg,image/webp';

/**
 * A die-cut sheet while it is described: by readings of a ruler, or by a picture or file in which its
 * labels are found and then corrected by hand.
 */
export function useTemplateEditor() {
  const messages = useMessages();
  const readings = useReadings();
  const found = shallowRef<Found>();
  const paper = ref<keyof typeof PICTURED>('a4');
  const { busy, answerOf, cancel } = useOneCall();
  const settingCorners = ref(false);
  const chosen = ref<number>();
  let file: { bytes: Uint8Array; name: string } | undefined;

  const made = computed((): Result<Stock> => found.value?.stock ?? readings.made.value);
  const stock = computed(() => (made.value.ok ? made.value.value : undefined));
  const wrong = computed(() => (made.value.ok ? undefined : made.value.problem));
  const photo = computed(() => found.value?.photo);

  async function look(corners?: Corners): Promise<void> {
    if (!file) return;
    chosen.value = undefined;
    const sheet = PICTURED[paper.value];
    const photo = { ...file, sheet, ...(corners ? { corners } : {}) };
    const read = await answerOf(calls.call('templateFromPhoto', photo));
    if (!read) return;
    if (!read.ok) return messages.sayProblem(read.problem);
    settingCorners.value = false;
    found.value = { photo: read.value, stock: read.value.stock };
    readings.draft.name ||= file.name.replace(/\.[^.]+$/, '');
  }

  /** Takes a picture, or a template file; of a PDF without outlines, its page is a picture. */
  async function take(files: readonly File[]): Promise<void> {
    const [first] = files;
    if (!first || busy.value) return;
    file = { bytes: await bytesOf(first), name: first.name };
    if (/^image\/(png|jpeg|webp)$/.test(first.type)) return look();
    const read = await answerOf(calls.call('readTemplate', file));
    if (!read) return;
    if (!read.ok && read.problem.code === 'stock/no-labels' && first.type === 'application/pdf')
      return look();
    if (!read.ok) return messages.sayProblem(read.problem);
    found.value = { photo: undefined, stock: read };
    readings.draft.name ||= read.value.name;
  }

  const choose = async (): Promise<void> => take(await chooseFiles(ACCEPT));

  /** Another set of places for the labels that were found. */
  function place(change: (places: readonly SpotPlace[]) => SpotPlace[]): void {
    const now = stock.value;
    if (!now?.spots || !found.value) return;
    const places = change(spotPlaces(now.spots));
    if (places.length === 0) return;
    const spots = { layout: 'free' as const, shape: now.spots.shape, places };
    const next = { ...now, spots };
    const closes = checkSpots(next);
    if (!closes.ok) return messages.sayProblem(closes.problem);
    found.value = { ...found.value, stock: { ok: true, value: next } };
  }

  function move(at: number, to: Partial<SpotPlace>): void {
    place((places) => places.map((one, index) => (index === at ? { ...one, ...to } : one)));
  }

  function remove(at: number): void {
    place((places) => places.filter((_, index) => index !== at));
    chosen.value = undefined;
  }

  /** One more label, in the first free place that is found. */
  function add(): void {
    const now = stock.value;
    if (!now?.spots) return;
    const { width, height } = shapeSize(now.spots.shape);
    const places = spotPlaces(now.spots);
    for (let y = height / 2; y + height / 2 <= now.height; y += 2)
      for (let x = width / 2; x + width / 2 <= now.width; x += 2) {
        const free = places.every(
          (one) => Math.abs(one.x - x) >= width || Math.abs(one.y - y) >= height,
        );
        if (!free) continue;
        place((all) => [...all, { x, y, angle: 0 }]);
        chosen.value = places.length;
        return;
      }
    messages.say(texts.stock.read.noRoom);
  }

  /** Begins with a sheet that is known already. */
  function edit(known: Stock): void {
    found.value = { stock: { ok: true, value: known }, photo: undefined };
    readings.draft.name = known.name;
    chosen.value = undefined;
    if (canCorrect.value) toReadings();
  }

  /** Goes on with the labels that the readings give, each by itself. */
  function byHand(): void {
    if (made.value.ok) found.value = { stock: made.value, photo: undefined };
  }

  /** Whether the labels found stand in rows and columns that readings can tell. */
  const canCorrect = computed(() => {
    const spots = stock.value?.spots;
    return (
      spots?.layout === 'grid' && ['circle', 'ellipse', 'rectangle'].includes(spots.shape.kind)
    );
  });

  /** Goes on with the readings that the labels found would give. */
  function toReadings(): void {
    if (stock.value) readings.takeFrom(stock.value);
    found.value = undefined;
    chosen.value = undefined;
  }

  /** Whether no cut line was seen, so that the one label is the sheet itself. */
  const isWhole = computed(() => {
    const now = stock.value;
    if (!now?.spots || !photo.value || spotCount(now.spots) !== 1) return false;
    const { width, height } = shapeSize(now.spots.shape);
    return width > now.width - 1 && height > now.height - 1;
  });

  /** The sheet to keep, under its name. */
  function finished(): Stock | undefined {
    const now = stock.value;
    if (!now?.spots) return undefined;
    const name =
      readings.draft.name.trim().slice(0, 120) || texts.stock.own.unnamed(spotCount(now.spots));
    return { ...now, id: `own-${fileStem(name)}`, name };
  }

  return {
    readings,
    found,
    photo,
    paper,
    busy,
    settingCorners,
    chosen,
    stock,
    wrong,
    isWhole,
    look,
    take,
    choose,
    cancel,
    move,
    remove,
    add,
    edit,
    byHand,
    canCorrect,
    toReadings,
    finished,
  };
}

export type TemplateEditor = ReturnType<typeof useTemplateEditor>;
