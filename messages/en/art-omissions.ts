import type { ArtOmissions } from '../../core/art/index.ts';
import type { Words } from '../words.ts';
import { plural } from './counts.ts';

/** What of a file cannot be drawn. */
export const ART_OMISSIONS: Words<ArtOmissions> = {
  colour: ({ value }) => `colour “${value}”`,
  element: ({ name }) => name,
  'foreign-entities': ({ count }) => `${plural(count, 'entity', 'entities')} of other kinds`,
  pictures: ({ count }) =>
    plural(count, 'picture that it only names', 'pictures that it only names'),
  'open-lines': ({ count }) => plural(count, 'line that is open', 'lines that are open'),
};
