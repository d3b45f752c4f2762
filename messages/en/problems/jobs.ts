import type { JobSource, ProblemValues } from '../../../core/base/index.ts';
import type { Sentences } from '../../sentences.ts';
import { wordsFor } from '../../words.ts';
import { quoted } from '../phrases.ts';
import { issueText } from '../value-issues.ts';
import { placeText } from '../job-places.ts';
import { REFUSED_CHANGES } from '../refused-changes.ts';
import type { ProblemWords } from './problem-words.ts';

const sourceText = ({ kind, name }: JobSource): string => {
  if (name === undefined) return 'The job';
  return kind === 'file' ? quoted(name) : `The job ${quoted(name)}`;
};

function unreadJob({ source, because, at, part }: ProblemValues['job/unread']): Sentences {
  const of = sourceText(source);
  switch (because) {
    case 'damaged':
      return {
        what: `${of} is damaged at ${at === undefined || at === '' ? 'its start' : at}.`,
        remedy: 'Use an earlier export or a backup.',
      };
    case 'in-part':
      return {
        what: `${of} is damaged: ${placeText(part ?? [])}.`,
        remedy: 'Open it in the application, which reads the rest of it, or use an earlier export.',
      };
    case 'no-document':
      return {
        what: `${of} is not a Little Peel job: it has no job.json.`,
        remedy: 'Choose a file that ends in .peel.',
      };
    case 'broken-document':
      return {
        what: `${of} is damaged: its job.json cannot be read.`,
        remedy: 'Use an earlier export or a backup.',
      };
    case 'no-job':
      return { what: `${of} holds no job.`, remedy: 'Export it again.' };
    case 'no-version':
      return { what: `${of} does not say which version it is.`, remedy: 'Export it again.' };
    case 'other-version':
      return {
        what: `${of} is not a job of the version that it says.`,
        remedy: 'Export it again.',
      };
  }
}

const FOLLOWS: Readonly<Record<ProblemValues['job/follows']['change'], string>> = {
  elements: 'Add, delete or reorder its elements there',
  size: 'Change its size there',
  other: 'Change it there',
};

/** Problems with jobs, their edges and sheets. */
export const JOBS: ProblemWords<'job' | 'edge' | 'sheet' | 'output'> = {
  'edge/no-outline': ({ name }) => ({
    what: `${quoted(name)} holds no closed outline.`,
    remedy: 'Choose a file with filled or closed shapes.',
  }),
  'edge/nothing-left': () => ({
    what: 'Nothing is left of this edge.',
    remedy: 'Take a smaller inward offset, or cut less away.',
  }),
  'edge/tangled': ({ name }) => ({
    what: `The lines of ${quoted(name)} cross each other too often to be an outline.`,
    remedy: 'Choose a file with plain outlines, or trace its picture.',
  }),
  'edge/too-fine': () => ({
    what: 'This edge has too many points to be cut.',
    remedy: 'Smooth it more, or trace it with a larger tolerance.',
  }),
  'job/all-copies': () => ({
    what: 'This belongs to all copies: one alone cannot have it otherwise.',
    remedy: 'Change every copy, or the words, colours and pictures of this one.',
  }),
  'job/follows': ({ piece, base, change }) => ({
    what: `${quoted(piece)} follows ${quoted(base)} in this.`,
    remedy: `${FOLLOWS[change]}: all that follow change with it.`,
  }),
  'job/gone': ({ what }) => ({
    what: `The ${what} is no longer in this job.`,
    remedy: 'Choose another one.',
  }),
  'job/invalid': ({ place, issue }) => ({
    what: `This cannot be done: ${placeText(place)}: ${issueText(issue)}.`,
    remedy: 'Choose a value within its limits.',
  }),
  'job/invalid-value': ({ field, issue }) => ({
    what: `${field ? quoted(field) : 'The value'} is not accepted: ${issueText(issue)}.`,
    remedy: 'Give a value within its limits.',
  }),
  'job/newer': ({ source, version, reads }) => ({
    what: `${sourceText(source)} was made by a newer Little Peel (version ${version}; this one reads ${reads}).`,
    remedy: 'Update Little Peel, then open it again.',
  }),
  'job/refused': (change) => ({
    what: `${wordsFor(REFUSED_CHANGES, change)}.`,
    remedy: 'Give a value within its limits.',
  }),
  'job/unread': unreadJob,
  'output/pages': ({ part, count: sheets }) => ({
    what: `${quoted(part)} names no sheets: there are ${sheets === 1 ? 'one' : sheets}.`,
    remedy: 'Write for example 1-3, 5.',
  }),
  'sheet/no-free-place': () => ({
    what: 'There is no free place near enough on this sheet.',
    remedy: 'Take a copy away, choose a smaller gap, or have the sheet filled anew.',
  }),
  'sheet/no-stickers': () => ({
    what: 'Nothing on this sheet leaves room for an outline around it.',
    remedy: 'Lay at least one copy well inside the sheet, then make the sticker sheet.',
  }),
};
