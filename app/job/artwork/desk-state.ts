import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { Art } from '../../../core/art/index.ts';
import type { Point } from '../../../core/geometry/index.ts';
import {
  tryCommand,
  type CommandCall,
  type ElementChanges,
  type Job,
} from '../../../core/job/index.ts';
import { colorsOfPieces, type Piece, type PieceElement } from '../../../core/piece/index.ts';
import type { NodePlace } from '../../../core/shape/index.ts';
import { useJobStore } from '../store/job-store.ts';
import { copyableStyle } from './copyable-style.ts';
import { offeredColors } from './palette.ts';

/** Letters marked in words that are being typed: from one index of the text to behind another. */
export interface TextSelection {
  readonly start: number;
  readonly end: number;
}

/** Which piece is on the desk and what of it is selected; the piece stands in the address. */
export function useDeskState() {
  const store = useJobStore();
  const route = useRoute();
  const router = useRouter();
  const selected = ref<readonly string[]>([]);
  /** The words that are being typed on the piece. */
  const typing = ref<string>();
  const marked = shallowRef<TextSelection>({ start: 0, end: 0 });
  /** The node of a drawn line that is taken hold of. */
  const point = shallowRef<NodePlace>();
  /** Whether the pointer draws a line. */
  const drawing = ref(false);
  /** The element whose look was copied. */
  const look = shallowRef<PieceElement>();
  /** Counts the times at which words shall be typed in their card. */
  const cardTyping = ref(0);
  /** Whether the pointer measures. */
  const measuring = ref(false);
  /** Hears which art was chosen, while some is asked for. */
  const picking = shallowRef<(art: Art) => void>();

  const pieceOf = (job: Job | undefined) => {
    const wanted = String(route.query.piece ?? '');
    return job?.pieces.find(({ id }) => id === wanted) ?? job?.pieces[0];
  };
  const piece = computed(() => pieceOf(store.job));
  const committedPiece = computed(() => pieceOf(store.committed));
  /** The piece as it stands without what a gesture is just doing, compiled. */
  const committedCompiled = computed(
    () =>
      committedPiece.value &&
      store.committed &&
      store.compiled(store.committed, committedPiece.value),
  );
  const compiled = computed(() => piece.value && store.pieces.get(piece.value.id));
  /** Where the label is folded. */
  const folds = computed(() => compiled.value?.creases ?? []);
  const elements = computed<readonly PieceElement[]>(
    () => piece.value?.elements.filter(({ id }) => selected.value.includes(id)) ?? [],
  );
  const only = computed(() => (elements.value.length === 1 ? elements.value[0] : undefined));
  /** The same as they stand without what a gesture is just doing: cards about them stay as they are. */
  const committedSelection = computed<readonly PieceElement[]>(
    () => committedPiece.value?.elements.filter(({ id }) => selected.value.includes(id)) ?? [],
  );
  const committedOnly = computed(() =>
    committedSelection.value.length === 1 ? committedSelection.value[0] : undefined,
  );
  /** The colours offered: those that the piece is drawn in come first. */
  const colors = computed(() =>
    offeredColors(committedPiece.value ? colorsOfPieces([committedPiece.value]) : []),
  );

  watch(
    () => route.query.element,
    (element) => {
      if (element) selected.value = [String(element)];
    },
    { immediate: true },
  );
  watch(selected, () => {
    point.value = undefined;
    if (typing.value && !selected.value.includes(typing.value)) typing.value = undefined;
  });

  function show(id: string): void {
    store.showCopy(undefined);
    selected.value = [];
    void router.replace({ query: { piece: id } });
  }

  /** An element with the others of its group. */
  function grouped(id: string): string[] {
    const all = piece.value?.elements ?? [];
    const group = all.find((one) => one.id === id)?.group;
    return group === undefined
      ? [id]
      : all.filter((one) => one.group === group).map((one) => one.id);
  }

  /** @param alone the element itself and not its group */
  function select(id: string, adding = false, alone = false): void {
    const ids = alone ? [id] : grouped(id);
    if (!adding) selected.value = ids;
    else
      selected.value = selected.value.includes(id)
        ? selected.value.filter((one) => !ids.includes(one))
        : [...selected.value, ...ids];
  }

  function clear(): void {
    selected.value = [];
  }

  function callFor(change: (element: PieceElement) => ElementChanges, art?: Art, doing?: string) {
    if (!piece.value || elements.value.length === 0) return undefined;
    const changes = Object.fromEntries(elements.value.map((one) => [one.id, change(one)]));
    return {
      name: 'change-elements' as const,
      args: {
        piece: piece.value.id,
        changes,
        ...(art ? { art } : {}),
        ...(doing === undefined ? {} : { doing }),
      },
    };
  }

  /** Changes each selected element; steps of the same key are one. */
  function changeEach(
    change: (element: PieceElement) => ElementChanges,
    { key, art, doing }: { key?: string; art?: Art | undefined; doing?: string } = {},
  ): void {
    const call = callFor(change, art, doing);
    if (call) store.act(call, key && `${key}:${selected.value.join()}`);
  }

  /** Changes the selected elements alike; steps of the same key are one. */
  function change(changes: ElementChanges, key?: string, art?: Art): void {
    changeEach(() => changes, { ...(key === undefined ? {} : { key }), art });
  }

  /** Changes the selected elements in a step that may still grow. */
  function stage(changes: ElementChanges, key: string): void {
    const call = callFor(() => changes);
    if (call) store.stage(call, `${key}:${selected.value.join()}`);
  }

  /** The job with the selected elements changed, to be looked at only. */
  function tried(change: (element: PieceElement) => ElementChanges): Job | undefined {
    const call = callFor(change);
    return call && store.committed && tryCommand(store.committed, call);
  }

  function add(element: PieceElement, more: { art?: Art } = {}): void {
    addAll([element], more.art ? { art: [more.art] } : {});
  }

  function addAll(
    added: readonly PieceElement[],
    more: { art?: readonly Art[]; doing?: string } = {},
  ): void {
    if (!piece.value || added.length === 0) return;
    const [first] = added;
    addBy(
      added.length === 1 && first && more.doing === undefined
        ? {
            name: 'add-element',
            args: {
              piece: piece.value.id,
              element: first,
              ...(more.art?.[0] ? { art: more.art[0] } : {}),
            },
          }
        : { name: 'add-elements', args: { piece: piece.value.id, elements: added, ...more } },
    );
  }

  /** Does a step and selects the elements that it has added. */
  function addBy(call: CommandCall): void {
    const before = new Set(piece.value?.elements.map(({ id }) => id));
    if (store.act(call))
      selected.value =
        piece.value?.elements.flatMap(({ id }) => (before.has(id) ? [] : [id])) ?? [];
  }

  function addTo(make: (now: Piece) => PieceElement): void {
    if (piece.value) add(make(piece.value));
  }

  function nudge({ x, y }: Point): void {
    const moving = elements.value.filter(({ locked }) => !locked);
    if (!piece.value || moving.length === 0) return;
    const changes = Object.fromEntries(
      moving.map((one) => [one.id, { x: one.x + x, y: one.y + y }]),
    );
    store.act(
      { name: 'change-elements', args: { piece: piece.value.id, changes, doing: 'nudge' } },
      `nudge:${selected.value.join()}`,
    );
  }

  function remove(): void {
    if (piece.value)
      store.act({
        name: 'delete-elements',
        args: { piece: piece.value.id, elements: selected.value },
      });
  }

  function duplicate(): void {
    if (piece.value)
      addBy({
        name: 'duplicate-elements',
        args: { piece: piece.value.id, elements: selected.value },
      });
  }

  function typeInCard(): void {
    cardTyping.value++;
  }

  function copyLook(element: PieceElement): void {
    look.value = element;
  }

  function pasteLook(): void {
    const { value } = look;
    if (value) changeEach((element) => copyableStyle(value, element), { doing: 'give a look to' });
  }

  function pickArt(take: (art: Art) => void): void {
    picking.value = take;
  }

  return {
    store,
    piece,
    committedPiece,
    committedCompiled,
    look,
    copyLook,
    pasteLook,
    compiled,
    folds,
    selected,
    elements,
    only,
    committedSelection,
    committedOnly,
    colors,
    typing,
    marked,
    point,
    drawing,
    measuring,
    picking,
    cardTyping,
    typeInCard,
    pickArt,
    show,
    select,
    clear,
    change,
    changeEach,
    stage,
    tried,
    add,
    addAll,
    addBy,
    addTo,
    nudge,
    remove,
    duplicate,
  };
}

export type DeskState = ReturnType<typeof useDeskState>;
