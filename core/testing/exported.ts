import { execFileSync } from 'node:child_process';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { exportFiles, type ExportChoices, type Format, type MadeFile } from '../output/index.ts';
import { say } from '../../messages/index.ts';
import { compiled, exampleJob } from './example-job.ts';
import { nodePlatform } from './node-platform.ts';

/** Runs a tool of the system on files and gives what it says. */
export const tool = (name: string, ...args: string[]): string =>
  execFileSync(name, args, { encoding: 'utf8' });

const folder = mkdtempSync(join(tmpdir(), 'peel-files-'));

/** Puts bytes where tools find them. */
export function keep(name: string, bytes: Uint8Array): string {
  const path = join(folder, name);
  writeFileSync(path, bytes);
  return path;
}

/** The sheet of seals as files, each by its kind. */
export async function exportedExample(
  formats: readonly Format[],
  choices: Partial<ExportChoices> = {},
): Promise<{
  made: Awaited<ReturnType<typeof compiled>>;
  file: (format: Format) => MadeFile;
}> {
  const { job, art } = await exampleJob();
  const made = await compiled(job, art);
  const { resources } = made;
  const list = await exportFiles(made.compiled, {
    say,
    platform: nodePlatform,
    resources,
    formats,
    choices,
  });
  const file = (format: Format): MadeFile => {
    const found = list.find((one) => one.format === format);
    if (!found) throw new Error(`no ${format}`);
    return found;
  };
  return { made, file };
}
