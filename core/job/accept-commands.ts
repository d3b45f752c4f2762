import type { Command } from './command.ts';
import { MOST_ACCEPTED } from './schema.ts';

/** What an acceptance keeps of what a finding says. */
export const acceptedWhat = (what: string): string => what.slice(0, MOST_ACCEPTED);

/** What somebody has looked at and takes as it is. */
export const ACCEPT_COMMANDS = {
  /** A finding is taken as it is, with a note why; it speaks again when it says anything else. */
  'accept-finding': {
    label: () => 'accept a finding',
    run: (job, { key, what, note }) => ({
      ...job,
      accepted: {
        ...job.accepted,
        [key]: { what: acceptedWhat(what), note: note.trim().slice(0, 300) },
      },
    }),
  } satisfies Command<{ key: string; what: string; note: string }>,

  'reopen-finding': {
    label: () => 'look at a finding again',
    run: (job, { key }) => {
      const { accepted, ...rest } = job;
      const kept = Object.fromEntries(
        Object.entries(accepted ?? {}).filter(([one]) => one !== key),
      );
      return Object.keys(kept).length ? { ...rest, accepted: kept } : rest;
    },
  } satisfies Command<{ key: string }>,
};
