import { isProblem } from '../base/index.ts';
import { copyParts } from '../sheet/index.ts';
import { withPiece, type Command } from './command.ts';
import { adopted, withOneOffs, type OneOff } from './one-offs.ts';
import { notFound } from './command-problems.ts';

/** What single copies have of their own. */
export const ONE_OFF_COMMANDS = {
  /** Copies are as their piece again. */
  'return-one-offs': {
    run: (job, { copies }) => {
      const kept = Object.entries(job.oneOffs ?? {}).filter(([copy]) => !copies.includes(copy));
      return withOneOffs(job, Object.fromEntries(kept));
    },
  } satisfies Command<{ copies: readonly string[] }>,

  /** What one copy has of its own goes to all copies of its piece. */
  'use-on-all': {
    run: (job, { copy }) => {
      const own = job.oneOffs?.[copy];
      if (!own) return notFound('copy');
      const { out, ...artwork } = own;
      const made = withPiece(job, copyParts(copy).piece, (piece) => adopted(piece, artwork));
      if (isProblem(made)) return made;
      return withOneOffs(made, { ...job.oneOffs, [copy]: out ? { out } : {} });
    },
  } satisfies Command<{ copy: string }>,

  /** Places of copies that stay empty: nothing is printed or cut there. */
  'leave-out': {
    run: (job, { copies, out }) => {
      const made = Object.fromEntries(
        copies.map((copy): [string, OneOff] => {
          const { out: before, ...own } = job.oneOffs?.[copy] ?? {};
          void before;
          return [copy, out ? { ...own, out: true } : own];
        }),
      );
      return withOneOffs(job, { ...job.oneOffs, ...made });
    },
  } satisfies Command<{ copies: readonly string[]; out: boolean }>,
};
