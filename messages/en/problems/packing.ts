import { quoted } from '../phrases.ts';
import { issueText } from '../value-issues.ts';
import type { ProblemWords } from './problem-words.ts';

/** Problems with requests to fill sheets. */
export const PACKING: ProblemWords<'pack'> = {
  'pack/endless': ({ id }) => ({
    what: `${quoted(id)} wants as many as fit on any number of sheets.`,
    remedy: 'Say how many sheets there are, or how many are wanted.',
  }),
  'pack/flat': ({ id }) => ({
    what: `The outline of ${quoted(id)} encloses nothing.`,
    remedy: 'Write the corners of one ring in their order, in mm.',
  }),
  'pack/no-room': () => ({
    what: 'The margins leave nothing of the sheet.',
    remedy: 'Make the margins smaller.',
  }),
  'pack/request': ({ where, issue }) => ({
    what: `${where || 'The request'}: ${issueText(issue ?? { rule: 'unfit' })}.`,
    remedy: 'Write the request as documented under “peel pack”.',
  }),
  'pack/same-id': ({ id }) => ({
    what: `Two pieces are called ${quoted(id)}.`,
    remedy: 'Give each piece an id of its own.',
  }),
  'pack/too-fine': ({ id, points, most }) => ({
    what: `The outline of ${quoted(id)} has ${points} points; at most ${most} are accepted.`,
    remedy: 'Leave out points that lie within 0.02 mm of the line without them.',
  }),
  'pack/too-many': ({ total, most }) => ({
    what: `${total} copies are asked for; at most ${most} can be placed.`,
    remedy: 'Ask for fewer at a time.',
  }),
};
