import { onceForEach } from '../base/index.ts';
import type { Art } from '../art/index.ts';
import { artOfJob, artWithOrigins, withArtReplaced } from './art-use.ts';
import { ownedLook, type Look, type OwnLook } from './look.ts';
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
}

/** The things of a job in their order; a job of one thing is a set of that alone. */
export function thingsOf(job: Job): readonly ThingOfSet[] {
  if (!job.set) return [{ id: ONLY, name: job.name }];
  const { id, name, own, others } = job.set;
  return [{ id, name, own }, ...others];
}

/** How the thing of a job is called that is no set. */
export const ONLY = 'thing-1';

type OwnPart = Omit<SetThing, 'id' | 'name' | 'own'>;

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
 * One thing of a job as a job of its own; the same value for the same job. The first where none is of that
 * id, and the job itself where it is no set.
 */
export function asThing(job: Job, id: string): Job {
  return job.set ? seenAlone(job, id) : job;
}

const seenAlone = onceForEach((job: Job, id: string): Job => {
  const other = job.set?.others.find((one) => one.id === id);
  const { set, ...first } = job;
  void set;
  return other ? { ...sharedPart(job), ...ownPart(other) } : first;
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
  const { set } = job;
  if (!set) return made;
  if (made === asThing(job, id)) return job;
  const other = set.others.find((one) => one.id === id);
  const others = other
    ? set.others.map((one) => (one === other ? { ...ownPart(made), ...named(other) } : one))
    : set.others;
  const first = other ? ownPart(job) : ownPart(made);
  const next: Job = { ...sharedPart(made), ...first, set: { ...set, others } };
  return { ...next, art: { ...usedElsewhere(job, id), ...made.art } };
}

const named = ({ id, name, own }: ThingOfSet): Pick<SetThing, 'id' | 'name' | 'own'> => ({
  id,
  name,
  ...(own ? { own } : {}),
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
