import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { PieceElement } from '../../../core/piece/index.ts';
import type { ElementChanges } from '../../../core/job/index.ts';
import { useJobStore } from '../store/job-store.ts';

/** Which piece is on the desk and what of it is selected; the piece stands in the address. */
export function useDeskState() {
  const store = useJobStore();
  const route = useRoute();
  const router = useRouter();
  const selected = ref<readonly string[]>([]);

  const piece = computed(() => {
    const wanted = String(route.query.piece ?? '');
    return store.job?.pieces.find(({ id }) => id === wanted) ?? store.job?.pieces[0];
  });
  const compiled = computed(() => piece.value && store.pieces.get(piece.value.id));
  /** Where the label is folded. */
  const folds = computed(() => compiled.value?.creases ?? []);
  const elements = computed<readonly PieceElement[]>(
    () => piece.value?.elements.filter(({ id }) => selected.value.includes(id)) ?? [],
  );
  const only = computed(() => (elements.value.length === 1 ? elements.value[0] : undefined));

  watch(
    () => route.query.element,
    (element) => {
      if (element) selected.value = [String(element)];
    },
    { immediate: true },
  );

  function show(id: string): void {
    selected.value = [];
    void router.replace({ query: { piece: id } });
  }

  function select(id: string, adding = false): void {
    if (!adding) selected.value = [id];
    else
      selected.value = selected.value.includes(id)
        ? selected.value.filter((one) => one !== id)
        : [...selected.value, id];
  }

  function clear(): void {
    selected.value = [];
  }

  /** Changes the selected elements alike; steps of the same key are one. */
  function change(changes: ElementChanges, key?: string): void {
    if (!piece.value || elements.value.length === 0) return;
    const all = Object.fromEntries(elements.value.map(({ id }) => [id, changes]));
    store.act(
      { name: 'change-elements', args: { piece: piece.value.id, changes: all } },
      key && `${key}:${selected.value.join()}`,
    );
  }

  function add(
    element: PieceElement,
    more: { art?: NonNullable<typeof store.job>['art'][string] } = {},
  ): void {
    if (!piece.value) return;
    const before = new Set(piece.value.elements.map(({ id }) => id));
    if (!store.act({ name: 'add-element', args: { piece: piece.value.id, element, ...more } }))
      return;
    selected.value = piece.value.elements.filter(({ id }) => !before.has(id)).map(({ id }) => id);
  }

  return {
    store,
    piece,
    compiled,
    folds,
    selected,
    elements,
    only,
    show,
    select,
    clear,
    change,
    add,
  };
}

export type DeskState = ReturnType<typeof useDeskState>;
