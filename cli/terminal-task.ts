import type { Task } from '../core/base/index.ts';
import { doingText } from '../messages/index.ts';

/** Tells progress on stderr, and only to a terminal. */
export function terminalTask(): Task {
  return {
    progress: (share, doing) => {
      if (process.stderr.isTTY)
        process.stderr.write(`${Math.round(share * 100)} % ${doingText(doing)}\n`);
    },
    yieldNow: () => Promise.resolve(),
  };
}
