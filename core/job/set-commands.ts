import { artSchema, type Art } from '../art/index.ts';
import { freeId, isProblem, isSame, type Problem } from '../base/index.ts';
import type { ColorRole, Fill, LabelField, PieceElement } from '../piece/index.ts';
import { thingSchema, trySize, type MeasuredThing } from '../things/index.ts';
import { ownPieces } from './guests.ts';
import { insertElements } from './insert-elements.ts';
import { withArt, type Command } from './command.ts';
import { invalidBySchema, notFound, refused } from './command-problems.ts';
import { createJob, edgeFor } from './create.ts';
import {
  colorSwaps,
  distinctColors,
  lookOfPieces,
  lookSchema,
  ownedLook,
  withFaceRoles,
  withFieldsGuessed,
  withFaces,
  withSays,
  type SaidAnew,
  type Look,
  type LookChanges,
  type OwnLook,
} from './look.ts';
import { MOST_OTHER_THINGS, THING_NAME_LETTERS, type Job, type SetThing } from './schema.ts';
import {
  asThing,
  hostOf,
  ONLY,
  ownPart,
  sharedPart,
  thingAlone,
  thingsOf,
  withArtReplacedInAll,
  withEachThing,
  withThing,
} from './set.ts';
import { withoutNested } from '../sheet/index.ts';
import { settled } from './settled.ts';
import { recoloredIn } from './variants.ts';

/** How many copies a row of the list gives at most. */
const MOST_A_ROW = 500;

type JobSet = NonNullable<Job['set']>;

/** The job as a set: of its one thing where it was none, with the look that this has. */
export function asSet(job: Job, name: string): Job & { readonly set: JobSet } {
  if (job.set) return { ...job, set: job.set };
  const look = lookOfJob(job);
  return {
    ...job,
    pieces: job.pieces.map((piece) =>
      piece.guest ? piece : withFaceRoles(withFieldsGuessed(piece), look),
    ),
    set: { id: ONLY, name: cut(name.trim() || job.name), others: [], look },
  };
}

/** The look of a set, or the one that a job would have as a set. */
export const lookOfJob = (job: Job): Look =>
  job.set?.look ?? lookOfPieces(ownPieces(job).map(withFieldsGuessed));

/** The thing in the form in which a set has it. */
const setThing = (id: string, name: string, job: Job): SetThing => ({ id, name, ...ownPart(job) });

/** A name that no other thing of the set has. */
function ownName(name: string, job: Job): string {
  const taken = thingsOf(job).map((one) => one.name);
  const plain = name.trim().slice(0, THING_NAME_LETTERS - 3);
  const base = plain || 'Label';
  for (let number = 1; ; number++) {
    const made = number === 1 ? base : `${base} ${number}`;
    if (!taken.includes(made)) return made;
  }
}
const cut = (name: string): string => name.slice(0, THING_NAME_LETTERS);

const idsOf = (job: Job): string[] => thingsOf(job).map(({ id }) => id);
const hasThing = (job: Job, id: string): boolean => idsOf(job).includes(id);

/** The set with what it says of one of its things changed. */
function withNamed(
  job: Job & { readonly set: JobSet },
  id: string,
  change: (one: { name: string; own?: OwnLook | undefined }) => {
    name: string;
    own?: OwnLook | undefined;
  },
): Job {
  const { set } = job;
  const made = <T extends { name: string; own?: OwnLook | undefined }>(one: T): T => {
    const { own, ...next } = { ...one, ...change(one) };
    return (own && Object.keys(own).length ? { ...next, own } : next) as T;
  };
  if (set.id === id) return { ...job, set: made(set) };
  return {
    ...job,
    set: { ...set, others: set.others.map((one) => (one.id === id ? made(one) : one)) },
  };
}

/** One thing in another look: what it has from the one before is in the new one. */
function inLook(thing: Job, before: Look, after: Look, own: OwnLook = {}): Job {
  const [was, is] = [ownedLook(before, own), ownedLook(after, own)];
  const swaps = colorSwaps(was.colors, is.colors);
  const recolored = Object.keys(swaps).length
    ? thing.pieces.map((piece) => (piece.guest ? piece : recoloredIn(piece, swaps, () => true)))
    : thing.pieces;
  const said = saidAnew(before.says, after.says, own.says);
  const pieces = recolored.map((piece) => {
    if (piece.guest) return piece;
    const faced = isSame(was.faces, is.faces) ? piece : withFaces(piece, is);
    return said.length === 0 || piece.variant ? faced : withSays(faced, said);
  });
  return pieces.every((piece, at) => piece === thing.pieces[at])
    ? thing
    : settled({ ...thing, pieces });
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
  const pieces = thing.pieces.map((piece) => {
    if (piece.guest) return piece;
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
  const made = withThing(job, id, settled({ ...thing, pieces }));
  return made.set
    ? withNamed({ ...made, set: made.set }, id, (one) => ({ ...one, own: tidy(kept) }))
    : made;
}

/** Without what is empty. */
function tidy({ colors = {}, faces = {}, says = [] }: OwnLook): OwnLook {
  return {
    ...(Object.keys(colors).length ? { colors } : {}),
    ...(Object.keys(faces).length ? { faces } : {}),
    ...(says.length ? { says } : {}),
  };
}

/** The changes of a job that is, or becomes, a set of several things. They are of the job as a whole. */
export const SET_COMMANDS = {
  /** Another thing with a label of its own, on the same stock as the first; its artwork may come with it. */
  'add-thing': {
    run: (job, { name, thing, first, ground, elements, art = [], design }) => {
      const read = thingSchema.safeParse(thing);
      if (!read.success) return invalidBySchema(read.error, thing);
      const size = trySize(thing);
      if (!size.ok) return size.problem;
      if (idsOf(job).length > MOST_OTHER_THINGS)
        return refused('set-full', { most: MOST_OTHER_THINGS + 1 });
      const set = asSet(job, first ?? job.name);
      const fresh = createJob(thing.kind, { id: job.id, today: job.today });
      const [label] = fresh.pieces;
      if (!label) return notFound('piece');
      const { stock, material } = set.stock.spots ? fresh : set;
      const { look } = set.set;
      const empty = {
        ...label,
        edge: edgeFor(read.data, stock),
        ground: ground === undefined ? (look.colors.ground ?? null) : ground,
        ...(design ? { startedFrom: design } : {}),
      };
      const filled = insertElements(empty, elements ?? [], 0);
      if (isProblem(filled)) return filled;
      const piece = withFaceRoles(filled, look);
      const wanted = { [piece.id]: set.set.count ?? fresh.plan.wanted[piece.id] ?? 12 };
      const made: Job = {
        ...fresh,
        thing: read.data,
        pieces: [piece],
        stock,
        material,
        plan: { ...fresh.plan, wanted },
      };
      const others = [
        ...set.set.others,
        setThing(freeId('thing', idsOf(set)), ownName(name, set), made),
      ];
      return withArt({ ...set, set: { ...set.set, others } }, art);
    },
  } satisfies Command<{
    name: string;
    thing: MeasuredThing;
    /** What the thing is called that the job has already, where it was none of a set. */
    first?: string;
    ground?: Fill | null;
    elements?: readonly PieceElement[];
    art?: readonly Art[];
    /** The starting design that the artwork is, by its name. */
    design?: string;
  }>,

  /** Another job becomes a thing of this one, or all of its things where it is a set. */
  'join-job': {
    run: (job, { other, first }) => {
      if (other.list && job.list && !isSame(other.list, job.list)) return refused('two-lists');
      const set = asSet(job, first ?? job.name);
      let now: Job & { set: JobSet } = set;
      const ids = new Map<string, string>();
      for (const one of thingsOf(other)) {
        if (idsOf(now).length > MOST_OTHER_THINGS)
          return refused('set-full', { most: MOST_OTHER_THINGS + 1 });
        const id = freeId('thing', idsOf(now));
        ids.set(one.id, id);
        const on = ids.get(hostOf(other, one.id));
        const own = {
          ...setThing(id, ownName(one.name, now), thingAlone(other, one.id)),
          ...(one.own ? { own: one.own } : {}),
          ...(on === undefined || on === id ? {} : { on }),
        };
        now = { ...now, set: { ...now.set, others: [...now.set.others, own] } };
      }
      const { list = other.list, fields = other.fields } = job;
      return {
        ...now,
        ...(list ? { list } : {}),
        ...(fields ? { fields } : {}),
        art: { ...other.art, ...now.art },
        ...(other.typefaces || now.typefaces
          ? { typefaces: { ...other.typefaces, ...now.typefaces } }
          : {}),
      };
    },
  } satisfies Command<{ other: Job; first?: string }>,

  /** A thing is no part of the set any more; of what is left alone nothing is shared. */
  'remove-thing': {
    run: (job, { thing }) => {
      if (!job.set || !hasThing(job, thing)) return notFound('thing');
      const { set } = job;
      if (set.others.length === 0) return refused('last-thing');
      const left =
        withHost(
          job,
          idsOf(job).filter((id) => hostOf(job, id) === thing),
          undefined,
        ).set?.others ?? [];
      const [next] = left;
      if (set.id !== thing || !next) {
        const others = left.filter(({ id }) => id !== thing);
        return others.length ? { ...job, set: { ...set, others } } : alone(job);
      }
      const others = left.slice(1);
      const { id, name, own, on, ...part } = next;
      void on; // the first has sheets of its own
      const kept: Job = {
        ...sharedPart(job),
        ...ownPart(part),
        set: { ...set, id, name, others, ...(own ? { own } : {}) },
      };
      return others.length ? kept : alone(kept);
    },
  } satisfies Command<{ thing: string }>,

  /** A thing lies on the sheets of another that is on the same stock and material; on its own ones again without one. */
  'share-sheets': {
    run: (job, { thing, on }) => {
      if (!job.set || !hasThing(job, thing)) return notFound('thing');
      if (on === undefined) return withHost(job, [thing], undefined);
      if (!hasThing(job, on)) return notFound('thing');
      const [one, other] = [thing, on].map((id) => hostOf(job, id)) as [string, string];
      if (one === other) return job;
      const [a, b] = [thingAlone(job, one), thingAlone(job, other)];
      if (!isSame([a.stock, a.material], [b.stock, b.material])) return refused('other-sheets');
      if (a.stock.spots) return refused('sheets-with-labels');
      // The first of the set has sheets of its own: the others come onto them.
      const [host, guest] = one === job.set.id ? [one, other] : [other, one];
      const moved = idsOf(job).filter((id) => hostOf(job, id) === guest);
      return withHost(job, moved, host);
    },
  } satisfies Command<{ thing: string; on: string | undefined }>,

  'rename-thing': {
    run: (job, { thing, name }) => {
      const trimmed = cut(name.trim());
      if (trimmed === '') return refused('name-empty');
      if (!job.set || !hasThing(job, thing)) return notFound('thing');
      return withNamed({ ...job, set: job.set }, thing, (one) =>
        one.name === trimmed ? one : { ...one, name: ownName(trimmed, job) },
      );
    },
  } satisfies Command<{ thing: string; name: string }>,

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

  /** One thing takes the shared value again. */
  'share-look': {
    run: (job, { thing, role }) => {
      const { colors, faces, says = [] } = thingsOf(job).find(({ id }) => id === thing)?.own ?? {};
      const without = <R extends object>(roles: R | undefined): R =>
        Object.fromEntries(Object.entries(roles ?? {}).filter(([key]) => key !== role)) as R;
      const left = says.filter((field) => field !== role);
      return owning(job, thing, {
        colors: without(colors),
        faces: without(faces),
        ...(left.length ? { says: left } : {}),
      });
    },
  } satisfies Command<{ thing: string; role: string }>,

  /** So many of the whole set: each piece that was counted like the set is counted so. */
  'want-sets': {
    run: (job, { count }) => {
      if (!job.set) return refused('no-set');
      const before = job.set.count;
      const follows = (now: number): boolean => before === undefined || now === before;
      const counted = (wanted: Readonly<Record<string, number>>, to: number) =>
        Object.fromEntries(
          Object.entries(wanted).map(([piece, now]) => [piece, follows(now) ? to : now]),
        );
      const made = withEachThing(job, (thing) => {
        const { copiesPerRow } = thing.plan;
        const plan = {
          ...withoutNested(thing.plan),
          wanted: counted(thing.plan.wanted, count),
          ...(copiesPerRow
            ? { copiesPerRow: counted(copiesPerRow, Math.max(1, Math.min(MOST_A_ROW, count))) }
            : {}),
        };
        return isSame(plan, thing.plan) ? thing : { ...thing, plan };
      });
      return made.set ? { ...made, set: { ...made.set, count } } : made;
    },
  } satisfies Command<{ count: number }>,
};

/** A set with some of its things on the sheets of another, or on their own, whose stock they then have. */
function withHost(job: Job, ids: readonly string[], host: string | undefined): Job {
  if (!job.set) return job;
  const others = job.set.others.map((one) => {
    if (!ids.includes(one.id) || hostOf(job, one.id) === (host ?? one.id)) return one;
    const { on, ...kept } = one;
    const { stock, material } = thingAlone(job, one.id);
    void on; // chosen anew
    return { ...kept, stock, material, ...(host ? { on: host } : {}) };
  });
  return others.every((one, at) => one === job.set?.others[at])
    ? job
    : { ...job, set: { ...job.set, others } };
}

/** The job of the one thing that a set has left. */
function alone(job: Job): Job {
  const { set, ...thing } = job;
  void set;
  return thing;
}
