import settings from '../package.json';
import { ProblemError } from '../core/base/index.ts';
import { problemLine } from '../messages/index.ts';
import { InputError, refuse } from './arguments.ts';
import type { CliCommand, Lines } from './command.ts';
import { check } from './commands/check.ts';
import { clear } from './commands/clear.ts';
import { demo } from './commands/demo.ts';
import { exportCommand } from './commands/export.ts';
import { free } from './commands/free.ts';
import { pack } from './commands/pack.ts';
import { run } from './commands/run.ts';
import { simulate } from './commands/simulate.ts';
import { size } from './commands/size.ts';
import { split } from './commands/split.ts';
import { take } from './commands/take.ts';
import { trace } from './commands/trace.ts';
import { plainReader, type Reader } from './reader.ts';

const COMMANDS: Readonly<Record<string, CliCommand>> = {
  size,
  take,
  clear,
  free,
  split,
  trace,
  pack,
  export: exportCommand,
  check,
  run,
  simulate,
  demo,
};

const OF_PEEL = ['peel --version', 'peel COMMAND --help'];

function usage(): string {
  return [...Object.values(COMMANDS).map((command) => command.usage), ...OF_PEEL].join('\n');
}

const helpOf = ({ does, usage, example }: CliCommand): string =>
  [does, '', usage, '', 'For example:', `  ${example}`].join('\n');

/** What is said of bad input; undefined for an error of the program. */
function lineOf(error: unknown): string | undefined {
  if (error instanceof InputError) return error.message;
  return error instanceof ProblemError ? problemLine(error.problem) : undefined;
}

/** Runs one command and gives its exit code: 0 done, 1 done with blockers, 2 bad input. */
export async function main(
  argv: readonly string[],
  lines: Lines,
  reader: Reader = plainReader,
): Promise<number> {
  const [name, ...rest] = argv;
  if (name === '--version') {
    lines.out(settings.version);
    return 0;
  }
  if (name === undefined || name === '--help' || name === 'help') {
    lines.out(usage());
    return name === undefined ? 2 : 0;
  }
  try {
    const command = Object.hasOwn(COMMANDS, name) ? COMMANDS[name] : undefined;
    if (!command)
      return refuse(
        `“${name}” is not a command.`,
        `Accepted: ${Object.keys(COMMANDS).join(', ')}.`,
      );
    if (rest.includes('--help')) {
      lines.out(helpOf(command));
      return 0;
    }
    const { exit, document, text } = await command.run(rest, reader, lines);
    if (text !== undefined) lines.out(rest.includes('--json') ? JSON.stringify(document) : text);
    return exit;
  } catch (error) {
    const line = lineOf(error);
    if (line === undefined) throw error;
    lines.err(`peel: ${line}`);
    return 2;
  }
}
