import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { ownPieces, type Job } from '../../../core/job/index.ts';
import { colorsOfPieces, thingOf, type PieceElement } from '../../../core/piece/index.ts';
import { dividingZones, zonesOf, type Zone } from '../../../core/things/index.ts';
import { useJobStore } from '../../session/job-store.ts';
import { offeredColors } from './palette.ts';

/** Which piece is on the desk and what of it is selected; the piece stands in the address. */
export function useSelection() {
  const store = useJobStore();
  const route = useRoute();
  const router = useRouter();
  const selected = ref<readonly string[]>([]);

  const pieceOf = (job: Job | undefined) => {
    const wanted = String(route.query.piece ?? '');
    const own = job ? ownPieces(job) : [];
    return own.find(({ id }) => id === wanted) ?? own[0];
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
  const edge = computed(() => committedPiece.value?.edge);
  /** What the parts of the label will be on its thing, where it has parts. */
  const zones = computed<readonly Zone[]>(() => {
    const { value: now } = committedPiece;
    const thing = now && thingOf(now, store.committed?.thing);
    return thing ? dividingZones(zonesOf(thing, now.edge)) : [];
  });
  /** The zone that is looked at closely. */
  const looked = shallowRef<Zone>();
  const zone = computed(() =>
    zones.value.includes(looked.value as Zone) ? looked.value : undefined,
  );
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
  /** The first of the selected elements, where all are of its kind. */
  const alike = computed(() => {
    const [first, ...others] = committedSelection.value;
    return others.every(({ kind }) => kind === first?.kind) ? first : undefined;
  });
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

  function show(id: string): void {
    store.showCopy(undefined);
    selected.value = [];
    void router.replace({ query: { piece: id } });
  }

  /** Looks at a zone closely, or at the whole again; says whether it is looked at. */
  function lookAtZone(one: Zone): boolean {
    looked.value = zone.value === one ? undefined : one;
    return looked.value !== undefined;
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

  return {
    store,
    piece,
    committedPiece,
    committedCompiled,
    compiled,
    folds,
    edge,
    zones,
    zone,
    lookAtZone,
    selected,
    elements,
    only,
    committedSelection,
    committedOnly,
    alike,
    colors,
    show,
    select,
    clear,
  };
}

export type Selection = ReturnType<typeof useSelection>;
