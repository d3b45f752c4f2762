import type * as z from 'zod';
import {
  changedAt,
  contentHash,
  findLimit,
  freeId,
  ok,
  valueAt,
  type JobPlace,
  type JobSource,
  type Result,
  type ValuePath,
} from '../base/index.ts';
import { createJob } from './create.ts';
import { withEachThing } from './set.ts';
import { tooMuchIn, withoutTooMuch } from './too-much.ts';
import { tryMigrate, type Plain } from './migrations.ts';
import { jobPlace } from './job-place.ts';
import { jobSchema, type Job } from './schema.ts';

/** A job that was read as far as it can be. */
export interface MendedJob {
  readonly job: Job;
  /** What was left out of it or set to its limit; nothing where it was whole. */
  readonly leftOut: readonly JobPlace[];
}

const MOST_ROUNDS = 400;

/**
 * Reads a job document of this or an earlier version, however damaged: numbers beyond their limits are
 * set to them, texts and lists that are too long are cut, and of all else the smallest part that cannot
 * be read is left out. Only what is no job document at all, or a later version's, is a problem.
 */
export function mendJob(document: unknown, source: JobSource = { kind: 'job' }): Result<MendedJob> {
  const migrated = tryMigrate(document, source);
  if (!migrated.ok) return migrated;
  let plain = migrated.value;
  const leftOut: JobPlace[] = [];
  for (let round = 0; ; round++) {
    const read = jobSchema.safeParse(plain);
    if (read.success) return ok(drawable(read.data, leftOut));
    const fitted = withFitting(plain, read.error.issues, leftOut);
    const [first] = read.error.issues;
    if (fitted !== plain) plain = fitted;
    else if (first) {
      // Where there is no end of it, the whole part goes.
      const path = round < MOST_ROUNDS ? first.path : first.path.slice(0, 1);
      leftOut.push(jobPlace(plain, path));
      plain = without(plain, path);
    }
  }
}

/** The document with all values made fit of which it is plain what they were meant to be. */
function withFitting(
  plain: Plain,
  issues: readonly z.core.$ZodIssue[],
  leftOut: JobPlace[],
): Plain {
  return issues.reduce((now, issue) => {
    const made = smaller(now, issue);
    if (made) leftOut.push(jobPlace(now, issue.path));
    return made ?? now;
  }, plain);
}

function drawable(job: Job, leftOut: JobPlace[]): MendedJob {
  const tooMuch = tooMuchIn(job);
  for (const [at, { elements }] of job.pieces.entries())
    for (const [place, element] of elements.entries())
      if (tooMuch.has(element)) leftOut.push(jobPlace(job, ['pieces', at, 'elements', place]));
  return { job: withEachThing(job, (thing) => withoutTooMuch(thing)), leftOut };
}

/** The document with a value made fit where that says what it was meant to; undefined where not. */
function smaller(plain: Plain, issue: z.core.$ZodIssue): Plain | undefined {
  const value = valueAt(plain, issue.path);
  const instead = (next: unknown): Plain => changedAt(plain, issue.path, () => next) as Plain;
  const limit = findLimit(issue);
  if (limit !== undefined) return instead(limit);
  if (issue.code === 'too_big' && (typeof value === 'string' || Array.isArray(value)))
    return instead(value.slice(0, Number(issue.maximum)));
  if (issue.path.at(-1) === 'id' && typeof value === 'string')
    return instead(madeId(plain, issue.path));
  return undefined;
}

/** An id of its own for something whose id is another's, or none. */
function madeId(plain: Plain, path: ValuePath): string {
  if (path.length === 1)
    return `job-${contentHash(new TextEncoder().encode(String(plain.id))).slice(0, 12)}`;
  const all = valueAt(plain, path.slice(0, -2));
  const ids = Array.isArray(all) ? all.map((one) => String((one as Plain | null)?.id)) : [];
  return freeId('mended', ids);
}

/**
 * The document without what stands at a path, or with nothing in its place; where it cannot be without
 * it, without what holds it.
 */
function without(plain: Plain, path: ValuePath): Plain {
  const [top] = path;
  if (path.length <= 1) return replaced(plain, String(top));
  const there = valueAt(plain, path) !== undefined;
  for (const instead of there ? [undefined, null] : []) {
    const next = changedAt(plain, path, () => instead) as Plain;
    if (!refusesAt(next, path)) return next;
  }
  return without(plain, path.slice(0, -1));
}

/** Whether a document is refused at a path or within it; of what follows there in a list, nothing is said. */
function refusesAt(plain: Plain, path: ValuePath): boolean {
  const inList = Array.isArray(valueAt(plain, path.slice(0, -1)));
  const about = inList ? path.slice(0, -1) : path;
  const issues = jobSchema.safeParse(plain).error?.issues ?? [];
  return issues.some((issue) =>
    inList
      ? issue.path.length === about.length && about.every((key, at) => issue.path[at] === key)
      : about.every((key, at) => issue.path[at] === key),
  );
}

/** The document with one of its parts as a new job has it, or without it where it need not be there. */
function replaced(plain: Plain, part: string): Plain {
  const fresh: Plain = { ...createJob('own', { id: 'mended', today: '2000-01-01' }) };
  const { [part]: broken, ...rest } = plain;
  void broken;
  return part in fresh ? { ...rest, [part]: fresh[part] } : rest;
}
