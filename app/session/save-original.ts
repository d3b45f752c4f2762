import * as z from 'zod';
import { artSchema } from '../../core/art/index.ts';
import { createJob, writePeel } from '../../core/job/index.ts';
import { fileStem } from '../../core/output/index.ts';
import { ownTypefaceSchema, typefaceFromVersion12 } from '../../core/type/index.ts';
import { artBytes, download, filesNamedBy } from '../storage/index.ts';

/** Saves what is kept of a job as a `.peel` file, just as it is, with all files that it names. */
export async function saveOriginal(name: string, document: unknown): Promise<void> {
  const files = new Map<string, Uint8Array>();
  for (const id of filesNamedBy(document)) {
    const bytes = await artBytes(id);
    if (bytes) files.set(id, bytes);
  }
  const { art, typefaces } = (document ?? {}) as Readonly<Record<string, unknown>>;
  // The file is made as any job's is; only what stands in it as the job is what was kept.
  const blank = createJob('own', { id: 'blank', today: '2000-01-01' });
  const known = {
    art: readable(artSchema, art),
    typefaces: readable(z.preprocess(typefaceFromVersion12, ownTypefaceSchema), typefaces),
  };
  const whole = { job: { ...blank, ...known }, art: files };
  download(`${fileStem(name)}.peel`, writePeel(whole, document), 'application/zip');
}

/** The entries of a record that can be read. */
function readable<T>(schema: z.ZodType<T>, part: unknown): Record<string, T> {
  if (typeof part !== 'object' || part === null) return {};
  const entries = Object.entries(part).flatMap(([id, one]): [string, T][] => {
    const read = schema.safeParse(one);
    return read.success ? [[id, read.data]] : [];
  });
  return Object.fromEntries(entries);
}
