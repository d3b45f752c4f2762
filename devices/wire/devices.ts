import { ok } from '../../core/base/index.ts';
import type { Cutter, Printer } from '../../core/run/index.ts';
import type { Access } from './ipp/ipp-line.ts';
import { cutOn } from './cutters/index.ts';
import { printOverIpp } from './ipp/ipp-client.ts';

/** A printer in the house that is reached over the Internet Printing Protocol. */
export function ippPrinter(address: string, access?: Access): Printer {
  return {
    async print({ pdf, name, sheet }, task) {
      const { width, height } = sheet;
      const done = await printOverIpp(
        address,
        { pdf, name, settings: { width, height } },
        task,
        access,
      );
      return done.ok ? ok({ notes: done.value.notes }) : done;
    },
  };
}

/** A cutter in the house or on a cable. It looks for the marks itself, or not at all. */
export function realCutter(address: string): Cutter {
  return {
    async cut({ program, profile }, task) {
      const done = await cutOn(address, { program, line: profile }, task);
      return done.ok ? ok({}) : done;
    },
  };
}
