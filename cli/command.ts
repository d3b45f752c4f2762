import type { Reader } from './reader.ts';

/** Where a command prints. */
export interface Lines {
  out(line: string): void;
  err(line: string): void;
}

/** What a command says when it is done. */
export interface Answer {
  /** 0: done. 1: done, but there are blockers. */
  readonly exit: 0 | 1;
  /** Printed under `--json`. */
  readonly document: unknown;
  /** Printed without; nothing where all was said on the way. */
  readonly text: string | undefined;
}

/** One command of `peel`. */
export interface CliCommand {
  readonly usage: string;
  /** One sentence: what it is for. */
  readonly does: string;
  /** A call as somebody would write it. */
  readonly example: string;
  run(argv: readonly string[], reader: Reader, lines?: Lines): Promise<Answer>;
}
