import { findNamedColor } from '../../color/index.ts';
import { copyOf, findArtNamed, type Job } from '../../job/index.ts';
import {
  fieldOf,
  fieldsOf,
  findQuantity,
  rowsOn,
  textsOf,
  unreadPlaceholders,
  withTexts,
  type List,
  type ListRow,
} from '../../piece/index.ts';
import { copyParts, MOST_COPIES } from '../../sheet/index.ts';
import type { Finding, FindingKind } from '../finding.ts';
import { rowLabel, some } from '../row-names.ts';

export const columnMissing: FindingKind = {
  code: 'column-missing',
  check: ({ compiled: { job } }) => {
    const columns = job.list?.columns ?? [];
    return job.pieces.flatMap((piece) =>
      piece.elements.flatMap((element): Finding[] => {
        const missing = [
          ...new Set(
            textsOf(element)
              .flatMap(fieldsOf)
              .filter((name) => !columns.includes(name)),
          ),
        ];
        if (missing.length === 0) return [];
        return [
          {
            code: 'column-missing',
            severity: 'warning',
            where: { piece: piece.id, element: element.id },
            values: { columns: missing, piece: piece.name, listed: job.list !== undefined },
          },
        ];
      }),
    );
  },
};

export const placeholderUnread: FindingKind = {
  code: 'placeholder-unread',
  check: ({ compiled: { job } }) =>
    job.pieces.flatMap((piece) =>
      piece.elements.flatMap((element): Finding[] => {
        const [first] = textsOf(element).flatMap(unreadPlaceholders);
        if (!first) return [];
        const { typed, meant } = first;
        const mended = meant && withTexts(element, (text) => text.replaceAll(typed, () => meant));
        return [
          {
            code: 'placeholder-unread',
            severity: 'warning',
            where: { piece: piece.id, element: element.id },
            values: { typed, ...(meant ? { meant } : {}), piece: piece.name },
            ...(mended && (mended.kind === 'words' || mended.kind === 'code')
              ? {
                  fix: {
                    code: 'write',
                    values: { text: meant },
                    call: {
                      name: 'change-elements',
                      args: {
                        piece: piece.id,
                        changes: { [element.id]: { text: mended.text } },
                        doing: 'mend',
                      },
                    },
                  },
                }
              : {}),
          },
        ];
      }),
    ),
};

/** What rows that print say in a column, each value once. */
const said = (list: List, column: string): string[] => [
  ...new Set(rowsOn(list).flatMap((row) => fieldOf(list, row, column) || [])),
];

/** The columns that pieces print, with the piece and element that does so first. */
function printedColumns({ list, pieces }: Job): Map<string, { piece: string; element: string }> {
  const found = new Map<string, { piece: string; element: string }>();
  for (const piece of pieces)
    for (const element of piece.elements)
      for (const column of textsOf(element).flatMap(fieldsOf))
        if (list?.columns.includes(column) && !found.has(column))
          found.set(column, { piece: piece.id, element: element.id });
  return found;
}

export const valueMissing: FindingKind = {
  code: 'value-missing',
  check: ({ compiled: { job } }) => {
    const { list } = job;
    if (!list) return [];
    return [...printedColumns(job)].flatMap(([column, where]): Finding[] => {
      const empty = rowsOn(list).filter((row) => fieldOf(list, row, column) === '');
      if (empty.length === 0) return [];
      return [
        {
          code: 'value-missing',
          severity: 'warning',
          where,
          values: { ...some(empty.map((row) => rowLabel(list, row))), column },
          fix: {
            code: 'leave-rows-out',
            values: { count: empty.length },
            call: { name: 'switch-rows', args: { rows: empty.map(({ key }) => key), on: false } },
          },
        },
      ];
    });
  },
};

export const quantityUnread: FindingKind = {
  code: 'quantity-unread',
  check: ({ compiled: { job } }) => {
    const { list } = job;
    const column = list?.quantity;
    if (!list || column === undefined || !job.plan.copiesPerRow) return [];
    const unread = rowsOn(list).filter((row) => findQuantity(list, row) === undefined);
    if (unread.length === 0) return [];
    const first = fieldOf(list, unread[0] as ListRow, column);
    return [
      {
        code: 'quantity-unread',
        severity: 'warning',
        where: {},
        values: { ...some(unread.map((row) => rowLabel(list, row))), typed: first, column },
        fix: {
          code: 'one-of-each',
          values: {},
          call: {
            name: 'change-fields',
            args: { fields: Object.fromEntries(unread.map(({ key }) => [key, { [column]: '1' }])) },
          },
        },
      },
    ];
  },
};

export const tooManyCopies: FindingKind = {
  code: 'too-many-copies',
  check: ({ compiled: { job } }) => {
    const { list } = job;
    if (!list) return [];
    const one = rowsOn(list).reduce((sum, row) => sum + (findQuantity(list, row) ?? 0), 0);
    return Object.entries(job.plan.copiesPerRow ?? {}).flatMap(([piece, each]): Finding[] => {
      if (one * each <= MOST_COPIES) return [];
      return [
        {
          code: 'too-many-copies',
          severity: 'blocker',
          where: { piece },
          values: { copies: one * each, most: MOST_COPIES },
        },
      ];
    });
  },
};

export const pictureUnfound: FindingKind = {
  code: 'picture-unfound',
  check: ({ compiled: { job } }) => {
    const { list } = job;
    return (list?.pictures ?? []).flatMap(({ column, piece, element }): Finding[] => {
      if (!list) return [];
      const lost = said(list, column).filter((name) => findArtNamed(job.art, name) === undefined);
      if (lost.length === 0) return [];
      return [
        {
          code: 'picture-unfound',
          severity: 'warning',
          where: { piece, element },
          values: { ...some(lost), column },
        },
      ];
    });
  },
};

export const colorUnread: FindingKind = {
  code: 'color-unread',
  check: ({ compiled: { job } }) => {
    const { list } = job;
    return (list?.colors ?? []).flatMap(({ column }): Finding[] => {
      if (!list) return [];
      const lost = said(list, column).filter((name) => findNamedColor(name) === undefined);
      if (lost.length === 0) return [];
      return [
        {
          code: 'color-unread',
          severity: 'warning',
          where: {},
          values: { ...some(lost), column },
        },
      ];
    });
  },
};

export const oneOffEmpty: FindingKind = {
  code: 'one-off-empty',
  check: ({ compiled: { job } }) =>
    Object.entries(job.oneOffs ?? {}).flatMap(([copy, { elements = {}, out }]): Finding[] => {
      const emptied = Object.entries(elements).find(([, { changes }]) => changes.text === '');
      if (!emptied || out || !copyOf(job, copy)) return [];
      const { piece } = copyParts(copy);
      return [
        {
          code: 'one-off-empty',
          severity: 'note',
          where: { piece, element: emptied[0], copy },
          values: { piece: job.pieces.find(({ id }) => id === piece)?.name ?? '' },
          fix: {
            code: 'return-to-piece',
            values: {},
            call: { name: 'return-one-offs', args: { copies: [copy] } },
          },
        },
      ];
    }),
};
