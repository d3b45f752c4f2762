import { some } from './some.ts';

/** Words of the history of a job. */
export const history = {
  open: 'History',
  title: 'History',
  steps: 'Steps of this visit',
  stepsHint: 'Click one to go there; later steps stay until something else is done.',
  opened: 'Opened',
  versions: 'Earlier versions',
  versionsHint: 'Kept by themselves when the job is opened and every five minutes of work.',
  none: 'No earlier version yet.',
  leftOut: (parts: readonly string[]): string => `Without what cannot be read: ${some(parts, 3)}.`,
  back: 'Return to it',
  compare: 'Compare',
  returning: (when: string): string => `return to ${when}`,
  compareTitle: (when: string): string => `Now, and ${when}`,
  now: 'Now',
} as const;
