import { isSame, type Problem } from '../base/index.ts';
import type { Guest, Piece } from '../piece/index.ts';
import { copyParts, MOST_COPIES } from '../sheet/index.ts';
import { artNamedBy, artWithOrigins } from './art-use.ts';
import { notFound, refused } from './command-problems.ts';
import type { Command } from './command.ts';
import { freshGuestIds, guestNow, guestsOf, snapshot, type GuestPick } from './guests.ts';
import { mapPieces } from './map-pieces.ts';
import { MOST_PIECES, type Job } from './schema.ts';
import { thingAlone } from './set.ts';

/** The job with pieces more, and what these need of the job that they are of. */
function withGuests(job: Job, pieces: readonly Piece[], source: Job): Job {
  const typefaces = { ...source.typefaces, ...job.typefaces };
  return {
    ...job,
    pieces: [...pieces],
    art: { ...artWithOrigins(source.art, artNamedBy(pieces)), ...job.art },
    ...(Object.keys(typefaces).length ? { typefaces } : {}),
  };
}

const isOf = (guest: Guest | undefined, source: Job): guest is Guest & { job: string } =>
  guest?.job === source.id;

/** The thing of a job that its guests are of, seen alone. */
const sourceOf = (source: Job, thing: string | undefined): Job =>
  thing === undefined ? source : thingAlone(source, thing);

/** Those of some jobs of which a label is another now than as a guest on the sheets of a job. */
export function outdatedSources(host: Job, jobs: readonly Job[]): Job[] {
  const guests = guestsOf(host);
  const isAsHere = (now: Piece): boolean =>
    isSame(
      now,
      host.pieces.find(({ id }) => id === now.id),
    );
  return jobs.filter((source) =>
    guests.some(
      (one) =>
        isOf(one.guest, source) &&
        !guestNow(host, one, sourceOf(source, one.guest.thing)).every(isAsHere),
    ),
  );
}

/** Labels of other jobs on the sheets of this one. */
export const GUEST_COMMANDS = {
  /** Labels of another job as they are now, so many of each; of those that are there already more. */
  'bring-guests': {
    run: (job, { source, thing, picks }) => {
      if (source.id === job.id) return refused('guest-of-itself');
      const from = sourceOf(source, thing);
      const of = {
        job: source.id,
        jobName: source.name,
        ...(thing === undefined ? {} : { thing }),
      };
      const wanted = { ...job.plan.wanted };
      let pieces = job.pieces;
      for (const { count, ...pick } of picks) {
        const known = guestsOf({ ...job, pieces }).find(
          ({ guest }) =>
            isOf(guest, source) &&
            isSame([guest.thing, guest.piece, guest.row], [thing, pick.piece, pick.row]),
        );
        const made = known ? [] : snapshot(from, pick, of, freshGuestIds({ ...job, pieces }));
        const id = known?.id ?? made[0]?.id;
        if (id === undefined) return notFound('piece');
        pieces = [...pieces, ...made];
        wanted[id] = Math.min(MOST_COPIES, (wanted[id] ?? 0) + count);
      }
      if (pieces.length > MOST_PIECES)
        return refused('too-many-pieces', { count: pieces.length, most: MOST_PIECES });
      return { ...withGuests(job, pieces, source), plan: { ...job.plan, wanted } };
    },
  } satisfies Command<{
    source: Job;
    /** Which thing of it, where it is a set. */
    thing?: string | undefined;
    picks: readonly (GuestPick & { count: number })[];
  }>,

  /** The guests from another job as they are there now; those that are gone there stay as they were. */
  'update-guests': {
    run: (job, { source }) => {
      let { pieces } = job;
      for (const guest of guestsOf(job)) {
        if (!isOf(guest.guest, source)) continue;
        const now = guestNow({ ...job, pieces }, guest, sourceOf(source, guest.guest.thing));
        const fresh = now.filter(({ id }) => !pieces.some((one) => one.id === id));
        pieces = [...pieces.map((one) => now.find(({ id }) => id === one.id) ?? one), ...fresh];
      }
      return isSame(pieces, job.pieces) ? job : withGuests(job, pieces, source);
    },
  } satisfies Command<{ source: Job }>,
};

/** What a command names of the pieces of a job. */
interface Named {
  readonly piece?: unknown;
  readonly pieces?: unknown;
  readonly copy?: unknown;
  readonly copies?: unknown;
}

function names({ piece, pieces, copy, copies }: Named, id: string): boolean {
  const all = [piece, ...(Array.isArray(pieces) ? pieces : [])];
  const named = [copy, ...(Array.isArray(copies) ? copies : [])].map((one) =>
    typeof one === 'string' ? copyParts(one).piece : undefined,
  );
  return [...all, ...named].includes(id);
}

/**
 * A job after a change with its guests as they were: a change of everything passes them over, and one of
 * a guest alone is refused, as are more of it.
 */
export function withGuestsKept(
  before: Job,
  made: Job,
  { name, args }: { readonly name: string; readonly args: object },
): Job | Problem {
  const guests = before.pieces.filter(({ guest }) => guest);
  if (made === before || (guests.length === 0 && !made.pieces.some(({ guest }) => guest)))
    return made;
  if (name === 'delete-piece') {
    const gone = guests.find((one) => !made.pieces.includes(one));
    return gone && gone.guest?.job === undefined ? refused('guest-changed') : made;
  }
  if (name in GUEST_COMMANDS) return made;
  const known = new Map(guests.map((one) => [one.id, one]));
  const isMore = made.pieces.some(({ id, guest }) => guest && !known.has(id));
  const others = made.pieces.filter((one) => known.has(one.id) && known.get(one.id) !== one);
  const isOfOwn = made.pieces.some(({ id, guest }) => !guest && names(args, id));
  if (isMore || (!isOfOwn && others.some(({ id }) => names(args, id))))
    return refused('guest-changed');
  return mapPieces(made, (one) => known.get(one.id) ?? one);
}
