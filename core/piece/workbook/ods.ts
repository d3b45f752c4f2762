import { LIST_LIMITS } from '../list.ts';
import { TableRows, type WorkbookFiles, type WorkbookTable } from './workbook.ts';
import { readPart } from './parts.ts';

/** Reads the tables of an OpenDocument spreadsheet: each cell holds the text that it shows. */
export function readOds(files: WorkbookFiles): WorkbookTable[] {
  const tables: { name: string; rows: string[][] }[] = [];
  let table = new TableRows();
  let [row, column, rowTimes, cellTimes] = [0, 0, 1, 1];
  let [paragraphs, text, depth]: [string[], string, number] = [[], '', 0];
  let aside = 0;
  readPart(files['content.xml'], {
    open(name, at) {
      if (name === 'annotation') aside++;
      if (aside) return;
      if (name === 'table') {
        table = new TableRows();
        [row, column] = [0, 0];
        tables.push({ name: at.name ?? '', rows: table.rows });
      }
      if (name === 'table-row') {
        column = 0;
        rowTimes = times(at['number-rows-repeated'], LIST_LIMITS.rows);
      }
      if (name === 'table-cell' || name === 'covered-table-cell') {
        cellTimes = times(at['number-columns-repeated'], LIST_LIMITS.columns);
        paragraphs = [];
      }
      if (name === 'p' && depth++ === 0) text = '';
      if (name === 's') text += ' '.repeat(times(at.c, 100));
      if (name === 'tab') text += '\t';
      if (name === 'line-break') text += '\n';
    },
    text: (part) => void (depth > 0 && !aside && (text += part)),
    close(name) {
      if (name === 'annotation') aside--;
      else if (aside) return;
      if (name === 'p' && --depth === 0) paragraphs.push(text);
      if (name === 'table-cell' || name === 'covered-table-cell') {
        const shown = paragraphs.join('\n');
        if (shown)
          for (let down = 0; down < rowTimes; down++)
            for (let right = 0; right < cellTimes; right++)
              table.put(row + down, column + right, shown);
        column += cellTimes;
      }
      if (name === 'table-row') row += rowTimes;
    },
  });
  return tables;
}

/** How often something is repeated: what goes on to the end of a sheet is no part of a list. */
const times = (text: string | undefined, most: number): number =>
  Math.min(2 * most, Math.max(1, Math.trunc(Number(text ?? 1)) || 1));
