import { artSchema, type Art } from '../../core/art/index.ts';
import { createJob, writePeel } from '../../core/job/index.ts';
import { fileStem } from '../../core/output/index.ts';
import { artBytes, download, filesNamedBy } from '../storage/index.ts';

/** Saves what is kept of a job as a `.peel` file, just as it is, with all files that it names. */
export async function saveOriginal(name: string, document: unknown): Promise<void> {
  const files = new Map<string, Uint8Array>();
  for (const id of filesNamedBy(document)) {
    const bytes = await artBytes(id);
    if (bytes) files.set(id, bytes);
  }
  const { art = {} } = (document ?? {}) as { art?: Record<string, unknown> };
  const known = Object.entries(art).flatMap(([id, one]): [string, Art][] => {
    const read = artSchema.safeParse(one);
    return read.success ? [[id, read.data]] : [];
  });
  // The file is made as any job's is; only what stands in it as the job is what was kept.
  const blank = createJob('own', { id: 'blank', today: '2000-01-01' });
  const whole = { job: { ...blank, art: Object.fromEntries(known) }, art: files };
  download(`${fileStem(name)}.peel`, writePeel(whole, document), 'application/zip');
}
