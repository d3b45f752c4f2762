import type { Art } from '../art/index.ts';
import { freeId, isProblem, isSame } from '../base/index.ts';
import type { Fill, PieceElement } from '../piece/index.ts';
import { withoutNested } from '../sheet/index.ts';
import { thingSchema, trySize, type MeasuredThing } from '../things/index.ts';
import { withArt, type Command } from './command.ts';
import { invalidBySchema, notFound, refused } from './command-problems.ts';
import { createJob, edgeFor } from './create.ts';
import { ownPieces } from './guests.ts';
import { insertElements } from './insert-elements.ts';
import { LOOK_COMMANDS } from './look-commands.ts';
import {
  lookOfPieces,
  ownedLook,
  ownOfJoined,
  withFaceRoles,
  withFieldsGuessed,
  type Look,
} from './look.ts';
import { mapOwnPieces } from './map-pieces.ts';
import { MOST_OTHER_THINGS, THING_NAME_LETTERS, type Job, type SetThing } from './schema.ts';
import {
  hasThing,
  hostOf,
  ONLY,
  ownPart,
  sharedPart,
  thingAlone,
  thingsOf,
  withEachThing,
  withNamed,
} from './set.ts';
import { MOST_A_ROW } from './sheet-commands.ts';

type JobSet = NonNullable<Job['set']>;

/** The job as a set: of its one thing where it was none, with the look that this has. */
export function asSet(job: Job, name: string): Job & { readonly set: JobSet } {
  if (job.set) return { ...job, set: job.set };
  const look = lookOfJob(job);
  return {
    ...withRoles(job, look),
    set: { id: ONLY, name: cut(name.trim() || job.name), others: [], look },
  };
}

/** A job whose words know which fields they are and what their typefaces do. */
const withRoles = (job: Job, look: Look): Job =>
  mapOwnPieces(job, (piece) => withFaceRoles(withFieldsGuessed(piece), look));

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

/** The changes of a job that is, or becomes, a set of several things. They are of the job as a whole. */
export const SET_COMMANDS = {
  ...LOOK_COMMANDS,

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
        // Its colours and typefaces are its own until they are shared.
        const look = ownedLook(lookOfJob(other), one.own);
        const seen = withRoles(thingAlone(other, one.id), look);
        const kept = ownOfJoined(set.set.look, look, seen.pieces);
        const own = {
          ...setThing(id, ownName(one.name, now), seen),
          ...(kept ? { own: kept } : {}),
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
      if (moved.some((id) => thingAlone(job, id).pieces.some((piece) => piece.guest)))
        return refused('guests-on-sheets');
      return withHost(job, moved, host);
    },
  } satisfies Command<{ thing: string; on: string | undefined }>,

  /** Nothing but one thing of the set is left. */
  'split-set': {
    run: (job, { keep }) => {
      if (!job.set) return refused('no-set');
      return hasThing(job, keep) ? thingAlone(job, keep) : notFound('thing');
    },
  } satisfies Command<{ keep: string }>,

  'rename-thing': {
    run: (job, { thing, name }) => {
      const trimmed = cut(name.trim());
      if (trimmed === '') return refused('name-empty');
      if (!job.set || !hasThing(job, thing)) return notFound('thing');
      return withNamed(job, thing, (one) =>
        one.name === trimmed ? one : { ...one, name: ownName(trimmed, job) },
      );
    },
  } satisfies Command<{ thing: string; name: string }>,

  /** So many of the whole set: each piece that was counted like the set is counted so. */
  'want-sets': {
    run: (job, { count }) => {
      if (!job.set) return refused('no-set');
      const before = job.set.count;
      const follows = (now: number): boolean => before === undefined || now === before;
      const made = withEachThing(job, (thing) => {
        const foreign = new Set(thing.pieces.flatMap(({ id, guest }) => (guest?.job ? [id] : [])));
        const counted = (wanted: Readonly<Record<string, number>>, to: number) =>
          Object.fromEntries(
            Object.entries(wanted).map(([piece, now]) => [
              piece,
              follows(now) && !foreign.has(piece) ? to : now,
            ]),
          );
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
