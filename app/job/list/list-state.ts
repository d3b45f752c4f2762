import { computed, ref, type Ref } from 'vue';
import { fieldOf, longestRows, type List, type ListRow } from '../../../core/piece/index.ts';
import { isByRow } from '../../../core/sheet/index.ts';
import type { DeskState } from '../artwork-state/desk-state.ts';

/** A row with its number in the list, from 1. */
export interface NumberedRow {
  readonly row: ListRow;
  readonly number: number;
}

/** How many pixels a letter of a field takes, and between which widths columns lie. */
const LETTER = 7.4;
const WIDTHS = { least: 96, most: 260, room: 34, bound: 62 };
const LOOKED_AT = 300;

/** The list of the job on the desk: which rows are looked at, and what is done with them. */
export function useListState(desk: DeskState) {
  const { store } = desk;
  const sought = ref('');
  const list = computed<List | undefined>(() => store.job?.list);
  const rows = computed<readonly NumberedRow[]>(
    () => list.value?.rows.map((row, at) => ({ row, number: at + 1 })) ?? [],
  );
  const found = computed(() => {
    const word = sought.value.trim().toLowerCase();
    if (word === '') return rows.value;
    return rows.value.filter(({ row }) =>
      row.fields.some((field) => field.toLowerCase().includes(word)),
    );
  });
  const widths = computed(() =>
    (list.value?.columns ?? []).map((column, at) => {
      const letters = rows.value
        .slice(0, LOOKED_AT)
        .reduce((most, { row }) => Math.max(most, row.fields[at]?.length ?? 0), column.length);
      const width = Math.min(WIDTHS.most, Math.max(WIDTHS.least, letters * LETTER + WIDTHS.room));
      const { quantity, colors = [] } = list.value ?? {};
      const bound = quantity === column || colors.some((one) => one.column === column);
      return width + (bound ? WIDTHS.bound : 0);
    }),
  );

  /** Takes a list for the job; each of its rows is a copy of the piece on the desk. */
  function take(next: List): boolean {
    const key = `list:${next.rows.length}`;
    if (!store.act({ name: 'set-list', args: { list: next } }, key)) return false;
    const { committed: job } = store;
    const piece = desk.piece.value?.id;
    if (job && piece !== undefined && !isByRow(job, piece))
      store.act({ name: 'want-rows', args: { piece, each: 1 } }, key);
    const [first] = job?.list?.rows ?? [];
    if (first) store.showRow(first.key);
    return true;
  }

  /** The row that is longest when it is set: of those with most letters the one that comes out smallest. */
  function longest(
    column: string,
  ): { row: ListRow; said: string; size: number | undefined } | undefined {
    const [job, piece] = [store.committed, desk.committedPiece.value];
    if (!job?.list || !piece) return undefined;
    const tried = longestRows(job.list, column, 5).map((row) => ({
      row,
      said: job.list ? fieldOf(job.list, row, column) : '',
      size: sizeOf(row, column),
    }));
    return tried.reduce<(typeof tried)[number] | undefined>(
      (worst, one) => (worst && (worst.size ?? Infinity) <= (one.size ?? Infinity) ? worst : one),
      undefined,
    );
  }

  /** The size that words with a column come to on a row, pt. */
  function sizeOf(row: ListRow, column: string): number | undefined {
    const [job, piece] = [store.committed, desk.committedPiece.value];
    if (!job || !piece) return undefined;
    const sizes = store
      .asRow(job, piece, row)
      .elements.flatMap(({ element, compiled }) =>
        element.kind === 'words' && element.text.includes(`{${column}}`) && compiled.words
          ? [compiled.words.size]
          : [],
      );
    return sizes.length ? Math.min(...sizes) : undefined;
  }

  return { store, list, rows, found, sought, widths, take, longest };
}

export type ListState = ReturnType<typeof useListState>;

/** The rows of a table that scrolls which are seen, of rows of one height. */
export function useSeenRows<T>(rows: Ref<readonly T[]>, height: number) {
  const top = ref(0);
  const room = ref(400);
  const first = computed(() => Math.max(0, Math.floor(top.value / height) - 3));
  const seen = computed(() =>
    rows.value.slice(first.value, first.value + Math.ceil(room.value / height) + 6),
  );
  function scrolled(event: Event): void {
    const { scrollTop, clientHeight } = event.target as HTMLElement;
    top.value = scrollTop;
    room.value = clientHeight;
  }
  return { first, seen, scrolled };
}
