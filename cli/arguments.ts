import { parseArgs, type ParseArgsConfig } from 'node:util';
import { expectGood, problem, ProblemError } from '../core/base/index.ts';
import { parseLength } from '../core/units/index.ts';

/** Bad input: exit 2 with one line that says what was read, where, and what is accepted. */
export function refuse(what: string, remedy: string, where?: string): never {
  throw new ProblemError(problem('cli/input', what, remedy, where));
}

/** The options of a command, all as text, and what stands without a name. */
export interface Given {
  readonly options: Readonly<Record<string, string | boolean | undefined>>;
  readonly rest: readonly string[];
}

/** Reads options; `switches` take no value. */
export function readOptions(
  argv: readonly string[],
  names: readonly string[],
  switches: readonly string[] = [],
): Given {
  const options: NonNullable<ParseArgsConfig['options']> = {};
  for (const name of names) options[name] = { type: 'string' };
  for (const name of [...switches, 'json']) options[name] = { type: 'boolean' };
  try {
    const { values, positionals } = parseArgs({
      args: [...argv],
      options,
      allowPositionals: true,
      strict: true,
    });
    return { options: values as Given['options'], rest: positionals };
  } catch (error) {
    const said =
      error instanceof Error ? (error.message.split('. ')[0] ?? error.message) : String(error);
    return refuse(
      `${said}.`,
      `Accepted options: ${[...names, ...switches, 'json'].map((name) => `--${name}`).join(', ')}.`,
    );
  }
}

/** An option that must be there. */
export function needed({ options }: Given, name: string): string {
  const value = options[name];
  if (typeof value !== 'string' || value === '')
    return refuse(`--${name} is missing.`, `Give --${name} with a value.`, `--${name}`);
  return value;
}

/** An option that is a length in mm unless it names a unit. */
export function length(given: Given, name: string, other?: number): number {
  const value = given.options[name];
  if (value === undefined && other !== undefined) return other;
  const read = parseLength(needed(given, name));
  if (!read.ok)
    throw new ProblemError({ ...read.problem, what: `--${name}: ${read.problem.what}` });
  return expectGood(read);
}

/** An option that is a whole number. */
export function whole({ options }: Given, name: string, other: number): number {
  const value = options[name];
  if (value === undefined) return other;
  if (!/^\d+$/.test(String(value)))
    return refuse(
      `--${name}: “${value}” is not a whole number.`,
      'Write digits only.',
      `--${name}`,
    );
  return Number(value);
}
