import { ref, shallowRef, watch } from 'vue';
import type { Art } from '../../../core/art/index.ts';
import type { TextRange } from '../../../core/type/index.ts';
import type { NodePlace } from '../../../core/shape/index.ts';
import type { Selection } from './selection.ts';

/** A panel that lies over the bench. */
export type DeskPanel = 'faces' | 'forms' | 'ornaments' | 'start' | 'seen';

/** What the pointer and the keys do on the bench, and what is open over it. None of it is kept. */
export function useViewModes({ selected }: Selection) {
  /** The words that are being typed on the piece. */
  const typing = ref<string>();
  /** Letters marked in words that are being typed. */
  const marked = shallowRef<TextRange>({ start: 0, end: 0 });
  /** The node of a drawn line that is taken hold of. */
  const point = shallowRef<NodePlace>();
  /** Whether the pointer draws a line. */
  const drawing = ref(false);
  /** Counts the times at which words shall be typed in their card. */
  const cardTyping = ref(0);
  /** Whether the pointer measures. */
  const measuring = ref(false);
  /** Hears which art was chosen, while some is asked for. */
  const picking = shallowRef<(art: Art) => void>();
  /** The art of the job that is open on the art bench. */
  const preparing = ref<string>();
  const panel = ref<DeskPanel>();
  const listOpen = ref(false);
  /** Whether the house style is being set. */
  const settingHouseStyle = ref(false);

  watch(selected, () => {
    point.value = undefined;
    if (typing.value && !selected.value.includes(typing.value)) typing.value = undefined;
  });

  function typeInCard(): void {
    cardTyping.value++;
  }

  function pickArt(take: (art: Art) => void): void {
    picking.value = take;
  }

  /** Opens a panel, or closes it where it is the one that is open. */
  function toggle(one: DeskPanel): void {
    panel.value = panel.value === one ? undefined : one;
  }

  return {
    typing,
    marked,
    point,
    drawing,
    cardTyping,
    measuring,
    picking,
    preparing,
    panel,
    listOpen,
    settingHouseStyle,
    typeInCard,
    pickArt,
    toggle,
  };
}
