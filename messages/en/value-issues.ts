import type { ValueIssue, ValueRule } from '../../core/base/index.ts';

const RULES: Readonly<Record<ValueRule, string>> = {
  'id-letters': 'an id has letters, digits, - and _ alone',
  'calendar-day': 'it is no day of the calendar',
  'twice-the-same': 'there are two of it',
  'reserved-name': 'nothing can be called that',
  'hole-in-disc': 'the hole is smaller than the disc',
  'band-in-radius': 'the band is narrower than its radius',
  'crossing-outline': 'this outline crosses itself too often',
  'crossing-line': 'this line crosses itself too often',
  'outline-points': 'an outline has at most 10,000 points',
};

/** What is wrong with a value, as the end of a sentence. */
export function issueText(issue: ValueIssue): string {
  switch (issue.rule) {
    case 'too-small':
    case 'too-large': {
      const shown = Number.isNaN(issue.value) ? 'there is' : `${issue.value} is`;
      return issue.rule === 'too-small'
        ? `${shown} too small, the least is ${issue.limit}`
        : `${shown} too large, the most is ${issue.limit}`;
    }
    case 'too-few':
      return `at least ${issue.limit} are needed`;
    case 'too-many':
      return `${issue.limit} are the most`;
    case 'too-long':
      return `it has more than ${issue.limit} letters`;
    case 'empty':
      return 'it is empty';
    case 'unfit':
      return 'it is not what can stand there';
    default:
      return RULES[issue.rule];
  }
}
