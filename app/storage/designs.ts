import { ProblemError } from '../../core/base/index.ts';
import {
  filesOf,
  isDesign,
  mendJob,
  tryJob,
  type JobWithArt,
  type OwnDesign,
} from '../../core/job/index.ts';
import { database } from './database.ts';
import { keepArt } from './jobs.ts';
import { keepOwnTypefaces, ownTypefaces } from './own-typefaces.ts';

/** The starting designs of this workshop that can be read, by name. */
export async function ownDesigns(): Promise<OwnDesign[]> {
  const found: OwnDesign[] = [];
  await database.designs.iterate<unknown, undefined>((kept) => {
    const read = mendJob(kept);
    if (read.ok && isDesign(read.value.job)) found.push(read.value.job);
    return undefined;
  });
  return found.sort((one, other) => (one.name < other.name ? -1 : 1));
}

/** Keeps a design; its typefaces are the workshop's own from now on. */
export async function keepDesign(
  design: OwnDesign,
  files: JobWithArt['art'],
  now: number,
): Promise<void> {
  const problem = tryJob(design);
  if (problem) throw new ProblemError(problem);
  for (const [id, bytes] of files) await keepArt(id, bytes, now);
  const brought = Object.values(design.typefaces ?? {});
  const here = await ownTypefaces();
  const added = brought.filter(({ id }) => !here.some((one) => one.id === id));
  if (added.length) await keepOwnTypefaces([...here, ...added]);
  await database.designs.setItem(design.id, design);
}

/** Takes a design out of the workshop; what was started from it stays. */
export async function dropDesign(id: string): Promise<void> {
  await database.designs.removeItem(id);
}

/** The files that designs name. */
export async function filesOfDesigns(): Promise<string[]> {
  return (await ownDesigns()).flatMap(filesOf);
}
