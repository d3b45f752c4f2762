import { performance } from 'node:perf_hooks';
import { expectOk } from '../../core/base/index.ts';
import { tryPack } from '../../core/packing/index.ts';
import { readOptions, refuse, whole } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { readBytes, writeWhole } from '../files.ts';

const NOT_GIVEN = 0;

/** With a time alone the solver works until it is up. */
function roundsOf(given: number, capped: boolean): { rounds?: number } {
  if (given > NOT_GIVEN) return { rounds: given };
  return capped ? { rounds: Infinity } : {};
}

export const pack: CliCommand = {
  does: 'Fills sheets with outlines.',
  example: 'peel pack request.json --out layout.json --seconds 10',
  usage:
    'peel pack REQUEST.json [--out LAYOUT.json] [--effort N] [--seconds S] [--seed N] [--json]',
  async run(argv) {
    const given = readOptions(argv, ['out', 'effort', 'seconds', 'seed']);
    const rounds = whole(given, 'effort', NOT_GIVEN);
    const seed = whole(given, 'seed', 1);
    const { seconds: cap } = given.options;
    if (cap !== undefined && !(Number(cap) > 0))
      refuse(`--seconds: “${cap}” is not a time.`, 'Write a number of seconds.', '--seconds');
    const [path] = given.rest;
    if (!path) return refuse('No request was named.', 'Give the path of a JSON file.');
    let request: unknown;
    try {
      request = JSON.parse(new TextDecoder().decode(readBytes(path)));
    } catch (error) {
      if (error instanceof SyntaxError)
        return refuse(
          `${path} is not JSON.`,
          'Write the request as documented under “peel pack”.',
          path,
        );
      throw error;
    }
    const started = performance.now();
    const answer = expectOk(
      await tryPack(request, {
        seed,
        ...roundsOf(rounds, cap !== undefined),
        ...(cap === undefined
          ? {}
          : { over: () => performance.now() - started > Number(cap) * 1000 }),
      }),
    );
    const seconds = Math.round(performance.now() - started) / 1000;
    const { stopped, ...packed } = answer;
    const document = { ...packed, seconds, stopped };
    if (typeof given.options.out === 'string')
      writeWhole(given.options.out, `${JSON.stringify(document, null, 1)}\n`);
    const placed = Object.entries(answer.placed).map(([id, count]) => `${id}: ${count}`);
    return {
      exit: 0,
      document,
      text: `${placed.join(', ')} on ${answer.sheets.length} sheet(s)`,
    };
  },
};
