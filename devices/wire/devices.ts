import { ok } from '../../core/base/index.ts';
import type { Cutter, Printer } from '../../core/run/index.ts';
import type { Access } from './ipp/ipp-line.ts';
import { cutOverTcp } from './cutters/hpgl-socket.ts';
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

/** A cutter in the house that takes HPGL on a TCP port. It looks for the marks itself, or not at all. */
export function tcpCutter(address: string): Cutter {
  return {
    async cut({ hpgl }, task) {
      const done = await cutOverTcp(address, hpgl, task);
      return done.ok ? ok({}) : done;
    },
  };
}
