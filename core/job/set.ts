import { isSame, onceForEach } from '../base/index.ts';
import type { Art } from '../art/index.ts';
import { artOfJob, artWithOrigins, withArtReplaced } from './art-use.ts';
import { ownedLook, type Look, type OwnLook } from './look.ts';
import { withOneOffs } from './one-offs.ts';
import { partedFrom, withSharing, type SharingThing } from './shared-sheets.ts';
import type { Job, SetThing } from './schema.ts';

/*
 * A set is a job of several things that share a look. The first of them stands where a job of one thing
 * has it; each is seen as a job of its own, so that whatever works on a job works on any of them.
 */

/** One thing of a set as it is listed. */
export interface ThingOfSet {
  readonly id: string;
  readonly name: string;
  readonly own?: OwnLook | undefined;
  /** The thing on whose sheets it lies. */
  readonly on?: string | undefined;
}

/** The things of a job in their order; a job of one thing is a set of that alone. */
export function thingsOf(job: Job): readonly ThingOfSet[] {
  if (!job.set) return [{ id: ONLY, name: job.name }];
  const { id, name, own, others } = job.set;
  return [{ id, name, own }, ...others];
}

/** The thing on whose sheets one lies: itself where it has its own. */
export function hostOf(job: Job, id: string): string {
  const find = (one: string | undefined): SetThing | undefined =>
    job.set?.others.find((other) => other.id === one);
  const on = find(id)?.on;
  const isThere = on !== undefined && (on === job.set?.id || find(on)) && on !== id;
  return isThere && find(on)?.on === undefined ? on : id;
}

/** How the thing of a job is called that is no set. */
export const ONLY = 'thing-1';

type OwnPart = Omit<SetThing, 'id' | 'name' | 'own' | 'on'>;

/** What each thing of a set has for itself, without what is shared. */
export function ownPart({
  thing,
  pieces,
  stock,
  material,
  plan,
  design,
  oneOffs,
  accepted,
}: OwnPart): OwnPart {
  return {
    thing,
    pieces,
    stock,
    material,
    plan,
    ...(design ? { design } : {}),
    ...(oneOffs ? { oneOffs } : {}),
    ...(accepted ? { accepted } : {}),
  };
}

/** What all things of a set share. */
export function sharedPart({ version, id, name, today, fields, list, art, typefaces }: Job) {
  return {
    version,
    id,
    name,
    today,
    ...(fields ? { fields } : {}),
    ...(list ? { list } : {}),
    art,
    ...(typefaces ? { typefaces } : {}),
  };
}

/**
 * One thing of a job as a job of its own; the same value for the same job. With it are the things that
 * lie on its sheets, as guests. The first where none is of that id, and the job itself where it is no set.
 */
export function asThing(job: Job, id: string): Job {
  return job.set ? seen(job, id) : job;
}

const seen = onceForEach((job: Job, id: string): Job =>
  withSharing(thingAlone(job, id), sharing(job, id)),
);

/** One thing of a job without those that lie on its sheets. */
export const thingAlone = onceForEach((job: Job, id: string): Job => {
  const other = job.set?.others.find((one) => one.id === id);
  const { set, ...first } = job;
  void set;
  if (!other) return first;
  const host = hostOf(job, id);
  const { stock, material } = host === id ? other : thingAlone(job, host);
  return { ...sharedPart(job), ...ownPart(other), stock, material };
});

/** The things that lie on the sheets of one. */
const sharing = (job: Job, id: string): readonly SharingThing[] =>
  (job.set?.others ?? []).flatMap((one) =>
    one.id !== id && hostOf(job, one.id) === id
      ? [{ id: one.id, name: one.name, job: thingAlone(job, one.id) }]
      : [],
  );

/** A group of sheets: a thing with those that lie on its sheets. */
export interface SheetGroup extends ThingOfSet {
  /** All things that lie on its sheets, by their ids; itself first. */
  readonly things: readonly string[];
  readonly job: Job;
}

/** The groups of sheets of a job, each as a job of its own, in the order of their things. */
export const groupsOf = (job: Job): readonly SheetGroup[] =>
  eachThing(job).flatMap((one) => {
    if (hostOf(job, one.id) !== one.id) return [];
    const others = sharing(job, one.id);
    const name = [one, ...others].map((thing) => thing.name).join(' + ');
    return [{ ...one, name, things: [one, ...others].map((thing) => thing.id) }];
  });

/** Each thing of a job as a job of its own, with what it is called. */
export const eachThing = (job: Job): readonly (ThingOfSet & { readonly job: Job })[] =>
  thingsOf(job).map((one) => ({ ...one, job: asThing(job, one.id) }));

/** The look of one thing of a set, its own values in it; undefined where the job is no set. */
export function lookOfThing(job: Job, id: string): Look | undefined {
  const own = thingsOf(job).find((one) => one.id === id)?.own;
  return job.set && ownedLook(job.set.look, own);
}

/** A job with one of its things as it became; what it shares with the others is theirs, too. */
export function withThing(job: Job, id: string, made: Job): Job {
  if (!job.set) return made;
  if (made === asThing(job, id)) return job;
  const parted = partedFrom(made, sharing(job, id));
  const now = withAlone(job, id, parted.host);
  return parted.others.reduce((next, { id: other, job: { plan, oneOffs = {} } }) => {
    const one = thingAlone(next, other);
    const same = one.plan === plan && isSame(one.oneOffs ?? {}, oneOffs);
    return same ? next : withAlone(next, other, withOneOffs({ ...one, plan }, oneOffs));
  }, now);
}

/** A job with one of its things as it became, seen without those that lie on its sheets. */
function withAlone(job: Job, id: string, made: Job): Job {
  const { set } = job;
  const before = thingAlone(job, id);
  if (!set || made === before) return job;
  const other = set.others.find((one) => one.id === id);
  // On another stock or material it is on sheets of its own again.
  const leaves = !isSame([made.stock, made.material], [before.stock, before.material]);
  const others = other
    ? set.others.map((one) =>
        one === other
          ? { ...ownPart(made), ...named(leaves ? { ...other, on: undefined } : other) }
          : one,
      )
    : set.others;
  const first = other ? ownPart(job) : ownPart(made);
  const next: Job = { ...sharedPart(made), ...first, set: { ...set, others } };
  return { ...next, art: { ...usedElsewhere(job, id), ...made.art } };
}

const named = ({
  id,
  name,
  own,
  on,
}: ThingOfSet): Pick<SetThing, 'id' | 'name' | 'own' | 'on'> => ({
  id,
  name,
  ...(own ? { own } : {}),
  ...(on ? { on } : {}),
});

/** The art that the other things of a set use, and what that was made from: no change of one drops it. */
function usedElsewhere(job: Job, id: string): Job['art'] {
  const others = eachThing(job).filter((one) => one.id !== id);
  return artWithOrigins(
    job.art,
    others.flatMap((one) => artOfJob(one.job)),
  );
}

/** A job with each of its things as `map` gives it. */
export const withEachThing = (job: Job, map: (thing: Job, of: ThingOfSet) => Job): Job =>
  thingsOf(job).reduce((now, one) => withThing(now, one.id, map(asThing(now, one.id), one)), job);

/** A set whose mark is another picture, where it was a certain one. */
export const withMarkReplaced = (job: Job, from: string, to: string): Job =>
  job.set?.look.mark === from
    ? { ...job, set: { ...job.set, look: { ...job.set.look, mark: to } } }
    : job;

/** A job with one art in the place of another on all labels of all of its things. */
export const withArtReplacedInAll = (job: Job, from: string, to: Art): Job =>
  withMarkReplaced(
    withEachThing(job, (thing) => withArtReplaced(thing, from, to)),
    from,
    to.id,
  );

/** Whether a job has a thing of that id. */
export const hasThing = (job: Job, id: string): boolean =>
  thingsOf(job).some((one) => one.id === id);

/** The set with what it says of one of its things changed. */
export function withNamed(
  job: Job,
  id: string,
  change: (one: { name: string; own?: OwnLook | undefined }) => {
    name: string;
    own?: OwnLook | undefined;
  },
): Job {
  const { set } = job;
  if (!set) return job;
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
