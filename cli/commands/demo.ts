import { demoJobs } from '../../demo/index.ts';
import { fileStem } from '../../core/output/index.ts';
import { writePeel } from '../../core/job/index.ts';
import { needed, readOptions } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { writeInto } from '../files.ts';
import { nodePlatform } from '../../devices/wire/index.ts';

export const demo: CliCommand = {
  does: 'Writes every sample job as a .peel file.',
  example: 'peel demo --out samples',
  usage: 'peel demo --out DIR [--json]',
  async run(argv) {
    const out = needed(readOptions(argv, ['out'], { words: 0 }), 'out');
    const files = (await demoJobs(nodePlatform)).map((one) => ({
      name: `${fileStem(one.job.name)}.peel`,
      bytes: writePeel(one),
    }));
    for (const { name, bytes } of files) writeInto(out, name, bytes);
    const names = files.map(({ name }) => name);
    writeInto(out, 'index.json', `${JSON.stringify(names)}\n`);
    return { exit: 0, document: { files: names }, text: names.join('\n') };
  },
};
