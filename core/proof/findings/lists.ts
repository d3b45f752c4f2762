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
import { rowName, some } from '../row-names.ts';

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
        const asked = missing.map((name) => `{${name}}`).join(', ');
        return [
          {
            code: 'column-missing',
            severity: 'warning',
            where: { piece: piece.id, element: element.id },
            what: job.list
              ? `The list has no column for ${asked} on “${piece.name}”.`
              : `${asked} on “${piece.name}” waits for a list.`,
            why: 'It would be printed as it is typed. In a PDF to fill in it is a field.',
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
            what: `${typed} on “${piece.name}” is printed as it is typed${meant ? `; ${meant} may be meant` : ''}.`,
            why: 'Numbers are {#001}, days {today}, {today+90d} or {today:dd.MM.yyyy}, columns of a list {name}.',
            ...(mended && (mended.kind === 'words' || mended.kind === 'code')
              ? {
                  fix: {
                    label: `Write ${meant}`,
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
          what:
            empty.length === 1
              ? `${rowName(list, empty[0] as ListRow)} has no ${column}.`
              : `${empty.length} rows have no ${column}: ${some(empty.map((row) => rowName(list, row)))}.`,
          why: 'Their labels would have a gap there.',
          fix: {
            label:
              empty.length === 1 ? 'Leave this row out' : `Leave these ${empty.length} rows out`,
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
        what: `“${first}” is no number of copies for ${some(unread.map((row) => rowName(list, row)))}.`,
        why: `Rows whose ${column} is not read as a whole number up to 1,000 print nothing.`,
        fix: {
          label: 'Print one of each',
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
          what: `The list asks for ${one * each} copies; a job makes ${MOST_COPIES} of a piece at most.`,
          why: 'Those of its last rows would be missing. Switch rows off and print them in a second run.',
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
          what: `No picture is called ${some(lost.map((name) => `“${name}”`))}.`,
          why: `Rows that name one in ${column} show the picture of the piece. Put it into the Art drawer under that name, then choose the column for the picture again.`,
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
          what: `${some(lost.map((name) => `“${name}”`))} in ${column} is no colour.`,
          why: 'Those rows keep the colour of the piece. Write #5d2a53, or an English name such as teal.',
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
          what: `One copy of “${job.pieces.find(({ id }) => id === piece)?.name ?? ''}” has words of its own that say nothing.`,
          why: 'It would be printed with a gap.',
          fix: {
            label: 'Go back to the piece',
            call: { name: 'return-one-offs', args: { copies: [copy] } },
          },
        },
      ];
    }),
};
