import { artSchema, type Art } from '../art/index.ts';
import { isProblem, isSame, type Problem } from '../base/index.ts';
import type { ColorRole, Fill, LabelField, PieceElement } from '../piece/index.ts';
import { ARTWORK_COMMANDS } from './artwork-commands.ts';
import { withArt, type Command } from './command.ts';
import { invalidBySchema, notFound, refused } from './command-problems.ts';
import { ownPieces } from './guests.ts';
import {
  colorSwaps,
  distinctColors,
  lookOfPieces,
  lookSchema,
  ownedLook,
  withFaceRoles,
  withFaces,
  withoutEmpty,
  withSays,
  type Look,
  type LookChanges,
  type OwnLook,
  type SaidAnew,
} from './look.ts';
import { mapOwnPieces } from './map-pieces.ts';
import type { Job } from './schema.ts';
import {
  asThing,
  hasThing,
  thingsOf,
  withArtReplacedInAll,
  withEachThing,
  withNamed,
  withThing,
} from './set.ts';
import { settled } from './settled.ts';
import { recoloredIn } from './variants.ts';

/** One thing in another look: what it has from the one before is in the new one. */
function inLook(thing: Job, before: Look, after: Look, own: OwnLook = {}): Job {
  const [was, is] = [ownedLook(before, own), ownedLook(after, own)];
  const swaps = colorSwaps(was.colors, is.colors);
  const said = saidAnew(before.says, after.says, own.says);
  const made = mapOwnPieces(thing, (piece) => {
    const recolored = Object.keys(swaps).length ? recoloredIn(piece, swaps, () => true) : piece;
    const faced = isSame(was.faces, is.faces) ? recolored : withFaces(recolored, is);
    return said.length === 0 || piece.variant ? faced : withSays(faced, said);
  });
  return made === thing ? thing : settled(made);
}

/** What fields say anew, each with what they said before. */
function saidAnew(
  before: Look['says'],
  after: Look['says'],
  own: readonly LabelField[] = [],
): readonly SaidAnew[] {
  return (Object.keys(after) as LabelField[]).flatMap((field) => {
    const [from, to] = [before[field], after[field]];
    return from === undefined || to === undefined || from === to || own.includes(field)
      ? []
      : [{ field, from, to }];
  });
}

/** A set with another look, which all of its labels take as far as they have nothing of their own. */
export function withLook(job: Job, look: Look): Job {
  if (!job.set) return job;
  const before = job.set.look;
  const changed = withEachThing(job, (thing, { own }) => inLook(thing, before, look, own));
  const bound = withBoundColors(changed, colorSwaps(before.colors, look.colors));
  return bound.set ? { ...bound, set: { ...bound.set, look } } : bound;
}

/** A job whose rows give their colours in the place of the shared ones as these are now. */
function withBoundColors(job: Job, swaps: Readonly<Record<string, string>>): Job {
  const { list } = job;
  if (!list?.colors?.some(({ color }) => swaps[color])) return job;
  const colors = list.colors.map((one) => ({
    ...one,
    color: (swaps[one.color] ?? one.color).toLowerCase(),
  }));
  return { ...job, list: { ...list, colors } };
}

function checkedLook(look: Look): Look | Problem {
  const read = lookSchema.safeParse({ ...look, colors: distinctColors(look.colors) });
  return read.success ? read.data : invalidBySchema(read.error, look);
}

/** A thing seen alone, with values of its own in the place of shared ones, or with the shared ones again. */
function owning(job: Job, id: string, own: OwnLook): Job | Problem {
  if (!job.set || !hasThing(job, id)) return notFound('thing');
  const before = thingsOf(job).find((one) => one.id === id)?.own;
  const { look } = job.set;
  const checked = checkedLook(ownedLook(look, own));
  if (isProblem(checked)) return checked;
  const thing = asThing(job, id);
  const swaps = colorSwaps(ownedLook(look, before).colors, checked.colors);
  const colors = Object.fromEntries(
    Object.keys(own.colors ?? {}).map((role) => [role, checked.colors[role as ColorRole]]),
  );
  const kept: OwnLook = { ...own, colors };
  const returned = (before?.says ?? []).filter((field) => !own.says?.includes(field));
  const owned = mapOwnPieces(thing, (piece) => {
    const made = withFaces(
      recoloredIn(piece, swaps, () => true),
      checked,
    );
    const back = returned.flatMap((field) => {
      const to = look.says[field];
      return to === undefined || piece.variant ? [] : [{ field, from: undefined, to }];
    });
    return back.length ? withSays(made, back) : made;
  });
  const made = withThing(job, id, settled(owned));
  return withNamed(made, id, (one) => ({ ...one, own: withoutEmpty(kept) }));
}

/** Changes of what the labels of a set share. They are of the job as a whole. */
export const LOOK_COMMANDS = {
  /** What all labels of the set share is another: those with a value of their own keep it. */
  'change-look': {
    run: (job, { changes }) => {
      if (!job.set) return refused('no-set');
      const { look } = job.set;
      const next = checkedLook({
        ...look,
        colors: { ...look.colors, ...changes.colors },
        faces: { ...look.faces, ...changes.faces },
        says: { ...look.says, ...changes.says },
      });
      return isProblem(next) ? next : isSame(next, look) ? job : withLook(job, next);
    },
  } satisfies Command<{ changes: LookChanges }>,

  /** Another picture for the maker on all labels. */
  'change-mark': {
    run: (job, { to }) => {
      if (!job.set) return refused('no-set');
      if (!artSchema.safeParse(to).success) return refused('art-damaged');
      const { set } = job;
      const { mark } = set.look;
      if (mark !== undefined) return withArtReplacedInAll(job, mark, to);
      const look = { ...set.look, mark: to.id };
      return { ...job, art: { ...job.art, [to.id]: to }, set: { ...set, look } };
    },
  } satisfies Command<{ to: Art }>,

  /** Values of its own for one thing, in the place of shared ones. */
  'own-look': {
    run: (job, { thing, own }) => {
      const before = thingsOf(job).find(({ id }) => id === thing)?.own;
      const says = [...new Set([...(before?.says ?? []), ...(own.says ?? [])])];
      return owning(job, thing, {
        colors: { ...before?.colors, ...own.colors },
        faces: { ...before?.faces, ...own.faces },
        ...(says.length ? { says } : {}),
      });
    },
  } satisfies Command<{ thing: string; own: OwnLook }>,

  /** One thing takes a shared value again, or all colours and typefaces. */
  'share-look': {
    run: (job, { thing, role }) => {
      const { colors, faces, says = [] } = thingsOf(job).find(({ id }) => id === thing)?.own ?? {};
      if (role === undefined) return owning(job, thing, says.length ? { says } : {});
      const without = <R extends object>(roles: R | undefined): R =>
        Object.fromEntries(Object.entries(roles ?? {}).filter(([key]) => key !== role)) as R;
      const left = says.filter((field) => field !== role);
      return owning(job, thing, {
        colors: without(colors),
        faces: without(faces),
        ...(left.length ? { says: left } : {}),
      });
    },
  } satisfies Command<{ thing: string; role: string | undefined }>,

  /** All things in one design, each on its own label, in its colours and typefaces: they are the shared ones. */
  'design-things': {
    run: (job, { labels, art = [], design }) => {
      if (!job.set) return refused('no-set');
      let now: Job = job;
      for (const { thing, ...label } of labels) {
        if (!hasThing(now, thing)) return notFound('thing');
        const seen = asThing(now, thing);
        const args = { piece: ownPieces(seen)[0]?.id ?? '', design, ...label };
        const made = ARTWORK_COMMANDS['set-artwork'].run(seen, args);
        if (isProblem(made)) return made;
        now = withThing(now, thing, settled(made));
      }
      const shared = lookOfPieces(ownPieces(asThing(now, thingsOf(now)[0]?.id ?? '')));
      const look = {
        ...shared,
        says: { ...job.set.look.says, ...shared.says },
        ...(job.set.look.mark ? { mark: job.set.look.mark } : {}),
      };
      const faced = withEachThing(now, (thing) =>
        mapOwnPieces(thing, (piece) => withFaceRoles(piece, look)),
      );
      const plain = thingsOf(faced).reduce(
        (set, { id }) => withNamed(set, id, (one) => ({ ...one, own: undefined })),
        faced,
      );
      const made = plain.set ? { ...plain, set: { ...plain.set, look } } : plain;
      return withArt(made, art);
    },
  } satisfies Command<{
    labels: readonly {
      readonly thing: string;
      readonly ground: Fill | null;
      readonly elements: readonly PieceElement[];
    }[];
    art?: readonly Art[];
    /** The starting design, by its name. */
    design?: string;
    /** What it is called. */
    from?: string;
  }>,
};
