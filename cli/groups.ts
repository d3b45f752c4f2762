import { groupsOf, thingsOf, type Job, type SheetGroup } from '../core/job/index.ts';
import { refuse, type Given } from './arguments.ts';

/** A group of sheets of a job, seen as a job of its own; `group` is what files and answers call it in a set. */
export interface Group {
  readonly id: SheetGroup['id'];
  readonly job: Job;
  readonly group: string | undefined;
}

/** The groups of a job that are wanted: the one that `--group` names by itself or a thing on it, or all in their order. */
export function wantedGroups(job: Job, { options }: Given): readonly Group[] {
  const all = groupsOf(job).map(({ id, name, job: seen, things }) => ({
    id,
    job: seen,
    group: job.set ? name : undefined,
    name,
    called: [name, ...thingsOf(job).flatMap((one) => (things.includes(one.id) ? [one.name] : []))],
  }));
  const wanted = options.group;
  if (wanted === undefined) return all;
  const called = String(wanted).toLowerCase();
  const found = all.filter((one) => one.called.some((name) => name.toLowerCase() === called));
  if (found.length) return found;
  const names = all.map(({ name }) => name).join(', ');
  return refuse(
    `--group: there is no “${String(wanted).slice(0, 80)}” in this job.`,
    `Accepted: ${names}.`,
    '--group',
  );
}
