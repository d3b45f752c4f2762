import { PRINT_STOPS, type SimulatedFaults } from '../../core/run/index.ts';
import { SimulatedNetworkDevices } from '../../devices/wire/index.ts';
import { readOptions, refuse, whole, type Given } from '../arguments.ts';
import type { CliCommand } from '../command.ts';
import { writeInto } from '../files.ts';

const PORTS = { printer: 4631, cutter: 4632 };

/** What can go wrong in the devices, by the name that is given. */
const FAULTS: Readonly<Record<string, SimulatedFaults>> = {
  ...Object.fromEntries(PRINT_STOPS.map((stop) => [stop, { stop }])),
  turned: { turned: true },
  missed: { missed: 1 },
  dull: { dull: true },
  weak: { weak: true },
  lost: { lost: true },
};

/** The faults that are named, with commas or one by one. */
function faultsOf({ many, rest }: Given): SimulatedFaults {
  const named = [...many.map(({ value }) => value), ...rest].flatMap((one) => one.split(','));
  return Object.assign(
    {},
    ...named
      .filter(Boolean)
      .map((name) =>
        Object.hasOwn(FAULTS, name)
          ? FAULTS[name]
          : refuse(
              `--fault: “${name.slice(0, 40)}” is none.`,
              `Accepted: ${Object.keys(FAULTS).join(', ')}.`,
              '--fault',
            ),
      ),
  ) as SimulatedFaults;
}

function portOf(given: Given, device: keyof typeof PORTS): number {
  const port = whole(given, `${device}-port`, PORTS[device]);
  return port <= 65535
    ? port
    : refuse(`--${device}-port: ${port} is no port.`, 'Accepted: 0 to 65535.', `--${device}-port`);
}

/** Waits until somebody ends the program. */
const ended = (): Promise<void> =>
  new Promise((done) => {
    for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => done());
  });

export const simulate: CliCommand = {
  does: 'Runs a printer and a cutter that exist only in this computer, until it is ended.',
  example: 'peel simulate --printer-port 4631 --out what-came',
  usage: 'peel simulate [--printer-port N] [--cutter-port N] [--out DIR] [--fault NAME …] [--json]',
  async run(argv, _, lines = { out: console.log, err: console.error }) {
    const given = readOptions(argv, ['printer-port', 'cutter-port', 'out'], {
      many: ['fault'],
      words: Infinity,
    });
    const faults = faultsOf(given);
    const ports = { printer: portOf(given, 'printer'), cutter: portOf(given, 'cutter') };
    const { out } = given.options;
    let cuts = 0;
    const keep = (name: string, bytes: Uint8Array): void => {
      if (typeof out === 'string') writeInto(out, name, bytes);
    };
    const devices = new SimulatedNetworkDevices({
      page: (print, page, png) => keep(`print-${print}-${page}.png`, png),
      cut: (hpgl) => keep(`cut-${++cuts}.hpgl`, new TextEncoder().encode(hpgl)),
    });
    devices.apply(faults);
    await devices.start(ports, true).catch((error: unknown) => {
      const { port } = error as { port?: number };
      return refuse(`Port ${port ?? ''} is taken.`, 'Give another, or 0 for a free one.');
    });
    const { printer, cutter } = devices.tell();
    const [print, cut] = [printer?.address ?? '', cutter?.address ?? ''].map(named);
    lines.out(
      given.options.json ? JSON.stringify({ printer: print, cutter: cut }) : `${print} ${cut}`,
    );
    await ended();
    await devices.stop();
    return { exit: 0, document: undefined, text: undefined };
  },
};

/** An address as other programs write it. */
const named = (address: string): string => address.replace('127.0.0.1', 'localhost');
