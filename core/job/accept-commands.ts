import type { Command } from './command.ts';
import { ACCEPTED_LIMITS, type AcceptedValues } from './schema.ts';

/**
 * What an acceptance keeps of what a finding names: plain JSON, with long texts and lists cut, so that
 * it can always be stored.
 */
export function acceptedValues(values: object): AcceptedValues {
  return cut(values) as AcceptedValues;
}

function cut(value: unknown): unknown {
  if (typeof value === 'string') return value.slice(0, ACCEPTED_LIMITS.letters);
  if (Array.isArray(value)) return value.slice(0, ACCEPTED_LIMITS.items).map(cut);
  if (typeof value !== 'object' || value === null) return value;
  const kept = Object.entries(value).filter(([, one]) => one !== undefined);
  return Object.fromEntries(kept.map(([key, one]) => [key, cut(one)]));
}

/** What somebody has looked at and takes as it is. */
export const ACCEPT_COMMANDS = {
  /** A finding is taken as it is, with a note why; it speaks again when anything it names changes. */
  'accept-finding': {
    run: (job, { key, values, note }) => ({
      ...job,
      accepted: {
        ...job.accepted,
        [key]: { values: acceptedValues(values), note: note.trim().slice(0, 300) },
      },
    }),
  } satisfies Command<{ key: string; values: object; note: string }>,

  'reopen-finding': {
    run: (job, { key }) => {
      const { accepted, ...rest } = job;
      const kept = Object.fromEntries(
        Object.entries(accepted ?? {}).filter(([one]) => one !== key),
      );
      return Object.keys(kept).length ? { ...rest, accepted: kept } : rest;
    },
  } satisfies Command<{ key: string }>,
};
