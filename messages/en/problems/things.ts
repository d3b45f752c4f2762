import { length, quoted } from '../phrases.ts';
import type { ProblemWords } from './problem-words.ts';

const LENGTHS = 'Write a length such as 58, 58 mm, 5.8 cm, 2 1/4 in or 12 pt.';

const TEMPLATES = 'Choose a template as PDF, SVG or JSON.';

/** Problems with measures, things and stock. */
export const THINGS: ProblemWords<'length' | 'size' | 'stock' | 'calibration'> = {
  'calibration/no-edges': ({ name }) => ({
    what: `The edges of the paper are not seen in ${quoted(name)}.`,
    remedy:
      'Lay the sheet on something dark, also in a scanner, so that all four corners show, or set the corners by hand.',
  }),
  'calibration/no-marks': ({ name, width, height }) => ({
    what: `${quoted(name)} shows no calibration sheet of ${width} mm × ${height} mm.`,
    remedy:
      'Choose the paper that it was printed on, take a sharp picture in even light, or set the corners by hand.',
  }),
  'length/empty': () => ({ what: 'No length was given.', remedy: LENGTHS }),
  'length/feet': ({ read }) => ({
    what: `${quoted(read)} is in feet.`,
    remedy: 'Write it in inches: 1 foot is 12 in.',
  }),
  'length/unit': ({ name }) => ({
    what: `${quoted(name)} is not a unit of length.`,
    remedy: LENGTHS,
  }),
  'length/unread': ({ read, because }) =>
    because === 'two-fractions'
      ? {
          what: `${quoted(read)} has a decimal and a fraction.`,
          remedy: 'Write one of them: 1.5 in or 1 1/2 in.',
        }
      : {
          what: `${quoted(read)} ${because === 'zero' ? 'divides by zero' : 'is not a length'}.`,
          remedy: LENGTHS,
        },
  'size/no-cone': ({ wall, wide, narrow }) => ({
    what: `A wall of ${length(wall)} cannot reach from ${length(wide)} to ${length(narrow)}.`,
    remedy: 'Measure along the wall again: it is longer than half the difference.',
  }),
  'size/no-ring': ({ hole, outer }) => ({
    what: `A hole of ${length(hole)} leaves nothing of a disc of ${length(outer)}.`,
    remedy: 'Measure the outer diameter and the hole again.',
  }),
  'size/nothing-left': ({ gap, across }) => ({
    what: `A clearance of ${length(gap)} on each side leaves nothing of ${length(across)}.`,
    remedy: 'Make the clearance smaller or measure again.',
  }),
  'size/too-flat': () => ({
    what: 'This cone is so flat that its label would be more than a whole circle.',
    remedy: 'Cover less of it, or make the label in two parts.',
  }),
  'size/too-large': ({ width, height, longest }) => ({
    what: `The label would be ${length(width)} x ${length(height)}.`,
    remedy: `It can be ${length(longest)} long at most: measure again, cover less, or make it in parts.`,
  }),
  'stock/contradiction': (values) =>
    'pitch' in values
      ? {
          what: `The pitch of ${length(values.pitch)} and the label with its gap, ${length(values.label)}, do not agree.`,
          remedy: 'Measure both again, from the same edge of one label to that of the next.',
        }
      : {
          what: `The margins and labels add up to ${length(values.sum)}, and the sheet's ${values.across} is ${length(values.sheet)}.`,
          remedy: 'Measure the margins and the pitch again.',
        },
  'stock/does-not-close': (values) =>
    'needed' in values
      ? {
          what: `The labels need ${length(values.needed)} of the sheet's ${values.across} of ${length(values.sheet)}.`,
          remedy: 'Measure the margins and the pitch again.',
        }
      : {
          what: `Label ${values.label} runs over the edge of the sheet.`,
          remedy: 'Move it, or correct the size of the sheet.',
        },
  'stock/impossible': ({ across, over }) =>
    over === undefined
      ? {
          what: `These readings leave nothing for a label across the ${across}.`,
          remedy: 'Measure the margins and the gap again.',
        }
      : {
          what: `With these readings the labels run ${length(over)} over the sheet's ${across}.`,
          remedy: 'Measure the margins and the pitch again.',
        },
  'stock/no-labels': () => ({
    what: 'No labels were found on this sheet.',
    remedy:
      'Take the picture again in even light, so that the cut lines show, or type what a ruler reads.',
  }),
  'stock/overlap': (values) =>
    'labels' in values
      ? {
          what: `Labels ${values.labels[0]} and ${values.labels[1]} lie over each other.`,
          remedy: 'Take one away, or correct the size of the label.',
        }
      : {
          what: `A pitch of ${length(values.pitch)} lays labels of ${length(values.label)} over each other.`,
          remedy: 'Measure from the centre of one label to the centre of the next.',
        },
  'stock/too-few-readings': ({ across, many }) => ({
    what: `The ${across} needs one more reading.`,
    remedy: many
      ? 'Read the size of a label, and its pitch or the gap, or a margin.'
      : 'Read the size of the label or the margins.',
  }),
  'stock/unknown-file': ({ name }) => ({
    what: `${quoted(name)} is no template that can be read.`,
    remedy: TEMPLATES,
  }),
  'stock/unread': ({ name, field }) =>
    field === undefined
      ? { what: `${quoted(name)} is damaged: its JSON breaks off.`, remedy: TEMPLATES }
      : {
          what: `${quoted(name)} is no template: ${quoted(field)} is missing or wrong.`,
          remedy: 'docs/template-format.md says what has to stand there.',
        },
};
