import { artSchema, type Art } from '../art/index.ts';
import type { z } from 'zod';
import { isProblem, seededRandom, valueAt, valueIssue, type Problem } from '../base/index.ts';
import {
  color,
  fieldsInOrder,
  columnName,
  freshKeys,
  LIST_LIMITS,
  replaceList,
  listSchema,
  withTexts,
  type List,
  type ListRow,
} from '../piece/index.ts';
import { withArt, type Command } from './command.ts';
import { refused } from './command-problems.ts';
import type { Job } from './schema.ts';
import { MOST_A_ROW } from './sheet-commands.ts';

/** The job with another list; one that its schema refuses is told. */
function withList(job: Job, list: List): Job | Problem {
  const read = listSchema.safeParse(list);
  if (read.success) return { ...job, list: read.data };
  return refusedList(list, read.error);
}

/** Why a list cannot be, with the row in which it is. */
function refusedList(list: List, { issues: [first] }: z.ZodError): Problem {
  const row = first?.path[0] === 'rows' ? first.path[1] : undefined;
  return refused('list-issue', {
    ...(typeof row === 'number' ? { row: row + 1 } : {}),
    issue: first ? valueIssue(first, valueAt(list, first.path)) : { rule: 'unfit' },
  });
}

/** The list of a job changed, with what has not changed left as it is. */
function changed(job: Job, change: (list: List) => List | Problem): Job | Problem {
  if (!job.list) return refused('no-list');
  const made = change(job.list);
  return isProblem(made) ? made : made === job.list ? job : { ...job, list: made };
}

const atColumn = (list: List, column: string): number | Problem => {
  const at = list.columns.indexOf(column);
  return at < 0 ? refused('no-column', { column }) : at;
};

/** Order as people look things up: numbers by their size, capitals like small letters. */
const inOrder = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** The changes of the list whose rows fill copies. */
export const LIST_COMMANDS = {
  /** Another list, or none; rows that stay keep what hangs on them. */
  'set-list': {
    run: (job, { list }) => {
      const { list: before, ...rest } = job;
      if (!list) {
        const { copiesPerRow, ...plan } = job.plan;
        void copiesPerRow; // without rows copies are counted again
        return before ? { ...rest, plan } : job;
      }
      return withList(job, before ? replaceList(before, list) : list);
    },
  } satisfies Command<{ list: List | undefined }>,

  /** What stands in fields, by the keys of their rows and the names of their columns. */
  'change-fields': {
    run: (job, { fields }) =>
      changed(job, (list) => {
        let failure: Problem | undefined;
        const rows = list.rows.map((row): ListRow => {
          const own = fields[row.key];
          if (!own) return row;
          const next = fieldsInOrder(list, row.fields);
          for (const [column, text] of Object.entries(own)) {
            const at = atColumn(list, column);
            if (isProblem(at)) failure = at;
            else if (text.length > LIST_LIMITS.letters)
              failure = refused('long-field', { letters: text.length });
            else next[at] = text;
          }
          return { ...row, fields: next };
        });
        return failure ?? { ...list, rows };
      }),
  } satisfies Command<{ fields: Readonly<Record<string, Readonly<Record<string, string>>>> }>,

  /** A table put in from a field on, as a spreadsheet does it: rows that are not there yet are added. */
  'paste-fields': {
    run: (job, { row, column, table }) =>
      changed(job, (list) => {
        const at = atColumn(list, column);
        if (isProblem(at)) return at;
        const start = Math.max(
          0,
          list.rows.findIndex(({ key }) => key === row),
        );
        const keys = freshKeys(
          table.length,
          list.rows.map(({ key }) => key),
        );
        const rows = [...list.rows];
        for (const [line, fields] of table.entries()) {
          const before = rows[start + line] ?? {
            key: keys[line] ?? '',
            fields: list.columns.map(() => ''),
          };
          const put = (old: string, place: number): string => fields[place - at]?.trim() ?? old;
          rows[start + line] = {
            ...before,
            fields: fieldsInOrder(list, before.fields).map((old, place) =>
              place < at ? old : put(old, place),
            ),
          };
        }
        const read = listSchema.safeParse({ ...list, rows });
        return read.success ? read.data : refusedList({ ...list, rows }, read.error);
      }),
  } satisfies Command<{
    row: string;
    column: string;
    table: readonly (readonly string[])[];
  }>,

  /** Empty rows, or rows with these fields, behind a row or at the end. */
  'add-rows': {
    run: (job, { rows, behind }) => {
      const before: List = job.list ?? { columns: ['name'], rows: [] };
      if (before.rows.length + rows.length > LIST_LIMITS.rows)
        return refused('list-too-long', {
          rows: before.rows.length + rows.length,
          most: LIST_LIMITS.rows,
        });
      const keys = freshKeys(
        rows.length,
        before.rows.map(({ key }) => key),
      );
      const added = rows.map((fields, at): ListRow => ({
        key: keys[at] ?? '',
        fields: fieldsInOrder(before, fields),
      }));
      const found = before.rows.findIndex(({ key }) => key === behind);
      const at = found < 0 ? before.rows.length : found + 1;
      return withList(job, { ...before, rows: before.rows.toSpliced(at, 0, ...added) });
    },
  } satisfies Command<{ rows: readonly (readonly string[])[]; behind?: string }>,

  'delete-rows': {
    run: (job, { rows }) => {
      const away = new Set(rows);
      return changed(job, (list) => ({
        ...list,
        rows: list.rows.filter(({ key }) => !away.has(key)),
      }));
    },
  } satisfies Command<{ rows: readonly string[] }>,

  /** Whether rows print. */
  'switch-rows': {
    run: (job, { rows, on }) => {
      const meant = new Set(rows);
      return changed(job, (list) => ({
        ...list,
        rows: list.rows.map((row): ListRow => {
          if (!meant.has(row.key) || !row.off === on) return row;
          const { off, ...rest } = row;
          void off;
          return on ? rest : { ...rest, off: true };
        }),
      }));
    },
  } satisfies Command<{ rows: readonly string[]; on: boolean }>,

  /** Rows in the order of a column; those that say the same stay as they stood. Empty fields come last. */
  'sort-list': {
    run: (job, { column, down = false }) =>
      changed(job, (list) => {
        const at = atColumn(list, column);
        if (isProblem(at)) return at;
        const rows = [...list.rows].sort((one, other) => {
          const [a, b] = [one.fields[at] ?? '', other.fields[at] ?? ''];
          if (a === '' || b === '') return Number(a === '') - Number(b === '');
          return inOrder.compare(a, b) * (down ? -1 : 1);
        });
        return { ...list, rows };
      }),
  } satisfies Command<{ column: string; down?: boolean }>,

  'add-column': {
    run: (job, { name }) => {
      const before: List = job.list ?? { columns: [], rows: [] };
      const column = columnName(name, before.columns, before.columns.length + 1);
      return withList(job, {
        ...before,
        columns: [...before.columns, column],
        rows: before.rows.map((row) => ({
          ...row,
          fields: [...fieldsInOrder(before, row.fields), ''],
        })),
      });
    },
  } satisfies Command<{ name: string }>,

  /** Another name for a column, wherever a placeholder has it. */
  'rename-column': {
    run: (job, { column, name }) => {
      const next = changed(job, (list) => {
        const at = atColumn(list, column);
        if (isProblem(at)) return at;
        const others = list.columns.filter((one) => one !== column);
        const made = columnName(name, others, at + 1);
        const renamed = <B extends { column: string }>(bound: B): B =>
          bound.column === column ? { ...bound, column: made } : bound;
        return {
          ...list,
          columns: list.columns.with(at, made),
          ...(list.quantity === column ? { quantity: made } : {}),
          ...(list.colors ? { colors: list.colors.map(renamed) } : {}),
          ...(list.pictures ? { pictures: list.pictures.map(renamed) } : {}),
        };
      });
      if (isProblem(next)) return next;
      const made = next.list?.columns[job.list?.columns.indexOf(column) ?? -1] ?? name;
      const swap = (text: string): string => text.replaceAll(`{${column}}`, () => `{${made}}`);
      return {
        ...next,
        pieces: next.pieces.map((piece) => ({
          ...piece,
          elements: piece.elements.map((element) => withTexts(element, swap)),
        })),
      };
    },
  } satisfies Command<{ column: string; name: string }>,

  'delete-column': {
    run: (job, { column }) => {
      if (job.list?.columns.length === 1) return refused('only-column');
      return changed(job, (list) => {
        const at = atColumn(list, column);
        if (isProblem(at)) return at;
        const { quantity, colors, pictures, ...rest } = list;
        const others = (bound: { column: string }): boolean => bound.column !== column;
        return {
          ...rest,
          columns: list.columns.toSpliced(at, 1),
          rows: list.rows.map((row) => ({ ...row, fields: row.fields.toSpliced(at, 1) })),
          ...(quantity !== undefined && quantity !== column ? { quantity } : {}),
          ...(colors?.some(others) ? { colors: colors.filter(others) } : {}),
          ...(pictures?.some(others) ? { pictures: pictures.filter(others) } : {}),
        };
      });
    },
  } satisfies Command<{ column: string }>,

  /** Which column says how many copies a row gives; none gives one each. */
  'bind-quantity': {
    run: (job, { column }) =>
      changed(job, ({ quantity, ...list }) => {
        void quantity;
        if (column === undefined) return list;
        const at = atColumn(list, column);
        return isProblem(at) ? at : { ...list, quantity: column };
      }),
  } satisfies Command<{ column: string | undefined }>,

  /** A colour of the pieces that a column says anew for each row, or no longer. */
  'bind-color': {
    run: (job, { color: typed, column }) =>
      changed(job, ({ colors = [], ...list }) => {
        const read = color.safeParse(typed);
        if (!read.success) return refused('colour-unread', { typed });
        const key = read.data.toLowerCase();
        const others = colors.filter((one) => one.color !== key);
        const next = column === undefined ? others : [...others, { column, color: key }];
        return next.length ? { ...list, colors: next } : list;
      }),
  } satisfies Command<{ color: string; column: string | undefined }>,

  /** A picture that shows what a column names, or no longer; art of that name comes with it. */
  'bind-picture': {
    run: (job, { piece, element, column, art = [] }) => {
      if (!art.every((one) => artSchema.safeParse(one).success)) return refused('art-damaged');
      const made = changed(job, ({ pictures = [], ...list }) => {
        const others = pictures.filter((one) => one.piece !== piece || one.element !== element);
        const next = column === undefined ? others : [...others, { column, piece, element }];
        return next.length ? { ...list, pictures: next } : list;
      });
      return withArt(made, art);
    },
  } satisfies Command<{
    piece: string;
    element: string;
    column: string | undefined;
    art?: readonly Art[];
  }>,

  /** Art that rows name and that the job did not have yet. */
  'add-row-art': {
    run: (job, { art }) =>
      art.every((one) => artSchema.safeParse(one).success)
        ? withArt(job, art)
        : refused('art-damaged'),
  } satisfies Command<{ art: readonly Art[] }>,

  /** Numbers in a column, in steps and with zeros before them, in order or drawn at random. */
  'number-rows': {
    run: (job, { column, from, step = 1, digits = 1, draw }) =>
      changed(job, (list) => {
        const at = atColumn(list, column);
        if (isProblem(at)) return at;
        if (![from, step, digits].every(Number.isInteger) || digits < 1 || digits > 12)
          return refused('numbers-unfit');
        const numbers = list.rows.map((_, row) => from + row * step);
        if (draw !== undefined) shuffle(numbers, draw);
        const written = (number: number): string =>
          (number < 0 ? '-' : '') + String(Math.abs(number)).padStart(digits, '0');
        const rows = list.rows.map((row, place) => ({
          ...row,
          fields: fieldsInOrder(list, row.fields).with(at, written(numbers[place] ?? 0)),
        }));
        return { ...list, rows };
      }),
  } satisfies Command<{
    column: string;
    from: number;
    step?: number;
    digits?: number;
    /** The seed of the draw; the same one draws the same again. */
    draw?: number;
  }>,

  /** How many copies each row gives of a piece; undefined counts its copies as those of any piece. */
  'want-rows': {
    run: (job, { piece, each }) => {
      if (!job.list) return refused('rows-without-list');
      if (each !== undefined && !(Number.isInteger(each) && each >= 1 && each <= MOST_A_ROW))
        return refused('copies-of-row', { count: each });
      const { [piece]: before, ...others } = job.plan.copiesPerRow ?? {};
      void before;
      const next = each === undefined ? others : { ...others, [piece]: each };
      const { copiesPerRow: was, ...plan } = job.plan;
      void was;
      return { ...job, plan: Object.keys(next).length ? { ...plan, copiesPerRow: next } : plan };
    },
  } satisfies Command<{ piece: string; each: number | undefined }>,
};

/** An order drawn at random. Source: Fisher and Yates, as Durstenfeld gives it (CACM 7, 1964). */
function shuffle(numbers: number[], seed: number): void {
  const random = seededRandom(seed);
  for (let at = numbers.length - 1; at > 0; at--) {
    const to = Math.floor(random.next() * (at + 1));
    [numbers[at], numbers[to]] = [numbers[to] as number, numbers[at] as number];
  }
}
