import { isSame } from '../base/index.ts';
import { copyId, copyParts } from '../sheet/index.ts';
import { sharedId, sharingPiece } from './guests.ts';
import { withOneOffs } from './one-offs.ts';
import type { Job } from './schema.ts';

/*
 * Things of a set that lie on the sheets of another one: it is seen with their pieces as guests, and
 * what is said of those in its plan is theirs.
 */

/** A thing that lies on the sheets of another, seen alone. */
export interface SharingThing {
  readonly id: string;
  readonly name: string;
  readonly job: Job;
}

/** Entries with other keys; those without one are left out. */
function rekeyed<T>(
  record: Readonly<Record<string, T>> | undefined,
  keyFor: (key: string) => string | undefined,
): Record<string, T> {
  return Object.fromEntries(
    Object.entries(record ?? {}).flatMap(([key, value]) => {
      const now = keyFor(key);
      return now === undefined ? [] : [[now, value] as const];
    }),
  );
}

const copyOn =
  (idOf: (piece: string) => string | undefined) =>
  (copy: string): string | undefined => {
    const { piece, which } = copyParts(copy);
    const id = idOf(piece);
    return id === undefined ? undefined : copyId(id, which);
  };

/** A thing with the pieces of others on its sheets. */
export function withSharing(host: Job, others: readonly SharingThing[]): Job {
  return others.reduce((now, { id, name, job }): Job => {
    const idOf = (piece: string): string => sharedId(id, piece);
    const pieces = job.pieces
      .filter(({ guest }) => !guest)
      .map((piece) => {
        const called = job.pieces.length > 1 ? `${name}: ${piece.name}` : name;
        return sharingPiece(piece, job.thing, id, called);
      });
    const copiesPerRow = { ...now.plan.copiesPerRow, ...rekeyed(job.plan.copiesPerRow, idOf) };
    const plan = {
      ...now.plan,
      wanted: { ...now.plan.wanted, ...rekeyed(job.plan.wanted, idOf) },
      ...(Object.keys(copiesPerRow).length ? { copiesPerRow } : {}),
    };
    const own = rekeyed(job.oneOffs, copyOn(idOf));
    return withOneOffs(
      { ...now, pieces: [...now.pieces, ...pieces], plan },
      { ...now.oneOffs, ...own },
    );
  }, host);
}

/** A thing without the pieces of others, and these with what it says of them. */
export function partedFrom(
  seen: Job,
  others: readonly SharingThing[],
): { readonly host: Job; readonly others: readonly SharingThing[] } {
  let host = seen;
  const parted = others.map((one): SharingThing => {
    const { id, job } = one;
    const home = new Map(job.pieces.map((piece) => [sharedId(id, piece.id), piece.id]));
    const back = (key: string): string | undefined => home.get(key);
    const rest = (key: string): string | undefined => (home.has(key) ? undefined : key);
    const { copiesPerRow, ...plan } = job.plan;
    const rows = rekeyed(host.plan.copiesPerRow, back);
    const made = {
      ...plan,
      wanted: { ...plan.wanted, ...rekeyed(host.plan.wanted, back) },
      ...(Object.keys(rows).length ? { copiesPerRow: rows } : {}),
    };
    void copiesPerRow; // what the sheets say
    const counted = isSame(made, job.plan) ? job : { ...job, plan: made };
    const own = withOneOffs(counted, rekeyed(host.oneOffs, copyOn(back)));
    const { copiesPerRow: all, ...kept } = host.plan;
    const left = rekeyed(all, rest);
    const without = {
      ...kept,
      wanted: rekeyed(kept.wanted, rest),
      ...(Object.keys(left).length ? { copiesPerRow: left } : {}),
    };
    const ofHost = rekeyed(host.oneOffs, copyOn(rest));
    host = withOneOffs(
      {
        ...host,
        pieces: host.pieces.filter((piece) => !home.has(piece.id)),
        plan: isSame(without, host.plan) ? host.plan : without,
      },
      ofHost,
    );
    return { ...one, job: own };
  });
  return { host, others: parted };
}
