import { computed, ref, shallowRef, watch } from 'vue';
import {
  USUAL_CLEARING,
  USUAL_SPLITTING,
  type Art,
  type Clearing,
  type PagePart,
} from '../../../core/art/index.ts';
import type { Point } from '../../../core/geometry/index.ts';
import type { PlacedArt, ShownSplit, SplitRequest } from '../../../core/prepare/index.ts';
import { artCalls } from '../../calls/index.ts';
import { texts } from '../../texts/index.ts';
import { useMessages } from '../../ui/messages-store.ts';

/** A piece as it stands on the page: parts that were joined, or patches of one that was taken apart. */
export interface ShownPart extends PagePart {
  readonly kept: boolean;
}

/** A page that is being split into pieces of art. */
export function useSplitEditor(art: () => Art | undefined, clear: () => Clearing | null) {
  const messages = useMessages();
  const gap = ref<number>(USUAL_SPLITTING.gap);
  const least = ref<number>(USUAL_SPLITTING.least);
  const cuts = shallowRef<readonly { from: Point; to: Point }[]>([]);
  const split = shallowRef<ShownSplit>();
  const parts = shallowRef<readonly ShownPart[]>([]);
  const chosen = ref<readonly number[]>([]);
  const busy = ref(false);
  let asked = 0;

  const request = computed<SplitRequest | undefined>(() => {
    const page = art();
    return (
      page && {
        art: page,
        dpi: 300,
        clear: clear() ?? USUAL_CLEARING,
        gap: gap.value,
        least: least.value,
        cuts: cuts.value,
      }
    );
  });

  async function look(): Promise<void> {
    const wanted = request.value;
    const number = ++asked;
    if (!wanted) return;
    busy.value = true;
    try {
      const done = await artCalls.call('splitArt', wanted).answer;
      if (number !== asked) return;
      if (!done.ok) return messages.sayProblem(done.problem);
      split.value = done.value;
      // Headlines are proposed to be dropped.
      parts.value = done.value.parts.map((part) => ({ ...part, kept: !part.title }));
      chosen.value = [];
    } catch (error) {
      messages.sayError(error);
    } finally {
      if (number === asked) busy.value = false;
    }
  }
  watch([gap, least, cuts], () => void look());

  /** One piece is chosen; a second one beside it makes two that can be joined. */
  function choose(at: number): void {
    if (chosen.value.includes(at)) chosen.value = chosen.value.filter((one) => one !== at);
    else chosen.value = [...chosen.value.slice(-1), at];
  }

  function toggle(at: number): void {
    parts.value = parts.value.map((part, index) =>
      index === at ? { ...part, kept: !part.kept } : part,
    );
  }

  function joinChosen(): void {
    const [one, other] = chosen.value.map((at) => parts.value[at]);
    if (!one || !other) return;
    const joined: ShownPart = {
      ...around([one, other]),
      title: false,
      kept: true,
      patches: [...one.patches, ...other.patches],
    };
    parts.value = parts.value.flatMap((part) =>
      part === one ? [joined] : part === other ? [] : [part],
    );
    chosen.value = [parts.value.indexOf(joined)];
  }

  function takeApart(at: number): void {
    const part = parts.value[at];
    const page = split.value;
    if (!part || !page) return;
    const single = part.patches.flatMap((patch): ShownPart[] => {
      const box = page.boxes[patch];
      return box ? [{ ...box, title: false, kept: true, patches: [patch] }] : [];
    });
    parts.value = parts.value.flatMap((one) => (one === part ? single : [one]));
    chosen.value = [];
  }

  const kept = computed(() => parts.value.filter((part) => part.kept));

  /** The kept pieces as art of their own. */
  async function make(): Promise<readonly PlacedArt[]> {
    const wanted = request.value;
    if (!wanted) return [];
    busy.value = true;
    try {
      const groups = kept.value.map(({ patches }) => patches);
      const names = groups.map((_, at) => `${wanted.art.name} ${at + 1}`.slice(0, 200));
      const made = await artCalls.call('partsOfArt', { request: wanted, groups, names }).answer;
      if (made.ok) return made.value;
      messages.sayProblem(made.problem);
    } catch (error) {
      messages.sayError(error);
    } finally {
      busy.value = false;
    }
    return [];
  }

  const words = computed(() =>
    [texts.art.bench.split(kept.value.length), texts.art.bench.specks(split.value?.specks ?? 0)]
      .filter(Boolean)
      .join(' · '),
  );

  return {
    gap,
    least,
    cuts,
    split,
    parts,
    chosen,
    kept,
    busy,
    words,
    look,
    choose,
    toggle,
    joinChosen,
    takeApart,
    make,
  };
}

export type SplitEditor = ReturnType<typeof useSplitEditor>;

function around(parts: readonly PagePart[]): Omit<PagePart, 'title' | 'patches'> {
  return {
    left: Math.min(...parts.map(({ left }) => left)),
    top: Math.min(...parts.map(({ top }) => top)),
    right: Math.max(...parts.map(({ right }) => right)),
    bottom: Math.max(...parts.map(({ bottom }) => bottom)),
    area: parts.reduce((sum, { area }) => sum + area, 0),
  };
}
