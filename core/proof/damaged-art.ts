import type { Platform, Task } from '../base/index.ts';
import { artOfJob, type CompiledJob, type JobResources } from '../job/index.ts';
import { decodePixels } from '../raster/index.ts';

/** Whether pictures can be decoded, by their hashes: what has a hash never changes, so once is enough. */
const decodable = new Map<string, Promise<boolean>>();
const MOST_KNOWN = 5000;

/** The pictures of a job whose files are damaged or too large to be decoded, by their hashes. */
export async function damagedArt(
  { job }: CompiledJob,
  {
    platform,
    resources,
    task,
  }: { readonly platform: Platform; readonly resources: JobResources; readonly task?: Task },
): Promise<ReadonlySet<string>> {
  const damaged = new Set<string>();
  for (const id of artOfJob(job)) {
    const [art, bytes] = [job.art[id], resources.bytes(id)];
    if (art?.kind !== 'pixels' || !bytes) continue;
    if (!decodable.has(id)) await task?.yieldNow();
    const known =
      decodable.get(id) ??
      decodePixels(platform, art.format, bytes).then(
        () => true,
        () => false,
      );
    if (decodable.size >= MOST_KNOWN) decodable.clear();
    decodable.set(id, known);
    if (!(await known)) damaged.add(id);
  }
  return damaged;
}
