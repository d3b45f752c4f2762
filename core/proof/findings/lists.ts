import { fieldsOf, textsOf } from '../../piece/index.ts';
import type { Finding, FindingKind } from '../finding.ts';

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
            why: 'It would be printed as it is typed.',
          },
        ];
      }),
    );
  },
};
