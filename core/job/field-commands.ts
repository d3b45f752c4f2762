import { emphasisSchema } from '../type/index.ts';
import { isNamed, type NamedField, type PieceElement } from '../piece/index.ts';
import { invalidBySchema } from './command-problems.ts';
import type { Command } from './command.ts';
import { labelFieldsSchema, type Job } from './schema.ts';

type Names = Readonly<Record<NamedField, string>>;

/** A job with each element as `map` gives it. */
const withElements = (job: Job, map: (element: PieceElement) => PieceElement): Job => ({
  ...job,
  pieces: job.pieces.map((piece) => ({ ...piece, elements: piece.elements.map(map) })),
});

/** The changes of what labels say in their fields, on all pieces of a job. */
export const FIELD_COMMANDS = {
  /**
   * The language in which names of fields are printed. A name that was changed by hand stays.
   * @param before the names as they were printed until now
   */
  'name-fields': {
    run: (job, { language, names, before }) => {
      const read = labelFieldsSchema.safeParse({ ...job.fields, language, names });
      if (!read.success) return invalidBySchema(read.error, { language, names });
      return {
        ...withElements(job, (element) => {
          if (element.kind !== 'words' || !element.field || !isNamed(element.field)) return element;
          const { list, field } = element;
          return list?.heading === before[field]
            ? { ...element, list: { ...list, heading: names[field] } }
            : element;
        }),
        fields: read.data,
      };
    },
  } satisfies Command<{ language: string; names: Names; before: Names }>,

  /** Words that are set stronger wherever ingredients name them. */
  'emphasize-words': {
    run: (job, { words }) => {
      const read = emphasisSchema.safeParse(words);
      if (!read.success) return invalidBySchema(read.error, words);
      return {
        ...withElements(job, (element) => {
          if (element.kind !== 'words' || element.field !== 'ingredients') return element;
          const { emphasis, ...plain } = element;
          void emphasis;
          return read.data.length ? { ...plain, emphasis: read.data } : plain;
        }),
        fields: { ...job.fields, emphasis: read.data },
      };
    },
  } satisfies Command<{ words: readonly string[] }>,
};
