import { parseArgs, type ParseArgsConfig } from 'node:util';
import type { Problem } from '../core/base/index.ts';
import { parseLength } from '../core/units/index.ts';
import { problemText } from '../messages/index.ts';

/** Bad input, in words. */
export class InputError extends Error {
  readonly where: string | undefined;
  constructor(what: string, remedy: string, where?: string) {
    super(`${what} ${remedy}`);
    this.name = 'InputError';
    this.where = where;
  }
}

/** A problem that was found in what was given, named by it. */
export function refuseIn(where: string, problem: Problem): never {
  const { what, remedy } = problemText(problem);
  return refuse(`${where}: ${what}`, remedy, where);
}

/** Bad input: exit 2 with one line that says what was read, where, and what is accepted. */
export function refuse(what: string, remedy: string, where?: string): never {
  throw new InputError(what, remedy, where);
}

/** The options of a command, all as text, and what stands without a name. */
export interface Given {
  readonly options: Readonly<Record<string, string | boolean | undefined>>;
  readonly rest: readonly string[];
  /** What was given of options that may be given several times, in the order of the line. */
  readonly many: readonly { readonly name: string; readonly value: string }[];
}

/** What a command takes beside options with a value. */
interface Takes {
  /** Options without one. */
  readonly switches?: readonly string[];
  /** How many words stand without a name. */
  readonly words?: number;
  /** Options with a value that may be given several times. */
  readonly many?: readonly string[];
}

/** Reads options. A value may begin with a minus; nothing is passed over in silence. */
export function readOptions(
  argv: readonly string[],
  names: readonly string[],
  { switches = [], words = 1, many = [] }: Takes = {},
): Given {
  const options: NonNullable<ParseArgsConfig['options']> = {};
  for (const name of names) options[name] = { type: 'string' };
  for (const name of many) options[name] = { type: 'string', multiple: true };
  for (const name of [...switches, 'json']) options[name] = { type: 'boolean' };
  try {
    const { values, positionals, tokens } = parseArgs({
      args: withMinus(argv, [...names, ...many]),
      options,
      allowPositionals: true,
      strict: true,
      tokens: true,
    });
    const seen = new Set<string>();
    const several: { name: string; value: string }[] = [];
    for (const token of tokens) {
      if (token.kind !== 'option') continue;
      if (many.includes(token.name)) {
        several.push({ name: token.name, value: token.value ?? '' });
        continue;
      }
      if (seen.has(token.name))
        refuse(`--${token.name} was given twice.`, 'Give it once.', `--${token.name}`);
      seen.add(token.name);
    }
    const more = positionals[words];
    if (more !== undefined)
      refuse(`“${more}” is one word too many.`, 'Put words with spaces between quotes.', more);
    return { options: values as Given['options'], rest: positionals, many: several };
  } catch (error) {
    if (error instanceof InputError) throw error;
    const said =
      error instanceof Error ? (error.message.split('. ')[0] ?? error.message) : String(error);
    return refuse(
      `${said}.`,
      `Accepted options: ${[...names, ...many, ...switches, 'json'].map((name) => `--${name}`).join(', ')}.`,
    );
  }
}

/** The arguments with values that begin with a minus and a digit bound to their options. */
function withMinus(argv: readonly string[], names: readonly string[]): string[] {
  const bound: string[] = [];
  for (const word of argv) {
    const last = bound[bound.length - 1];
    if (/^-[\d.]/.test(word) && last?.startsWith('--') && names.includes(last.slice(2)))
      bound[bound.length - 1] = `${last}=${word}`;
    else bound.push(word);
  }
  return bound;
}

/** The value of an option that is a number, written in digits. */
export function decimal(name: string, value: string | boolean): number {
  const read = /^[+-]?(\d+([.,]\d+)?|[.,]\d+)$/.exec(String(value).trim());
  return read
    ? Number(read[0].replace(',', '.'))
    : refuse(`--${name}: “${value}” is not a number.`, 'Write digits only.', `--${name}`);
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
  return read.ok ? read.value : refuseIn(`--${name}`, read.problem);
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
