import { eachThing, type Job, type ThingOfSet } from '../core/job/index.ts';
import { refuse, type Given } from './arguments.ts';

/** One thing of a job, seen as a job of its own; `group` is what files and answers call it in a set. */
export interface Group {
  readonly id: ThingOfSet['id'];
  readonly job: Job;
  readonly group: string | undefined;
}

/** The things of a job that are wanted: the one that `--group` names, or all in their order. */
export function groupsOf(job: Job, { options }: Given): readonly Group[] {
  const groups = eachThing(job).map(({ id, name, job: seen }) => ({
    id,
    job: seen,
    group: job.set ? name : undefined,
    name,
  }));
  const wanted = options.group;
  if (wanted === undefined) return groups;
  const called = String(wanted).toLowerCase();
  const found = groups.filter(({ name }) => name.toLowerCase() === called);
  if (found.length) return found;
  const names = groups.map(({ name }) => name).join(', ');
  return refuse(
    `--group: there is no “${String(wanted).slice(0, 80)}” in this job.`,
    `Accepted: ${names}.`,
    '--group',
  );
}
